package velvetcrock.account;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.chronicle.Chronicle;
import velvetcrock.chronicle.Deed;
import velvetcrock.core.Refused;
import velvetcrock.web.AtHand;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.NotFound;
import velvetcrock.web.Secrets;

/**
 * The ways back for somebody who has lost the password: codes written down when moving in, or a
 * keeper’s help, which takes a day so that it can be stopped.
 */
@Service
class Recoveries {
  private static final int CODES = 10;
  private static final int GROUPS = 4;
  private static final int LETTERS = 4;

  /** Without those that are mistaken for one another by hand. */
  private static final String ALPHABET = "abcdefghjkmnpqrstuvwxyz23456789";

  private static final SecureRandom RANDOM = new SecureRandom();

  private final RecoveryCodeRepository codes;
  private final RecoveryRepository recoveries;
  private final Accounts accounts;
  private final MemberRepository members;
  private final CurrentHousehold current;
  private final AtHand atHand;
  private final Chronicle chronicle;
  private final Clock clock;

  Recoveries(
      RecoveryCodeRepository codes,
      RecoveryRepository recoveries,
      Accounts accounts,
      MemberRepository members,
      CurrentHousehold current,
      AtHand atHand,
      Chronicle chronicle,
      Clock clock) {
    this.codes = codes;
    this.recoveries = recoveries;
    this.accounts = accounts;
    this.members = members;
    this.current = current;
    this.atHand = atHand;
    this.chronicle = chronicle;
    this.clock = clock;
  }

  /** Makes ten new codes for somebody; the former ones open nothing any more. */
  @Transactional
  public List<String> makeCodes(String login) {
    Member member = ofHouse(accounts.find(login).orElseThrow());
    codes.deleteByMemberId(member.id());
    codes.flush();
    List<String> made = IntStream.range(0, CODES).mapToObj(i -> code()).toList();
    Instant now = clock.instant();
    made.forEach(c -> codes.save(new RecoveryCode(member, hash(c), now)));
    chronicle.noteOf(member.householdId(), member.name(), Deed.CODES_MADE, "");
    return made;
  }

  /** How many codes somebody has left. */
  @Transactional(readOnly = true)
  public long codesLeft(String login) {
    return accounts
        .find(login)
        .map(this::ofHouse)
        .map(m -> codes.countByMemberIdAndUsedAtIsNull(m.id()))
        .orElse(0L);
  }

  /**
   * Lets somebody in by one of his codes, with a new password; the code is then used up.
   *
   * @throws Refused at {@code code}, or at {@code newPassword}: the code then stays good
   */
  @Transactional
  public Member comeInBy(String login, String code, String newPassword) {
    Instant now = clock.instant();
    RecoveryCode known =
        accounts
            .find(login)
            .map(this::ofHouse)
            .flatMap(m -> codes.findByMemberIdAndCodeHash(m.id(), hash(code)))
            .filter(RecoveryCode::unused)
            .orElseThrow(
                () -> new Refused("code", "No code of yours that is still good reads so."));
    Member member = accounts.changePassword(normal(login), newPassword);
    known.use(now);
    long left = codes.countByMemberIdAndUsedAtIsNull(member.id());
    chronicle.noteOf(member.householdId(), member.name(), Deed.CODE_USED, left + " codes are left");
    return member;
  }

  /**
   * Asks to let somebody in again; hands back the secret of the link that opens after a day.
   *
   * @throws NotFound if nobody of that kind lives here
   */
  @Transactional
  public String ask(UUID memberId) {
    Member member =
        members
            .findByIdAndHouseholdId(memberId, current.id())
            .orElseThrow(() -> new NotFound("Nobody of that kind lives here."));
    Instant now = clock.instant();
    open().stream()
        .filter(r -> r.memberId().equals(memberId))
        .forEach(r -> r.stop(current.name(), now));
    String secret = Secrets.fresh();
    recoveries.save(new Recovery(member, current.name(), Secrets.hash(secret), now));
    chronicle.note(Deed.RECOVERY_ASKED, member.name());
    return secret;
  }

  /** What waits or is good in the current household. */
  @Transactional(readOnly = true)
  public List<Recovery> open() {
    Instant now = clock.instant();
    return recoveries.findByHouseholdIdAndEndedAtIsNullOrderByAskedAt(current.id()).stream()
        .filter(r -> r.openAt(now))
        .toList();
  }

  /**
   * Stops one.
   *
   * @throws NotFound if there is none
   */
  @Transactional
  public void stop(UUID id) {
    Recovery recovery =
        recoveries
            .findByIdAndHouseholdId(id, current.id())
            .orElseThrow(() -> new NotFound("There is nothing to stop."));
    recovery.stop(current.name(), clock.instant());
    chronicle.note(
        Deed.RECOVERY_STOPPED, members.findById(recovery.memberId()).map(Member::name).orElse(""));
  }

  /**
   * Whom a link lets in.
   *
   * @throws NotFound if it is unknown, stopped, used or too old, or opens only later
   */
  @Transactional
  public Member letIn(String secret) {
    return members.findById(ready(secret).memberId()).orElseThrow();
  }

  /**
   * Comes in by a link with a new password.
   *
   * @throws Refused at {@code newPassword}
   */
  @Transactional
  public Member comeInAgain(String secret, String newPassword) {
    Recovery recovery = ready(secret);
    Member member = members.findById(recovery.memberId()).orElseThrow();
    accounts.changePassword(member.login(), newPassword);
    recovery.use(clock.instant());
    chronicle.noteOf(
        member.householdId(),
        member.name(),
        Deed.RECOVERED,
        "with the help of " + recovery.askedBy());
    return member;
  }

  /** Works for the household of somebody who is not signed in. */
  private Member ofHouse(Member member) {
    atHand.of(member.householdId());
    return member;
  }

  private Recovery ready(String secret) {
    Instant now = clock.instant();
    String hash = Secrets.hash(secret);
    atHand.shows(hash);
    Recovery known =
        recoveries
            .findBySecretHash(hash)
            .filter(r -> r.openAt(now))
            .orElseThrow(() -> new NotFound("This link is not good any more. Ask a keeper."));
    if (!known.readyAt(now)) {
      throw new NotFound("This link opens a day after it was asked for. Come back then.");
    }
    atHand.of(known.householdId());
    return known;
  }

  private static String code() {
    return IntStream.range(0, GROUPS)
        .mapToObj(i -> RANDOM.ints(LETTERS, 0, ALPHABET.length()))
        .map(
            group ->
                group
                    .mapToObj(i -> String.valueOf(ALPHABET.charAt(i)))
                    .collect(Collectors.joining()))
        .collect(Collectors.joining("-"));
  }

  /** However it was copied: in capitals, with blanks or without dashes. */
  private static String hash(String code) {
    return Secrets.hash(code.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]", ""));
  }

  private static String normal(String login) {
    return login.strip().toLowerCase(Locale.ROOT);
  }
}
