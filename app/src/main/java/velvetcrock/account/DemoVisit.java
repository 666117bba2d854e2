package velvetcrock.account;

/** Whoever keeps the demo is told before somebody enters it. */
public interface DemoVisit {
  /** Somebody is about to enter; what they find is to be of today. */
  void enters();

  /** Whether it can be entered: not while it is made, for some seconds of the first start. */
  boolean stands();
}
