package velvetcrock.web;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.hibernate.cfg.MultiTenancySettings;
import org.hibernate.context.spi.CurrentTenantIdentifierResolver;
import org.springframework.boot.hibernate.autoconfigure.HibernatePropertiesCustomizer;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/**
 * The one place that says for which household something is done: each transaction tells PostgreSQL,
 * which shows no other's rows ({@link HouseholdTransactions}), and Hibernate writes it into each
 * new row. Nobody signed in sees nobody's.
 */
@Component
public class CurrentHousehold
    implements CurrentTenantIdentifierResolver<UUID>, HibernatePropertiesCustomizer {
  private static final UUID NOBODY = new UUID(0, 0);

  private final ThreadLocal<InHousehold> standIn = new ThreadLocal<>();

  /** Runs something on behalf of somebody other than who is signed in. */
  public <T> T actingAs(InHousehold who, Supplier<T> work) {
    InHousehold before = standIn.get();
    standIn.set(who);
    try {
      return work.get();
    } finally {
      if (before == null) {
        standIn.remove();
      } else {
        standIn.set(before);
      }
    }
  }

  /** Who acts, if anybody does. */
  public Optional<InHousehold> who() {
    if (standIn.get() != null) {
      return Optional.of(standIn.get());
    }
    Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
    return Optional.ofNullable(authentication)
        .map(Authentication::getPrincipal)
        .filter(InHousehold.class::isInstance)
        .map(InHousehold.class::cast);
  }

  /** The name of whoever acts, as it stands in a log; empty if nobody does. */
  public String name() {
    return who().map(InHousehold::displayName).orElse("");
  }

  /**
   * Whose rows are meant.
   *
   * @throws IllegalStateException if nobody is signed in
   */
  public UUID id() {
    return who()
        .map(InHousehold::householdId)
        .orElseThrow(() -> new IllegalStateException("Nobody is signed in."));
  }

  @Override
  public UUID resolveCurrentTenantIdentifier() {
    return who().map(InHousehold::householdId).orElse(NOBODY);
  }

  /**
   * Always: PostgreSQL says of each row whose it is, and no question need say it once more. One
   * that Hibernate limits is put into SQL anew each time it is asked.
   */
  @Override
  public boolean isRoot(UUID household) {
    return true;
  }

  @Override
  public boolean validateExistingCurrentSessions() {
    return true;
  }

  @Override
  public void customize(Map<String, Object> properties) {
    properties.put(MultiTenancySettings.MULTI_TENANT_IDENTIFIER_RESOLVER, this);
  }
}
