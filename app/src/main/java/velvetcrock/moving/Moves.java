package velvetcrock.moving;

import jakarta.annotation.PreDestroy;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.io.InputStreamSource;
import org.springframework.stereotype.Service;
import velvetcrock.chronicle.Chronicle;
import velvetcrock.chronicle.Deed;
import velvetcrock.core.Refused;
import velvetcrock.kitchen.Quotas;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.InHousehold;

/**
 * Packs and unpacks in the background, one household after another, while whoever asked goes on.
 * What lies packed is kept for a day; it is in the folder that is emptied at start.
 */
@Service
class Moves {
  private static final Logger LOG = LoggerFactory.getLogger(Moves.class);
  private static final Duration KEPT = Duration.ofDays(1);

  private final Packing packing;
  private final Unpacking unpacking;
  private final CurrentHousehold current;
  private final Chronicle chronicle;
  private final Quotas quotas;
  private final Clock clock;
  private final Map<UUID, Lying> packed = new ConcurrentHashMap<>();
  private final Map<UUID, Bringing> brought = new ConcurrentHashMap<>();
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(
          work -> {
            Thread thread = new Thread(work, "moving");
            thread.setDaemon(true);
            return thread;
          });

  Moves(
      Packing packing,
      Unpacking unpacking,
      CurrentHousehold current,
      Chronicle chronicle,
      Quotas quotas,
      Clock clock) {
    this.quotas = quotas;
    this.packing = packing;
    this.unpacking = unpacking;
    this.current = current;
    this.chronicle = chronicle;
    this.clock = clock;
  }

  private record Mover(UUID householdId, String displayName) implements InHousehold {}

  /** Where something stands. */
  public enum Stage {
    /** In the background. */
    UNDER_WAY,
    /** Done, or tried and found good. */
    READY,
    /** Not to be done. */
    REFUSED
  }

  /** A household that is being packed, or lies packed. */
  private static final class Lying {
    private final Path file;
    private final Instant begun;
    private final Progress progress = new Progress();
    private volatile Stage stage = Stage.UNDER_WAY;

    private Lying(Path file, Instant begun) {
      this.file = file;
      this.begun = begun;
    }

    private Packed now() {
      Stage now = stage;
      return new Packed(file, begun, now, progress.percent(), now == Stage.READY ? size(file) : 0);
    }
  }

  /**
   * How it stands with what was packed, at one moment.
   *
   * @param file where it lies
   * @param bytes its size once it is ready
   */
  record Packed(Path file, Instant begun, Stage stage, int percent, long bytes) {}

  /** A box that somebody brought. */
  private static final class Bringing {
    private final Path file;
    private final String name;
    private final Instant begun;
    private final Progress progress = new Progress();
    private volatile boolean taken;
    private volatile @Nullable Report report;

    /** Told last, so that whoever reads it first finds the rest as it says. */
    private volatile Stage stage = Stage.UNDER_WAY;

    private Bringing(Path file, String name, Instant begun) {
      this.file = file;
      this.name = name;
      this.begun = begun;
    }

    private Brought now() {
      return new Brought(name, stage, progress.percent(), taken, report);
    }
  }

  /**
   * How it stands with a box that somebody brought, at one moment.
   *
   * @param taken whether it was taken for good
   * @param report what was found in it; null until it was looked at
   */
  record Brought(String name, Stage stage, int percent, boolean taken, @Nullable Report report) {}

  /** What the current household has packed, if anything. */
  Optional<Packed> packed() {
    sweep();
    return Optional.ofNullable(packed.get(current.id())).map(Lying::now);
  }

  /** What was brought to the current household, if anything. */
  Optional<Brought> brought() {
    sweep();
    return Optional.ofNullable(brought.get(current.id())).map(Bringing::now);
  }

  /** Begins to pack the current household; what lay packed before is thrown away. */
  void pack() {
    UUID household = current.id();
    Lying before = packed.get(household);
    if (before != null && before.stage == Stage.UNDER_WAY) {
      return;
    }
    quotas.export();
    Lying now = new Lying(spool("packed"), clock.instant());
    chronicle.note(Deed.EXPORTED, "all of it, as a file");
    packed.put(household, now);
    if (before != null) {
      delete(before.file);
    }
    inBackground(() -> pack(now));
  }

