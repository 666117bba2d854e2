package velvetcrock.ledger;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import org.hibernate.annotations.ColumnTransformer;

/** The state that a log folds to, kept beside its subject for reading. */
@Embeddable
public class Kept {
  @Column(name = "state", columnDefinition = "jsonb")
  @ColumnTransformer(write = "cast(? as jsonb)")
  private String state;

  @Column(name = "state_version")
  private String version;

  /** For Hibernate. */
  protected Kept() {}

  Kept(String state, String version) {
    this.state = state;
    this.version = version;
  }

  String state() {
    return state;
  }

  String version() {
    return version;
  }
}
