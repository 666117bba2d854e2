package velvetcrock.ledger;

/** Who may write a kind of entry. */
public enum Door {
  /** People by the pages, scripts and probes by JSON. */
  ANYBODY,
  /** This program alone, from what others wrote or read. */
  HOUSE
}
