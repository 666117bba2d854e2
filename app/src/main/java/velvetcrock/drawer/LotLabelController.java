package velvetcrock.drawer;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.core.Refused;
import velvetcrock.web.CanWait;
import velvetcrock.web.Happened;
import velvetcrock.web.Picture;

/** Pictures of the label on what was bought, from the camera or from before. */
@Controller
class LotLabelController {
  private final LotLabels labels;

  LotLabelController(LotLabels labels) {
    this.labels = labels;
  }

  @CanWait
  @PostMapping("/drawer/lots/{id}/label")
  String keep(
      @PathVariable UUID id,
      @RequestParam(name = "photo", required = false) @Nullable MultipartFile photo,
      @RequestParam(defaultValue = "") String key,
      Happened when,
      RedirectAttributes flash) {
    try {
      labels.keep(id, photo, when.at(), key);
      flash.addFlashAttribute("notice", "The picture of the label is kept.");
    } catch (Refused refused) {
      flash.addFlashAttribute("problem", refused.problems().get(0).message());
    }
    return "redirect:/drawer/lots/" + id;
  }

  @GetMapping("/drawer/lots/{id}/label/{photo}.jpg")
  ResponseEntity<byte[]> jpeg(@PathVariable UUID id, @PathVariable UUID photo) {
    return Picture.answer(labels.jpeg(id, photo));
  }

  @PostMapping("/drawer/lots/{id}/label/{photo}/remove")
  String remove(@PathVariable UUID id, @PathVariable UUID photo, RedirectAttributes flash) {
    labels.remove(id, photo);
    flash.addFlashAttribute("notice", "That picture is gone.");
    return "redirect:/drawer/lots/" + id;
  }
}
