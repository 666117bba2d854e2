package velvetcrock.stove;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Formats;

/** What the stove shows as it goes on: its pots, their traces and what changes. */
@Controller
class StoveLiveController {
  private static final int MOST_COLUMNS = 4000;

  private final LivePots pots;
  private final StoveRows rows;
  private final StoveHub hub;
  private final Households households;
  private final Catalogues catalogues;

  StoveLiveController(
      LivePots pots, StoveRows rows, StoveHub hub, Households households, Catalogues catalogues) {
    this.pots = pots;
    this.rows = rows;
    this.hub = hub;
    this.households = households;
    this.catalogues = catalogues;
  }

  /** All pots, for pages that cannot listen. */
  @GetMapping("/stove/now")
  @ResponseBody
  List<PotRow> now() {
    return rows.all(households.formats(households.current()));
  }

  @GetMapping(value = "/stove/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter live() {
    return hub.listen();
  }

  /**
   * A pot's trace for drawing.
   *
   * @param from seconds since 1970; from the beginning if not given
   * @param to seconds since 1970; to the end if not given
   */
  @GetMapping("/stove/{code}/trace")
  @ResponseBody
  TraceOut trace(
      @PathVariable String code,
      @RequestParam @Nullable Double from,
      @RequestParam @Nullable Double to,
      @RequestParam(defaultValue = "" + PotOutline.COLUMNS) int columns) {
    LivePot pot = pots.shown(code);
    Formats fmt = households.formats(households.current());
    return TraceOut.of(
        pot,
        pot.heat(catalogues.current(), fmt.now()),
        new TraceOut.Span(
            from == null ? Long.MIN_VALUE : Math.round(from * 1000),
            to == null ? Long.MAX_VALUE : Math.round(to * 1000)),
        Math.max(1, Math.min(MOST_COLUMNS, columns)),
        fmt);
  }
}
