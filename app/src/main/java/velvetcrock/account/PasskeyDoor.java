package velvetcrock.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseCookie;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.authentication.session.ChangeSessionIdAuthenticationStrategy;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRequestOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRpEntity;
import org.springframework.security.web.webauthn.authentication.PublicKeyCredentialRequestOptionsFilter;
import org.springframework.security.web.webauthn.authentication.PublicKeyCredentialRequestOptionsRepository;
import org.springframework.security.web.webauthn.authentication.WebAuthnAuthenticationFilter;
import org.springframework.security.web.webauthn.authentication.WebAuthnAuthenticationProvider;
import org.springframework.security.web.webauthn.management.JdbcPublicKeyCredentialUserEntityRepository;
import org.springframework.security.web.webauthn.management.WebAuthnRelyingPartyOperations;
import org.springframework.security.web.webauthn.management.Webauthn4JRelyingPartyOperations;
import org.springframework.security.web.webauthn.registration.PublicKeyCredentialCreationOptionsFilter;
import org.springframework.security.web.webauthn.registration.WebAuthnRegistrationFilter;
import org.springframework.stereotype.Component;
import velvetcrock.web.HouseName;
import velvetcrock.web.Secrets;

/** The door for passkeys: making one when signed in, and coming in by one. */
@Component
class PasskeyDoor {
  /** Where a passkey is made; only with a fresh sign-in. */
  static final String MAKING = "/webauthn/register/**";

  /** Where a stranger asks what to sign, and shows it signed. */
  static final String[] COMING_IN = {"/webauthn/authenticate/options", "/login/webauthn"};

  private final JdbcTemplate jdbc;
  private final Passkeys passkeys;
  private final HouseName house;
  private final Accounts accounts;
  private final Entrance entrance;
  private final SecurityContextRepository contexts;

  PasskeyDoor(
      JdbcTemplate jdbc,
      Passkeys passkeys,
      HouseName house,
      Accounts accounts,
      Entrance entrance,
      SecurityContextRepository contexts) {
    this.jdbc = jdbc;
    this.passkeys = passkeys;
    this.house = house;
    this.accounts = accounts;
    this.entrance = entrance;
    this.contexts = contexts;
  }

  /** Puts it up beside the one for passwords. */
  void putUp(HttpSecurity http) {
    WebAuthnRelyingPartyOperations operations = new Late(this::operations).proxy();
    Questions questions = new Questions();
    PublicKeyCredentialRequestOptionsFilter asked =
        new PublicKeyCredentialRequestOptionsFilter(operations);
    asked.setRequestOptionsRepository(questions);
    http.addFilterBefore(asked, AuthorizationFilter.class);
    http.addFilterBefore(
        comingIn(operations, questions), UsernamePasswordAuthenticationFilter.class);
    http.addFilterAfter(
        new PublicKeyCredentialCreationOptionsFilter(operations), AuthorizationFilter.class);
    http.addFilterAfter(
        new WebAuthnRegistrationFilter(passkeys, operations), AuthorizationFilter.class);
  }

  private WebAuthnRelyingPartyOperations operations() {
    return new Webauthn4JRelyingPartyOperations(
        new JdbcPublicKeyCredentialUserEntityRepository(jdbc),
        passkeys,
        PublicKeyCredentialRpEntity.builder().name("Velvet Crock").id(house.host()).build(),
        Set.of(house.origin()));
  }

  private WebAuthnAuthenticationFilter comingIn(
      WebAuthnRelyingPartyOperations operations, Questions questions) {
    WebAuthnAuthenticationProvider provider =
        new WebAuthnAuthenticationProvider(operations, accounts);
    WebAuthnAuthenticationFilter filter = new WebAuthnAuthenticationFilter();
    filter.setRequestOptionsRepository(questions);
    filter.setSecurityContextRepository(contexts);
    filter.setSessionAuthenticationStrategy(new ChangeSessionIdAuthenticationStrategy());
    filter.setAuthenticationManager(
        (AuthenticationManager) shown -> member(provider.authenticate(shown)));
    filter.setAuthenticationSuccessHandler(
        (request, response, who) -> {
          entrance.cameIn(
              (MemberDetails) Objects.requireNonNull(who.getPrincipal()), ", by passkey", request);
          response.setContentType(MediaType.APPLICATION_JSON_VALUE);
          response.getWriter().write("{\"authenticated\":true}");
        });
    filter.setAuthenticationFailureHandler(
        (request, response, e) -> {
          entrance.turnedAway("", request.getRemoteAddr());
          response.setStatus(HttpStatus.UNAUTHORIZED.value());
        });
    return filter;
  }

  /** Whoever comes in by a passkey is the same as by password. */
  private Authentication member(@Nullable Authentication shown) {
    MemberDetails who =
        (MemberDetails) accounts.loadUserByUsername(Objects.requireNonNull(shown).getName());
    who.eraseCredentials();
    return UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities());
  }

  /** Made when it is first needed: the port may be known only then. */
  private record Late(java.util.function.Supplier<WebAuthnRelyingPartyOperations> made) {
    WebAuthnRelyingPartyOperations proxy() {
      var once =
          new Object() {
            private @Nullable WebAuthnRelyingPartyOperations operations;

            synchronized WebAuthnRelyingPartyOperations get() {
              if (operations == null) {
                operations = made.get();
              }
              return operations;
            }
          };
      return (WebAuthnRelyingPartyOperations)
          java.lang.reflect.Proxy.newProxyInstance(
              PasskeyDoor.class.getClassLoader(),
              new Class<?>[] {WebAuthnRelyingPartyOperations.class},
              (proxy, method, arguments) -> {
                try {
                  return method.invoke(once.get(), arguments);
                } catch (java.lang.reflect.InvocationTargetException e) {
                  throw e.getCause();
                }
              });
    }
  }

  /**
   * What strangers have been asked to sign: each once and for five minutes, bounded in number,
   * under a cookie, so that no session is kept for them.
   */
  private static final class Questions implements PublicKeyCredentialRequestOptionsRepository {
    private static final String COOKIE = "crock-question";
    private static final Duration GOOD_FOR = Duration.ofMinutes(5);
    private static final int MOST = 5000;

    private final Cache<String, PublicKeyCredentialRequestOptions> asked =
        Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(GOOD_FOR).build();

    @Override
    public void save(
        HttpServletRequest request,
        HttpServletResponse response,
        @Nullable PublicKeyCredentialRequestOptions options) {
      if (options == null) {
        return;
      }
      String secret = Secrets.fresh();
      asked.put(Secrets.hash(secret), options);
      response.addHeader(
          HttpHeaders.SET_COOKIE,
          ResponseCookie.from(COOKIE, secret)
              .httpOnly(true)
              .secure(true)
              .sameSite("Strict")
              .path("/")
              .maxAge(GOOD_FOR)
              .build()
              .toString());
    }

    @Override
    public @Nullable PublicKeyCredentialRequestOptions load(HttpServletRequest request) {
      if (request.getCookies() == null) {
        return null;
      }
      for (Cookie cookie : request.getCookies()) {
        if (cookie.getName().equals(COOKIE)) {
          return asked.asMap().remove(Secrets.hash(cookie.getValue()));
        }
      }
      return null;
    }
  }
}
