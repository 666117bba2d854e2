package velvetcrock.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BottleBook;
import velvetcrock.batch.BottleRecord;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.making.Drops.Where;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.making.Working;
import velvetcrock.core.product.Abandoned;
import velvetcrock.core.product.DropsIn;
import velvetcrock.core.product.Intent;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.Poured;
import velvetcrock.core.product.ProductBegun;
import velvetcrock.core.product.ProductEvent;
import velvetcrock.core.product.SkinReacted;
import velvetcrock.core.product.SpoonTested;
import velvetcrock.core.product.StirredIn;
import velvetcrock.core.product.TinFate;
import velvetcrock.core.product.TinGroup;
import velvetcrock.core.product.TinWent;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.products.ProductSources;
import velvetcrock.products.Products;
import velvetcrock.products.Recipes;

/**
 * The demo household's pots: one of every state, given to ferry crew, weather station and spinners.
 */
@Component
@Order(6)
class DemoProducts implements DemoPart {
  private static final String FERRY = "the ferry crew";
  private static final String SPINNERS = "the wool spinners";
  private static final String STATION = "the weather station";

  private final Products products;
  private final ProductSources sources;
  private final Recipes recipes;
  private final BottleBook book;
  private final Catalogues catalogues;
  private final Clock clock;

  DemoProducts(
      Products products,
      ProductSources sources,
      Recipes recipes,
      BottleBook book,
      Catalogues catalogues,
      Clock clock) {
    this.products = products;
    this.sources = sources;
    this.recipes = recipes;
    this.book = book;
    this.catalogues = catalogues;
    this.clock = clock;
  }

  @Override
  public void furnish(Household cottage) {
    String bath = begin(130, plan(ProductKind.BATH_OIL, "", 0), List.of(oil("heather", "A", 70)));
    say(bath, 130, poured(group("A", "bottles", 65, 1, Where.BODY)));
    say(bath, 30, new TinWent("A1", TinFate.USED_UP, "", ""));

    String ferry =
        begin(
            60,
            plan(ProductKind.SALVE, "Ferry crew’s salve", 16),
            List.of(oil("yarrow", "A", 90), wax(17)));
    say(ferry, 60, tested(ferry, 1.5));
    say(ferry, 60, new StirredIn(List.of(wax(2)), List.of(), ""));
    say(ferry, 60, tested(ferry, 0));
    say(
        ferry,
        60,
        poured(
            new TinGroup("A", "tins", 15, 4, Where.BODY, List.of(new DropsIn("lavender", 12)), ""),
            group("B", "tins", 15, 2, Where.BODY)));
    say(ferry, 55, new TinWent("A2", TinFate.GIVEN, FERRY, ""));
    say(ferry, 5, new TinWent("A3", TinFate.GIVEN, SPINNERS, ""));
    say(ferry, 50, new SkinReacted("A2", "Red and itching on the wrist by the next morning"));
    say(ferry, 20, new TinWent("B1", TinFate.USED_UP, "", "lasted six weeks"));

    String station =
        begin(
            20,
            plan(ProductKind.FIRM_BALM, "Weather station’s hands", 20),
            List.of(oil("yarrow", "A", 60), wax(15), butter("shea", 10)));
    say(station, 20, tested(station, 0));
    say(
        station,
        20,
        poured(
            new TinGroup("A", "tins", 15, 3, Where.BODY, List.of(new DropsIn("lavender", 9)), ""),
            new TinGroup("B", "tins", 10, 3, Where.CHILD_2_6, List.of(), "")));
    say(station, 18, new TinWent("A1", TinFate.GIVEN, STATION, ""));
    say(station, 12, new SkinReacted("A1", "A rash where it was rubbed in; gone in two days"));
    say(station, 18, new TinWent("B1", TinFate.GIVEN, STATION, "for the small ones"));
    say(station, 17, new TinWent("B2", TinFate.KEPT, "", ""));

    UUID recipe =
        recipes.keep(products.find(ferry), "Ferry crew’s salve", "Poured at 60 °C; no dips.");
    recipes.revise(
        recipe, products.find(station), "Ferry crew’s salve", "With shea, for hands in the wind.");

    String bars =
        begin(
            35,
            plan(ProductKind.LOTION_BAR, "Spinners’ bars", 40),
            List.of(oil("meadowsweet", "A", 40), butter("cocoa-butter", 35), wax(37)));
    say(bars, 35, tested(bars, 0));
    say(bars, 35, poured(group("A", "moulds", 28, 4, Where.BODY)));
    say(bars, 33, new TinWent("A1", TinFate.GIVEN, SPINNERS, ""));
    say(bars, 33, new TinWent("A2", TinFate.GIVEN, SPINNERS, ""));

    String massage =
        begin(14, plan(ProductKind.MASSAGE_OIL, "", 0), List.of(oil("meadowsweet", "B", 60)));
    say(massage, 14, poured(group("A", "bottles", 55, 1, Where.BODY)));

    begin(
        6,
        new Intent(
            ProductKind.DRAWN,
            "",
            Where.BODY,
            20,
            0,
            Working.Vessel.BATH,
            false,
            Store.Place.COOL,
            "lotion",
            ""),
        List.of(oil("meadowsweet", "B", 15)));

    String lost =
        begin(4, plan(ProductKind.OINTMENT, "", 9.5), List.of(oil("meadowsweet", "B", 20), wax(2)));
    say(lost, 4, new Abandoned(true, "Called away before the wax went in."));

    begin(
        0,
        plan(ProductKind.WHIPPED_BUTTER, "Winter butter", 11),
        List.of(oil("scots-pine-bud", "A", 30), butter("shea", 60), butter("mango-butter", 25)));

    String mid =
        begin(
            0,
            plan(ProductKind.SALVE, "Harbour salve", 16),
            List.of(oil("yarrow", "A", 60), wax(9)));
    say(mid, 0, tested(mid, 1.5));
  }

