package velvetcrock.plans;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.outlook.Want;
import velvetcrock.web.Formats;

/** What is typed on the planner's pages: kept, completed, pinned and linked. */
class FormsTest {
  private static final Formats FMT =
      new Formats(Kitchen.METRIC, ZoneId.of("Europe/Oslo"), LocalDate.of(2026, 11, 25));

  private static WantForm want(@Nullable List<WantForm.Row> things, @Nullable String set) {
    return new WantForm(things, null, null, null, null, null, null, null, null, null, null, set);
  }

  private static WantForm completed(WantForm form) {
    return form.completed("yarrow", "olive", "2026-12-12", "fresh", FMT);
  }

  private static WhatIfForm sliders(@Nullable String celsius, List<String> pins, String set) {
    return new WhatIfForm(
        new WhatIfForm.Material(null, null, null),
        null,
        null,
        null,
        celsius,
        null,
        null,
        null,
        null,
        null,
        pins,
        set);
  }

  @Test
  void anEmptySentenceBeginsWithADozenTins() {
    WantForm form = completed(want(null, null));

    assertThat(form.things()).containsExactly(new WantForm.Row("TINS", "12", "30 ml", "SALVE"));
    assertThat(form.herb()).isEqualTo("yarrow");
    assertThat(form.by()).isEqualTo("2026-12-12");
    assertThat(form.from()).isEqualTo("shopping");
    assertThat(form.key()).isEqualTo("fresh");
    assertThat(form.isSafeFor("CHILDREN")).isFalse();
  }

  @Test
  void aRowIsAddedAndLeftOutAndThereAreNeverMoreThanSix() {
    WantForm two = completed(want(null, "things+"));
    assertThat(two.things()).hasSize(2);
    assertThat(completed(want(two.things(), "things-0")).things())
        .containsExactly(two.things().get(1));
    assertThat(completed(want(List.of(two.things().get(0)), "things-0")).things()).hasSize(1);

    List<WantForm.Row> many = new ArrayList<>();
    for (int i = 0; i < 9; i++) {
      many.add(two.things().get(0));
    }
    assertThat(completed(want(many, "things+")).things()).hasSize(6);
  }

  @Test
  void whatWasTypedIsKeptWhateverItSays() {
    WantForm.Row odd = new WantForm.Row("TINS", "a few", "small", "SALVE");

    assertThat(completed(want(List.of(odd), null)).things()).containsExactly(odd);
  }

  @Test
  void aLinkToSomethingElseKeepsTheRest() {
    WantForm form = completed(want(null, "things+"));
    String link =
        new InsteadLinks().link(form, new OutlookView.Instead("", Map.of("by", "2027-01-05")));

    assertThat(URLDecoder.decode(link, StandardCharsets.UTF_8))
        .contains("things[0].size=30 ml")
        .contains("things[1].what=BOTTLES")
        .contains("herb=yarrow")
        .contains("by=2027-01-05")
        .doesNotContain("2026-12-12");
  }

  @Test
  void aLinkToSoMuchOilDropsTheOtherThings() {
    WantForm form = completed(want(null, "things+"));
    String link =
        new InsteadLinks()
            .link(
                form,
                new OutlookView.Instead(
                    "", Map.of("things[0].what", "OIL", "things[0].size", "500 ml")));

    assertThat(URLDecoder.decode(link, StandardCharsets.UTF_8))
        .contains("things[0].what=OIL")
        .contains("things[0].size=500 ml")
        .doesNotContain("things[1]");
  }

  @Test
  void aPinReadsBackAsTheSlidersThatItWas() {
    WhatIfForm form = sliders("60", List.of(), "pin").completed("yarrow", "olive");

    assertThat(form.pins()).hasSize(1);
    WhatIfForm pinned = WhatIfForm.ofPin(form.pins().get(0)).orElseThrow();
    assertThat(pinned.celsius()).isEqualTo("60");
    assertThat(pinned.material().herb()).isEqualTo("yarrow");
    assertThat(pinned.pinned()).isEqualTo(form.pins().get(0));
    assertThat(WhatIfForm.ofPin("rubbish")).isEmpty();
  }

  @Test
  void threePinsAreKeptTheOldestGoesFirstAndEachCanBeTakenOff() {
    List<String> pins = List.of();
    for (int celsius = 20; celsius <= 50; celsius += 10) {
      pins = sliders(String.valueOf(celsius), pins, "pin").completed("yarrow", "olive").pins();
    }
    assertThat(pins).hasSize(3).noneMatch(pin -> pin.contains("~20~"));

    String first = pins.get(0);
    assertThat(sliders("20", pins, "unpin-" + first).completed("yarrow", "olive").pins())
        .hasSize(2)
        .doesNotContain(first);
    assertThat(sliders("50", pins, "pin").completed("yarrow", "olive").pins())
        .as("pinned already")
        .hasSize(3);
  }

  @ParameterizedTest
  @CsvSource({
    "TINS, 12, 30, SALVE, 12 tins of 30 ml salve",
    "TINS, 1, 30, FIRM_BALM, 1 tin of 30 ml firm balm",
    "BOTTLES, 2, 100, , 2 bottles of 100 ml",
    "BARS, 1, 40, , 1 bar of 40 g",
    "PADS, 8, 100, , 8 pads of 10 cm",
    "OIL_ML, 1, 500, , 500 ml of oil",
    "OIL_G, 1, 90, , 90 g of oil"
  })
  void thingsAreSaidAsOneWouldSayThem(
      Thing.Wanted what, int count, double size, @Nullable Firmness kind, String words) {
    Thing thing = new Thing(what, count, size, kind);

    assertThat(thing.words(FMT)).isEqualTo(words);
    assertThat(Thing.want(List.of(thing))).isEqualTo(new Want.Several(List.of(thing.want())));
  }
}
