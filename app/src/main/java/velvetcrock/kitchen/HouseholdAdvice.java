package velvetcrock.kitchen;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import velvetcrock.web.CurrentHousehold;

/** Gives every page its household and formats. */
@ControllerAdvice(annotations = Controller.class)
class HouseholdAdvice {
  private final Households households;
  private final CurrentHousehold current;

  HouseholdAdvice(Households households, CurrentHousehold current) {
    this.households = households;
    this.current = current;
  }

  @ModelAttribute
  void household(Model model) {
    if (current.who().isPresent()) {
      Household house = households.current();
      model.addAttribute("house", house);
      model.addAttribute("fmt", households.formats(house));
    }
  }
}
