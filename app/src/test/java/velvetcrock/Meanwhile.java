package velvetcrock;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.TestExecutionExceptionHandler;
import org.springframework.test.context.junit.jupiter.SpringExtension;
import velvetcrock.demo.DemoHousehold;

/**
 * What the server and its database were at when a test failed, told beside the failure: a page that
 * does not come says nothing of what it waits for. Its second try comes after all other tests, and
 * finds the demo put back as the first did.
 */
class Meanwhile implements BeforeEachCallback, TestExecutionExceptionHandler {
  private static final int DEEP = 8;

  private static final Set<String> FAILED = ConcurrentHashMap.newKeySet();

  @Override
  public void beforeEach(ExtensionContext context) {
    if (FAILED.contains(context.getUniqueId())) {
      SpringExtension.getApplicationContext(context).getBean(DemoHousehold.class).putBack();
    }
  }

  @Override
  public void handleTestExecutionException(ExtensionContext context, Throwable failed) {
    FAILED.add(context.getUniqueId());
    List<String> busy =
        Stream.concat(Stream.of("Meanwhile:"), Stream.concat(requests(), questions())).toList();
    throw new AssertionError(failed.getMessage() + "\n" + String.join("\n  ", busy), failed);
  }

  /** The requests that are being answered, and where. */
  private static Stream<String> requests() {
    return Thread.getAllStackTraces().entrySet().stream()
        .filter(thread -> thread.getKey().getName().matches("http-.*-exec-.*"))
        .filter(thread -> Arrays.stream(thread.getValue()).anyMatch(Meanwhile::isAnswering))
        .map(
            thread ->
                Arrays.stream(thread.getValue())
                    .limit(DEEP)
                    .map(frame -> frame.getClassName() + "." + frame.getMethodName())
                    .collect(Collectors.joining(" < ", thread.getKey().getName() + ": ", "")));
  }

  private static boolean isAnswering(StackTraceElement frame) {
    return frame.getClassName().endsWith("DispatcherServlet")
        || frame.getClassName().endsWith("FilterChainProxy");
  }

  /** What the database is asked, or is held open for, and what it waits for. */
  private static Stream<String> questions() {
    return TestCluster.shared()
        .owner()
        .queryForList(
            """
            select concat_ws(' ', state, now() - state_change, wait_event_type, wait_event,
                'blocked by', pg_blocking_pids(pid)::text, left(regexp_replace(query, '\\s+', ' ', 'g'), 160))
            from pg_stat_activity
            where state <> 'idle' and pid <> pg_backend_pid()
            order by state_change
            """,
            String.class)
        .stream();
  }
}
