package velvetcrock.cellar;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.BatchActs;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.batch.BottleBook;
import velvetcrock.batch.BottleRecord;
import velvetcrock.batch.Written;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BottleChecked;
import velvetcrock.core.batch.BottleEvent;
import velvetcrock.core.batch.BottleGone;
import velvetcrock.core.batch.BottleOpened;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.batch.BottleStood;
import velvetcrock.core.batch.Drawn;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.OffSmell;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.charge.Amounts;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.BatchReckoning.KeepingRange;
import velvetcrock.core.keeping.OwnShelfLife;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.measure.VesselSize;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.papers.Passes;
import velvetcrock.web.CanWait;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.FreshKeys;
import velvetcrock.web.Happened;
import velvetcrock.web.NotFound;
import velvetcrock.web.SameUntilChanged;
import velvetcrock.web.Typed;

/** A bottle: until when it is good and why, and what is done with it. */
@Controller
class BottleController {
  private static final int LONGEST_WHAT = 200;

  private final Batches batches;
  private final BatchActs acts;
  private final BottleBook book;
  private final Households households;
  private final Catalogues catalogues;
  private final Cautions cautions;
  private final Passes passes;

  BottleController(
      Batches batches,
      BatchActs acts,
      BottleBook book,
      Households households,
      Catalogues catalogues,
      Cautions cautions,
      Passes passes) {
    this.batches = batches;
    this.acts = acts;
    this.book = book;
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
    this.passes = passes;
  }

  @SameUntilChanged
  @GetMapping("/cellar/{code}/{letter}")
  String bottle(@PathVariable String code, @PathVariable String letter, Model model) {
    return page(code, letter, BottleForm.empty(), FieldErrors.none(), model);
  }

  @CanWait
  @PostMapping("/cellar/{code}/{letter}/draw")
  String draw(
      @PathVariable String code,
      @PathVariable String letter,
      @RequestParam(defaultValue = "") String back,
      BottleForm form,
      Happened when,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    Formats fmt = households.formats(households.current());
    return taken(
        code,
        letter,
        form,
        model,
        response,
        batch -> {
          double ml = drawn(form.amount(), batch, bottle(batch, letter));
          String what = Typed.text(form.what());
          if (what.length() > LONGEST_WHAT) {
            throw new Refused("what", "At most " + LONGEST_WHAT + " letters.");
          }
          Written written =
              acts.append(
                  code,
                  new Drawn(normal(letter), ml, Typed.text(form.amount()), what),
                  when.at(),
                  null,
                  key(form));
          String bottle = batch.code() + "-" + normal(letter);
          tell(written, "That draw", bottle + ": " + fmt.ml(ml) + " drawn off.", flash);
          return back.equals("cellar")
              ? "redirect:/cellar"
              : "redirect:/cellar/" + batch.code() + "/" + normal(letter);
        });
  }

  @CanWait
  @PostMapping("/cellar/{code}/{letter}/log")
  String log(
      @PathVariable String code,
      @PathVariable String letter,
      BottleForm form,
      Happened when,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    return taken(
        code,
        letter,
        form,
        model,
        response,
        batch -> {
          Written written =
              acts.append(code, event(form, letter, batch), when.at(), null, key(form));
          String done =
              switch (Typed.text(form.kind())) {
                case "opened" -> "Opened.";
                case "checked" -> "Smelled.";
                default -> "Noted how it stands now.";
              };
          tell(written, "That", done, flash);
          return "redirect:/cellar/" + batch.code() + "/" + normal(letter);
        });
  }

  @CanWait
  @PostMapping("/cellar/{code}/{letter}/gone")
  String gone(
      @PathVariable String code,
      @PathVariable String letter,
      BottleForm form,
      Happened when,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    return taken(
        code,
        letter,
        form,
        model,
        response,
        batch -> {
          BatchEvent event =
              new BottleGone(normal(letter), Typed.named(Ending.class, form.reason(), "reason"));
          Written written = acts.append(code, event, when.at(), null, key(form));
          flash.addFlashAttribute(
              "notice", "Bottle " + batch.code() + "-" + normal(letter) + " is gone.");
          flash.addFlashAttribute("undo", written);
          return "redirect:/cellar";
        });
  }

  /** Something taken from a form for a batch. */
  private interface Taking {
    String from(BatchRecord batch);
  }

  private String taken(
      String code,
      String letter,
      BottleForm form,
      Model model,
      HttpServletResponse response,
      Taking taking) {
    try {
      BatchRecord batch = batches.find(code);
      bottle(batch, letter);
      return taking.from(batch);
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(code, letter, form, FieldErrors.of(refused), model);
    }
  }

  private BottleEvent event(BottleForm form, String letter, BatchRecord batch) {
    return switch (Typed.text(form.kind())) {
      case "opened" -> new BottleOpened(normal(letter));
      case "checked" ->
          new BottleChecked(
              normal(letter),
              Typed.named(OffSmell.class, form.off(), "off"),
              form.cloudy() != null,
              form.fizzing() != null);
      case "stood" ->
          new BottleStood(
              normal(letter),
              Typed.named(Store.Place.class, form.place(), "place"),
              Typed.named(Store.Glass.class, form.glass(), "glass"),
              holds(form.size(), batch),
              Typed.named(Store.Antioxidant.class, form.antioxidant(), "antioxidant"));
      default -> throw new Refused("kind", "Choose what to log.");
    };
  }

  private String page(
      String code, String letter, BottleForm form, FieldErrors errors, Model model) {
    Formats fmt = households.formats(households.current());
    BatchRecord batch = batches.find(code);
    BottleState bottle = bottle(batch, letter);
    KeepingRange keeping = batches.keeping(batch, bottle.letter());
    BottleRecord record = book.one(batch, bottle.letter());
    Map<BottleBook.Shelf, OwnShelfLife> own = book.ownShelfLives();
    model.addAttribute(
        "bottle",
        BottleView.of(
            new BottleView.Basis(
                record,
                keeping,
                book.moves(batch, bottle.letter()),
                own.get(BottleBook.shelf(record)),
                book.smellFrom(record, own)),
            catalogues.current(),
            cautions,
            fmt));
    model.addAttribute(
        "pass", passes.token(batch, bottle.letter()).map(token -> "/b/" + token).orElse(null));
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("stands", bottle.store());
    model.addAttribute("holds", fmt.typedMl(bottle.sizeMl()));
    model.addAttribute("key", Optional.ofNullable(form.key()).orElseGet(FreshKeys::next));
    return "cellar/bottle";
  }

  private double drawn(@Nullable String typed, BatchRecord batch, BottleState bottle) {
    return Typed.at(
        "amount",
        () ->
            Amounts.ofOil(
                Typed.text(typed),
                bottle.leftMl(),
                households.current().kitchen(),
                new BatchReckoning(catalogues.current(), batch.state()).carriers()));
  }

  private double holds(@Nullable String typed, BatchRecord batch) {
    return Typed.at(
        "size",
        () ->
            VesselSize.ml(
                Typed.text(typed),
                households.current().kitchen(),
                new BatchReckoning(catalogues.current(), batch.state())
                    .carriers()
                    .densityAt(Carrier.ROOM_C)));
  }

  private static void tell(Written written, String what, String done, RedirectAttributes flash) {
    flash.addFlashAttribute("notice", written.repeated() ? what + " is in the log already." : done);
    if (!written.repeated()) {
      flash.addFlashAttribute("undo", written);
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
