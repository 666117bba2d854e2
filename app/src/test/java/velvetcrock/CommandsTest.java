package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.DriverManager;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;

/** The commands that guard the data. */
class CommandsTest {
  private static String command(String name) {
    return TestCluster.root().resolve("bin/" + name).toString();
  }

  @Test
  void whatWasBackedUpIsWhatIsRestoredAndTheFormerComesBack() throws Exception {
    TestCluster cluster = TestCluster.durable();
    Path folder = Files.createTempDirectory("velvetcrock-backup");
    String file = folder.resolve("crock.backup").toString();
    String stranger = folder.resolve("stranger.backup").toString();
    String data = cluster.dir().toString();
    sql(cluster, "create table jars as select 'K7M' as code");
    TestCluster.run(List.of(command("backup"), stranger, "--data", data));
    sql(cluster, "drop table jars");
    settle(data);
    sql(cluster, "create table jars as select 'K7M' as code");
    TestCluster.run(List.of(command("backup"), file, "--data", data));
    sql(cluster, "update jars set code = 'lost'");

    assertThatThrownBy(() -> restore(file, "--dta", data))
        .hasMessageContaining("--dta is not known");
    assertThatThrownBy(() -> restore("--data", data)).hasMessageContaining("Usage");
    assertThatThrownBy(() -> restore("--back", "--data", data))
        .hasMessageContaining("Nothing was restored here before");
    assertThatThrownBy(() -> restore(stranger, "--data", data))
        .hasMessageContaining("does not pass its own check")
        .hasMessageContaining("Nothing was changed");
    assertThat(jar(cluster)).isEqualTo("lost");

    restore(file, "--data", data);
    assertThat(jar(cluster)).isEqualTo("K7M");
    restore("--back", "--data", data);
    assertThat(jar(cluster)).isEqualTo("lost");
    restore("--data", data, "--back");
    assertThat(jar(cluster)).isEqualTo("K7M");
    assertThat(Files.size(cluster.dir().resolve("password"))).isEqualTo(48);
    assertThat(Files.getPosixFilePermissions(cluster.dir().resolve("password"))).hasSize(2);
    aNewerServerTakesItOver(cluster);
  }

  /** The same server stands in for a newer one, under another number. */
  private static void aNewerServerTakesItOver(TestCluster cluster) throws Exception {
    Path dir = cluster.dir();
    String version = Files.readString(dir.resolve("postgres/PG_VERSION")).strip();
    Path versions = Files.createTempDirectory("velvetcrock-versions");
    Files.setPosixFilePermissions(versions, PosixFilePermissions.fromString("rwxr-xr-x"));
    Path real = Path.of("/usr/lib/postgresql", version);
    Files.createSymbolicLink(versions.resolve("99"), real);
    String takeOver =
        "export VELVETCROCK_POSTGRES=%1$s; . %2$s/common.sh; . %2$s/backups.sh; exec 9>/dev/null; take_over %3$s"
            .formatted(versions, TestCluster.root() + "/bin/lib", dir);
    Files.createSymbolicLink(versions.resolve(version), real);
    assertThat(TestCluster.run(List.of("bash", "-c", takeOver)))
        .contains("from PostgreSQL " + version + " to 99")
        .contains("0 differences");
    assertThat(dir.resolve("postgres-" + version + "/PG_VERSION")).exists();
    assertThat(dir.resolve("taking-over")).doesNotExist();
    assertThat(jar(cluster)).isEqualTo("K7M");

    TestCluster.run(List.of(command("lib/cluster"), "stop", dir.toString()));
    Files.writeString(dir.resolve("postgres/PG_VERSION"), "12\n");
    assertThatThrownBy(() -> TestCluster.run(List.of("bash", "-c", takeOver)))
        .hasMessageContaining("apt-get install postgresql-12");
    Files.writeString(dir.resolve("postgres/PG_VERSION"), version + "\n");
  }

  private static void restore(String... words) {
    List<String> command = new ArrayList<>(List.of(command("restore")));
    command.addAll(List.of(words));
    TestCluster.run(command);
  }

  /** The one jar that is there; starts the cluster, which a command has stopped. */
  private static String jar(TestCluster cluster) throws Exception {
    cluster.start();
    try (var db = DriverManager.getConnection(cluster.url(), "velvetcrock", cluster.password());
        var rows = db.createStatement().executeQuery("select code from jars")) {
      assertThat(rows.next()).isTrue();
      return rows.getString(1);
    }
  }

  @Test
  void whoeverHoldsTheFolderIsNotDisturbed() throws Exception {
    TestCluster cluster = TestCluster.durable();
    Path file = Files.createTempDirectory("velvetcrock-backup").resolve("crock.backup");
    String data = cluster.dir().toString();
    TestCluster.run(List.of(command("backup"), file.toString(), "--data", data));
    assertThatThrownBy(
            () ->
                TestCluster.run(
                    List.of(
                        "flock",
                        data + "/lock",
                        command("restore"),
                        file.toString(),
                        "--data",
                        data)))
        .hasMessageContaining("Stop Velvet Crock first");
  }

