package velvetcrock.backup;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.thymeleaf.context.LazyContextVariable;

/** Lets pages tell how it stands with backups; read only where a page asks. */
@ControllerAdvice(annotations = Controller.class)
class BackupsOnPages {
  private final Backups backups;

  BackupsOnPages(Backups backups) {
    this.backups = backups;
  }

  @ModelAttribute
  void backups(Model model) {
    model.addAttribute(
        "backups",
        new LazyContextVariable<Backups.Standing>() {
          @Override
          protected Backups.Standing loadValue() {
            return backups.standing();
          }
        });
  }
}
