package velvetcrock.operator;

import org.springframework.boot.actuate.endpoint.annotation.Endpoint;
import org.springframework.boot.actuate.endpoint.annotation.WriteOperation;
import org.springframework.stereotype.Component;
import velvetcrock.account.Founding;

/** Makes a link by which one more household may be founded. */
@Component
@Endpoint(id = "invitation")
class InvitationEndpoint {
  private final Founding founding;

  InvitationEndpoint(Founding founding) {
    this.founding = founding;
  }

  /** Makes one; told this once. */
  @WriteOperation
  public Founding.Link invite() {
    return founding.invite();
  }
}
