package velvetcrock.batch;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.InTrial;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.SpiritIn;
import velvetcrock.core.care.Round;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.colour.ColourStory;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.materia.Jar;
import velvetcrock.drawer.Drawer;
import velvetcrock.drawer.LotWords;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;

/** A batch's page, its log and taking entries back. */
@Controller
class BatchController {
  private static final int THREAD = 40;

  private final Batches batches;
  private final BottleBook book;
  private final Households households;
  private final Catalogues catalogues;
  private final Cautions cautions;
  private final Drawer drawer;
  private final Experience experience;
  private final HeatWatch watch;
  private final Clock clock;

  BatchController(
      Batches batches,
      BottleBook book,
      Households households,
      Catalogues catalogues,
      Cautions cautions,
      Drawer drawer,
      Experience experience,
      HeatWatch watch,
      Clock clock) {
    this.batches = batches;
    this.book = book;
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
    this.drawer = drawer;
    this.experience = experience;
    this.watch = watch;
    this.clock = clock;
  }

  @GetMapping("/batches/{code}")
  String batch(@PathVariable String code, @RequestParam @Nullable String all, Model model) {
    return page(code, LogForm.empty(), FieldErrors.none(), all != null, model);
  }

  @PostMapping("/batches/{code}/log")
  String log(
      @PathVariable String code,
      LogForm form,
      @RequestParam(defaultValue = "") String back,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    Household house = households.current();
    BatchRecord batch = batches.find(code);
    try {
      BatchReckoning reckoning = new BatchReckoning(catalogues.current(), batch.state());
      BatchEvent event =
          form.event(
              house.kitchen(),
              reckoning.carriers(),
              batch.state().charge().carriers().get(0).carrier(),
              id -> households.place(id).stand(),
              this::vessel);
      Instant at = form.at(house.zone());
      Written written =
          batches.append(code, event, at, null, Optional.ofNullable(form.key()).orElse(""));
      Formats fmt = households.formats(house);
      tell(written, new EntryWords(catalogues.current(), fmt).of(event).title(), fmt, flash);
      return redirect(back, batch.code());
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(code, form, FieldErrors.of(refused), false, model);
    }
  }

  @PostMapping("/batches/{code}/entries/{id}/undo")
  String undo(
      @PathVariable String code,
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String back,
      RedirectAttributes flash) {
    try {
      batches.undo(code, id);
      flash.addFlashAttribute("notice", "Taken back. The log keeps both.");
    } catch (Refused refused) {
      flash.addFlashAttribute(
          "problem", refused.problems().get(0).message() + " Take that back first.");
    }
    return redirect(back, code);
  }

  private String page(String code, LogForm form, FieldErrors errors, boolean all, Model model) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    BatchRecord batch = batches.find(code);
    List<LoggedEntry> log = batches.log(batch);
    Round round = new Round(catalogues.current(), house.zone(), clock.instant());
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), batch.state());
    ColourStory story = reckoning.colour();
    Instant now = clock.instant();
    ReadyView ready =
        batch.state().status() == BatchState.Status.INFUSING
            ? ReadyView.of(new ReadyView.Basis(batch, reckoning, watch.heat(batch, now), now, fmt))
            : null;
    model.addAttribute("ready", ready);
    model.addAttribute("colour", ColourView.of(story, fmt));
    BatchView view =
        BatchView.of(
            batch,
            log,
            all ? Integer.MAX_VALUE : THREAD,
            catalogues.current(),
            cautions,
            fmt,
            NextStep.of(
                batch,
                round.tasks(batch.state(), batch.readHours()),
                reckoning.window(house.zone()),
                reckoning.unbottledMl(),
                fmt),
            clock.instant(),
            linked(batch, fmt),
            experience.own());
    model.addAttribute("batch", batch);
    model.addAttribute("herbs", reckoning.herbsByWeight());
    model.addAttribute("view", view);
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("grossTyped", "pot-weighed".equals(form.kind()) ? form.gross() : "");
    model.addAttribute("places", households.places());
    model.addAttribute("vessels", households.jars());
    model.addAttribute("reasons", Ending.values());
    model.addAttribute(
        "key", Optional.ofNullable(form.key()).orElseGet(() -> UUID.randomUUID().toString()));
    return "batch/batch";
  }

  private Jar vessel(String key) {
    return households.jars().stream()
        .filter(j -> j.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new Refused("jar", "Choose one of your vessels."));
  }

  /** The lots that went in, what it is another try of, and the bottles that it is in. */
  private List<BatchView.Fact> linked(BatchRecord batch, Formats fmt) {
    Charged charge = batch.state().charge();
    List<BatchView.Fact> facts = new ArrayList<>();
    LotWords words = new LotWords(catalogues.current(), fmt);
    Stream.of(
            charge.herbs().stream().map(HerbIn::lot),
            charge.carriers().stream().map(OilIn::lot),
            Stream.ofNullable(charge.manner().spirit()).map(SpiritIn::lot))
        .flatMap(Function.identity())
        .flatMap(Stream::ofNullable)
        .distinct()
        .flatMap(id -> drawer.find(id).stream())
        .forEach(
            lot ->
                facts.add(
                    new BatchView.Fact(
                        words.name(lot.lot()),
                        words.origin(lot.lot()),
                        "/drawer/lots/" + lot.id())));
    if (charge.manner().again() != null) {
      facts.add(
          new BatchView.Fact(
              "Another try of", charge.manner().again(), "/batches/" + charge.manner().again()));
    }
    InTrial trial = charge.manner().trial();
    if (trial != null) {
      facts.add(new BatchView.Fact("In a trial", trial.words(), "/trials/" + trial.id()));
    }
    if (!batch.state().bottles().isEmpty()) {
      book.of(batch).forEach(bottle -> facts.add(fact(bottle, fmt)));
    }
    return facts;
  }

  private static BatchView.Fact fact(BottleRecord bottle, Formats fmt) {
    BottleState state = bottle.bottle();
    return new BatchView.Fact(
        "Bottle " + state.letter(),
        state.goneAt() == null
            ? fmt.ml(state.leftMl()) + ", until " + fmt.fullDate(bottle.bestBefore())
            : "gone: " + EntryWords.reason(Objects.requireNonNull(state.goneBecause())),
        "/cellar/" + bottle.batch().code() + "/" + state.letter());
  }

  private static void tell(Written written, String what, Formats fmt, RedirectAttributes flash) {
    if (written.repeated()) {
      flash.addFlashAttribute(
          "notice",
          "That is in the log already: "
              + written.by()
              + ", "
              + fmt.moment(written.writtenAt())
              + ".");
    } else {
      flash.addFlashAttribute("notice", written.code() + ": " + what + ".");
      flash.addFlashAttribute("undo", written);
    }
  }

  private static String redirect(String back, String code) {
    return switch (back) {
      case "shelf" -> "redirect:/";
      case "round" -> "redirect:/round";
      case "stove" -> "redirect:/stove/" + code;
      default -> "redirect:/batches/" + code;
    };
  }
}
