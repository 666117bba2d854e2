package velvetcrock.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.batch.Visited.Act;
import velvetcrock.core.care.Task;
import velvetcrock.core.care.Task.Kind;

class VisitWordsTest {
  private static Task task(Kind kind) {
    return new Task(kind, LocalDate.EPOCH, null, 0);
  }

  /** The line says what the tick logs, and the entry says what was ticked. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "SHAKE | Shake | Shaken",
        "TOP_UP | Check the level | Level checked",
        "LOOK | Look and smell | Looked at and smelled",
        "SETTLE | Check the level and look | Level checked and looked at"
      })
  void eachTaskSaysItsOwnActs(Kind kind, String toDo, String done) {
    var acts = VisitWords.acts(List.of(task(kind)));
    assertThat(VisitWords.toDo(acts)).isEqualTo(toDo);
    assertThat(VisitWords.done(acts)).isEqualTo(done);
  }

  @Test
  void severalAreOneSentence() {
    var acts = VisitWords.acts(List.of(task(Kind.LOOK), task(Kind.SHAKE), task(Kind.TOP_UP)));
    assertThat(acts).isEqualTo(EnumSet.allOf(Act.class));
    assertThat(VisitWords.toDo(acts)).isEqualTo("Shake, check the level, look and smell");
    assertThat(VisitWords.done(acts)).isEqualTo("Shaken, level checked, looked at and smelled");
  }

  @Test
  void whatIsNoVisitIsNone() {
    assertThatThrownBy(() -> VisitWords.acts(List.of(task(Kind.STRAIN))))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
