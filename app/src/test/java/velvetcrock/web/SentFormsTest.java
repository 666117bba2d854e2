package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.lang.annotation.RetentionPolicy;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SentFormsTest {
  record Making(
      @Nullable String amount,
      @Nullable List<Row> rows,
      @Nullable List<String> read,
      @Nullable Map<String, String> figures,
      @Nullable RetentionPolicy kept,
      @JsonUnwrapped Place place,
      @JsonUnwrapped Said said) {}

  record Row(@Nullable String herb, @Nullable String cut) {}

  record Place(@Nullable String jar, @Nullable String shelf) {}

  record Said(@Nullable String words, @Nullable List<Row> seen) {}

  @Test
  void readsFieldsRowsAndGroups() {
    Making form =
        read("amount=about a cup&rows[1].cut=WHOLE&rows[0].herb=yarrow&shelf=pantry&seen[0].cut=x");
    assertThat(form.amount()).isEqualTo("about a cup");
    assertThat(form.rows()).containsExactly(new Row("yarrow", null), new Row(null, "WHOLE"));
    assertThat(form.place()).isEqualTo(new Place(null, "pantry"));
    assertThat(form.said()).isEqualTo(new Said(null, List.of(new Row(null, "x"))));
  }

  @Test
  void whatWasNotSentIsNullAndNoGroupIs() {
    Making nothing =
        new Making(null, null, null, null, null, new Place(null, null), new Said(null, null));
    assertThat(read("_csrf=1&other[3].thing=2")).isEqualTo(nothing);
    assertThat(Forms.blank(Making.class)).isEqualTo(nothing);
  }

  @Test
  void whatIsSentStaysAsItWasTyped() {
    assertThat(read("amount=&jar=  2,5 \nl").amount()).isEmpty();
    assertThat(read("amount=&jar=  2,5 \nl").place().jar()).isEqualTo("  2,5 \nl");
    assertThat(read("amount=null").amount()).isEqualTo("null");
  }

  @Test
  void aListIsSentOnceOrSeveralTimesOrByPlaces() {
    assertThat(read("read=2,5 dl").read()).containsExactly("2,5 dl");
    assertThat(read("read=").read()).containsExactly("");
    assertThat(read("read=a&read=b").read()).containsExactly("a", "b");
    assertThat(read("read[2]=c&read[0]=a").read()).containsExactly("a", null, "c");
  }

  @Test
  void figuresHaveNamesAndAChoiceIsOneOfItsWords() {
    Making form = read("figures[density]=0,92&figures[pour]=&kept=SOURCE");
    assertThat(form.figures()).isEqualTo(Map.of("density", "0,92", "pour", ""));
    assertThat(form.kept()).isEqualTo(RetentionPolicy.SOURCE);
    assertThat(read("kept=").kept()).isNull();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "kept=FOREVER",
        "figures=1",
        "figures[0]=1",
        "figures[a][b]=1",
        "amount=1&amount=2",
        "amount[0]=1",
        "amount.x=1",
        "amount=1&amount.x=2",
        "amount=1&amount[0]=2",
        "rows=yarrow",
        "rows[0]=yarrow",
        "rows[0].herb=a&rows[0].herb.x=b",
        "rows[0].herb=a&rows.herb=b",
        "rows[256].herb=a",
        "rows[99999999999].herb=a",
        "jar=1&jar=2",
        "read.x=1",
      })
  void whatIsOfAnotherKindIsRefusedAtItsField(String sent) {
    String field = sent.split("[=.\\[]")[0];
    assertThatThrownBy(() -> read(sent))
        .isInstanceOfSatisfying(
            Unreadable.class, refused -> assertThat(refused.field()).startsWith(field));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", ".", "..", "[", "]", "[0]", "a..b", "[[", "a[0", "a[0]b", "0]"})
  void namesThatNoPageGivesDoNoHarm(String name) {
    try {
      assertThat(SentForms.read(Making.class, Map.of(name, new String[] {"x"})).amount()).isNull();
    } catch (Unreadable refused) {
      assertThat(refused.field()).isEqualTo(name);
    }
  }

  private static Making read(String sent) {
    return SentForms.read(
        Making.class,
        Arrays.stream(sent.split("&"))
            .map(field -> field.split("=", 2))
            .collect(
                Collectors.groupingBy(
                    field -> field[0],
                    Collectors.mapping(
                        field -> field[1],
                        Collectors.collectingAndThen(
                            Collectors.toList(), all -> all.toArray(String[]::new))))));
  }
}
