package velvetcrock.batch;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.care.Round;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.colour.ColourStory;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.FreshKeys;
import velvetcrock.web.SamePages;

/** What a batch's page shows. */
@Component
class BatchPage {
  private static final int THREAD = 40;

  private final Batches batches;
  private final Households households;
  private final Catalogues catalogues;
  private final Cautions cautions;
  private final BatchLinks links;
  private final Experience experience;
  private final HeatWatch watch;

  BatchPage(
      Batches batches,
      Households households,
      Catalogues catalogues,
      Cautions cautions,
      BatchLinks links,
      Experience experience,
      HeatWatch watch) {
    this.batches = batches;
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
    this.links = links;
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
    model.addAttribute("ready", null);
    if (batch.state().status() == BatchState.Status.INFUSING) {
      PotHeat heat = watch.shown(batch, now);
      model.addAttribute(
          "ready", ReadyView.of(new ReadyView.Basis(batch, reckoning, heat, now, fmt)));
      if (heat.readings() > 0 || !batch.state().heat().stints().isEmpty()) {
        model.addAttribute(SamePages.NOT_THIS_TIME, true);
      }
    }
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
            links.of(batch, fmt),
            experience.own());
    model.addAttribute("leave", LeaveView.of(batch.state(), reckoning, fmt));
    model.addAttribute("batch", batch);
    model.addAttribute("herbs", reckoning.herbsByWeight());
    model.addAttribute("view", view);
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("warmTyped", form.oil().warm());
    model.addAttribute("ticked", form.oil().ticked());
    model.addAttribute(
        "grossTyped", "pot-weighed".equals(form.kind()) ? form.measured().gross() : "");
    model.addAttribute("key", Optional.ofNullable(form.key()).orElseGet(FreshKeys::next));
    return "batch/batch";
  }
}