  private SpoonTested tested(String code, double harder) {
    return new SpoonTested(
        harder, products.find(code).state().melt(catalogues.current()).hardness(), null);
  }

  private static Intent plan(ProductKind making, String name, double aim) {
    return new Intent(
        making, name, Where.BODY, 20, aim, Working.Vessel.BATH, false, Store.Place.COOL, "", "");
  }

  private static TinGroup group(String letter, String vessel, double ml, int count, Where where) {
    return new TinGroup(letter, vessel, ml, count, where, List.of(), "");
  }

  private static Poured poured(TinGroup... groups) {
    return new Poured(List.of(groups), false, null);
  }

  private String begin(int daysAgo, Intent plan, List<PartIn> parts) {
    return products
        .begin(
            new ProductBegun(plan, parts, List.of(), ""), at(daysAgo), UUID.randomUUID().toString())
        .code();
  }

  private void say(String code, int daysAgo, ProductEvent event) {
    Instant at = at(daysAgo);
    products.append(
        code, event, at == null ? null : at.plusSeconds(60), null, UUID.randomUUID().toString());
  }

  private @Nullable Instant at(int daysAgo) {
    return daysAgo == 0 ? null : clock.instant().minus(Duration.ofDays(daysAgo));
  }

  private PartIn oil(String herb, String letter, double ml) {
    BottleRecord bottle =
        book.standing(new BottleBook.Which(herb, null), 20).stream()
            .filter(b -> b.bottle().letter().equals(letter))
            .max((a, b) -> Double.compare(a.bottle().leftMl(), b.bottle().leftMl()))
            .orElseThrow();
    return sources.bottle(bottle.code(), ml);
  }

  private PartIn wax(double grams) {
    return sources.fromDrawer("wax:beeswax", grams);
  }

  private PartIn butter(String key, double grams) {
    return sources.fromDrawer("carrier:" + key, grams);
  }
}
