package velvetcrock.trial;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.TenantId;

/** A jar of a trial. */
@Entity
class TrialJar {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private UUID trialId;
  private String code;
  private String letter;
  private String words;
  private int glass;

  /** For Hibernate. */
  protected TrialJar() {}

  TrialJar(UUID trialId, String code, String letter, String words, int glass) {
    this.id = UUID.randomUUID();
    this.trialId = trialId;
    this.code = code;
    this.letter = letter;
    this.words = words;
    this.glass = glass;
  }

  UUID trialId() {
    return trialId;
  }

  /** Its batch's code. */
  String code() {
    return code;
  }

  String letter() {
    return letter;
  }

  /** What sets it apart. */
  String words() {
    return words;
  }

  /** Its number when it is judged blind, from 1. */
  int glass() {
    return glass;
  }
}
