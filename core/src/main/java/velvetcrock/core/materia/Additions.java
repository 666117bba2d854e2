package velvetcrock.core.materia;

import java.util.List;

/**
 * What a household adds to the catalogue or knows better: a thing with the key of a shipped one
 * takes its place.
 */
public record Additions(
    List<Herb> herbs,
    List<Carrier> carriers,
    List<Wax> waxes,
    List<Powder> powders,
    List<EssentialOil> essentialOils,
    List<Jar> jars) {

  /** Nothing of its own. */
  public static final Additions NONE =
      new Additions(List.of(), List.of(), List.of(), List.of(), List.of(), List.of());

  /** Copies the lists. */
  public Additions {
    herbs = List.copyOf(herbs);
    carriers = List.copyOf(carriers);
    waxes = List.copyOf(waxes);
    powders = List.copyOf(powders);
    essentialOils = List.copyOf(essentialOils);
    jars = List.copyOf(jars);
  }
}
