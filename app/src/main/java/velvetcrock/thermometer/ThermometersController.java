package velvetcrock.thermometer;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.batch.BatchState.Status;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.Forms;
import velvetcrock.web.HouseName;
import velvetcrock.web.Typed;

/** The page on which thermometers are paired, and told which jar they are in. */
@Controller
class ThermometersController {
  private static final String PAGE = "/stove/thermometers";

  private final Thermometers thermometers;
  private final Batches batches;
  private final Catalogues catalogues;
  private final Households households;
  private final HouseName house;

  ThermometersController(
      Thermometers thermometers,
      Batches batches,
      Catalogues catalogues,
      Households households,
      HouseName house) {
    this.thermometers = thermometers;
    this.batches = batches;
    this.catalogues = catalogues;
    this.households = households;
    this.house = house;
  }

  /**
   * A form of the page.
   *
   * @param name what a new one is called
   * @param jar code of the jar it is in; empty for none
   */
  record ThermometerForm(@Nullable String name, @Nullable String jar) {}

  /**
   * A thermometer as it is shown.
   *
   * @param last what it last read and when; empty before its first reading
   * @param battery empty where it tells none
   * @param low whether its battery wants changing
   * @param silent since when it is silent, and how often it usually sends; empty while it is not
   */
  record Line(
      UUID id, String name, String jar, String last, String battery, boolean low, String silent) {}

  /** A jar that one may be in. */
  record InJar(String code, String words) {}

  @GetMapping(PAGE)
  String page(Model model) {
    return page(new ThermometerForm("", ""), FieldErrors.none(), model);
  }

  @PostMapping(PAGE)
  String pair(
      ThermometerForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    return Forms.saved(
        () -> {
          String secret = thermometers.pair(Typed.text(form.name()), jar(form));
          flash.addFlashAttribute("secret", secret);
          flash.addFlashAttribute(
              "address", house.link().path("/api/v1/thermometer/readings").toUriString());
          return Typed.text(form.name()) + " is paired.";
        },
        PAGE,
        flash,
        response,
        errors -> page(form, errors, model));
  }

  @PostMapping(PAGE + "/{id}")
  String put(@PathVariable UUID id, ThermometerForm form, RedirectAttributes flash) {
    thermometers.put(id, jar(form));
    flash.addFlashAttribute(
        "notice",
        Typed.blank(form.jar()) ? "It is in no jar." : "It is in " + Typed.text(form.jar()) + ".");
    return "redirect:" + PAGE;
  }

  @PostMapping(PAGE + "/{id}/remove")
  String remove(@PathVariable UUID id, RedirectAttributes flash) {
    thermometers.remove(id);
    flash.addFlashAttribute(
        "notice", "It is forgotten, and what it sends is no longer taken. What it read stays.");
    return "redirect:" + PAGE;
  }

  private @Nullable UUID jar(ThermometerForm form) {
    return Typed.blank(form.jar()) ? null : batches.find(Typed.text(form.jar())).id();
  }

  private String page(ThermometerForm form, FieldErrors errors, Model model) {
    Formats fmt = households.formats(households.current());
    List<BatchRecord> standing = batches.standing();
    model.addAttribute(
        "jars",
        standing.stream()
            .filter(jar -> jar.state().status() == Status.INFUSING)
            .map(
                jar ->
                    new InJar(
                        jar.code(),
                        jar.code()
                            + " "
                            + new BatchReckoning(catalogues.current(), jar.state()).herbNames()))
            .toList());
    model.addAttribute("lines", thermometers.all().stream().map(one -> line(one, fmt)).toList());
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    return "thermometer/thermometers";
  }

  private static final int LOW_PERCENT = 15;

  private static Line line(Thermometers.Thermometer one, Formats fmt) {
    Instant now = fmt.now();
    Reading last = one.last();
    Integer battery = one.batteryPercent();
    Instant heard = one.heardAt();
    Double gap = one.usualGapSeconds();
    return new Line(
        one.id(),
        one.name(),
        one.batch() == null ? "" : one.batch(),
        last == null
            ? ""
            : fmt.number(fmt.inDegrees(last.celsius()), 1)
                + " "
                + fmt.degreeUnit()
                + ", "
                + fmt.moment(last.at()),
        battery == null ? "" : battery + " %",
        battery != null && battery <= LOW_PERCENT,
        heard != null && gap != null && one.silent(now)
            ? "Silent since " + fmt.moment(heard) + "; it usually sends every " + every(gap) + "."
            : "");
  }

  /** How often, without more digits than it is worth. */
  private static String every(double seconds) {
    if (seconds < 90) {
      return Math.max(1, Math.round(seconds)) + " s";
    }
    long minutes = Math.round(seconds / 60);
    return minutes < 120 ? minutes + " min" : Math.round(minutes / 60.0) + " h";
  }
}
