package velvetcrock.core.materia;

import java.util.List;
import java.util.OptionalDouble;

/**
 * An essential oil of the catalogue with what of it a skin bears. All ceilings are % by volume of
 * the finished thing; empty where only the general ones rule.
 *
 * @param key lower-case key with hyphens
 * @param name what it is called
 * @param botanical botanical name
 * @param ceiling most on the skin
 * @param pregnancy most in pregnancy
 * @param child2To6 most for children from 2 to 6 years
 * @param child6To12 most for children from 6 to 12 years
 * @param sun whether it makes skin sensitive to the sun
 * @param cautions codes of its cautions
 * @param source where the figures come from
 */
public record EssentialOil(
    String key,
    String name,
    String botanical,
    OptionalDouble ceiling,
    OptionalDouble pregnancy,
    OptionalDouble child2To6,
    OptionalDouble child6To12,
    boolean sun,
    List<String> cautions,
    String source) {}
