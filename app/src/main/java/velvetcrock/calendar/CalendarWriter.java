package velvetcrock.calendar;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.Period;
import java.time.Year;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.zone.ZoneOffsetTransition;
import java.util.IntSummaryStatistics;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.ParameterList;
import net.fortuna.ical4j.model.Recur;
import net.fortuna.ical4j.model.component.Daylight;
import net.fortuna.ical4j.model.component.Observance;
import net.fortuna.ical4j.model.component.Standard;
import net.fortuna.ical4j.model.component.VAlarm;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.component.VTimeZone;
import net.fortuna.ical4j.model.parameter.Related;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.LastModified;
import net.fortuna.ical4j.model.property.RRule;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Transp;
import net.fortuna.ical4j.model.property.Trigger;
import net.fortuna.ical4j.model.property.TzId;
import net.fortuna.ical4j.model.property.TzOffsetFrom;
import net.fortuna.ical4j.model.property.TzOffsetTo;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableAction;
import net.fortuna.ical4j.model.property.immutable.ImmutableMethod;
import net.fortuna.ical4j.model.property.immutable.ImmutableStatus;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;
import net.fortuna.ical4j.transform.recurrence.Frequency;

/** Writes happenings as iCalendar. Moments stand in the household's own time zone. */
final class CalendarWriter {
  /** RFC 5545, 3.1: a line is at most 75 octets long, without its end. */
  private static final int LONGEST_LINE = 75;

  private static final String LINE_END = "\r\n";

  private final ZoneId zone;

  CalendarWriter(ZoneId zone) {
    this.zone = zone;
  }

  /**
   * Writes.
   *
   * @param stamps of every happening, by uid
   * @param gone what is no more; it is written as cancelled
   * @param calls kinds whose alarms are written
   */
  String write(
      List<Happening> happenings,
      Map<String, Stamps.Stamp> stamps,
      List<Stamps.Gone> gone,
      Set<Calls.Kind> calls) {
    Calendar calendar =
        new Calendar().withProdId("-//Velvet Crock//Calendar//EN").withDefaults().getFluentTarget();
    calendar.add(ImmutableMethod.PUBLISH);
    zone(happenings).ifPresent(calendar::add);
    happenings.forEach(h -> calendar.add(event(h, stamps.get(h.uid()), calls)));
    gone.forEach(g -> calendar.add(cancelled(g)));
    return folded(calendar.toString());
  }

  /**
   * Breaks lines that are too long. The library counts letters where the standard counts octets, so
   * that lines of other than English letters would be too long.
   */
  private static String folded(String text) {
    StringBuilder out = new StringBuilder(text.length() + text.length() / LONGEST_LINE * 3);
    for (String line : text.split(LINE_END)) {
      int octets = 0;
      for (int i = 0; i < line.length(); i += Character.charCount(line.codePointAt(i))) {
        String letter = Character.toString(line.codePointAt(i));
        int length = letter.getBytes(StandardCharsets.UTF_8).length;
        if (octets + length > LONGEST_LINE) {
          out.append(LINE_END).append(' ');
          octets = 1;
        }
        out.append(letter);
        octets += length;
      }
      out.append(LINE_END);
    }
    return out.toString();
  }

  /**
   * The zone's rules as the JDK knows them, one observance for each change of the clock from a year
   * before the first moment to a year after the last: short, and read alike by every program.
   */
  private Optional<VTimeZone> zone(List<Happening> happenings) {
    IntSummaryStatistics years =
        happenings.stream()
            .filter(h -> h.when() instanceof Happening.Moment)
            .mapToInt(h -> h.when().startsOn().getYear())
            .summaryStatistics();
    if (years.getCount() == 0) {
      return Optional.empty();
    }
    VTimeZone written = new VTimeZone();
    written.add(new TzId(zone.getId()));
    Instant from = Year.of(years.getMin() - 1).atDay(1).atStartOfDay(zone).toInstant();
    Instant until = Year.of(years.getMax() + 2).atDay(1).atStartOfDay(zone).toInstant();
    ZoneOffset before = zone.getRules().getOffset(from);
    written.add(
        observance(
            zone.getRules().isDaylightSavings(from),
            LocalDateTime.ofInstant(from, before),
            before,
            before));
    ZoneOffsetTransition next = zone.getRules().nextTransition(from);
    while (next != null && next.getInstant().isBefore(until)) {
      written.add(
          observance(
              zone.getRules().isDaylightSavings(next.getInstant()),
              next.getDateTimeBefore(),
              next.getOffsetBefore(),
              next.getOffsetAfter()));
      next = zone.getRules().nextTransition(next.getInstant());
    }
    return Optional.of(written);
  }

  private static Observance observance(
      boolean summer, LocalDateTime from, ZoneOffset before, ZoneOffset after) {
    Observance observance = summer ? new Daylight() : new Standard();
    observance.add(new DtStart<>(from));
    observance.add(new TzOffsetFrom(before));
    observance.add(new TzOffsetTo(after));
    return observance;
  }

  private VEvent event(Happening h, Stamps.Stamp stamp, Set<Calls.Kind> calls) {
    VEvent event;
    if (h.when() instanceof Happening.Days days) {
      event = new VEvent(days.from(), days.last().plusDays(1), h.title());
      event.add(new Transp(ImmutableTransp.VALUE_TRANSPARENT));
    } else {
      Happening.Moment moment = (Happening.Moment) h.when();
      ZonedDateTime at = moment.at().atZone(zone);
      event = new VEvent(at, Duration.ofMinutes(moment.minutes()), h.title());
      Happening.Repeat repeat = moment.repeat();
      if (repeat != null && repeat.times() > 1) {
        event.add(
            new RRule<>(
                new Recur.Builder<ZonedDateTime>()
                    .frequency(Frequency.DAILY)
                    .interval(repeat.everyDays())
                    .count(repeat.times())
                    .build()));
      }
    }
    stamp(event, h.uid(), stamp);
    event.add(new Description(h.detail()));
    Period alarm = h.alarm();
    if (alarm != null && calls.contains(h.kind())) {
      event.add(alarm(alarm, h));
    }
    return event;
  }

  private static VAlarm alarm(Period before, Happening h) {
    ParameterList fromStart = new ParameterList(List.of(Related.START));
    VAlarm alarm = new VAlarm();
    alarm.add(new Trigger(fromStart, before.isZero() ? Duration.ZERO : before));
    alarm.add(ImmutableAction.DISPLAY);
    alarm.add(new Description(before.isZero() ? h.title() : "Smell it. " + h.title()));
    return alarm;
  }

  private static VEvent cancelled(Stamps.Gone gone) {
    VEvent event = new VEvent(gone.startsOn(), gone.startsOn().plusDays(1), gone.title());
    stamp(event, gone.uid(), gone.stamp());
    event.add(ImmutableStatus.VEVENT_CANCELLED);
    return event;
  }

  private static void stamp(VEvent event, String uid, Stamps.Stamp stamp) {
    event.replace(new DtStamp(stamp.changedAt()));
    event.add(new LastModified(stamp.changedAt()));
    event.add(new Uid(uid));
    event.add(new Sequence(stamp.sequence()));
  }
}
