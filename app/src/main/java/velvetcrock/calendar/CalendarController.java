package velvetcrock.calendar;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.kitchen.Households;
import velvetcrock.web.HouseName;
import velvetcrock.web.NotFound;
import velvetcrock.web.SameUntilChanged;

/** The calendar's page, its feed, and single downloads. */
@Controller
class CalendarController {
  private final Happenings happenings;
  private final Stamps stamps;
  private final Feeds feeds;
  private final Households households;
  private final HouseName house;

  CalendarController(
      Happenings happenings, Stamps stamps, Feeds feeds, Households households, HouseName house) {
    this.happenings = happenings;
    this.stamps = stamps;
    this.feeds = feeds;
    this.households = households;
    this.house = house;
  }

  @SameUntilChanged
  @GetMapping("/calendar")
  String page(Model model) {
    model.addAttribute("feed", feeds.current().orElse(null));
    model.addAttribute("count", happenings.all().size());
    model.addAttribute("kinds", Calls.Kind.values());
    model.addAttribute("calls", feeds.current().map(Feeds.Feed::calls).orElseGet(Calls::usual));
    return "calendar/calendar";
  }

  @PostMapping("/calendar")
  String make(RedirectAttributes flash) {
    String address =
        house.link().path("/calendar/{secret}.ics").buildAndExpand(feeds.make()).toUriString();
    flash.addFlashAttribute("address", address);
    return "redirect:/calendar";
  }

  @PostMapping("/calendar/calls")
  String call(@RequestParam(defaultValue = "") List<String> calls, RedirectAttributes flash) {
    feeds.call(Calls.read(calls));
    flash.addFlashAttribute("notice", "Your calendar calls for that from its next look on.");
    return "redirect:/calendar";
  }

  @PostMapping("/calendar/revoke")
  String revoke(RedirectAttributes flash) {
    feeds.revoke();
    flash.addFlashAttribute("notice", "The address opens nothing any more.");
    return "redirect:/calendar";
  }

  /** The whole calendar as a file, for whoever is signed in. */
  @GetMapping("/calendar/all")
  ResponseEntity<String> all() {
    return file(write(happenings.all(), List.of(), Calls.usual()), "");
  }

  /** The feed, for whoever has its address. */
  @GetMapping("/calendar/{secret}.ics")
  ResponseEntity<String> feed(@PathVariable String secret) {
    String written =
        feeds
            .opened(
                secret,
                () -> {
                  List<Happening> all = happenings.all();
                  return write(all, stamps.gone(all), feeds.calls());
                })
            .orElseThrow(() -> new NotFound("This address opens nothing, or nothing any more."));
    return file(written, "");
  }

  @GetMapping("/batches/{code}/calendar")
  ResponseEntity<String> batch(@PathVariable String code) {
    return file(write(happenings.ofBatch(code), List.of(), Calls.usual()), code);
  }

  @GetMapping("/cellar/calendar")
  ResponseEntity<String> bottles() {
    return file(write(happenings.bottles(), List.of(), Calls.usual()), "cellar");
  }

  private String write(List<Happening> told, List<Stamps.Gone> gone, Set<Calls.Kind> calls) {
    Map<String, Stamps.Stamp> stamped = stamps.stamp(told);
    return new CalendarWriter(households.current().zone()).write(told, stamped, gone, calls);
  }

  private static ResponseEntity<String> file(String body, String of) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_TYPE, "text/calendar;charset=UTF-8")
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            "attachment; filename=\"" + Happenings.fileName(of) + "\"")
        .cacheControl(CacheControl.noStore())
        .body(body);
  }
}
