package velvetcrock.trial;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** What somebody found of a jar of a trial. */
@Entity
class TrialJudging {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private UUID trialId;
  private String letter;
  private int strength;
  private int smell;
  private String note;
  private String judgedBy;
  private Instant judgedAt;
  private boolean blind;

  /** For Hibernate. */
  protected TrialJudging() {}

  TrialJudging(UUID trialId, String letter, Trials.Found found, Circumstances said) {
    this.id = UUID.randomUUID();
    this.trialId = trialId;
    this.letter = letter;
    this.strength = found.strength();
    this.smell = found.smell();
    this.note = found.note();
    this.judgedBy = said.by();
    this.judgedAt = said.at();
    this.blind = said.blind();
  }

  /** By whom, when, and whether without knowing which jar it was. */
  record Circumstances(String by, Instant at, boolean blind) {}

  String letter() {
    return letter;
  }

  int strength() {
    return strength;
  }

  int smell() {
    return smell;
  }

  String note() {
    return note;
  }

  String judgedBy() {
    return judgedBy;
  }

  boolean blind() {
    return blind;
  }
}
