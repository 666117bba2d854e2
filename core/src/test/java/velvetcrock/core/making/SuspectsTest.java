package velvetcrock.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import velvetcrock.core.making.Suspects.Sureness;

/** What tins that troubled share. */
class SuspectsTest {
  private static final Set<String> LAVENDER = Set.of("yarrow", "beeswax", "lavender");
  private static final Set<String> GERANIUM = Set.of("heather", "beeswax", "lavender");
  private static final Set<String> PLAIN = Set.of("yarrow", "beeswax");

  @Test
  void whatAllReportsShareAndNoTroubleFreeTinHasStandsInFront() {
    Suspects suspects = Suspects.of(List.of(LAVENDER, GERANIUM), Collections.nCopies(6, PLAIN));

    assertThat(suspects.onlyInReports()).extracting("thing").containsExactly("lavender");
    Suspects.Suspect first = suspects.shared().get(0);
    assertThat(first.thing()).isEqualTo("lavender");
    assertThat(first.byChance()).isCloseTo(1 / 28.0, within(1e-9));
    assertThat(first.sureness()).isEqualTo(Sureness.LIKELY);
    assertThat(suspects.shared()).extracting("thing").containsExactly("lavender", "beeswax");
    assertThat(suspects.shared().get(1).byChance()).isCloseTo(1, within(1e-9));
  }

  @Test
  void oneReportAloneProvesLittle() {
    Suspects suspects = Suspects.of(List.of(LAVENDER), Collections.nCopies(3, PLAIN));

    assertThat(suspects.onlyInReports()).extracting("thing").containsExactly("lavender");
    assertThat(suspects.onlyInReports().get(0).sureness()).isEqualTo(Sureness.OPEN);
  }

  @Test
  void withoutTroubleFreeTinsNothingCanBeTold() {
    assertThat(Suspects.of(List.of(LAVENDER, GERANIUM), List.of()).shared())
        .allSatisfy(s -> assertThat(s.byChance()).isCloseTo(1, within(1e-9)))
        .allSatisfy(s -> assertThat(s.sureness()).isEqualTo(Sureness.OPEN));
  }

  @Test
  void whatDidNoHarmElsewhereIsNeverLikely() {
    Suspects suspects =
        Suspects.of(
            Collections.nCopies(3, LAVENDER),
            List.of(LAVENDER, PLAIN, PLAIN, PLAIN, PLAIN, PLAIN, PLAIN, PLAIN));

    assertThat(suspects.shared().get(0).inFine()).isOne();
    assertThat(suspects.shared().get(0).sureness()).isEqualTo(Sureness.PERHAPS);
    assertThat(suspects.onlyInReports()).isEmpty();
  }

  @Test
  void noReportNoSuspect() {
    assertThat(Suspects.of(List.of(), List.of(PLAIN)).shared()).isEmpty();
  }
}