  /** What root leaves among the service's data, the service could not touch. */
  @Test
  void dataOfAnotherUserAreLeftToThem() throws Exception {
    Path data = Files.createTempDirectory("velvetcrock-service");
    boolean root = Files.getOwner(data).getName().equals("root");
    if (root) {
      Files.setOwner(
          data,
          data.getFileSystem().getUserPrincipalLookupService().lookupPrincipalByName("nobody"));
    }
    String theirs = root ? data.toString() : "/";
    for (List<String> words :
        List.of(
            List.of(command("check")),
            List.of(command("backup"), "--kept"),
            List.of(command("restore"), "--back"),
            List.of(command("start"), "--port", "1"))) {
      List<String> all = new ArrayList<>(words);
      all.addAll(List.of("--data", theirs));
      assertThatThrownBy(() -> TestCluster.run(all))
          .as("%s", all)
          .hasMessageContaining("belong to")
          .hasMessageContaining("sudo velvetcrock");
    }
  }

  /** Else every start would install a Java that is there. */
  @Test
  void whatJavaSaysOfItsOptionsIsNotItsVersion() {
    String asked = ". " + TestCluster.root() + "/bin/lib/common.sh; has_java";
    TestCluster.run(List.of("env", "JAVA_TOOL_OPTIONS=-Dkettle=on", "bash", "-c", asked));
  }

  /** A machine that moved to another network does not vouch for what it may not. */
  @Test
  void theHousesAuthorityIsMadeForItsNameAndNetworksAlone() throws Exception {
    Path data = Files.createTempDirectory("velvetcrock-house");
    String made =
        ". ROOT/bin/lib/common.sh; . ROOT/bin/lib/house.sh;"
            + " house_networks() { echo 192.168.7.0/24 192.168.7.9; };"
            + " authority_create DATA kitchen.local; certificate_files DATA kitchen.local;"
            + " openssl x509 -in DATA/house/root.crt -noout -text;"
            + " house_networks() { echo 10.9.0.0/16 10.9.1.2; echo 192.168.7.0/24 192.168.7.9; };"
            + " authority_create DATA kitchen.local; echo addresses: $(house_addresses DATA);"
            + " caddyfile DATA kitchen.local 8080; ls DATA/house";
    String said =
        TestCluster.run(
            List.of(
                "bash",
                "-c",
                made.replace("ROOT", TestCluster.root().toString())
                    .replace("DATA", data.toString())));
    assertThat(said)
        .contains("Name Constraints: critical", "DNS:kitchen.local")
        .contains("IP:192.168.7.0/255.255.255.0", "addresses: 192.168.7.9\n")
        .contains("https://kitchen.local, https://192.168.7.9 {", "reverse_proxy 127.0.0.1:8080")
        .doesNotContain("10.9.", "root.key");
  }

  @Test
  void anEmptyHouseIsNotServedWhereSomebodyLived() throws Exception {
    TestCluster cluster = TestCluster.durable();
    String data = cluster.dir().toString();
    String start =
        ". "
            + TestCluster.root()
            + "/bin/lib/common.sh; database_create "
            + data
            + "; lived_in "
            + data;
    sql(cluster, "create table household as select false as demo");
    TestCluster.run(List.of("bash", "-c", start));
    sql(cluster, "drop table household");
    assertThatThrownBy(() -> TestCluster.run(List.of("bash", "-c", start)))
        .hasMessageContaining("its database is empty");

    String admin = cluster.url().replace("/velvetcrock", "/postgres");
    try (var db = DriverManager.getConnection(admin, "velvetcrock", cluster.password())) {
      db.createStatement().execute("alter database velvetcrock rename to velvetcrock_former");
    }
    assertThatThrownBy(() -> TestCluster.run(List.of("bash", "-c", start)))
        .hasMessageContaining("was broken off");
  }

