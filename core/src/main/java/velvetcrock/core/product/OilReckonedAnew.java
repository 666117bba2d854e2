package velvetcrock.core.product;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Hazard;

/**
 * What is known of an infused oil that went in is otherwise than it was then.
 *
 * @param oil the bottle's name, or its batch's
 * @param until its own date, as it was when it went in
 * @param hazards what was wrong with it when it went in
 * @param why what is known now
 */
public record OilReckonedAnew(String oil, LocalDate until, Set<Hazard> hazards, String why)
    implements ProductEvent {
  /** Checks what has to be there. */
  public OilReckonedAnew {
    if (oil == null || oil.isBlank() || until == null || why == null) {
      throw new Refused("oil", "Say which oil, until when it is good, and why.");
    }
    hazards = Set.copyOf(hazards);
  }

  @Override
  public String kind() {
    return "oil-reckoned-anew";
  }

  @Override
  public void applyTo(ProductLog log, Instant at) {
    log.reckonedAnew(this);
  }

  @Override
  public Optional<String> staysBecause() {
    return Optional.of("It follows from the log of the oil that went in.");
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.oilReckonedAnew(this);
  }
}
