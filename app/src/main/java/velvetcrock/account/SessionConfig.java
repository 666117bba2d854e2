package velvetcrock.account;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.ObjectInputFilter;
import java.io.ObjectInputStream;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.core.convert.converter.Converter;
import org.springframework.core.convert.support.GenericConversionService;
import org.springframework.core.serializer.support.SerializingConverter;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.session.web.http.CookieHttpSessionIdResolver;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionCallback;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sessions in the database. What is read back from it is let in by its class: our own, the
 * sign-in’s and plain values; anything else counts as not there, as does what an earlier version
 * wrote otherwise, and whoever it was signs in anew.
 */
@Configuration
class SessionConfig {
  private static final Logger LOG = LoggerFactory.getLogger(SessionConfig.class);

  private static final int MOST_BYTES = 65_536;

  private static final String UPDATE =
      """
      update spring_session s
        set session_id = n.session_id, last_access_time = n.seen, max_inactive_interval = n.longest,
          expiry_time = n.expiry, principal_name = n.principal
        from (select cast(? as char(36)) as session_id, cast(? as bigint) as seen, cast(? as int) as longest,
          cast(? as bigint) as expiry, cast(? as varchar) as principal, cast(? as char(36)) as id) n
        where s.primary_id = n.id and (n.seen > s.last_access_time + 60000
          or (s.session_id, s.max_inactive_interval, s.principal_name)
            is distinct from (n.session_id, n.longest, n.principal))
      """;

  /** Most references and depth of one thing in a session, and the classes that may be in it. */
  private static final ObjectInputFilter LET_IN =
      ObjectInputFilter.Config.createFilter(
          "maxrefs=2000;maxdepth=12;maxarray=2000;"
              + "velvetcrock.**;"
              + "org.springframework.security.core.context.SecurityContextImpl;"
              + "org.springframework.security.authentication.UsernamePasswordAuthenticationToken;"
              + "org.springframework.security.authentication.AbstractAuthenticationToken;"
              + "org.springframework.security.core.authority.*;"
              + "org.springframework.security.web.authentication.WebAuthenticationDetails;"
              + "org.springframework.security.web.csrf.DefaultCsrfToken;"
              + "org.springframework.security.web.webauthn.api.*;"
              + "org.springframework.web.servlet.FlashMap;"
              + "java.lang.*;java.util.*;java.util.concurrent.*;java.time.*;"
              + "org.springframework.util.*;!*");

  @Bean
  GenericConversionService springSessionConversionService() {
    GenericConversionService conversions = new GenericConversionService();
    conversions.addConverter(Object.class, byte[].class, new SerializingConverter());
    conversions.addConverter(byte[].class, Object.class, (Converter<byte[], Object>) this::read);
    return conversions;
  }

  /**
   * A session is read and kept with the connection that the act has, where it has one, and without
   * asking whose household it is: that is known only once the session has been read.
   */
  @Bean
  TransactionOperations springSessionTransactionOperations(DataSource store) {
    return new InTheAct(new TransactionTemplate(new JdbcTransactionManager(store)));
  }

  /** What belongs to an act is stored with it, or not at all; only outside of one it is its own. */
  private record InTheAct(TransactionOperations outside) implements TransactionOperations {
    @Override
    public <T extends @Nullable Object> T execute(TransactionCallback<T> work) {
      return TransactionSynchronizationManager.isActualTransactionActive()
          ? TransactionOperations.withoutTransaction().execute(work)
          : outside.execute(work);
    }
  }

  /**
   * When somebody last looked is written once a minute, and not with every page: reading alone
   * writes nothing.
   */
  @Bean
  SessionRepositoryCustomizer<JdbcIndexedSessionRepository> lookedAtNowAndThen() {
    return sessions -> sessions.setUpdateSessionQuery(UPDATE);
  }

  /** Two answers at once that both keep the same thing in a session: the later one stands. */
  @Bean
  PostgreSqlJdbcIndexedSessionRepositoryCustomizer laterOneStands() {
    return new PostgreSqlJdbcIndexedSessionRepositoryCustomizer();
  }

  @Bean
  SmartInitializingSingleton sessionsAreAskedOnce(
      SessionRepositoryFilter<?> sessions, CookieSerializer cookie) {
    return () -> {
      CookieHttpSessionIdResolver cookies = new CookieHttpSessionIdResolver();
      cookies.setCookieSerializer(cookie);
      sessions.setHttpSessionIdResolver(new AskedOnce(cookies));
    };
  }

  /** For all else. */
  @Bean
  @Primary
  TransactionTemplate transactions(PlatformTransactionManager manager) {
    return new TransactionTemplate(manager);
  }

  private @Nullable Object read(byte[] kept) {
    if (kept.length > MOST_BYTES) {
      LOG.warn("Something kept in a session is too large: {} bytes", kept.length);
      return null;
    }
    try (ObjectInputStream in = new ObjectInputStream(new ByteArrayInputStream(kept))) {
      in.setObjectInputFilter(LET_IN);
      return in.readObject();
    } catch (IOException | ClassNotFoundException refused) {
      LOG.warn("Something kept in a session is not let in: {}", refused.getMessage());
      return null;
    }
  }
}
