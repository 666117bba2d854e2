package velvetcrock.web;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.thymeleaf.context.LazyContextVariable;

/** Gives every list of herbs or oils what the household uses most, to begin with. */
@ControllerAdvice(annotations = Controller.class)
class UsedOnPages {
  private final UsedFirst used;
  private final CurrentHousehold current;

  UsedOnPages(UsedFirst used, CurrentHousehold current) {
    this.used = used;
    this.current = current;
  }

  @ModelAttribute
  void used(Model model) {
    model.addAttribute(
        "usedFirst",
        new LazyContextVariable<List<String>>() {
          @Override
          protected List<String> loadValue() {
            return current.who().isEmpty() ? List.of() : used.keys();
          }
        });
  }
}
