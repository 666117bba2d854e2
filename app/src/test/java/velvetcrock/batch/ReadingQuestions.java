package velvetcrock.batch;

/** What the store of readings asks of the database, for tests of how that is answered. */
public interface ReadingQuestions {
  /** Hours from the first to the last of a batch, which is asked for at both ends. */
  String SPAN_HOURS = ReadingStore.SPAN_HOURS;
}
