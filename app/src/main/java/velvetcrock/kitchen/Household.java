package velvetcrock.kitchen;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Units;
import velvetcrock.core.outlook.Hours;
import velvetcrock.web.Customs;

/** A household. */
@Entity
public class Household {
  @Id private UUID id;
  private String name;
  private String zone;

  @Embedded private Reading reading;

  private boolean demo;
  private Instant createdAt;
  private Instant furnishedAt;
  private LocalTime wakes;
  private LocalTime sleeps;
  private String awayDays;
  private LocalTime awayFrom;
  private LocalTime awayUntil;

  @Enumerated(EnumType.STRING)
  private KeepsReadings keepsReadings;

  /** For Hibernate. */
  protected Household() {}

  Household(UUID id, String name, ZoneId zone, Kitchen kitchen, boolean demo, Instant createdAt) {
    this.id = id;
    this.name = name;
    this.zone = zone.getId();
    this.reading = Reading.usual(kitchen);
    this.demo = demo;
    this.createdAt = createdAt;
    this.furnishedAt = createdAt;
    this.keepsReadings = KeepsReadings.ALL;
    keep(Hours.USUAL);
  }

  /** Its id. */
  public UUID id() {
    return id;
  }

  /** Its name. */
  public String name() {
    return name;
  }

  /** Its time zone, by which days are counted. */
  public ZoneId zone() {
    return ZoneId.of(zone);
  }

  /** Its kitchen measures. */
  public Kitchen kitchen() {
    return reading.units().kitchen();
  }

  /** In what it reads amounts. */
  public Units units() {
    return reading.units();
  }

  /** How it writes dates and money, and on what it prints. */
  public Customs customs() {
    return reading.customs();
  }

  /** How long it keeps every reading of a jar that is done. */
  public KeepsReadings keepsReadings() {
    return keepsReadings;
  }

  /** Whether it is the demo. */
  public boolean demo() {
    return demo;
  }

  /** The day of which it is what it holds, where it is the demo; by its own calendar. */
  public LocalDate furnishedOn() {
    return furnishedAt.atZone(zone()).toLocalDate();
  }

  /** With its first settings, and furnished now. */
  void furnishAnew(String newName, Instant now) {
    name = newName;
    reading = Reading.usual(Kitchen.METRIC);
    furnishedAt = now;
    keepsReadings = KeepsReadings.ALL;
    keep(Hours.USUAL);
  }

  /** When somebody is up and at home. */
  public Hours hours() {
    EnumSet<DayOfWeek> away = EnumSet.noneOf(DayOfWeek.class);
    Arrays.stream(awayDays.split(" "))
        .filter(day -> !day.isEmpty())
        .map(DayOfWeek::valueOf)
        .forEach(away::add);
    return new Hours(wakes, sleeps, away, awayFrom, awayUntil);
  }

  final void keep(Hours hours) {
    wakes = hours.wakes();
    sleeps = hours.sleeps();
    awayDays =
        hours.awayDays().stream().sorted().map(DayOfWeek::name).collect(Collectors.joining(" "));
    awayFrom = hours.awayFrom();
    awayUntil = hours.awayUntil();
  }

  void settle(String newName, ZoneId newZone, Reading newReading, KeepsReadings newKeepsReadings) {
    keepsReadings = newKeepsReadings;
    name = newName;
    zone = newZone.getId();
    reading = newReading;
  }

  /** All that it is, in words: what two of them are compared by. */
  @Override
  public String toString() {
    return List.of(
            id,
            name,
            zone,
            units(),
            customs(),
            demo,
            createdAt,
            furnishedAt,
            hours(),
            keepsReadings)
        .toString();
  }
}
