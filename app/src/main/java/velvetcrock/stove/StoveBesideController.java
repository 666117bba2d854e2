package velvetcrock.stove;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import velvetcrock.batch.TimerWords;
import velvetcrock.core.care.Task;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Beside;
import velvetcrock.web.Formats;
import velvetcrock.web.FreshKeys;

/** A day's heat, one step at a time: on, bath, reading, top-up, off. */
@Controller
class StoveBesideController {
  private final LivePots pots;
  private final StoveRows rows;
  private final Households households;

  StoveBesideController(LivePots pots, StoveRows rows, Households households) {
    this.pots = pots;
    this.rows = rows;
    this.households = households;
  }

  @GetMapping("/stove/{code}/beside")
  String beside(@PathVariable String code, Model model) {
    Formats fmt = households.formats(households.current());
    LivePot pot = pots.of(code);
    PotRow row = rows.row(pot, fmt);
    String page = "/stove/" + row.code();
    List<Beside.Step> steps = new ArrayList<>();
    if (!row.onHeat() && !row.solar()) {
      steps.add(
          Beside.Step.of(
              "Put it on the heat",
              row.thermo().band(),
              "Wipe the vessel dry. Say on the pot’s page what it stands on, and in which bath."));
    }
    steps.add(reading(row, page, fmt));
    if (row.water().bathBy() > 0) {
      steps.add(bath(row, page, fmt));
    }
    steps.add(
        Beside.Step.of(
            "Leave it its time",
            row.course().window(),
            "It has had " + row.course().served() + " on the heat."));
    if (row.onHeat()) {
      steps.add(off(row, page));
    }
    model.addAttribute(
        "beside",
        new Beside(
            row.herb() + ", " + row.code(),
            page,
            "The whole page",
            row.cautions().stream().map(PotRow.Warning::text).toList(),
            List.copyOf(steps)));
    model.addAttribute("fresh", FreshKeys.next());
    return "web/beside";
  }

  private static Beside.Step reading(PotRow row, String page, Formats fmt) {
    return Beside.Step.of(
            "Read the thermometer",
            row.thermo().band(),
            (row.say() + " Last: " + row.thermo().temperature() + " " + row.thermo().unit() + ".")
                .strip())
        .noting(
            Beside.Act.noted(
                page + "/log",
                Map.of("kind", List.of("read")),
                new Beside.Field(
                    "temperature",
                    "The oil has",
                    fmt.degreeUnit().equals("°F") ? "110 F" : "43 C",
                    ""),
                "Note it"));
  }

  private static Beside.Step bath(PotRow row, String page, Formats fmt) {
    Instant by = Instant.ofEpochMilli(row.water().bathBy());
    double minutes = Duration.between(fmt.now(), by).toMinutes();
    Beside.Step step =
        Beside.Step.of(
                "Top up the bath",
                minutes > 0 ? "by " + fmt.clock(by) : "now",
                "Hot water, up to where it was. Wipe the jar: a drip in the oil is water in it.")
            .noting(
                Beside.Act.noted(
                    page + "/log", Map.of("kind", List.of("bath")), null, "The bath is full"));
    return minutes > 0
        ? step.timed(
            List.of(new Beside.Timer("Bath of " + row.code(), "until " + fmt.clock(by), minutes)))
        : step;
  }

  private static Beside.Step off(PotRow row, String page) {
    return Beside.Step.of(
            "Take it off",
            "",
            "Wipe the vessel. Leave it loosely covered until it is cold: warm oil under a cap draws water.")
        .timed(List.of(TimerWords.beside(Task.Kind.CAP, row.code())))
        .noting(Beside.Act.last(page + "/log", Map.of("kind", List.of("off")), null, "It is off"));
  }
}
