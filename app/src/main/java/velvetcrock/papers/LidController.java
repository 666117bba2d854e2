package velvetcrock.papers;

import jakarta.servlet.http.HttpServletResponse;
import java.net.URI;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetcrock.batch.Batches;
import velvetcrock.products.Products;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.NotFound;
import velvetcrock.web.Typed;

/** Finds a jar, a bottle or a tin by what its lid or label bears: scanned, or typed. */
@Controller
class LidController {
  private static final int LONGEST = 300;
  private static final Pattern OF_THE_HOUSE =
      Pattern.compile("/(batches|products)/([A-Z0-9]{3,5})");
  private static final Pattern PASS = Pattern.compile("/b/([\\w-]{10,40})");
  private static final Pattern CODE = Pattern.compile("([A-Z0-9]{3,5})(?:[- /]?([A-Z]))?");

  private final Passes passes;
  private final Batches batches;
  private final Products products;
  private final CurrentHousehold current;

  LidController(Passes passes, Batches batches, Products products, CurrentHousehold current) {
    this.passes = passes;
    this.batches = batches;
    this.products = products;
    this.current = current;
  }

  /** Where something stands, and in whose kitchen. */
  private record Found(UUID household, String page) {}

  @GetMapping("/lid")
  String lid(
      @RequestParam(defaultValue = "") String seen, Model model, HttpServletResponse response) {
    String said = Typed.text(seen);
    if (said.isEmpty()) {
      return "papers/lid";
    }
    Optional<String> page = said.length() > LONGEST ? Optional.empty() : page(said);
    if (page.isPresent()) {
      return "redirect:" + page.get();
    }
    response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
    model.addAttribute("seen", said.length() > LONGEST ? "" : said);
    model.addAttribute("unknown", true);
    return "papers/lid";
  }

  private Optional<String> page(String said) {
    String path = path(said);
    Matcher pass = PASS.matcher(path);
    if (pass.matches()) {
      return passes
          .opened(pass.group(1), held -> new Found(current.id(), page(held)))
          .filter(found -> found.household().equals(current.id()))
          .map(Found::page);
    }
    Matcher ours = OF_THE_HOUSE.matcher(path.replaceAll("[?#].*", ""));
    if (ours.matches()) {
      return known(ours.group(2), null);
    }
    Matcher code = CODE.matcher(said.toUpperCase(Locale.ROOT));
    return code.matches() ? known(code.group(1), code.group(2)) : Optional.empty();
  }

  private static String path(String said) {
    try {
      return Optional.ofNullable(URI.create(said).getPath()).orElse("");
    } catch (IllegalArgumentException notAnAddress) {
      return "";
    }
  }

  private static String page(Passes.Held held) {
    return held.product() != null
        ? "/products/" + held.product()
        : "/cellar/" + held.batch() + "/" + held.letter();
  }

  private Optional<String> known(String code, @Nullable String letter) {
    try {
      String batch = batches.find(code).code();
      return Optional.of(letter == null ? "/batches/" + batch : "/cellar/" + batch + "/" + letter);
    } catch (NotFound noBatch) {
      try {
        return Optional.of("/products/" + products.find(code).code());
      } catch (NotFound noProduct) {
        return Optional.empty();
      }
    }
  }
}
