package velvetcrock.shelf;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.thymeleaf.context.LazyContextVariable;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;

/** Gives every page the timers that run in the house, whoever set them and wherever. */
@ControllerAdvice(annotations = Controller.class)
class TimersOnPages {
  private final RoundNotes notes;
  private final Households households;
  private final CurrentHousehold current;

  TimersOnPages(RoundNotes notes, Households households, CurrentHousehold current) {
    this.notes = notes;
    this.households = households;
    this.current = current;
  }

  @ModelAttribute
  void timers(Model model) {
    model.addAttribute(
        "timers",
        new LazyContextVariable<List<RoundView.Timer>>() {
          @Override
          protected List<RoundView.Timer> loadValue() {
            return running();
          }
        });
  }

  private List<RoundView.Timer> running() {
    if (current.who().isEmpty()) {
      return List.of();
    }
    return RoundView.timers(notes.live(), households.formats(households.current()));
  }
}
