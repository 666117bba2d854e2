package velvetcrock.kitchen;

import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import velvetcrock.web.Choices;
import velvetcrock.web.CurrentHousehold;

/** Gives every page its household, its formats, and what there is to choose. */
@Order(1)
@ControllerAdvice(annotations = Controller.class)
class HouseholdAdvice {
  private final Households households;
  private final CurrentHousehold current;
  private final Choices choices;

  HouseholdAdvice(Households households, CurrentHousehold current, Choices choices) {
    this.choices = choices;
    this.households = households;
    this.current = current;
  }

  @ModelAttribute
  void household(Model model) {
    model.addAttribute("offered", choices);
    if (current.who().isPresent()) {
      Household house = households.current();
      model.addAttribute("house", house);
      model.addAttribute("fmt", households.formats(house));
    }
  }
}
