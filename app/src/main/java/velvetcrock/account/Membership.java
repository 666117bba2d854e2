package velvetcrock.account;

import java.util.List;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.chronicle.Chronicle;
import velvetcrock.chronicle.Deed;
import velvetcrock.core.Refused;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.NotFound;
import velvetcrock.web.SomebodyWent;

/**
 * Who may do what in a household, and who goes. Its last keeper stays one; the names of those who
 * went stay in the log.
 */
@Service
class Membership {
  private final MemberRepository members;
  private final Devices devices;
  private final CurrentHousehold current;
  private final Chronicle chronicle;
  private final ApplicationEventPublisher events;

  Membership(
      MemberRepository members,
      Devices devices,
      CurrentHousehold current,
      Chronicle chronicle,
      ApplicationEventPublisher events) {
    this.events = events;
    this.members = members;
    this.devices = devices;
    this.current = current;
    this.chronicle = chronicle;
  }

  /** Somebody of the current household. */
  @Transactional(readOnly = true)
  public Member find(UUID id) {
    return members
        .findByIdAndHouseholdId(id, current.id())
        .orElseThrow(() -> new NotFound("Nobody of that kind lives here."));
  }

  /**
   * Says what somebody may do from now on, on every device.
   *
   * @throws Refused at {@code role} where nobody would be left to keep the house
   */
  @Transactional
  public Member become(UUID id, Role role) {
    List<Member> all = members.findByHouseholdIdOrderById(current.id());
    Member member = find(id);
    if (role != Role.KEEPER) {
      anotherKeeps(all, member);
    }
    member.become(role);
    devices.refresh(member);
    chronicle.note(Deed.ROLE_CHANGED, member.name() + " is " + role.called() + " from now on");
    return member;
  }

  /**
   * Somebody does not live here any more; whatever he holds opens nothing from now on.
   *
   * @throws Refused at {@code member} where nobody would be left to keep the house
   */
  @Transactional
  public Member remove(UUID id) {
    Member member = gone(id);
    chronicle.note(Deed.REMOVED, member.name());
    return member;
  }

  /**
   * Whoever is signed in goes.
   *
   * @throws Refused at {@code member} where nobody would be left to keep the house
   */
  @Transactional
  public void leave(UUID id) {
    gone(id);
    chronicle.note(Deed.LEFT, "");
  }

  private Member gone(UUID id) {
    List<Member> all = members.findByHouseholdIdOrderById(current.id());
    Member member = find(id);
    anotherKeeps(all, member);
    members.delete(member);
    devices.signOutAll(member.login(), null);
    events.publishEvent(new SomebodyWent(member.householdId(), member.name()));
    return member;
  }

  private static void anotherKeeps(List<Member> all, Member member) {
    boolean another =
        all.stream().anyMatch(m -> m.role() == Role.KEEPER && !m.id().equals(member.id()));
    if (!another) {
      throw new Refused(
          "member",
          member.name() + " is the only keeper. Make somebody else one first, or erase the house.");
    }
  }
}
