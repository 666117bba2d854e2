package velvetcrock.kitchen;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerMapping;
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
  void household(Model model, HttpServletRequest request) {
    model.addAttribute("offered", choices);
    if (isPage(request) && current.who().isPresent()) {
      Household house = households.current();
      model.addAttribute("house", house);
      model.addAttribute("fmt", households.formats(house));
    }
  }

  /** Others answer with no page, and with no more from the database than what they are asked. */
  private static boolean isPage(HttpServletRequest request) {
    return request.getAttribute(HandlerMapping.BEST_MATCHING_HANDLER_ATTRIBUTE)
            instanceof HandlerMethod handler
        && !handler.getBeanType().isAnnotationPresent(RestController.class);
  }
}
