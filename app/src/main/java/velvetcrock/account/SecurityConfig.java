package velvetcrock.account;

import static org.springframework.security.authorization.AuthorityAuthorizationManager.hasAnyAuthority;
import static org.springframework.security.authorization.AuthorizationManagers.allOf;
import static org.springframework.security.authorization.AuthorizationManagers.not;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.Objects;
import java.util.Set;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.authorization.AuthenticatedAuthorizationManager;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.CsrfConfigurer;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.config.annotation.web.configurers.LogoutConfigurer;
import org.springframework.security.config.annotation.web.configurers.RequestCacheConfigurer;
import org.springframework.security.config.annotation.web.configurers.SessionManagementConfigurer;
import org.springframework.security.config.observation.SecurityObservationSettings;
import org.springframework.security.core.Authentication;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.authentication.logout.HeaderWriterLogoutHandler;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.NullSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.header.writers.ClearSiteDataHeaderWriter;
import org.springframework.security.web.header.writers.ClearSiteDataHeaderWriter.Directive;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.CookieRequestCache;
import velvetcrock.web.SamePages;
import velvetcrock.web.ScriptsInTurn;

/** Who may reach which route, and what every answer's headers say. */
@Configuration
class SecurityConfig {
  private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

  private static final String CONTENT_SECURITY_POLICY =
      "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; font-src 'self';"
          + " connect-src 'self'; manifest-src 'self'; worker-src 'self'; form-action 'self'; base-uri 'none';"
          + " frame-ancestors 'none'";

  /** What is sent only to be reckoned. */
  private static final String[] QUESTIONS = {
    "/bench", "/bench/reckon", "/products/new", "/plans/new", "/understood"
  };

  private static final String ONLOOKERS = Role.ONLOOKER.authority();
  private static final String READERS = Scope.READ.authority();
  private static final String PROBES = Scope.READINGS.authority();

  @Bean
  PasswordEncoder passwordEncoder() {
    return new Passwords();
  }

  /** Each request is watched once, and not once more at each of some thirty filters. */
  @Bean
  SecurityObservationSettings unwatchedFilters() {
    return SecurityObservationSettings.noObservations();
  }

  /** Strangers are kept waiting by both faces together. */
  @Bean
  FilterRegistrationBean<StrangerGate> strangerGate() {
    FilterRegistrationBean<StrangerGate> gate = new FilterRegistrationBean<>(new StrangerGate());
    gate.setEnabled(false);
    return gate;
  }

  @Bean
  SecurityContextRepository securityContextRepository() {
    return new HttpSessionSecurityContextRepository();
  }

  /** Files of the interface are the same for all: nobody’s session is looked up for them. */
  @Bean
  @Order(0)
  SecurityFilterChain files(HttpSecurity http) throws Exception {
    return withoutSession(http.securityMatcher("/assets/**"))
        .headers(SecurityConfig::headers)
        .build();
  }

  /**
   * What whoever keeps the house asks comes in by the management port, which nobody else reaches;
   * where there is none, it is not there at all.
   */
  @Bean
  @Order(-1)
  SecurityFilterChain management(HttpSecurity http, ManagementPort port) throws Exception {
    return withoutSession(http.securityMatcher(port)).build();
  }

  /** Open to whoever asks, and nobody’s session is looked up or made. */
  private static HttpSecurity withoutSession(HttpSecurity http) throws Exception {
    return http.authorizeHttpRequests(routes -> routes.anyRequest().permitAll())
        .securityContext(who -> who.securityContextRepository(new NullSecurityContextRepository()))
        .csrf(CsrfConfigurer::disable)
        .requestCache(RequestCacheConfigurer::disable)
        .sessionManagement(SessionManagementConfigurer::disable)
        .logout(LogoutConfigurer::disable);
  }

