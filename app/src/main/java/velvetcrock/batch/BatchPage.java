package velvetcrock.batch;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.InTrial;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.SpiritIn;
import velvetcrock.core.care.Round;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.colour.ColourStory;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.drawer.Drawer;
import velvetcrock.drawer.LotWords;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.EnumWords;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;

/** What a batch's page shows. */
@Component
class BatchPage {
  private static final int THREAD = 40;

  private final Batches batches;
  private final BottleBook book;
  private final Households households;
  private final Catalogues catalogues;
  private final Cautions cautions;
  private final Drawer drawer;
  private final Experience experience;
  private final HeatWatch watch;

  BatchPage(
      Batches batches,
      BottleBook book,
      Households households,
      Catalogues catalogues,
      Cautions cautions,
      Drawer drawer,
      Experience experience,
      HeatWatch watch) {
    this.batches = batches;
    this.book = book;
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
    this.drawer = drawer;
    this.experience = experience;
    this.watch = watch;
  }

  /**
   * Fills the page.
   *
   * @param all whether the log is shown from its beginning
   * @return the template's name
   */
  String show(String code, LogForm form, FieldErrors errors, boolean all, Model model) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    Instant now = fmt.now();
    BatchRecord batch = batches.find(code);
    List<LoggedEntry> log = batches.log(batch);
    Round round = new Round(catalogues.current(), house.zone(), now);
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), batch.state());
    ColourStory story = reckoning.colour();
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
            now,
            linked(batch, fmt),
            experience.own());
    model.addAttribute("batch", batch);
    model.addAttribute("herbs", reckoning.herbsByWeight());
    model.addAttribute("view", view);
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("warmTyped", form.oil().warm());
    model.addAttribute("ticked", form.oil().ticked());
    model.addAttribute(
        "grossTyped", "pot-weighed".equals(form.kind()) ? form.measured().gross() : "");
    model.addAttribute(
        "key", Optional.ofNullable(form.key()).orElseGet(() -> UUID.randomUUID().toString()));
    return "batch/batch";
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
            : "gone: " + EnumWords.of(Objects.requireNonNull(state.goneBecause())),
        "/cellar/" + bottle.batch().code() + "/" + state.letter());
  }
}
