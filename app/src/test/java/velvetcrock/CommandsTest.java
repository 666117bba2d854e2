package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The commands that guard the data. */
class CommandsTest {
  private static String command(String name) {
    return TestCluster.root().resolve("bin/" + name).toString();
  }

  @Test
  void whatWasBackedUpIsWhatIsRestored() throws Exception {
    TestCluster cluster = TestCluster.durable();
    Path file = Files.createTempDirectory("velvetcrock-backup").resolve("crock.backup");
    String data = cluster.dir().toString();
    sql(cluster, "create table jars as select 'K7M' as code");

    TestCluster.run(List.of(command("backup"), file.toString(), "--data", data));
    sql(cluster, "update jars set code = 'lost'");
    assertThatThrownBy(
            () -> TestCluster.run(List.of(command("restore"), file.toString(), "--data", data)))
        .hasMessageContaining("Stop Velvet Crock first");
    TestCluster.run(List.of(command("lib/cluster"), "stop", data));
    TestCluster.run(List.of(command("restore"), file.toString(), "--data", data));
    cluster.start();

    try (var db = DriverManager.getConnection(cluster.url(), "velvetcrock", cluster.password());
        var rows = db.createStatement().executeQuery("select code from jars")) {
      assertThat(rows.next()).isTrue();
      assertThat(rows.getString(1)).isEqualTo("K7M");
    }
    assertThat(Files.size(cluster.dir().resolve("password"))).isEqualTo(48);
    assertThat(Files.getPosixFilePermissions(cluster.dir().resolve("password"))).hasSize(2);
  }

  @Test
  void aFileThatIsNoBackupChangesNothing() throws Exception {
    Path file = Files.createTempFile("velvetcrock", ".backup");
    Files.writeString(file, "not a backup");

    assertThatThrownBy(
            () ->
                TestCluster.run(
                    List.of(command("restore"), file.toString(), "--data", file + ".d")))
        .hasMessageContaining("Nothing was changed");
    assertThat(Path.of(file + ".d")).doesNotExist();
  }

  private static void sql(TestCluster cluster, String statement) throws Exception {
    try (var db = DriverManager.getConnection(cluster.url(), "velvetcrock", cluster.password())) {
      db.createStatement().execute(statement);
    }
  }
}
