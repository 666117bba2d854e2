package velvetcrock;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.AriaRole;
import java.util.Objects;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** One hand at a page: by touch or by keys, with what it taps and types counted. */
final class Hand {
  private static final int LATENCY_MS = 400;

  /** Gives the keys to what a tap there would press; whether they are there then. */
  private static final String FOCUS =
      """
      e => {
        const pressed = e.closest('a, button, summary, input, select, textarea')
            ?? e.closest('label')?.control ?? e.querySelector('a, button, input');
        pressed?.focus();
        return pressed !== null && document.activeElement === pressed;
      }""";

  /** How it works. */
  enum Manner {
    /** A finger on a phone. */
    TOUCH,
    /** Keys alone, over a line of 400 ms that breaks once. */
    KEYS
  }

  private final Page page;
  private final Manner manner;
  private int taps;
  private int letters;
  private boolean lost;
  private CDPSession line;

  Hand(Page page, Manner manner) {
    this.page = page;
    this.manner = manner;
  }

  /** From here on the line is slow, where it is for this hand. */
  void overASlowLine() {
    if (manner == Manner.KEYS) {
      line = page.context().newCDPSession(page);
      line.send("Network.enable");
      holds(true);
    }
  }

  private void holds(boolean holds) {
    JsonObject conditions = new JsonObject();
    conditions.addProperty("offline", !holds);
    conditions.addProperty("latency", LATENCY_MS);
    conditions.addProperty("downloadThroughput", -1);
    conditions.addProperty("uploadThroughput", -1);
    Objects.requireNonNull(line).send("Network.emulateNetworkConditions", conditions);
  }

  /** The connection breaks before the next form is sent, and comes back. */
  void theLineBreaks() {
    lost = manner == Manner.KEYS;
  }

  void tap(Locator target) {
    Locator one = target.first();
    assertThat(one).isVisible();
    if (manner == Manner.TOUCH) {
      one.tap();
    } else {
      assertThat((Boolean) one.evaluate(FOCUS)).as("keys reach " + target).isTrue();
      boolean enter = (Boolean) page.evaluate("() => document.activeElement.matches('a, button')");
      page.keyboard().press(enter ? "Enter" : "Space");
    }
    taps++;
    settled();
  }

  void tap(String words) {
    tap(
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(words).setExact(true))
            .or(
                page.getByRole(
                    AriaRole.LINK, new Page.GetByRoleOptions().setName(words).setExact(true))));
  }

  /** Sends a form and waits for the page that it leads to. */
  void send(String words, String leadsTo) {
    page.evaluate("() => { window.sentFromHere = true; }");
    if (lost) {
      lost = false;
      holds(false);
      tap(words);
      assertThat(page.locator("#unreachable")).isVisible();
      holds(true);
    } else {
      tap(words);
    }
    try {
      page.waitForFunction("() => window.sentFromHere === undefined");
    } catch (TimeoutError unanswered) {
      throw new AssertionError(
          "“%s” leads nowhere from %s, which says %s"
              .formatted(words, page.url(), page.locator("#unreachable, #refused").allInnerTexts()),
          unanswered);
    }
    assertThat(page).hasURL(Pattern.compile(leadsTo));
    page.waitForLoadState();
  }

  void check(String label) {
    tap(page.getByLabel(label));
  }

  void type(Locator field, String text) {
    if (manner == Manner.TOUCH) {
      field.first().tap();
    } else {
      field.first().focus();
    }
    field.first().fill(text);
    taps++;
    letters += text.length();
    settled();
  }

  void type(String label, String text) {
    type(page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)), text);
  }

  /** Types into a sentence that reckons while it is typed, and waits for its answer. */
  void say(Locator field, String text, String answeredBy) {
    page.waitForResponse(r -> r.url().contains(answeredBy), () -> type(field, text));
    settled();
  }

  /** Opens a list and picks from it. */
  void choose(Locator list, String value) {
    Locator typed = typedInto(list.first());
    if (typed == null) {
      list.first().selectOption(value);
    } else {
      String words =
          (String) list.first().evaluate("(l, v) => l.querySelector(`[value='${v}']`).text", value);
      typed.focus();
      typed.fill(words.strip());
    }
    taps += 2;
    settled();
  }

  /** The field that stands in a long list's place. */
  private @Nullable Locator typedInto(Locator list) {
    return (Boolean) list.evaluate("l => l.classList.contains('listed')")
        ? list.locator("xpath=following-sibling::input[1]")
        : null;
  }

  /** Picks from a list of a sentence, and waits for its answer. */
  void pick(Locator list, String value, String answeredBy) {
    page.waitForResponse(r -> r.url().contains(answeredBy), () -> choose(list, value));
    settled();
  }

  private void settled() {
    page.waitForFunction(
        "() => !document.querySelector('.htmx-request, .htmx-swapping, .htmx-settling')");
  }

  /** No more was tapped and typed than a person with oily hands puts up with. */
  void within(int mostTaps, int mostLetters) {
    assertThat(taps).as("taps").isLessThanOrEqualTo(mostTaps);
    assertThat(letters).as("letters").isLessThanOrEqualTo(mostLetters);
  }
}
