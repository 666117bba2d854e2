package velvetcrock.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.making.Drops.Count;
import velvetcrock.core.making.Drops.Where;
import velvetcrock.core.materia.Catalogue;

class DropsTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();

  private static Count drops(String oil, double count) {
    return new Count(CATALOGUE.essentialOil(oil), count);
  }

  @Test
  void twentyDropsOfLavenderInAHundredMillilitresAreOnePercent() {
    Drops drops = Drops.of(List.of(drops("lavender", 20)), 100, 0.05, Where.FACE);

    assertThat(drops.percent()).isCloseTo(1, within(1e-9));
    assertThat(drops.ok()).isTrue();
    assertThat(drops.mostDrops()).isEqualTo(20);
  }

  @ParameterizedTest
  @CsvSource({
    "lavender, BODY, 2, 40",
    "clove-bud, BODY, 0.5, 10",
    "cinnamon-bark, BODY, 0.07, 1",
    "peppermint, CHILD_2_6, 0, 0",
    "peppermint, CHILD_6_12, 1, 20",
    "oregano, PREGNANCY, 0, 0",
    "lavender, UNDER_2, 0, 0",
    "tea-tree, SMALL_AREA, 4, 80"
  })
  void theLowerCeilingWins(String oil, Where where, double ceiling, int most) {
    Drops drops = Drops.of(List.of(drops(oil, 1)), 100, 0.05, where);

    assertThat(drops.each().get(0).ceilingPercent()).isCloseTo(ceiling, within(1e-12));
    assertThat(drops.mostDrops()).isEqualTo(most);
    assertThat(drops.ok()).isEqualTo(most >= 1);
  }

  @Test
  void sunSensitisingOilsShareOneCeiling() {
    Drops drops =
        Drops.of(List.of(drops("lemon", 24), drops("bergamot", 4)), 100, 0.05, Where.BODY);

    assertThat(drops.each()).allMatch(Drops.Each::ok);
    assertThat(drops.sunShare()).isCloseTo(0.6 + 0.5, within(1e-9));
    assertThat(drops.ok()).isFalse();
    assertThat(drops.mostDrops()).isEqualTo(25);
  }

  @ParameterizedTest
  @InstancioSource(samples = 200)
  void theMostDropsPassAndOneMoreDoesNot(@Given int seed) {
    String[] oils = {"lavender", "lemon", "bergamot", "clove-bud", "geranium", "rosemary"};
    String oil = oils[Math.floorMod(seed, oils.length)];
    Where where = Where.values()[Math.floorMod(seed / 7, 6)];
    double volume = 20 + Math.floorMod(seed / 43, 400);
    int most = Drops.of(List.of(drops(oil, 3)), volume, 0.05, where).mostDrops();

    if (most > 0) {
      assertThat(Drops.of(List.of(drops(oil, most)), volume, 0.05, where).ok()).isTrue();
    }
    assertThat(Drops.of(List.of(drops(oil, most + 1)), volume, 0.05, where).ok()).isFalse();
  }

  @Test
  void whatCannotBeIsRefusedAtItsField() {
    assertThatThrownBy(() -> Drops.of(List.of(), 100, 0.05, Where.BODY))
        .hasMessageContaining("drops");
    assertThatThrownBy(() -> Drops.of(List.of(drops("lavender", -1)), 0, 9, Where.BODY))
        .hasMessageContaining("drops[0].count")
        .hasMessageContaining("volumeMl")
        .hasMessageContaining("dropMl");
  }
}
