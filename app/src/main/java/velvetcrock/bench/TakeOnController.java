package velvetcrock.bench;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.BatchActs;
import velvetcrock.batch.Written;
import velvetcrock.bench.TakeOnReader.Pouring;
import velvetcrock.bench.TakeOnReader.TakenOn;
import velvetcrock.bench.TakeOnReader.Warmed;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.FeltByHand;
import velvetcrock.core.batch.Heater;
import velvetcrock.core.batch.Knob;
import velvetcrock.core.batch.PutOnHeat;
import velvetcrock.core.batch.TakenOffHeat;
import velvetcrock.core.heat.Appliance;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Places;
import velvetcrock.kitchen.Vessels;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.FreshKeys;
import velvetcrock.web.Typed;

/** Taking on a jar that was begun before. */
@Controller
class TakeOnController {
  private static final Heater HEAT = new Heater(null, "The heat", Appliance.SLOW_COOKER);
  private static final Knob KNOB = new Knob("not known", null, null);

  private final TakeOnReader reader;
  private final Vessels vessels;
  private final Places places;
  private final BatchActs acts;
  private final Catalogues catalogues;
  private final TransactionTemplate transactions;

  TakeOnController(
      TakeOnReader reader,
      Vessels vessels,
      Places places,
      BatchActs acts,
      Catalogues catalogues,
      TransactionTemplate transactions) {
    this.reader = reader;
    this.vessels = vessels;
    this.places = places;
    this.acts = acts;
    this.catalogues = catalogues;
    this.transactions = transactions;
  }

  @GetMapping("/bench/take-on")
  String takeOn(TakeOnForm form, @RequestParam @Nullable String more, Model model) {
    return page(form.more(more), FieldErrors.none(), model);
  }

  @PostMapping("/bench/take-on")
  String takenOn(
      TakeOnForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    try {
      TakenOn read = reader.read(form.completed());
      String key = Typed.text(form.key());
      Written written =
          Optional.ofNullable(transactions.execute(status -> write(read, key))).orElseThrow();
      flash.addFlashAttribute("notice", "Taken on: write " + written.code() + " on the lid.");
      return "redirect:/batches/" + written.code();
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(form.completed(), FieldErrors.of(refused), model);
    }
  }

  /** The charging, and the heat that it has had, all or nothing. */
  private Written write(TakenOn read, String key) {
    Written written = acts.charge(read.charged(), key);
    Pouring poured = read.poured();
    if (poured != null && !written.repeated()) {
      acts.append(written.code(), poured.oil(), poured.at(), null, key + ":poured");
    }
    Warmed heat = read.heat();
    if (heat != null && !written.repeated()) {
      String code = written.code();
      Instant off = heat.from().plus(Duration.ofSeconds(Math.round(heat.hours() * 3600)));
      acts.append(code, new PutOnHeat(HEAT, KNOB, null), heat.from(), null, key + ":on");
      acts.append(code, new FeltByHand(heat.felt()), heat.from(), null, key + ":felt");
      acts.append(code, new TakenOffHeat(), off, null, key + ":off");
    }
    return written;
  }

  private String page(TakeOnForm form, FieldErrors errors, Model model) {
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("key", Optional.ofNullable(form.key()).orElseGet(FreshKeys::next));
    model.addAttribute(
        "herbs",
        catalogues.current().herbs().stream()
            .sorted((a, b) -> a.name().compareToIgnoreCase(b.name()))
            .toList());
    model.addAttribute("carriers", catalogues.current().carriers());
    model.addAttribute("jars", vessels.jars());
    model.addAttribute("places", places.all());
    return "bench/take-on";
  }
}