  /** The JSON face: a token or a session; the reckonings are open to all. */
  @Bean
  @Order(1)
  SecurityFilterChain api(
      HttpSecurity http,
      Tokens tokens,
      ScriptsInTurn turns,
      FilterRegistrationBean<StrangerGate> strangers,
      Clock clock)
      throws Exception {
    return http.securityMatcher("/api/v1/**")
        .authorizeHttpRequests(
            routes ->
                routes
                    .requestMatchers("/api/v1/reckon/**", "/api/v1/openapi.json")
                    .permitAll()
                    .requestMatchers(
                        HttpMethod.POST,
                        "/api/v1/batches/*/readings",
                        "/api/v1/thermometer/readings")
                    .access(whoeverIsInBut(ONLOOKERS, READERS))
                    .requestMatchers(SecurityConfig::reads)
                    .access(whoeverIsInBut(PROBES))
                    .anyRequest()
                    .access(whoeverIsInBut(ONLOOKERS, READERS, PROBES)))
        .csrf(
            csrf ->
                csrf.csrfTokenRepository(strangersToken())
                    .ignoringRequestMatchers(
                        request -> TokenFilter.shown(request) || isReckoning(request)))
        .addFilterBefore(new SessionEnd(clock), SecurityContextHolderFilter.class)
        .addFilterBefore(new TokenFilter(tokens, turns), CsrfFilter.class)
        .addFilterAfter(strangers.getFilter(), TokenFilter.class)
        .requestCache(RequestCacheConfigurer::disable)
        .exceptionHandling(
            errors ->
                errors
                    .authenticationEntryPoint(
                        (request, response, e) -> problem(response, HttpStatus.UNAUTHORIZED))
                    .accessDeniedHandler(
                        (request, response, e) -> problem(response, HttpStatus.FORBIDDEN)))
        .headers(SecurityConfig::headers)
        .build();
  }

  /** The pages: signed in, but for the doors themselves and what they need to be seen. */
  @Bean
  @Order(2)
  SecurityFilterChain pages(
      HttpSecurity http,
      SignInLimiter limiter,
      Entrance entrance,
      PasskeyDoor passkeys,
      FilterRegistrationBean<StrangerGate> strangers,
      Clock clock)
      throws Exception {
    passkeys.putUp(http);
    return http.csrf(csrf -> csrf.csrfTokenRepository(strangersToken()))
        .requestCache(cache -> cache.requestCache(pageAskedFor()))
        .addFilterBefore(new SessionEnd(clock), SecurityContextHolderFilter.class)
        .addFilterBefore(strangers.getFilter(), CsrfFilter.class)
        .authorizeHttpRequests(
            routes ->
                routes
                    .requestMatchers(
                        "/sw.js",
                        "/favicon.ico",
                        "/sign-in",
                        "/welcome",
                        "/join/**",
                        "/lost",
                        "/back-in/**",
                        "/arrive/*",
                        "/b/*",
                        "/calendar/*.ics",
                        "/demo",
                        "/api",
                        "/licences",
                        "/.well-known/security.txt",
                        "/error",
                        "/ready",
                        "/actuator/health/**")
                    .permitAll()
                    .requestMatchers("/actuator/**")
                    .denyAll()
                    .requestMatchers(PasskeyDoor.COMING_IN)
                    .permitAll()
                    .requestMatchers(PasskeyDoor.MAKING)
                    .access(
                        allOf(
                            whoeverIsInBut(Role.VISITOR.authority()),
                            (who, asked) ->
                                new AuthorizationDecision(entrance.fresh(asked.getRequest()))))
                    .requestMatchers("/happened", "/people/*", "/erase/**")
                    .hasAuthority(Role.KEEPER.authority())
                    .requestMatchers(HttpMethod.POST, "/people/**")
                    .hasAuthority(Role.KEEPER.authority())
                    .requestMatchers("/moving/**", "/moving")
                    .hasAnyAuthority(Role.KEEPER.authority(), Role.VISITOR.authority())
                    .requestMatchers("/account/**")
                    .access(whoeverIsInBut(Role.VISITOR.authority()))
                    .requestMatchers(SecurityConfig::reads)
                    .authenticated()
                    .requestMatchers(HttpMethod.POST, QUESTIONS)
                    .authenticated()
                    .anyRequest()
                    .access(whoeverIsInBut(ONLOOKERS)))
        .addFilterBefore(new SignInGate(limiter), UsernamePasswordAuthenticationFilter.class)
        .formLogin(
            form ->
                form.loginPage("/sign-in")
                    .usernameParameter("login")
                    .passwordParameter("password")
                    .successHandler(cameIn(entrance))
                    .failureHandler(
                        (request, response, e) -> {
                          entrance.turnedAway(SignInGate.login(request), request.getRemoteAddr());
                          response.sendRedirect("/sign-in?wrong");
                        }))
        .logout(
            out ->
                out.logoutUrl("/sign-out")
                    .addLogoutHandler(entrance)
                    .addLogoutHandler(
                        new HeaderWriterLogoutHandler(
                            new ClearSiteDataHeaderWriter(Directive.CACHE, Directive.STORAGE)))
                    .logoutSuccessUrl("/sign-in"))
        .headers(SecurityConfig::headers)
        .build();
  }