  /** Kept backups are proved before they count, thinned out, encrypted and opened again. */
  @Test
  void aKeptBackupIsProvedEncryptedAndOpenedAgain() throws Exception {
    TestCluster cluster = TestCluster.durable();
    Path dir = cluster.dir();
    String data = dir.toString();
    Path other = Files.createTempDirectory("velvetcrock-other-disk");
    settle(data);
    String said =
        TestCluster.run(List.of(command("backup"), "--kept", "--why", "nightly", "--data", data));
    assertThat(said).contains("proved by a trial restore");
    String[] noted = Files.readString(dir.resolve("backups.tsv")).strip().split("\t", -1);
    assertThat(noted[4]).isEqualTo("no");
    assertThat(Long.parseLong(noted[2].strip()))
        .isEqualTo(Files.size(dir.resolve("backups").resolve(noted[1])));

    Path key = dir.resolve("key");
    String recipient = TestCluster.run(List.of("age-keygen", "-o", key.toString()));
    Files.writeString(
        dir.resolve("backup.conf"),
        "to=" + other + "\nrecipient=" + recipient.replaceAll("(?s).*(age1\\w+).*", "$1") + "\n");
    for (String day : List.of("20260101", "20260102", "20251201", "20251130", "20240101")) {
      Files.createFile(other.resolve("velvetcrock-" + day + "-030000.backup"));
    }
    sql(cluster, "create table jars as select 'K7M' as code");
    TestCluster.run(List.of(command("backup"), "--kept", "--data", data));
    sql(cluster, "update jars set code = 'lost'");
    String list = TestCluster.run(List.of(command("restore"), "--list", "--data", data));
    assertThat(list.lines().findFirst().orElseThrow()).contains(".backup.age");
    try (var files = Files.list(other)) {
      assertThat(files).hasSize(6);
    }
    assertThatThrownBy(() -> restore("newest", "--data", data)).hasMessageContaining("--identity");
    restore("newest", "--identity", key.toString(), "--data", data);
    assertThat(jar(cluster)).isEqualTo("K7M");

    sql(cluster, "update flyway_schema_history set checksum = 1 where version = '1'");
    assertThatThrownBy(() -> TestCluster.run(List.of(command("backup"), "--kept", "--data", data)))
        .hasMessageContaining("does not count");
    assertThat(Files.readString(dir.resolve("backups.tsv")))
        .contains("It did not pass its trial restore.");
  }

  /**
   * A rehearsal that fails leaves no classes, which a start would take, and nothing beside them.
   */
  @Test
  void whatWasNotRehearsedToTheEndIsNotKept() throws Exception {
    TestCluster cluster = TestCluster.durable();
    Path folder = Files.createTempDirectory("velvetcrock-classes");
    Path jar = Files.writeString(folder.resolve("velvetcrock.jar"), "no program");
    Path former = Files.writeString(folder.resolve("classes-1.jsa"), "of another build");
    sql(cluster, "create database velvetcrock_rehearsal");

    TestCluster.run(
        List.of(
            "bash",
            "-euc",
            ". %s/bin/lib/common.sh; database_address %s; jar=%s; keep_classes"
                .formatted(TestCluster.root(), cluster.dir(), jar)));

    assertThat(former).doesNotExist();
    try (var left = Files.list(folder)) {
      assertThat(left).containsExactly(jar);
    }
    try (var db = DriverManager.getConnection(cluster.url(), "velvetcrock", cluster.password());
        var rows =
            db.createStatement()
                .executeQuery("select 1 from pg_database where datname like '%rehearsal'")) {
      assertThat(rows.next()).isFalse();
    }
  }

  /** A newer version's data are refused in words; an earlier one's are tried on a copy first. */
  @Test
  void anUpgradeIsTriedOnACopyAndNewerDataAreRefused() throws Exception {
    TestCluster cluster = TestCluster.durable();
    String data = cluster.dir().toString();
    String before =
        ". %1$s/common.sh; . %1$s/backups.sh; exec 9>/dev/null; database_address %2$s; before_upgrade %2$s"
            .formatted(TestCluster.root() + "/bin/lib", data);
    try (var file = CommandsTest.class.getResourceAsStream("/dumps/v15.sql.gz");
        var unpacked = new GZIPInputStream(file)) {
      sql(cluster, new String(unpacked.readAllBytes(), StandardCharsets.UTF_8));
    }
    sql(cluster, "update public.household set demo = false");
    assertThat(TestCluster.run(List.of("bash", "-c", before))).contains("proved by a trial");
    assertThat(Files.readString(cluster.dir().resolve("backups.tsv"))).contains("\tupgrade\t");
    sql(
        cluster,
        "update public.flyway_schema_history set version = '999' where version ="
            + " (select max(version::int)::text from public.flyway_schema_history)");
    assertThatThrownBy(() -> TestCluster.run(List.of("bash", "-c", before)))
        .hasMessageContaining("written by a newer Velvet Crock");
  }

  /** Lets the application make its tables. */
  private static void settle(String data) {
    TestCluster.run(
        List.of(
            "bash",
            "-c",
            ". "
                + TestCluster.root()
                + "/bin/lib/common.sh; database_address "
                + data
                + "; exec 9>/dev/null; application velvetcrock --velvetcrock.check=true"));
  }

  /** After a crash the number in the pid file may be anybody's: here it is this test's own. */
  @Test
  void anothersProcessIsNeitherStoppedNorTakenForTheDatabase() throws Exception {
    TestCluster cluster = TestCluster.durable();
    Path pid = cluster.dir().resolve("postgres/postmaster.pid");
    List<String> lines = Files.readAllLines(pid);
    List<String> stop = List.of(command("lib/cluster"), "stop", cluster.dir().toString());
    TestCluster.run(stop);
    lines.set(0, String.valueOf(ProcessHandle.current().pid()));
    Files.write(pid, lines);

    TestCluster.run(stop);
    cluster.start();
    sql(cluster, "select 1");
    cluster.kill();
    cluster.start();
    sql(cluster, "select 1");
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
