package velvetcrock.moving;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Packs and unpacks for tests, without pages. */
@Component
public class MovingHand {
  private final Packing packing;
  private final Unpacking unpacking;

  MovingHand(Packing packing, Unpacking unpacking) {
    this.packing = packing;
    this.unpacking = unpacking;
  }

  /** What a test wants to know of a report. */
  public record Said(
      boolean good,
      long come,
      long here,
      List<String> clashes,
      List<String> problems,
      List<String> changed) {}

  /** The current household as a file. */
  public byte[] pack() {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      packing.pack(out, new Progress());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  /** A file into the current household. */
  public Said unpack(byte[] file, boolean forGood) {
    try {
      Path path = Files.createTempFile("box", ".zip");
      try {
        Files.write(path, file);
        try (Box box = Box.of(path)) {
          Report report = unpacking.unpack(box, forGood, new Progress());
          List<String> clashes = new ArrayList<>();
          report.lines().forEach(l -> clashes.addAll(l.clashes()));
          return new Said(
              report.good(),
              report.come(),
              report.lines().stream().mapToLong(Report.Line::here).sum(),
              clashes,
              report.problems(),
              report.changed());
        }
      } finally {
        Files.delete(path);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Every column of the list: by table, those that are packed and those that are left out. */
  public static Map<String, List<String>> columns() {
    Map<String, List<String>> columns = new LinkedHashMap<>();
    Tables.listed()
        .forEach(
            table -> {
              List<String> known = new ArrayList<>();
              Map<?, ?> reads = (Map<?, ?>) table.getOrDefault("reads", Map.of());
              ((Map<?, ?>) table.get("fields"))
                  .keySet().stream()
                      .filter(f -> !reads.containsKey(f))
                      .forEach(f -> known.add(f.toString()));
              ((List<?>) table.getOrDefault("left-out", List.of()))
                  .forEach(f -> known.add(f.toString()));
              columns.put((String) table.getOrDefault("table", table.get("name")), known);
            });
    return columns;
  }
}
