package velvetcrock.shelf;

import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.thymeleaf.context.LazyContextVariable;
import velvetcrock.web.Formats;

/** Gives every page the timers that run in the house, whoever set them and wherever. */
@Order(2)
@ControllerAdvice(annotations = Controller.class)
class TimersOnPages {
  private final RoundNotes notes;

  TimersOnPages(RoundNotes notes) {
    this.notes = notes;
  }

  @ModelAttribute
  void timers(Model model) {
    if (model.getAttribute("fmt") instanceof Formats fmt) {
      model.addAttribute(
          "timers",
          new LazyContextVariable<List<RoundView.Timer>>() {
            @Override
            protected List<RoundView.Timer> loadValue() {
              return RoundView.timers(notes.live(), fmt);
            }
          });
    }
  }
}
