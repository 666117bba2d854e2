package velvetcrock.demo;

import velvetcrock.kitchen.Household;

/** A part of the demo household; the parts are furnished in their order, in one transaction. */
interface DemoPart {
  /** Furnishes its part. */
  void furnish(Household cottage);
}
