package velvetcrock.account;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Component;
import velvetcrock.core.Refused;

/** Asks for the password once more before something that would hurt most. */
@Component
public class FreshSignIn {
  private final Entrance entrance;

  FreshSignIn(Entrance entrance) {
    this.entrance = entrance;
  }

  /**
   * Asks that whoever is signed in has shown the password just now, or shows it. Whoever looks
   * around the demo has none.
   *
   * @param shown what was typed; not looked at where the sign-in is fresh
   * @throws Refused at {@code password}
   */
  public void shown(String shown, HttpServletRequest request) {
    if (!visiting()) {
      entrance.showAgain(Me.signedIn(), shown, request);
    }
  }

  /** Whether it is somebody who looks around the demo. */
  public boolean visiting() {
    return Me.anybody().filter(who -> who.role() == Role.VISITOR).isPresent();
  }
}
