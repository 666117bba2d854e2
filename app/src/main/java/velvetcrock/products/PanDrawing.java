package velvetcrock.products;

import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.making.Ingredient;
import velvetcrock.core.making.Melt;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.PartIn;
import velvetcrock.web.Formats;

/**
 * A melt drawn by its parts: layers in a pan, as high as their volume, what melts hottest below.
 *
 * @param layers from the top
 * @param words the same in words
 */
record PanDrawing(List<Layer> layers, int height, String words) {
  private static final int TOP = 12;
  private static final int DEEP = 168;
  private static final int LINE = 40;

  /**
   * A part.
   *
   * @param y its top, px
   * @param labelY where its name stands
   */
  record Layer(double y, double height, String fill, double labelY, String name, String amount) {}

  static PanDrawing of(List<PartIn> parts, Melt melt, Catalogue catalogue, Formats fmt) {
    List<Double> percents = melt.percents();
    List<Integer> order = new ArrayList<>();
    for (int i = 0; i < parts.size(); i++) {
      order.add(i);
    }
    order.sort((a, b) -> Double.compare(melts(melt, a), melts(melt, b)));
    double deep = Math.max(DEEP, parts.size() * LINE);
    List<Layer> layers = new ArrayList<>();
    List<String> words = new ArrayList<>();
    double y = TOP;
    double label = 0;
    for (int i : order) {
      Ingredient part = melt.parts().get(i);
      double share = part.massG() / part.density() / melt.volumeMl();
      double height = share * deep;
      String name = ProductParts.name(parts.get(i), catalogue);
      String amount = fmt.g(part.massG()) + ", " + fmt.number(percents.get(i), 1) + " %";
      label = Math.max(label + LINE, y + height / 2);
      layers.add(
          new Layer(
              round(y),
              round(Math.max(1.5, height)),
              ProductParts.colour(parts.get(i), catalogue),
              round(label),
              name,
              amount));
      words.add(name + " " + amount);
      y += height;
    }
    return new PanDrawing(
        apart(layers, TOP + deep - LINE / 2.0),
        (int) Math.round(TOP + deep + 8),
        "In the pan: " + String.join("; ", words));
  }

  /** The same with names that ran out below moved up, each above the next. */
  private static List<Layer> apart(List<Layer> layers, double lowest) {
    List<Layer> moved = new ArrayList<>(layers);
    double most = lowest;
    for (int i = moved.size() - 1; i >= 0; i--) {
      Layer layer = moved.get(i);
      double y = round(Math.min(layer.labelY(), most));
      moved.set(
          i, new Layer(layer.y(), layer.height(), layer.fill(), y, layer.name(), layer.amount()));
      most = y - LINE;
    }
    return List.copyOf(moved);
  }

  private static double melts(Melt melt, int index) {
    return melt.parts().get(index).meltsC();
  }

  private static double round(double value) {
    return Math.round(value * 10) / 10.0;
  }
}
