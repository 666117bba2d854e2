package velvetcrock.account;

/** What somebody may do in a household. */
enum Role {
  /** Everything, and who else may come in. */
  KEEPER("keeper", "does everything, and says who may come in"),
  /** Everything that has to do with jars. */
  MEMBER("member", "does everything that has to do with jars"),
  /** Reads, and ticks nothing. */
  ONLOOKER("onlooker", "reads, and ticks nothing"),
  /** Looks around the demo: nobody’s household, so there are no accounts to keep. */
  VISITOR("visitor", "looks around the demo");

  private final String word;
  private final String does;

  Role(String word, String does) {
    this.word = word;
    this.does = does;
  }

  /** What it is called. */
  public String word() {
    return word;
  }

  /** The same with its article. */
  public String called() {
    return (this == ONLOOKER ? "an " : "a ") + word;
  }

  /** What whoever has it may do. */
  public String does() {
    return does;
  }

  /** As Spring Security calls it. */
  String authority() {
    return "ROLE_" + name();
  }

  /** Those that somebody can be given. */
  static java.util.List<Role> given() {
    return java.util.List.of(KEEPER, MEMBER, ONLOOKER);
  }
}