  private void pack(Lying now) {
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(now.file))) {
      packing.pack(out, now.progress);
      out.close();
      now.stage = Stage.READY;
    } catch (IOException | RuntimeException e) {
      LOG.warn("A household was not packed", e);
      delete(now.file);
      now.stage = Stage.REFUSED;
    }
  }

  /** Throws away what lies packed. */
  void throwAway() {
    Lying gone = packed.remove(current.id());
    if (gone != null) {
      delete(gone.file);
    }
  }

  /**
   * Takes a box in and looks what is in it; nothing of it is put away.
   *
   * @throws Refused at {@code box} while another is being unpacked
   */
  void bring(String name, InputStreamSource content) {
    UUID household = current.id();
    Bringing before = brought.get(household);
    if (before != null && before.stage == Stage.UNDER_WAY) {
      throw new Refused("box", "Another is being looked at. Wait until that is done.");
    }
    Path file = spool("brought");
    try (InputStream in = content.getInputStream()) {
      Files.copy(in, file, StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException e) {
      delete(file);
      throw new UncheckedIOException(e);
    }
    Bringing now = new Bringing(file, name, clock.instant());
    brought.put(household, now);
    if (before != null) {
      delete(before.file);
    }
    inBackground(() -> unpack(now, false));
  }

  /**
   * Puts away what was looked at.
   *
   * @throws Refused at {@code box} if there is nothing that was found good
   */
  void take() {
    Bringing now = brought.get(current.id());
    if (now == null || now.stage != Stage.READY || now.taken) {
      throw new Refused("box", "There is nothing to take in. Choose the file once more.");
    }
    now.stage = Stage.UNDER_WAY;
    inBackground(() -> unpack(now, true));
  }

  /** Sends away what was brought. */
  void sendAway() {
    Bringing now = brought.get(current.id());
    if (now != null && now.stage != Stage.UNDER_WAY) {
      brought.remove(current.id());
      delete(now.file);
    }
  }

  private void unpack(Bringing now, boolean forGood) {
    try (Box box = Box.of(now.file)) {
      Report report = unpacking.unpack(box, forGood, now.progress);
      now.report = report;
      now.taken = forGood && report.good();
      now.stage = report.good() ? Stage.READY : Stage.REFUSED;
      if (now.taken) {
        chronicle.note(Deed.IMPORTED, report.household() + ", " + report.come() + " rows");
      }
    } catch (Refused refused) {
      now.report = Reports.refused(refused.problems().get(0).message());
      now.stage = Stage.REFUSED;
    } catch (IOException | RuntimeException e) {
      LOG.warn("A box was not unpacked", e);
      now.report = Reports.refused("It could not be read to its end, and nothing was taken.");
      now.stage = Stage.REFUSED;
    }
  }

  /** Reports of boxes that could not be opened. */
  private static final class Reports {
    static Report refused(String why) {
      return new Report(
          "", false, java.util.List.of(), java.util.List.of(), java.util.List.of(why));
    }
  }

  private void inBackground(Runnable work) {
    Mover mover = new Mover(current.id(), current.name());
    worker.execute(
        () ->
            current.actingAs(
                mover,
                () -> {
                  work.run();
                  return null;
                }));
  }

  private void sweep() {
    Instant since = clock.instant().minus(KEPT);
    packed
        .values()
        .removeIf(p -> p.stage != Stage.UNDER_WAY && old(p.begun, since) && delete(p.file));
    brought
        .values()
        .removeIf(b -> b.stage != Stage.UNDER_WAY && old(b.begun, since) && delete(b.file));
  }

  private static boolean old(Instant begun, Instant since) {
    return begun.isBefore(since);
  }

  private static long size(Path file) {
    try {
      return Files.size(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Path spool(String what) {
    try {
      return Files.createTempFile(what, ".zip");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static boolean delete(Path file) {
    try {
      Files.deleteIfExists(file);
    } catch (IOException e) {
      LOG.info("A file that was packed stays: {}", e.getMessage());
    }
    return true;
  }

  @PreDestroy
  void close() {
    worker.shutdown();
    packed.values().forEach(p -> delete(p.file));
    brought.values().forEach(b -> delete(b.file));
  }
}
