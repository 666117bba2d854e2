package velvetcrock.account;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.ObjectInputFilter;
import java.io.ObjectInputStream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.core.convert.converter.Converter;
import org.springframework.core.convert.support.GenericConversionService;
import org.springframework.core.serializer.support.SerializingConverter;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.SessionRepository;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.session.web.http.CookieHttpSessionIdResolver;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionOperations;
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
   * A session is read by one question, nothing being begun for it; within an act it is read and
   * kept with the connection that the act has, and stored with it or not at all. Outside of one, a
   * new session and what is in it are two statements: nobody is told of it before both are done.
   */
  @Bean
  TransactionOperations springSessionTransactionOperations() {
    return TransactionOperations.withoutTransaction();
  }

  /** Two answers at once that both keep the same thing in a session: the later one stands. */
  @Bean
  PostgreSqlJdbcIndexedSessionRepositoryCustomizer laterOneStands() {
    return new PostgreSqlJdbcIndexedSessionRepositoryCustomizer();
  }

  /** How requests have their sessions: read once, and kept where something is new of them. */
  @Bean
  static BeanPostProcessor readOnceAndSeldomKept(
      ObjectProvider<FindByIndexNameSessionRepository<?>> sessions,
      ObjectProvider<CookieSerializer> cookies) {
    return new BeanPostProcessor() {
      @Override
      public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof SessionRepositoryFilter<?>
            ? filter(sessions.getObject(), cookies.getObject())
            : bean;
      }
    };
  }

  private static SessionRepositoryFilter<?> filter(
      SessionRepository<?> sessions, CookieSerializer cookie) {
    CookieHttpSessionIdResolver cookies = new CookieHttpSessionIdResolver();
    cookies.setCookieSerializer(cookie);
    SessionRepositoryFilter<?> filter = new SessionRepositoryFilter<>(new SeldomKept<>(sessions));
    filter.setHttpSessionIdResolver(new AskedOnce(cookies));
    return filter;
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
