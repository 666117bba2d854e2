package velvetcrock.account;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.chronicle.Chronicle;
import velvetcrock.chronicle.Deed;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.AtHand;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.NotFound;
import velvetcrock.web.Secrets;

/** The links by which others come into a household. */
@Service
class Invitations {
  private final InvitationRepository invitations;
  private final Households households;
  private final CurrentHousehold current;
  private final AtHand atHand;
  private final Chronicle chronicle;
  private final Clock clock;

  Invitations(
      InvitationRepository invitations,
      Households households,
      CurrentHousehold current,
      AtHand atHand,
      Chronicle chronicle,
      Clock clock) {
    this.invitations = invitations;
    this.households = households;
    this.current = current;
    this.atHand = atHand;
    this.chronicle = chronicle;
    this.clock = clock;
  }

  /**
   * Makes one and hands back its secret, which is not kept.
   *
   * @param role what whoever comes by it may do
   */
  @Transactional
  public String invite(Role role) {
    String secret = Secrets.fresh();
    invitations.save(
        new Invitation(current.id(), Secrets.hash(secret), role, current.name(), clock.instant()));
    chronicle.note(Deed.INVITED, "as " + role.called());
    return secret;
  }

  /** Those of the current household that are still good. */
  @Transactional(readOnly = true)
  public List<Invitation> open() {
    return invitations
        .findByHouseholdIdAndUsedAtIsNullAndWithdrawnAtIsNullOrderByCreatedAt(current.id())
        .stream()
        .filter(i -> i.goodAt(clock.instant()))
        .toList();
  }

  /**
   * Takes one back.
   *
   * @throws NotFound if there is none
   */
  @Transactional
  public void withdraw(UUID id) {
    invitations
        .findByIdAndHouseholdId(id, current.id())
        .orElseThrow(() -> new NotFound("There is no such invitation."))
        .withdraw(clock.instant());
    chronicle.note(Deed.INVITATION_WITHDRAWN, "");
  }

  /**
   * The household that one leads into.
   *
   * @throws NotFound if the link is unknown, used, taken back or too old
   */
  @Transactional
  public Household leadsInto(String secret) {
    return households.find(good(secret).householdId()).orElseThrow();
  }

  /**
   * One that is good, held until the act is over.
   *
   * @throws NotFound if the link is unknown, used, taken back or too old
   */
  @Transactional
  public Invitation good(String secret) {
    String hash = Secrets.hash(secret);
    atHand.shows(hash);
    return invitations
        .findByTokenHash(hash)
        .filter(i -> i.goodAt(clock.instant()))
        .orElseThrow(
            () -> new NotFound("This invitation is not good any more. Ask for a new link."));
  }
}
