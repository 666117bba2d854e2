package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.persistence.EntityManagerFactory;
import jakarta.persistence.Enumerated;
import java.lang.reflect.Field;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;
import org.springframework.core.type.filter.AnnotationTypeFilter;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.chronicle.Deed;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.keeping.Store;
import velvetcrock.ledger.Kind;

/** The database itself keeps households apart, ids from pointing nowhere, and odd words out. */
class EachItsOwnTest extends AppTest {
  private static final String OF_HOUSEHOLDS =
      "select c.relname from pg_class c join pg_attribute a on a.attrelid = c.oid"
          + " and a.attname = 'household_id' where c.relkind in ('r', 'p') and not c.relispartition"
          + " and c.relnamespace = 'public'::regnamespace order by 1";

  final JdbcTemplate owner = TestCluster.shared().owner();
  @Autowired JdbcTemplate application;
  @Autowired TransactionTemplate transactions;
  @Autowired EntityManagerFactory entities;

  private <T> T within(Somebody who, Supplier<T> work) {
    return current.actingAs(who, () -> transactions.execute(status -> work.get()));
  }

  private UUID neighbour() {
    return households.found("Next door", "Europe/Oslo", "METRIC", true).id();
  }

  private long count(JdbcTemplate jdbc, String table) {
    Long rows = jdbc.queryForObject("select count(*) from " + table, Long.class);
    return rows == null ? 0 : rows;
  }

  @Test
  void aQuestionThatForgetsTheHouseholdFindsNothing() {
    charge(5);
    List<String> filled = new ArrayList<>();
    for (String table : owner.queryForList(OF_HOUSEHOLDS, String.class)) {
      assertThat(count(application, table)).as("outside a transaction: " + table).isZero();
      Long asNobody = transactions.execute(status -> count(application, table));
      assertThat(asNobody).as("as nobody: " + table).isZero();
      if (count(owner, table) > 0) {
        filled.add(table);
      }
    }
    assertThat(filled).contains("entry", "batch", "bottle", "journal", "lot", "product", "reading");
  }

  /** Hibernate limits nothing to a household: each table has to, for whoever does not own it. */
  @Test
  void everyTableOfHouseholdsAsksForWhichOneOnceAStatement() {
    List<String> limited =
        owner.queryForList(
            "select c.relname from pg_class c join pg_policies p on p.tablename = c.relname"
                + " where c.relrowsecurity and p.policyname = 'own_household'"
                + " and p.cmd = 'ALL' and p.with_check is null and p.qual like"
                + " '(household_id = ( SELECT household_at_hand() AS household_at_hand))'"
                + " order by 1",
            String.class);
    assertThat(limited).isEqualTo(owner.queryForList(OF_HOUSEHOLDS, String.class));
  }

  @Test
  void whatATransactionAsksForNoConnectionCarriesOn() {
    TransactionTemplate steady =
        new TransactionTemplate(Objects.requireNonNull(transactions.getTransactionManager()));
    steady.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
    String asked = "select current_setting('transaction_isolation')";
    String carried = "select current_setting('default_transaction_isolation')";

    String steadily =
        current.actingAs(
            keeper,
            () ->
                steady.execute(
                    status ->
                        application.queryForObject(asked, String.class)
                            + ", but "
                            + application.queryForObject(carried, String.class)));
    String next = within(keeper, () -> application.queryForObject(asked, String.class));

    assertThat(steadily).isEqualTo("repeatable read, but read committed");
    assertThat(next).isEqualTo("read committed");
  }

  @Test
  void aHouseholdSeesItsOwnRowsAndWritesNoOthers() {
    Somebody neighbour = new Somebody(neighbour(), "Eve");
    charge(5);
    for (String table : owner.queryForList(OF_HOUSEHOLDS, String.class)) {
      Long others =
          within(
              keeper,
              () ->
                  application.queryForObject(
                      "select count(*) from " + table + " where household_id <> ?",
                      Long.class,
                      house.id()));
      assertThat(others).as(table).isZero();
    }
    assertThat(within(neighbour, () -> count(application, "batch"))).isZero();
    assertThat(within(keeper, () -> count(application, "batch"))).isOne();
    int touched = within(neighbour, () -> application.update("update batch set vessel = 'x'"));
    assertThat(touched).isZero();
    assertThatThrownBy(
            () ->
                within(
                    neighbour,
                    () ->
                        application.update(
                            "insert into place (id, household_id, name, light, celsius, position)"
                                + " values (?, ?, 'Loft', 'DARK', 18, 1)",
                            UUID.randomUUID(),
                            house.id())))
        .isInstanceOf(DataAccessException.class)
        .rootCause()
        .hasMessageContaining("row-level security");
    assertThat(within(keeper, () -> count(application, "batch"))).isOne();
  }

