package velvetcrock.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;
import velvetcrock.web.ScriptsInTurn;

/** Lets in whoever shows a household's token in an {@code Authorization: Bearer} header. */
class TokenFilter extends OncePerRequestFilter {
  private static final String BEARER = "Bearer ";

  private final Tokens tokens;
  private final ScriptsInTurn turns;

  TokenFilter(Tokens tokens, ScriptsInTurn turns) {
    this.tokens = tokens;
    this.turns = turns;
  }

  static boolean shown(HttpServletRequest request) {
    String header = request.getHeader("Authorization");
    return header != null && header.regionMatches(true, 0, BEARER, 0, BEARER.length());
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (shown(request)) {
      String secret = request.getHeader("Authorization").substring(BEARER.length()).strip();
      Optional<TokenHolder> holder = turns.take(() -> tokens.holderOf(secret));
      SecurityContext context = SecurityContextHolder.createEmptyContext();
      holder.ifPresent(
          h ->
              context.setAuthentication(
                  UsernamePasswordAuthenticationToken.authenticated(
                      h, null, List.of(new SimpleGrantedAuthority(h.scope().authority())))));
      SecurityContextHolder.setContext(context);
    }
    chain.doFilter(request, response);
  }
}
