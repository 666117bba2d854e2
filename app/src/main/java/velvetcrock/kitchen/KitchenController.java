package velvetcrock.kitchen;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jakarta.servlet.http.HttpServletResponse;
import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.core.Refused;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.measure.Temperatures;
import velvetcrock.web.Choices;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Forms;
import velvetcrock.web.SameUntilChanged;
import velvetcrock.web.Typed;

/** The kitchen: settings, places and jars. */
@Controller
class KitchenController {
  private final Households households;
  private final HomeHours homeHours;
  private final Places places;
  private final Vessels vessels;
  private final Appliances appliances;

  KitchenController(
      Households households,
      HomeHours homeHours,
      Places places,
      Vessels vessels,
      Appliances appliances) {
    this.households = households;
    this.homeHours = homeHours;
    this.places = places;
    this.vessels = vessels;
    this.appliances = appliances;
  }

  /** Whatever is typed on the kitchen's page. */
  record KitchenForm(
      @JsonUnwrapped House house,
      @JsonUnwrapped ReadingTyped reading,
      @JsonUnwrapped NewPlace place,
      @JsonUnwrapped NewVessel vessel,
      @Nullable String jar,
      @Nullable String count,
      @JsonUnwrapped NewHeat heat,
      @Nullable String appliance,
      @Nullable String holds,
      @JsonUnwrapped Hours hours) {

    /** The household itself. */
    record House(
        @Nullable String household, @Nullable String zone, @Nullable String keepsReadings) {}

    /** A place to be added. */
    record NewPlace(@Nullable String placeName, @Nullable String light, @Nullable String celsius) {}

    /** A vessel to be added. */
    record NewVessel(
        @Nullable String jarName,
        @Nullable String shape,
        @Nullable String water,
        @Nullable String height,
        @Nullable String width) {}

    /** An appliance to be added. */
    record NewHeat(@Nullable String applianceName, @Nullable String applianceKind) {}

    /** When somebody is up and at home. */
    record Hours(
        @Nullable String wakes,
        @Nullable String sleeps,
        @Nullable List<String> awayDays,
        @Nullable String awayFrom,
        @Nullable String awayUntil) {}
  }

  @SameUntilChanged
  @GetMapping("/kitchen")
  String kitchen(Model model) {
    return page(empty(), FieldErrors.none(), model);
  }

  @PostMapping("/kitchen/settings")
  String settle(
      KitchenForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    return saved(
        () ->
            households.settle(
                Typed.text(form.house().household()),
                Typed.text(form.house().zone()),
                form.house().keepsReadings(),
                form.reading()),
        "Saved.",
        form,
        model,
        flash,
        response);
  }

  @PostMapping("/kitchen/places")
  String addPlace(
      KitchenForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    return saved(
        () ->
            places.add(
                Typed.text(form.place().placeName()),
                light(form.place().light()),
                celsius(form.place().celsius())),
        "The shelf is there.",
        form,
        model,
        flash,
        response);
  }

  @PostMapping("/kitchen/jars")
  String addJar(
      KitchenForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    return saved(
        () ->
            vessels.measure(
                new Vessels.Typed(
                    Typed.text(form.vessel().jarName()),
                    Typed.text(form.vessel().shape()),
                    Typed.text(form.vessel().water()),
                    Typed.text(form.vessel().height()),
                    Typed.text(form.vessel().width()),
                    Typed.text(form.count()))),
        "Measured. The bench knows this jar now.",
        form,
        model,
        flash,
        response);
  }

  @PostMapping("/kitchen/jars/count")
  String countJar(
      KitchenForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    return saved(
        () -> vessels.count(Typed.text(form.jar()), Typed.text(form.count())),
        "Counted. The bench proposes what stands empty.",
        form,
        model,
        flash,
        response);
  }

  @PostMapping("/kitchen/appliances")
  String addAppliance(
      KitchenForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    return saved(
        () ->
            appliances.add(
                Typed.text(form.heat().applianceName()),
                Typed.named(Appliance.class, form.heat().applianceKind(), "applianceKind")),
        "The stove knows it now.",
        form,
        model,
        flash,
        response);
  }

  @PostMapping("/kitchen/appliances/count")
  String countAppliance(
      KitchenForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    return saved(
        () -> appliances.count(Typed.text(form.appliance()), Typed.text(form.holds())),
        "Counted. Plans never put more on it.",
        form,
        model,
        flash,
        response);
  }

  @PostMapping("/kitchen/hours")
  String keepHours(
      KitchenForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    return saved(
        () ->
            homeHours.keep(
                new HomeHours.Typed(
                    Typed.text(form.hours().wakes()),
                    Typed.text(form.hours().sleeps()),
                    form.hours().awayDays() == null ? List.of() : form.hours().awayDays(),
                    Typed.text(form.hours().awayFrom()),
                    Typed.text(form.hours().awayUntil()))),
        "Saved. Plans keep within these hours.",
        form,
        model,
        flash,
        response);
  }

  private String saved(
      Runnable work,
      String notice,
      KitchenForm form,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    return Forms.saved(
        () -> {
          work.run();
          return notice;
        },
        "/kitchen",
        flash,
        response,
        errors -> page(form, errors, model));
  }

  private String page(KitchenForm form, FieldErrors errors, Model model) {
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("places", places.all());
    model.addAttribute(
        "measured",
        vessels.ownJars().stream()
            .collect(Collectors.toMap(j -> j.jar().key(), OwnJar::measuredText)));
    model.addAttribute("vessels", vessels.all());
    model.addAttribute("appliances", appliances.all());
    model.addAttribute("applianceKinds", Appliance.values());
    model.addAttribute("zones", TimeZones.names());
    model.addAttribute(
        "keepings",
        Arrays.stream(KeepsReadings.values())
            .map(keeps -> new Choices.Choice(keeps.name(), keeps.words()))
            .toList());
    model.addAttribute("hours", households.current().hours());
    model.addAttribute("demo", households.current().demo());
    DayOfWeek first = households.current().customs().weekBegins();
    model.addAttribute("days", IntStream.range(0, 7).mapToObj(first::plus).toList());
    return "kitchen/kitchen";
  }

  private static Light light(@Nullable String name) {
    try {
      return Light.valueOf(Typed.text(name));
    } catch (IllegalArgumentException e) {
      throw new Refused("light", "Choose how light it is there.");
    }
  }

  private double celsius(@Nullable String typed) {
    return Typed.at(
        "celsius",
        () -> Temperatures.shown(Typed.text(typed), households.current().units().degrees()));
  }

  private static KitchenForm empty() {
    return Forms.blank(KitchenForm.class);
  }
}
