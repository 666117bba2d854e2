package velvetcrock.bench;

import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.Written;
import velvetcrock.core.Refused;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.SameUntilChanged;
import velvetcrock.web.Typed;
import velvetcrock.web.WritesNothing;

/** The bench: the sentence, what it comes to, and charging the jar. */
@Controller
class BenchController {
  private final BenchPage page;
  private final BenchAround around;
  private final BenchLots lots;
  private final Planner planner;
  private final Charging charging;
  private final Splitting splitting;
  private final Households households;

  BenchController(
      BenchPage page,
      BenchAround around,
      BenchLots lots,
      Planner planner,
      Charging charging,
      Splitting splitting,
      Households households) {
    this.page = page;
    this.around = around;
    this.lots = lots;
    this.planner = planner;
    this.charging = charging;
    this.splitting = splitting;
    this.households = households;
  }

  @SameUntilChanged
  @GetMapping("/bench")
  String bench(BenchForm form, @RequestParam @Nullable String plan, Model model) {
    BenchForm begun = form;
    String again = Typed.text(form.from().again());
    if (!again.isEmpty() && form.herbs() == null) {
      begun = around.again(again);
    }
    return page.show(begun, ChargeForm.ofPlan(plan), FieldErrors.none(), model);
  }

  @WritesNothing
  @PostMapping("/bench")
  String again(BenchForm form, ChargeForm charging, SplitForm split, Model model) {
    model.addAttribute("split", split);
    return page.show(form, charging, FieldErrors.none(), model);
  }

  /** Only what the sentence comes to, for a change as it is typed. */
  @WritesNothing
  @PostMapping("/bench/reckon")
  String reckon(BenchForm form, ChargeForm charging, Model model) {
    Household house = households.current();
    WishReader.Bench bench = around.of(house);
    model.addAttribute("charging", charging);
    page.work(
        around.completed(form, bench.places()), charging, bench, house, FieldErrors.none(), model);
    model.addAttribute("fragment", true);
    return "bench/reckoned :: answer";
  }

  @PostMapping("/bench/charge")
  String charge(
      BenchForm form,
      ChargeForm said,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    Household house = households.current();
    try {
      WishReader.Bench bench = around.of(house);
      LocalDate today = households.today(house);
      Reckoned plan = planner.plan(around.completed(form, bench.places()), bench, today);
      List<Written> written = charging.charge(plan, said, today);
      flash.addFlashAttribute("notice", lots.told(written, households.formats(house)));
      return written.size() == 1 ? "redirect:/batches/" + written.get(0).code() : "redirect:/";
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page.show(form, said, FieldErrors.of(refused), model);
    }
  }

  @PostMapping("/bench/trial")
  String trial(
      BenchForm form,
      ChargeForm said,
      SplitForm split,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    Household house = households.current();
    LocalDate today = households.today(house);
    BenchForm completed = around.completed(form, around.of(house).places());
    try {
      UUID id = splitting.split(completed, said, split, () -> around.of(house), today);
      flash.addFlashAttribute("notice", "Charged: write each jar’s code and letter on its lid.");
      return "redirect:/trials/" + id;
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      model.addAttribute("split", split);
      if (FieldErrors.of(refused).at("read") != null) {
        model.addAttribute(
            "trialToBeRead", splitting.toBeRead(completed, split, around.of(house), today));
      }
      return page.show(form, said, FieldErrors.of(refused), model);
    }
  }
}
