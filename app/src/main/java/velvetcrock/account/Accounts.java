package velvetcrock.account;

import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsPasswordService;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.chronicle.Chronicle;
import velvetcrock.chronicle.Deed;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.AtHand;
import velvetcrock.web.CurrentHousehold;

/** Who lives in a household: how they come in, what they are called and how they go. */
@Service
public class Accounts implements UserDetailsService, UserDetailsPasswordService {
  static final int LONGEST_LOGIN = 60;
  private static final String TAKEN = "That sign-in name is taken. Choose another.";
  private static final int LONGEST_NAME = 60;

  private final MemberRepository members;
  private final Invitations invitations;
  private final Households households;
  private final CurrentHousehold current;
  private final AtHand atHand;
  private final PasswordEncoder passwords;
  private final Chronicle chronicle;
  private final Clock clock;

  Accounts(
      MemberRepository members,
      Invitations invitations,
      Households households,
      CurrentHousehold current,
      AtHand atHand,
      PasswordEncoder passwords,
      Chronicle chronicle,
      Clock clock) {
    this.members = members;
    this.invitations = invitations;
    this.households = households;
    this.current = current;
    this.atHand = atHand;
    this.passwords = passwords;
    this.chronicle = chronicle;
    this.clock = clock;
  }

  @Override
  @Transactional(readOnly = true)
  public UserDetails loadUserByUsername(String login) {
    return find(login)
        .map(MemberDetails::new)
        .orElseThrow(() -> new UsernameNotFoundException(login));
  }

  /** Whoever signs in under a name. */
  @Transactional(readOnly = true)
  Optional<Member> find(@Nullable String login) {
    return shown(normal(login));
  }

  /** Keeps a password in the way of today that was right and kept in a former one. */
  @Override
  @Transactional
  public UserDetails updatePassword(UserDetails user, @Nullable String kept) {
    Member member = shown(user.getUsername()).orElseThrow();
    member.keepPassword(Objects.requireNonNull(kept));
    return new MemberDetails(member);
  }

  /** What somebody types to become a member. */
  record Newcomer(String name, String login, String password) {}

  /**
   * Founds a household and its first member, its keeper; {@link Founding} says whether one may be.
   *
   * @throws Refused at the field that is wrong
   */
  @Transactional
  UserDetails found(String name, String zone, String kitchen, Newcomer newcomer) {
    Problems problems = new Problems();
    check(newcomer, problems);
    Household household = problems.attempt(() -> households.found(name, zone, kitchen, false));
    problems.refuseIfAny();
    UUID id = Objects.requireNonNull(household).id();
    return join(id, newcomer, Role.KEEPER, Deed.MOVED_IN, "");
  }

  /**
   * Joins by an invitation, which is then used up.
   *
   * @throws Refused at the field that is wrong; the invitation then stays good
   */
  @Transactional
  public UserDetails joinBy(String secret, Newcomer newcomer) {
    Invitation invitation = invitations.good(secret);
    Problems problems = new Problems();
    check(newcomer, problems);
    problems.refuseIfAny();
    invitation.use(clock.instant());
    return join(
        invitation.householdId(),
        newcomer,
        invitation.role(),
        Deed.JOINED,
        "invited by " + invitation.invitedBy() + " as " + invitation.role().called());
  }

  /** The members of the current household. */
  @Transactional(readOnly = true)
  public List<Member> members() {
    return members.findByHouseholdIdOrderByName(current.id());
  }

  /** Somebody to act as in the demo household, who has no password and cannot sign in otherwise. */
  @Transactional(readOnly = true)
  Optional<MemberDetails> visitor() {
    return households.demo().map(h -> MemberDetails.visitor(h.id()));
  }

  /**
   * What somebody calls himself from now on; what stands in the log stays.
   *
   * @throws Refused at {@code name}
   */
  @Transactional
  Member rename(String login, String name) {
    Problems problems = new Problems();
    checkName(name, problems);
    problems.refuseIfAny();
    Member member = shown(login).orElseThrow();
    String was = member.name();
    member.rename(name.strip());
    chronicle.note(Deed.NAME_CHANGED, was + " is " + member.name() + " from now on");
    return member;
  }

  /**
   * Another password.
   *
   * @throws Refused at {@code newPassword}
   */
  @Transactional
  Member changePassword(String login, String password) {
    Member member = shown(login).orElseThrow();
    Problems problems = new Problems();
    PasswordRules.check(password, login, "newPassword", problems);
    problems.refuseIfAny();
    member.keepPassword(Objects.requireNonNull(passwords.encode(password)));
    return member;
  }

  /** A keeper has seen what keepers are told. */
  @Transactional
  void told(String login) {
    shown(login).orElseThrow().told(clock.instant());
  }

  /** Whoever bears a sign-in name, whatever household that is in. */
  private Optional<Member> shown(String login) {
    atHand.shows(login);
    return members.findByLogin(login);
  }

  private UserDetails join(UUID householdId, Newcomer newcomer, Role role, Deed deed, String what) {
    Member member =
        new Member(
            householdId,
            normal(newcomer.login()),
            newcomer.name().strip(),
            Objects.requireNonNull(passwords.encode(newcomer.password())),
            role,
            clock.instant());
    atHand.of(householdId);
    try {
      UserDetails joined = new MemberDetails(members.saveAndFlush(member));
      chronicle.noteOf(householdId, member.name(), deed, what);
      return joined;
    } catch (DataIntegrityViolationException atOnce) {
      throw new Refused("login", TAKEN);
    }
  }

  private void check(Newcomer newcomer, Problems problems) {
    checkName(newcomer.name(), problems);
    String login = normal(newcomer.login());
    if (problems.require(
        login.matches("[a-z0-9._@-]{2,60}"),
        "login",
        "A sign-in name has 2 to 60 letters, digits, dots or dashes.")) {
      problems.require(shown(login).isEmpty(), "login", TAKEN);
    }
    PasswordRules.check(newcomer.password(), login, "password", problems);
  }

  private static void checkName(String name, Problems problems) {
    problems.require(
        !name.isBlank() && name.strip().length() <= LONGEST_NAME,
        "name",
        "Your name, in at most 60 letters.");
  }

  private static String normal(@Nullable String login) {
    return login == null ? "" : login.strip().toLowerCase(Locale.ROOT);
  }
}
