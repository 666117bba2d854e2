package velvetcrock.account;

/** What a token lets a program do. */
enum Scope {
  /** Read the log. */
  READ("reads", "may read this household’s log"),
  /** Send readings and nothing else. */
  READINGS("sends readings", "may send temperatures of a batch, and read nothing"),
  /** Read and write the log. */
  LOG("reads and writes", "may read and write this household’s log");

  private final String word;
  private final String does;

  Scope(String word, String does) {
    this.word = word;
    this.does = does;
  }

  /** In a word or two. */
  public String word() {
    return word;
  }

  /** What whoever shows it may do. */
  public String does() {
    return does;
  }

  /** As Spring Security calls it. */
  String authority() {
    return "SCOPE_" + name();
  }
}
