package velvetcrock.core.batch;

import java.time.Instant;
import java.util.Objects;
import velvetcrock.core.Problems;
import velvetcrock.core.log.Checks;

/** Carried to another place. */
public record Moved(Stand stand) implements JarEvent {
  /** Checks what has to be there. */
  public Moved {
    Checks.present("stand", stand);
  }

  @Override
  public String kind() {
    return "moved";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.jar().moved(stand, at);
  }

  @Override
  public BatchEvent in(Surroundings household) {
    Problems problems = new Problems();
    Stand known = problems.attempt("stand.place", () -> household.place(stand));
    problems.refuseIfAny();
    return new Moved(Objects.requireNonNull(known));
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.moved(this);
  }
}
