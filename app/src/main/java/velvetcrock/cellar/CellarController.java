package velvetcrock.cellar;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.batch.BottleRecord;
import velvetcrock.batch.Written;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.charge.Amounts;
import velvetcrock.core.log.BatchReckoning;
import velvetcrock.core.log.BatchReckoning.KeepingRange;
import velvetcrock.core.log.BottleState;
import velvetcrock.core.log.Event;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.NotFound;

/** The cellar and its bottles. */
@Controller
class CellarController {
  private static final int LONGEST_WHAT = 200;

  private final Batches batches;
  private final Households households;
  private final Catalogues catalogues;
  private final Cautions cautions;

  CellarController(
      Batches batches, Households households, Catalogues catalogues, Cautions cautions) {
    this.batches = batches;
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
  }

  /** A draw or an end as typed. */
  record BottleForm(
      @Nullable String amount,
      @Nullable String what,
      @Nullable String reason,
      @Nullable String key) {}

  @GetMapping("/cellar")
  String cellar(Model model) {
    Formats fmt = households.formats(households.current());
    model.addAttribute("cellar", CellarView.of(batches.bottles(), catalogues.current(), fmt));
    return "cellar/cellar";
  }

  @GetMapping("/cellar/{code}/{letter}")
  String bottle(@PathVariable String code, @PathVariable String letter, Model model) {
    return page(code, letter, new BottleForm(null, null, null, null), FieldErrors.none(), model);
  }

  @PostMapping("/cellar/{code}/{letter}/draw")
  String draw(
      @PathVariable String code,
      @PathVariable String letter,
      BottleForm form,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    try {
      Household house = households.current();
      BatchRecord batch = batches.find(code);
      bottle(batch, letter);
      String typed = Optional.ofNullable(form.amount()).orElse("").strip();
      double ml = ml(typed, house, batch);
      String what = Optional.ofNullable(form.what()).orElse("").strip();
      if (what.length() > LONGEST_WHAT) {
        throw new Refused("what", "At most " + LONGEST_WHAT + " letters.");
      }
      Written written =
          batches.append(
              code, new Event.Drawn(normal(letter), ml, typed, what), null, null, key(form));
      flash.addFlashAttribute(
          "notice",
          written.repeated()
              ? "That draw is in the log already."
              : "Drawn: " + households.formats(house).ml(ml) + ".");
      return "redirect:/cellar/" + batch.code() + "/" + normal(letter);
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(code, letter, form, FieldErrors.of(refused), model);
    }
  }

  @PostMapping("/cellar/{code}/{letter}/gone")
  String gone(
      @PathVariable String code,
      @PathVariable String letter,
      BottleForm form,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    try {
      BatchRecord batch = batches.find(code);
      bottle(batch, letter);
      Event event = new Event.BottleGone(normal(letter), reason(form.reason()));
      Written written = batches.append(code, event, null, null, key(form));
      flash.addFlashAttribute(
          "notice", "Bottle " + batch.code() + "-" + normal(letter) + " is gone.");
      flash.addFlashAttribute("undo", written);
      return "redirect:/cellar";
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(code, letter, form, FieldErrors.of(refused), model);
    }
  }

  private String page(
      String code, String letter, BottleForm form, FieldErrors errors, Model model) {
    Household house = households.current();
    BatchRecord batch = batches.find(code);
    BottleState bottle = bottle(batch, letter);
    KeepingRange keeping = batches.keeping(batch, bottle.letter());
    BottleRecord record =
        new BottleRecord(batch, bottle, keeping.early().bestBefore(), keeping.late().bestBefore());
    model.addAttribute(
        "bottle",
        BottleView.of(record, keeping, catalogues.current(), cautions, households.formats(house)));
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("reasons", Event.Reason.values());
    model.addAttribute(
        "key", Optional.ofNullable(form.key()).orElseGet(() -> UUID.randomUUID().toString()));
    return "cellar/bottle";
  }

  private double ml(String typed, Household house, BatchRecord batch) {
    try {
      return Amounts.oilMl(
              new MeasureReader(house.kitchen()).read(typed),
              new BatchReckoning(catalogues.current(), batch.state()).carriers())
          .middle();
    } catch (Refused refused) {
      throw new Refused("amount", refused.problems().get(0).message());
    }
  }

  private static Event.Reason reason(@Nullable String typed) {
    try {
      return Event.Reason.valueOf(Optional.ofNullable(typed).orElse(""));
    } catch (IllegalArgumentException e) {
      throw new Refused("reason", "Say why.");
    }
  }

  private static BottleState bottle(BatchRecord batch, String letter) {
    return batch
        .state()
        .bottle(normal(letter))
        .orElseThrow(
            () -> new NotFound("There is no bottle " + letter + " of " + batch.code() + "."));
  }

  private static String normal(String letter) {
    return letter.toUpperCase(Locale.ROOT);
  }

  private static String key(BottleForm form) {
    return Optional.ofNullable(form.key()).orElse("");
  }
}