  @Test
  void noRowPointsIntoAnotherHousehold() {
    String code = charge(5);
    UUID batch =
        owner.queryForObject(
            "select id from batch where code = ? and household_id = ?",
            UUID.class,
            code,
            house.id());
    assertThatThrownBy(
            () ->
                owner.update(
                    "insert into reading (household_id, batch_id, at, celsius) values (?, ?, now(), 20)",
                    neighbour(),
                    batch))
        .isInstanceOf(DataAccessException.class);
    List<String> loose =
        owner.queryForList(
            "select a.attrelid::regclass || '.' || a.attname from pg_attribute a"
                + " join pg_class c on c.oid = a.attrelid where c.relkind in ('r', 'p') and not c.relispartition and a.attnum > 0"
                + " and c.relnamespace = 'public'::regnamespace and a.atttypid = 'uuid'::regtype"
                + " and a.attname like '%\\_id' and a.attname not in ('household_id', 'subject_id')"
                + " and not exists (select 1 from pg_constraint k where k.conrelid = c.oid"
                + " and k.contype = 'f' and a.attnum = any(k.conkey) and cardinality(k.conkey) = 2"
                + " and (select h.attnum from pg_attribute h where h.attrelid = c.oid"
                + " and h.attname = 'household_id') = any(k.conkey))",
            String.class);
    assertThat(loose).as("ids without a key that says the household as well").isEmpty();
  }

  @Test
  void aConstraintKnowsEveryWordOfItsList() {
    Map<String, Set<String>> known = known();
    Map<String, Set<String>> lists = lists();
    assertThat(lists).hasSizeGreaterThan(35);
    lists.forEach((column, words) -> assertThat(known.get(column)).as(column).isEqualTo(words));
  }

  /** The words that the constraints of the store let in, by table and column. */
  private Map<String, Set<String>> known() {
    Map<String, Set<String>> known = new HashMap<>();
    owner.query(
        "select k.conrelid::regclass || '.' || a.attname, w.word from pg_constraint k"
            + " join pg_attribute a on a.attrelid = k.conrelid and k.conkey = array[a.attnum]"
            + " cross join lateral (select (regexp_matches(pg_get_constraintdef(k.oid),"
            + " '''([A-Za-z0-9_-]+)''', 'g'))[1] as word) w where k.contype = 'c'",
        row -> {
          known.computeIfAbsent(row.getString(1), c -> new TreeSet<>()).add(row.getString(2));
        });
    return known;
  }

  /** The words that the code can write, by table and column. */
  private Map<String, Set<String>> lists() {
    Map<String, Set<String>> lists = new HashMap<>();
    entities.getMetamodel().getManagedTypes().stream()
        .map(type -> type.getJavaType())
        .flatMap(type -> Arrays.stream(type.getDeclaredFields()))
        .filter(field -> field.isAnnotationPresent(Enumerated.class))
        .forEach(field -> lists.put(table(field) + "." + snake(field.getName()), words(field)));
    lists.put("batch.status", names(BatchState.Status.values()));
    lists.put("happened.deed", names(Deed.values()));
    lists.put("bottle.place", names(Store.Place.values()));
    lists.put("bottle.glass", names(Store.Glass.values()));
    lists.put("bottle.decided_by", names(Keeping.Rule.values()));
    lists.put("bottle.gone_because", names(Ending.values()));
    lists.put("entry.kind", kinds());
    // whoever looks around the demo has no account
    lists.get("member.role").remove("VISITOR");
    lists.get("invitation.role").remove("VISITOR");
    return lists;
  }

  private static String table(Field field) {
    Class<?> type = field.getDeclaringClass();
    jakarta.persistence.Table named = type.getAnnotation(jakarta.persistence.Table.class);
    String name = type.getSimpleName();
    return switch (name) {
      case "OwnAppliance" -> named == null ? "appliance" : named.name();
      case "Reading" -> "household";
      default -> named == null || named.name().isEmpty() ? snake(name) : named.name();
    };
  }

  private static String snake(String name) {
    String parts = name.replaceAll("([a-z0-9])([A-Z])", "$1_$2");
    return parts.toLowerCase(java.util.Locale.ROOT);
  }

  private static Set<String> words(Field field) {
    return names((Enum<?>[]) field.getType().getEnumConstants());
  }

  private static Set<String> names(Enum<?>[] values) {
    return new TreeSet<>(Stream.of(values).map(Enum::name).toList());
  }

  private static Set<String> kinds() {
    var scan =
        new ClassPathScanningCandidateComponentProvider(false) {
          @Override
          protected boolean isCandidateComponent(
              org.springframework.beans.factory.annotation.AnnotatedBeanDefinition found) {
            return true;
          }
        };
    scan.addIncludeFilter(new AnnotationTypeFilter(Kind.class));
    Set<String> kinds = new TreeSet<>();
    for (BeanDefinition found : scan.findCandidateComponents("velvetcrock")) {
      try {
        Kind kind = Class.forName(found.getBeanClassName()).getAnnotation(Kind.class);
        if (kind != null) {
          kinds.add(kind.name());
        }
      } catch (ClassNotFoundException e) {
        throw new IllegalStateException(e);
      }
    }
    return kinds;
  }

  /** Whoever gets hold of the application's connection cannot rewrite what was logged. */
  @Test
  void theApplicationsOwnRoleCannotTouchTheLog() {
    charge(5);
    assertThat(application.queryForObject("select current_user", String.class))
        .isEqualTo("velvetcrock_app");
    for (String statement :
        List.of(
            "delete from entry",
            "update entry set written_by = 'x'",
            "alter table entry disable trigger all",
            "alter table entry disable row level security",
            "drop policy own_household on entry",
            "drop table journal",
            "set role velvetcrock_eraser",
            "set session authorization velvetcrock",
            "select * from flyway_schema_history",
            "select forget_name('" + house.id() + "', 'ada')")) {
      assertThatThrownBy(() -> within(keeper, () -> application.update(statement)))
          .as(statement)
          .isInstanceOf(DataAccessException.class);
    }
  }
}