  /**
   * The page that was asked for before signing in, which its visitor carries; not what a page’s own
   * script asked for meanwhile.
   */
  private static CookieRequestCache pageAskedFor() {
    CookieRequestCache asked = new CookieRequestCache();
    asked.setRequestMatcher(
        request ->
            request.getMethod().equals("GET")
                && String.valueOf(request.getHeader("Accept")).contains(MediaType.TEXT_HTML_VALUE)
                && request.getHeader("HX-Request") == null);
    return asked;
  }

  /** Whoever is not signed in carries the token himself, so that no session is kept for him. */
  private static CookieCsrfTokenRepository strangersToken() {
    CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
    tokens.setCookieName(SamePages.TOKEN_COOKIE);
    tokens.setHeaderName("X-CSRF-TOKEN");
    tokens.setCookieCustomizer(cookie -> cookie.secure(true).sameSite("Lax"));
    return tokens;
  }

  private static AuthorizationManager<RequestAuthorizationContext> whoeverIsInBut(String... not) {
    return allOf(AuthenticatedAuthorizationManager.authenticated(), not(hasAnyAuthority(not)));
  }

  /** Whether it changes nothing here: questions that are reckoned on their way included. */
  private static boolean reads(HttpServletRequest request) {
    return READING.contains(request.getMethod());
  }

  /** Where somebody is led who has come in by name and password: to what was asked for. */
  private static SavedRequestAwareAuthenticationSuccessHandler cameIn(Entrance entrance) {
    SavedRequestAwareAuthenticationSuccessHandler handler =
        new SavedRequestAwareAuthenticationSuccessHandler() {
          @Override
          public void onAuthenticationSuccess(
              HttpServletRequest request, HttpServletResponse response, Authentication who)
              throws ServletException, IOException {
            entrance.cameIn(
                (MemberDetails) Objects.requireNonNull(who.getPrincipal()), "", request);
            super.onAuthenticationSuccess(request, response, who);
          }
        };
    handler.setRequestCache(pageAskedFor());
    return handler;
  }

  private static boolean isReckoning(HttpServletRequest request) {
    return request.getRequestURI().startsWith("/api/v1/reckon/");
  }

  private static void headers(HeadersConfigurer<HttpSecurity> headers) {
    headers
        .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_SECURITY_POLICY))
        .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN))
        .permissionsPolicyHeader(
            policy -> policy.policy("camera=(self), microphone=(), geolocation=()"));
  }

  private static void problem(HttpServletResponse response, HttpStatus status) throws IOException {
    response.setStatus(status.value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response.setCharacterEncoding(StandardCharsets.UTF_8.name());
    String detail =
        status == HttpStatus.UNAUTHORIZED
            ? "Sign in, or send a household’s token as Authorization: Bearer."
            : "This request is not allowed.";
    response
        .getWriter()
        .write(
            "{\"type\":\"about:blank\",\"title\":\"%s\",\"status\":%d,\"detail\":\"%s\"}"
                .formatted(status.getReasonPhrase(), status.value(), detail));
  }
}
