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
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Places;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.InHousehold;
import velvetcrock.web.NotFound;
import velvetcrock.web.Secrets;

/** Members, invitations and tokens. */
@Service
public class Accounts implements UserDetailsService, UserDetailsPasswordService {
  static final int LONGEST_LOGIN = 60;
  private static final String TAKEN = "That sign-in name is taken. Choose another.";
  private static final int LONGEST_NAME = 60;

  private final MemberRepository members;
  private final InvitationRepository invitations;
  private final Households households;
  private final Places places;
  private final CurrentHousehold current;
  private final PasswordEncoder passwords;
  private final TransactionTemplate transactions;
  private final Clock clock;

  Accounts(
      MemberRepository members,
      InvitationRepository invitations,
      Households households,
      Places places,
      CurrentHousehold current,
      PasswordEncoder passwords,
      TransactionTemplate transactions,
      Clock clock) {
    this.members = members;
    this.invitations = invitations;
    this.households = households;
    this.places = places;
    this.current = current;
    this.passwords = passwords;
    this.transactions = transactions;
    this.clock = clock;
  }

  @Override
  @Transactional(readOnly = true)
  public UserDetails loadUserByUsername(String login) {
    return members
        .findByLogin(normal(login))
        .map(MemberDetails::new)
        .orElseThrow(() -> new UsernameNotFoundException(login));
  }

  /** Keeps a password in the way of today that was right and kept in a former one. */
  @Override
  @Transactional
  public UserDetails updatePassword(UserDetails user, @Nullable String kept) {
    Member member = members.findByLogin(user.getUsername()).orElseThrow();
    member.keepPassword(Objects.requireNonNull(kept));
    return new MemberDetails(member);
  }

  /** What somebody types to become a member. */
  record Newcomer(String name, String login, String password) {}

  /**
   * The first visit: founds the household and its first member.
   *
   * @throws Refused at the field that is wrong, or at {@code household} if one has been founded
   */
  public UserDetails found(String name, String zone, String kitchen, Newcomer newcomer) {
    UserDetails first =
        Objects.requireNonNull(
            transactions.execute(status -> firstMember(name, zone, kitchen, newcomer)));
    current.actingAs(
        (InHousehold) first,
        () -> {
          places.furnish();
          return null;
        });
    return first;
  }

  private UserDetails firstMember(String name, String zone, String kitchen, Newcomer newcomer) {
    if (households.founded()) {
      throw new Refused("household", "A household lives here already. Ask for an invitation link.");
    }
    Problems problems = new Problems();
    check(newcomer, problems);
    Household household = problems.attempt(() -> households.found(name, zone, kitchen, false));
    problems.refuseIfAny();
    return join(Objects.requireNonNull(household).id(), newcomer);
  }

  /** Makes an invitation and hands back its secret, which is not kept. */
  @Transactional
  public String invite() {
    String secret = Secrets.fresh();
    invitations.save(new Invitation(current.id(), Secrets.hash(secret), clock.instant()));
    return secret;
  }

  /**
   * The household that an invitation leads into.
   *
   * @throws NotFound if the link is unknown, used or too old
   */
  @Transactional
  public Household invitedTo(String secret) {
    return households.find(good(secret).householdId()).orElseThrow();
  }

  /**
   * Joins by an invitation, which is then used up.
   *
   * @throws Refused at the field that is wrong; the invitation then stays good
   */
  @Transactional
  public UserDetails joinBy(String secret, Newcomer newcomer) {
    Invitation invitation = good(secret);
    Problems problems = new Problems();
    check(newcomer, problems);
    problems.refuseIfAny();
    invitation.use(clock.instant());
    return join(invitation.householdId(), newcomer);
  }

  /** The members of the current household. */
  @Transactional(readOnly = true)
  public List<Member> members() {
    return members.findByHouseholdIdOrderByName(current.id());
  }

  /** Somebody to act as in the demo household, who has no password and cannot sign in otherwise. */
  @Transactional(readOnly = true)
  Optional<MemberDetails> demoKeeper() {
    return households.demo().map(h -> new MemberDetails(h.id(), "demo", "Keeper", ""));
  }

  private UserDetails join(UUID householdId, Newcomer newcomer) {
    Member member =
        new Member(
            householdId,
            normal(newcomer.login()),
            newcomer.name().strip(),
            Objects.requireNonNull(passwords.encode(newcomer.password())),
            clock.instant());
    try {
      return new MemberDetails(members.saveAndFlush(member));
    } catch (DataIntegrityViolationException atOnce) {
      throw new Refused("login", TAKEN);
    }
  }

  private Invitation good(String secret) {
    return invitations
        .findByTokenHash(Secrets.hash(secret))
        .filter(i -> i.goodAt(clock.instant()))
        .orElseThrow(
            () -> new NotFound("This invitation is not good any more. Ask for a new link."));
  }

  private void check(Newcomer newcomer, Problems problems) {
    String name = newcomer.name().strip();
    problems.require(
        !name.isEmpty() && name.length() <= LONGEST_NAME,
        "name",
        "Your name, in at most 60 letters.");
    String login = normal(newcomer.login());
    if (problems.require(
        login.matches("[a-z0-9._@-]{2,60}"),
        "login",
        "A sign-in name has 2 to 60 letters, digits, dots or dashes.")) {
      problems.require(members.findByLogin(login).isEmpty(), "login", TAKEN);
    }
    PasswordRules.check(newcomer.password(), login, problems);
  }

  private static String normal(@Nullable String login) {
    return login == null ? "" : login.strip().toLowerCase(Locale.ROOT);
  }
}
