package velvetcrock.check;

import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ExitCodeGenerator;
import org.springframework.stereotype.Component;
import velvetcrock.ledger.Checked;
import velvetcrock.web.CatchUp;

/**
 * Checks all households and says what differs; see bin/check. Only once everything that an earlier
 * version wrote was folded anew.
 */
@Component
public class Checking implements ExitCodeGenerator {
  private final List<Checked> places;
  private final CatchUp households;
  private final boolean mend;
  private int differences;

  Checking(
      List<Checked> places, CatchUp households, @Value("${velvetcrock.mend:false}") boolean mend) {
    this.places = places;
    this.households = households;
    this.mend = mend;
  }

  /** Does it, and prints what it finds. */
  public void run() {
    int checked =
        households.inEach(() -> places.forEach(place -> place.check(mend).forEach(this::say)));
    System.out.println(
        checked
            + (checked == 1 ? " household" : " households")
            + " checked, "
            + differences
            + (differences == 1 ? " difference" : " differences")
            + (mend && differences > 0 ? "; mended what can be derived." : "."));
  }

  private void say(String difference) {
    differences++;
    System.out.println(difference);
  }

  @Override
  public int getExitCode() {
    return differences == 0 || mend ? 0 : 1;
  }
}
