package velvetcrock.cellar;

import java.time.Clock;
import java.time.Period;
import java.util.List;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VAlarm;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Transp;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableAction;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import velvetcrock.batch.BottleBook;
import velvetcrock.batch.BottleRecord;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.plan.Round;
import velvetcrock.kitchen.Catalogues;

/** The bottles' dates for a calendar, as iCalendar (RFC 5545). */
@Controller
class CalendarController {
  private static final int MOST = 1000;

  private final BottleBook book;
  private final Catalogues catalogues;
  private final Clock clock;

  CalendarController(BottleBook book, Catalogues catalogues, Clock clock) {
    this.book = book;
    this.catalogues = catalogues;
    this.clock = clock;
  }

  @GetMapping("/cellar/calendar")
  ResponseEntity<String> calendar() {
    Catalogue catalogue = catalogues.current();
    List<BottleRecord> bottles = book.standing(BottleBook.Which.ALL, MOST);
    Calendar calendar =
        new Calendar().withProdId("-//Velvet Crock//Bottles//EN").withDefaults().getFluentTarget();
    bottles.forEach(bottle -> calendar.add(event(bottle, catalogue)));
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_TYPE, "text/calendar;charset=UTF-8")
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"velvet-crock.ics\"")
        .cacheControl(CacheControl.noStore())
        .body(calendar.toString());
  }

  private VEvent event(BottleRecord bottle, Catalogue catalogue) {
    String name = bottle.code() + " " + CellarView.herbs(bottle, catalogue);
    VEvent event = new VEvent(bottle.bestBefore(), "Use by today: " + name);
    event.replace(new DtStamp(clock.instant()));
    event.add(new Uid(bottle.batch().id() + "-" + bottle.bottle().letter()));
    event.add(new Description(BottleView.why(bottle.decidedBy())));
    event.add(new Transp(ImmutableTransp.VALUE_TRANSPARENT));
    VAlarm alarm = new VAlarm(Period.ofDays(-Round.SMELL_BEFORE_DAYS));
    alarm.add(ImmutableAction.DISPLAY);
    alarm.add(new Description("Smell at " + name));
    event.add(alarm);
    return event;
  }
}
