package velvetcrock.papers;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import velvetcrock.core.Refused;
import velvetcrock.core.melt.PotEvent;
import velvetcrock.core.melt.PotState;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.pots.PotRecord;
import velvetcrock.pots.PotWords;
import velvetcrock.pots.Pots;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.Typed;

/** Sheets of labels for the tins of a pot, one for each tin, as a PDF. */
@Controller
class TinLabelsController {
  private static final int MOST = 500;

  private final Pots pots;
  private final Passes passes;
  private final PotLabelWriter writer;
  private final Households households;
  private final Catalogues catalogues;

  TinLabelsController(
      Pots pots,
      Passes passes,
      PotLabelWriter writer,
      Households households,
      Catalogues catalogues) {
    this.pots = pots;
    this.passes = passes;
    this.writer = writer;
    this.households = households;
    this.catalogues = catalogues;
  }

  @GetMapping("/pots/{code}/labels")
  String choose(@PathVariable String code, Model model) {
    PotRecord pot = pots.find(code);
    String here = ServletUriComponentsBuilder.fromCurrentContextPath().build().toUriString();
    List<String> all = pot.state().groups().stream().map(PotEvent.Group::letter).toList();
    page(
        pot,
        new LabelForm(all, "a4-21", "1", "0", null, "", null, here, null, null),
        FieldErrors.none(),
        List.of(),
        model.asMap());
    return "papers/labels";
  }

  @PostMapping("/pots/{code}/labels")
  Object print(@PathVariable String code, LabelForm form) {
    PotRecord pot = pots.find(code);
    List<String> questioned = List.of();
    try {
      LabelGrid grid = LabelGrid.of(Typed.text(form.grid()));
      questioned = LabelPrinting.questioned(form.ownWords(), writer.herbNames(pot.state()));
      LabelPrinting.question(questioned, form);
      return LabelPrinting.pdf(LabelSheet.pdf(labels(form, pot), grid, form.skipped()));
    } catch (Refused refused) {
      ModelAndView page = new ModelAndView("papers/labels", HttpStatus.UNPROCESSABLE_CONTENT);
      page(pot, form, FieldErrors.of(refused), questioned, page.getModel());
      return page;
    }
  }

  private List<LabelSheet.Label> labels(LabelForm form, PotRecord pot) {
    LabelWriter.Extras extras = new LabelWriter.Extras(form.inci() != null, form.ownWords(), true);
    String base = form.base();
    Set<String> letters = new HashSet<>(form.bottles());
    List<LabelSheet.Label> labels = new ArrayList<>();
    for (PotEvent.Group group : pot.state().groups()) {
      if (letters.contains(group.letter())) {
        String address = base + "/b/" + passes.potToken(pot.id(), group.letter());
        for (PotState.Tin tin : pot.state().tins()) {
          if (tin.group().equals(group.letter())) {
            LabelSheet.Label label =
                new LabelSheet.Label(writer.of(pot, group, tin.name(), extras), address);
            for (int i = 0; i < form.copies(); i++) {
              labels.add(label);
            }
          }
        }
      }
    }
    if (labels.isEmpty()) {
      throw new Refused("bottle", "Choose some tins.");
    }
    if (labels.size() > MOST) {
      throw new Refused("each", "At most " + MOST + " labels at once.");
    }
    return labels;
  }

  private void page(
      PotRecord pot,
      LabelForm form,
      FieldErrors errors,
      List<String> questioned,
      Map<String, Object> model) {
    Formats fmt = households.formats(households.current());
    List<LabelsController.Choice> choices = new ArrayList<>();
    for (PotEvent.Group group : pot.state().groups()) {
      choices.add(
          new LabelsController.Choice(
              group.letter(),
              group.count() + " × " + fmt.ml(group.ml()) + " for " + PotWords.where(group.where()),
              form.bottles().contains(group.letter())));
    }
    model.put("action", "/pots/" + pot.code() + "/labels");
    model.put("back", "/pots/" + pot.code());
    model.put(
        "backWords", pot.code() + " " + new PotWords(catalogues.current(), fmt).name(pot.state()));
    model.put("place", "pots");
    model.put("asked", "For which tins? One label for each.");
    model.put("choices", choices);
    model.put("sheets", LabelPrinting.sheets());
    model.put("form", form);
    model.put("errors", errors);
    model.put("questioned", !questioned.isEmpty());
  }
}
