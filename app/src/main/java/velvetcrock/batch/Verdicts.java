package velvetcrock.batch;

/** Whoever knows how a jar did beside others that were judged with it. */
public interface Verdicts {
  /**
   * Where it was judged otherwise than its pull has it.
   *
   * @return in words; empty where nobody judged, or as was expected
   */
  String against(BatchRecord batch);
}
