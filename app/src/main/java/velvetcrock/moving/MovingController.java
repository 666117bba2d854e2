package velvetcrock.moving;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.function.Supplier;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import velvetcrock.account.FreshSignIn;
import velvetcrock.core.Refused;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.NotFound;
import velvetcrock.web.Typed;

/** Where a household is packed into a file, and one that somebody brings is unpacked. */
@Controller
class MovingController {
  private static final String BACK = "redirect:/moving";
  private static final String ERRORS = "errors";

  private final Moves moves;
  private final Households households;
  private final FreshSignIn freshSignIn;

  MovingController(Moves moves, Households households, FreshSignIn freshSignIn) {
    this.moves = moves;
    this.households = households;
    this.freshSignIn = freshSignIn;
  }

  @GetMapping("/moving")
  String moving(Model model) {
    return page(model);
  }

  @PostMapping("/moving/pack")
  String pack(
      @RequestParam(defaultValue = "") String password,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    return done(
        "packErrors",
        () -> {
          freshSignIn.shown(password, request);
          moves.pack();
          return BACK;
        },
        model,
        response);
  }

  @GetMapping("/moving/box")
  ResponseEntity<Resource> box() {
    Moves.Packed packed =
        moves
            .packed()
            .filter(p -> p.stage() == Moves.Stage.READY)
            .orElseThrow(() -> new NotFound("Nothing lies packed here."));
    Household house = households.current();
    String name =
        "velvet-crock-"
            + house.name().toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "-")
            + "-"
            + packed.begun().atZone(house.zone()).toLocalDate()
            + ".zip";
    return ResponseEntity.ok()
        .contentType(new MediaType("application", "zip"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(new FileSystemResource(packed.file()));
  }

  @PostMapping("/moving/throw-away")
  String throwAway() {
    moves.throwAway();
    return BACK;
  }

  @PostMapping("/moving/bring")
  String bring(@RequestParam MultipartFile box, Model model, HttpServletResponse response) {
    return done(
        ERRORS,
        () -> {
          noVisitor();
          if (box.isEmpty()) {
            throw new Refused("box", "Choose the file that was packed.");
          }
          moves.bring(Typed.text(box.getOriginalFilename()), box);
          return BACK + "#bring";
        },
        model,
        response);
  }

  @PostMapping("/moving/take")
  String take(
      @RequestParam(defaultValue = "") String password,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    return done(
        ERRORS,
        () -> {
          noVisitor();
          freshSignIn.shown(password, request);
          moves.take();
          return BACK + "#bring";
        },
        model,
        response);
  }

  @PostMapping("/moving/send-away")
  String sendAway() {
    moves.sendAway();
    return BACK + "#bring";
  }

  /** Does it and goes on, or stays and says at its field why not. */
  private String done(
      String errors, Supplier<String> work, Model model, HttpServletResponse response) {
    try {
      return work.get();
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      model.addAttribute(errors, FieldErrors.of(refused));
      return page(model);
    }
  }

  private void noVisitor() {
    if (freshSignIn.visiting()) {
      throw new Refused(
          "box", "The demo takes nothing in. Move in first, with a kitchen of your own.");
    }
  }

  private String page(Model model) {
    Moves.Packed packed = moves.packed().orElse(null);
    Moves.Brought brought = moves.brought().orElse(null);
    Formats fmt = households.formats(households.current());
    model.addAttribute("packed", packed);
    model.addAttribute("brought", brought);
    boolean underWay =
        (packed != null && packed.stage() == Moves.Stage.UNDER_WAY)
            || (brought != null && brought.stage() == Moves.Stage.UNDER_WAY);
    model.addAttribute("underWay", underWay);
    if (packed != null && packed.stage() == Moves.Stage.READY) {
      model.addAttribute("packedWhen", fmt.moment(packed.begun()));
    }
    if (!model.containsAttribute(ERRORS)) {
      model.addAttribute(ERRORS, FieldErrors.none());
    }
    return "moving/moving";
  }
}
