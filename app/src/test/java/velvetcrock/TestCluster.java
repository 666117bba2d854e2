package velvetcrock;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;

/** A throw-away database cluster, started by the same script as the application's own. */
final class TestCluster {
  private static final Path ROOT = Path.of("").toAbsolutePath().getParent();
  private static final String[] FAST = {
    "fsync=off",
    "synchronous_commit=off",
    "max_connections=150",
    "shared_preload_libraries=pg_stat_statements"
  };

  /** How a command runs the application: as it is tested, not from a jar that may not be built. */
  private static final String APPLICATION =
      "java -XX:+UseSerialGC -XX:TieredStopAtLevel=1 -Xmx512m -Dspring.aot.enabled="
          + processedAhead()
          + " -cp "
          + System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"))
          + " velvetcrock.VelvetCrock";

  private static TestCluster shared;

  private final Path dir;
  private final String[] settings;
  private String port = "";
  private String password = "";
  private JdbcTemplate owner;

  private TestCluster(String... settings) {
    this.settings = settings;
    try {
      this.dir = Files.createTempDirectory("velvetcrock-test");
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    Runtime.getRuntime().addShutdownHook(new Thread(this::discard));
    start();
  }

  /**
   * Whether the build has written down what a start would find out, as it does before the tests.
   */
  static boolean processedAhead() {
    String written = "VelvetCrock__ApplicationContextInitializer.class";
    return VelvetCrock.class.getResource(written) != null;
  }

  /** The cluster that all tests of a run share; fast rather than durable. */
  static synchronized TestCluster shared() {
    if (shared == null) {
      shared = new TestCluster(FAST);
    }
    return shared;
  }

  /** A cluster of its own, with the durable settings of the real one. */
  static TestCluster durable() {
    return new TestCluster();
  }

  void start() {
    List<String> command = new ArrayList<>(List.of("start", dir.toString()));
    command.addAll(List.of(settings));
    String said = script(command).strip();
    String[] answer = said.substring(said.lastIndexOf('\n') + 1).split(" ");
    port = answer[0];
    password = answer[1];
  }

  /** Starts it once more where it was before. */
  void startAgain() {
    String script = ". " + ROOT + "/bin/lib/common.sh; cluster_start " + dir + " " + port;
    run(List.of("bash", "-c", script));
  }

  String url() {
    return "jdbc:postgresql://127.0.0.1:" + port + "/velvetcrock";
  }

  String password() {
    return password;
  }

  /** Writes a household's own row, counted as if somebody at home had. */
  void write(UUID household, String set, Object... values) {
    Object[] all = Arrays.copyOf(values, values.length + 1);
    all[values.length] = household;
    owner().update("update household set " + set + " where id = ?", all);
    owner()
        .update(
            """
            insert into household_change (household_id, changes, kitchen) values (?, 1, 1)
              on conflict (household_id) do update
                set changes = household_change.changes + 1, kitchen = household_change.changes + 1
            """,
            household);
  }

  /** The store as its owner sees it: with the rows of every household. Its lines are kept. */
  synchronized JdbcTemplate owner() {
    if (owner == null) {
      HikariDataSource lines = new HikariDataSource();
      lines.setJdbcUrl(url());
      lines.setUsername("velvetcrock");
      lines.setPassword(password);
      lines.setMaximumPoolSize(4);
      lines.setMinimumIdle(0);
      owner = new JdbcTemplate(lines);
    }
    return owner;
  }

  Path dir() {
    return dir;
  }

  /** Ends the server and all its children as a power cut would. */
  void kill() throws IOException, InterruptedException {
    long postmaster =
        Long.parseLong(Files.readAllLines(dir.resolve("postgres/postmaster.pid")).get(0).strip());
    ProcessHandle server = ProcessHandle.of(postmaster).orElseThrow();
    List<ProcessHandle> children = server.children().toList();
    server.destroyForcibly();
    children.forEach(ProcessHandle::destroyForcibly);
    while (server.isAlive() || children.stream().anyMatch(ProcessHandle::isAlive)) {
      Thread.onSpinWait();
    }
  }

  void discard() {
    script(List.of("stop", dir.toString()));
    try (var files = Files.walk(dir)) {
      files.sorted(java.util.Comparator.reverseOrder()).forEach(file -> file.toFile().delete());
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private static String script(List<String> arguments) {
    List<String> command = new ArrayList<>(List.of(ROOT.resolve("bin/lib/cluster").toString()));
    command.addAll(arguments);
    return run(command);
  }

  /** Runs a command of the project and hands back what it printed. */
  static String run(List<String> command) {
    try {
      Path output = Files.createTempFile("velvetcrock", ".out");
      ProcessBuilder builder =
          new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(output.toFile());
      builder.environment().put("VELVETCROCK_RUN", APPLICATION);
      Process process = builder.start();
      int exit = process.waitFor();
      String printed = Files.readString(output);
      Files.delete(output);
      if (exit != 0) {
        throw new IllegalStateException(command + " ended with " + exit + ": " + printed);
      }
      return printed;
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  static Path root() {
    return ROOT;
  }
}
