package velvetcrock.colour;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.batch.ColourView;
import velvetcrock.batch.JarView;
import velvetcrock.batch.Written;
import velvetcrock.core.Refused;
import velvetcrock.core.colour.Rgb;
import velvetcrock.core.colour.SwatchField;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CanWait;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.FreshKeys;
import velvetcrock.web.Happened;
import velvetcrock.web.Picture;
import velvetcrock.web.Typed;

/** The colour of a jar: picked by eye, or tapped on a picture. */
@Controller
class ColourController {
  /** How wide a picture is shown for tapping, px: so that it fits the narrowest screen. */
  static final int SHOWN_WIDE = 320;

  private static final double SCALE = 1.6;

  private final Batches batches;
  private final Colours colours;
  private final Households households;
  private final Catalogues catalogues;

  ColourController(Batches batches, Colours colours, Households households, Catalogues catalogues) {
    this.batches = batches;
    this.colours = colours;
    this.households = households;
    this.catalogues = catalogues;
  }

  /**
   * A colour as picked.
   *
   * @param of {@code jar} or {@code plain}
   * @param oil where the oil was tapped
   * @param card where the white card was tapped
   */
  record ColourForm(
      @Nullable String colour,
      @Nullable String of,
      @Nullable String oil,
      @Nullable String card,
      @Nullable String key) {
    boolean plain() {
      return "plain".equals(of);
    }
  }

  /** A step of tapping. */
  record Tapping(
      UUID photo,
      int wide,
      int high,
      @Nullable Tap oil,
      @Nullable Tap card,
      Colours.@Nullable Measured measured) {}

  @GetMapping("/batches/{code}/colour")
  String pick(@PathVariable String code, Model model) {
    return page(batches.find(code), FieldErrors.none(), model);
  }

  @CanWait
  @PostMapping("/batches/{code}/colour")
  String picked(
      @PathVariable String code,
      ColourForm form,
      Happened when,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    BatchRecord batch = batches.find(code);
    try {
      Rgb colour = Rgb.of(Typed.text(form.colour()));
      return tell(
          batch, colours.log(batch, colour, form.plain(), null, when.at(), key(form)), flash);
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(batch, FieldErrors.of(refused), model);
    }
  }

  @CanWait
  @PostMapping("/batches/{code}/colour/photo")
  String sent(
      @PathVariable String code,
      @RequestParam(name = "photo", required = false) @Nullable MultipartFile photo,
      @RequestParam(defaultValue = "") String key,
      Happened when,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    BatchRecord batch = batches.find(code);
    try {
      UUID kept = colours.keep(batch, photo, when.at(), key);
      flash.addFlashAttribute("notice", "The picture is here. Tap the oil in it.");
      return "redirect:/batches/" + batch.code() + "/colour/" + kept;
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(batch, FieldErrors.of(refused), model);
    }
  }

  /** The picture to tap: first the oil, then the white card. */
  @GetMapping("/batches/{code}/colour/{photo}")
  String tap(
      @PathVariable String code,
      @PathVariable UUID photo,
      @RequestParam @Nullable String oil,
      @RequestParam @Nullable String card,
      @RequestParam(defaultValue = "") String nocard,
      @RequestParam(name = "tap.x", required = false) @Nullable Integer x,
      @RequestParam(name = "tap.y", required = false) @Nullable Integer y,
      Model model,
      HttpServletResponse response) {
    BatchRecord batch = batches.find(code);
    LookPhoto kept = colours.photo(batch, photo);
    Optional<Tap> tapped = x == null || y == null ? Optional.empty() : Optional.of(new Tap(x, y));
    FieldErrors errors = FieldErrors.none();
    Tapping tapping = new Tapping(photo, SHOWN_WIDE, high(kept), null, null, null);
    try {
      Optional<Tap> onOil = Tap.of(oil);
      Optional<Tap> onCard = Tap.of(card);
      if (onOil.isEmpty()) {
        onOil = tapped;
      } else if (onCard.isEmpty()) {
        onCard = tapped;
      }
      tapping = tapping(photo, kept, onOil, onCard, !nocard.isEmpty());
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      errors = FieldErrors.of(refused);
    }
    model.addAttribute("tapping", tapping);
    return page(batch, errors, model);
  }

  private Tapping tapping(
      UUID id, LookPhoto kept, Optional<Tap> oil, Optional<Tap> card, boolean noCard) {
    boolean done = oil.isPresent() && (card.isPresent() || noCard);
    return new Tapping(
        id,
        SHOWN_WIDE,
        high(kept),
        oil.orElse(null),
        card.orElse(null),
        done ? colours.measure(kept, oil.get(), card, SHOWN_WIDE) : null);
  }

  private static int high(LookPhoto kept) {
    Picture picture = Picture.kept(kept.jpeg());
    return Math.round((float) picture.height() * SHOWN_WIDE / picture.width());
  }

  @PostMapping("/batches/{code}/colour/{photo}")
  String tapped(
      @PathVariable String code,
      @PathVariable UUID photo,
      ColourForm form,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    BatchRecord batch = batches.find(code);
    LookPhoto kept = colours.photo(batch, photo);
    try {
      Tap oil = Tap.of(form.oil()).orElseThrow(() -> new Refused("tap", "Tap the oil."));
      Rgb colour = colours.measure(kept, oil, Tap.of(form.card()), SHOWN_WIDE).colour();
      return tell(
          batch, colours.log(batch, colour, form.plain(), photo, kept.takenAt(), key(form)), flash);
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      model.addAttribute("tapping", new Tapping(photo, SHOWN_WIDE, high(kept), null, null, null));
      return page(batch, FieldErrors.of(refused), model);
    }
  }

  @GetMapping("/batches/{code}/photos/{photo}.jpg")
  ResponseEntity<byte[]> jpeg(@PathVariable String code, @PathVariable UUID photo) {
    return Picture.answer(colours.photo(batches.find(code), photo).jpeg());
  }

  private String page(BatchRecord batch, FieldErrors errors, Model model) {
    Formats fmt = households.formats(households.current());
    model.addAttribute("jar", JarView.of(batch, catalogues.current(), fmt, SCALE));
    model.addAttribute(
        "colour",
        ColourView.of(new BatchReckoning(catalogues.current(), batch.state()).colour(), fmt));
    model.addAttribute("rows", SwatchField.rows());
    model.addAttribute("errors", errors);
    model.addAttribute("key", FreshKeys.next());
    return "colour/colour";
  }

  private static String tell(BatchRecord batch, Written written, RedirectAttributes flash) {
    flash.addFlashAttribute(
        "notice",
        written.repeated() ? "That is in the log already." : batch.code() + ": colour noted.");
    flash.addFlashAttribute("undo", written);
    return "redirect:/batches/" + batch.code();
  }

  private static String key(ColourForm form) {
    return Optional.ofNullable(form.key()).orElse("");
  }
}
