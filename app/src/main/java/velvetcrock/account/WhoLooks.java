package velvetcrock.account;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.thymeleaf.context.LazyContextVariable;
import velvetcrock.chronicle.Chronicle;
import velvetcrock.erasure.Erasure;
import velvetcrock.web.SeenBy;

/** Gives pages what whoever looks at them may do, and what he has to be told of. */
@ControllerAdvice(annotations = Controller.class)
class WhoLooks implements SeenBy {
  /** Older news are left to the page that has them all. */
  private static final Duration NEWS = Duration.ofDays(30);

  private final Accounts accounts;
  private final Recoveries recoveries;
  private final Chronicle chronicle;
  private final Entrance entrance;
  private final Erasure erasure;
  private final Clock clock;

  WhoLooks(
      Accounts accounts,
      Recoveries recoveries,
      Chronicle chronicle,
      Entrance entrance,
      Erasure erasure,
      Clock clock) {
    this.accounts = accounts;
    this.recoveries = recoveries;
    this.chronicle = chronicle;
    this.entrance = entrance;
    this.erasure = erasure;
    this.clock = clock;
  }

  /** A recovery that waits or is good, of one whom it concerns. */
  record Pending(UUID id, String askedBy, String whose, Instant readyAt) {}

  @Override
  public @Nullable String of(HttpServletRequest request) {
    return Me.anybody()
        .map(me -> me.getUsername() + "\n" + me.role() + "\n" + entrance.fresh(request))
        .orElse(null);
  }

  @ModelAttribute
  void who(Model model, HttpServletRequest request) {
    Role role = Me.anybody().map(MemberDetails::role).orElse(Role.KEEPER);
    model.addAttribute("role", role);
    model.addAttribute("freshly", entrance.fresh(request));
    model.addAttribute("news", lazily(() -> role == Role.KEEPER ? news() : List.of()));
    model.addAttribute("erasure", lazily(() -> erasure.pending().stream().toList()));
    model.addAttribute("recoveries", lazily(() -> pending(role)));
  }

  private List<Chronicle.Line> news() {
    Instant latest = clock.instant().minus(NEWS);
    return Me.anybody()
        .flatMap(me -> accounts.find(me.getUsername()))
        .map(m -> m.toldUntil().isBefore(latest) ? latest : m.toldUntil())
        .map(chronicle::toldSince)
        .orElse(List.of());
  }

  private List<Pending> pending(Role role) {
    String me = Me.anybody().map(MemberDetails::getUsername).orElse("");
    return recoveries.open().stream()
        .flatMap(
            r ->
                accounts.members().stream()
                    .filter(m -> m.id().equals(r.memberId()))
                    .filter(m -> role == Role.KEEPER || m.login().equals(me))
                    .map(m -> new Pending(r.id(), r.askedBy(), m.name(), r.readyAt())))
        .toList();
  }

  private static <T> LazyContextVariable<List<T>> lazily(Supplier<List<T>> found) {
    return new LazyContextVariable<>() {
      @Override
      protected List<T> loadValue() {
        return found.get();
      }
    };
  }
}
