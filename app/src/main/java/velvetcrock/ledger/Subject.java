package velvetcrock.ledger;

/** What a log can be of. */
public enum Subject {
  /** A batch: a jar and the bottles filled from it. */
  BATCH("batch"),
  /** A lot in the drawer. */
  LOT("lot"),
  /** A load that dries. */
  LOAD("load"),
  /** A product. */
  PRODUCT("product");

  private final String word;

  Subject(String word) {
    this.word = word;
  }

  /** It in a word. */
  public String word() {
    return word;
  }
}
