package velvetcrock.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.config.annotation.web.configurers.RequestCacheConfigurer;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.CookieRequestCache;

/** Who may reach which route, and what every answer's headers say. */
@Configuration
class SecurityConfig {
  private static final String CONTENT_SECURITY_POLICY =
      "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; font-src 'self';"
          + " connect-src 'self'; manifest-src 'self'; worker-src 'self'; form-action 'self'; base-uri 'none';"
          + " frame-ancestors 'none'";

  @Bean
  PasswordEncoder passwordEncoder() {
    return new Passwords();
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

  /** The JSON face: a token or a session; the reckonings are open to all. */
  @Bean
  @Order(1)
  SecurityFilterChain api(
      HttpSecurity http, Tokens tokens, FilterRegistrationBean<StrangerGate> strangers, Clock clock)
      throws Exception {
    return http.securityMatcher("/api/v1/**")
        .authorizeHttpRequests(
            routes ->
                routes
                    .requestMatchers("/api/v1/reckon/**", "/api/v1/openapi.json")
                    .permitAll()
                    .anyRequest()
                    .authenticated())
        .csrf(
            csrf ->
                csrf.csrfTokenRepository(strangersToken())
                    .ignoringRequestMatchers(
                        request -> TokenFilter.shown(request) || isReckoning(request)))
        .addFilterBefore(new SessionEnd(clock), SecurityContextHolderFilter.class)
        .addFilterBefore(new TokenFilter(tokens), CsrfFilter.class)
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
      FilterRegistrationBean<StrangerGate> strangers,
      Clock clock)
      throws Exception {
    return http.csrf(csrf -> csrf.csrfTokenRepository(strangersToken()))
        .requestCache(cache -> cache.requestCache(pageAskedFor()))
        .addFilterBefore(new SessionEnd(clock), SecurityContextHolderFilter.class)
        .addFilterBefore(strangers.getFilter(), CsrfFilter.class)
        .authorizeHttpRequests(
            routes ->
                routes
                    .requestMatchers(
                        "/assets/**",
                        "/sw.js",
                        "/favicon.ico",
                        "/sign-in",
                        "/welcome",
                        "/join/**",
                        "/b/*",
                        "/calendar/*.ics",
                        "/demo",
                        "/api",
                        "/licences",
                        "/.well-known/security.txt",
                        "/error",
                        "/actuator/health/**")
                    .permitAll()
                    .anyRequest()
                    .authenticated())
        .addFilterBefore(new SignInGate(limiter), UsernamePasswordAuthenticationFilter.class)
        .formLogin(
            form ->
                form.loginPage("/sign-in")
                    .usernameParameter("login")
                    .passwordParameter("password")
                    .defaultSuccessUrl("/")
                    .failureHandler(
                        (request, response, e) -> {
                          limiter.failed(SignInGate.login(request), request.getRemoteAddr());
                          response.sendRedirect("/sign-in?wrong");
                        }))
        .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in"))
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
    tokens.setCookieName("crock-form");
    tokens.setCookieCustomizer(cookie -> cookie.secure(true).sameSite("Lax"));
    return tokens;
  }

  private static boolean isReckoning(HttpServletRequest request) {
    return request.getRequestURI().startsWith("/api/v1/reckon/");
  }

  private static void headers(HeadersConfigurer<HttpSecurity> headers) {
    headers
        .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_SECURITY_POLICY))
        .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN))
        .permissionsPolicyHeader(
            policy -> policy.policy("camera=(), microphone=(), geolocation=()"));
  }

  private static void problem(HttpServletResponse response, HttpStatus status) throws IOException {
    response.setStatus(status.value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
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
