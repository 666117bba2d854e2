package velvetcrock.stove;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.Refused;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Cells;
import velvetcrock.web.Formats;
import velvetcrock.web.Typed;

/** A logger's file: sent, asked about, watched, told line by line, taken back. */
@Controller
class ImportController {
  private static final int SHOWN = 200;
  private static final long MEGABYTE = 1024 * 1024;
  private static final long MOST_BYTES = 128 * MEGABYTE;

  private final Batches batches;
  private final Imports imports;
  private final Households households;

  ImportController(Batches batches, Imports imports, Households households) {
    this.batches = batches;
    this.imports = imports;
    this.households = households;
  }

  @PostMapping("/stove/{code}/imports")
  String send(
      @PathVariable String code,
      @RequestParam @Nullable MultipartFile file,
      @RequestParam @Nullable String scale,
      @RequestParam @Nullable String zone,
      RedirectAttributes flash)
      throws IOException {
    BatchRecord batch = batches.find(code);
    if (file == null || file.isEmpty()) {
      flash.addFlashAttribute("problem", "Choose a file first. An empty one holds no readings.");
      return "redirect:/stove/" + batch.code() + "#file";
    }
    if (file.getSize() > MOST_BYTES) {
      flash.addFlashAttribute(
          "problem",
          "That file has "
              + file.getSize() / MEGABYTE
              + " MB; at most "
              + MOST_BYTES / MEGABYTE
              + " are read at once. Split it, or let the logger write less often.");
      return "redirect:/stove/" + batch.code() + "#file";
    }
    try {
      UUID id =
          imports.send(
              batch,
              Typed.text(file.getOriginalFilename()),
              file.getInputStream(),
              choices(scale, null, zone, null));
      return "redirect:/stove/" + batch.code() + "/imports/" + id;
    } catch (Refused refused) {
      flash.addFlashAttribute("problem", refused.problems().get(0).message());
      return "redirect:/stove/" + batch.code() + "#file";
    }
  }

  private LoggerFile.Choices choices(
      @Nullable String scale,
      @Nullable String order,
      @Nullable String zone,
      @Nullable String clock) {
    LoggerFile.Scale unit =
        Typed.blank(scale)
            ? LoggerFile.Scale.UNKNOWN
            : Typed.named(LoggerFile.Scale.class, scale, "scale");
    ZoneId of;
    try {
      of = Typed.blank(zone) ? households.current().zone() : ZoneId.of(Typed.text(zone));
    } catch (DateTimeException e) {
      throw new Refused(
          "zone", "“" + Typed.text(zone) + "” is not a time zone, such as Europe/Oslo.");
    }
    return new LoggerFile.Choices(
        unit,
        Typed.blank(order) ? null : "month".equals(Typed.text(order)),
        of,
        Typed.blank(clock) ? null : "changed".equals(Typed.text(clock)));
  }

  @GetMapping("/stove/{code}/imports/{id}")
  String report(@PathVariable String code, @PathVariable UUID id, Model model) {
    BatchRecord batch = batches.find(code);
    ReadingImport row = imports.find(batch, id);
    Formats fmt = households.formats(households.current());
    model.addAttribute("batch", batch);
    model.addAttribute("sent", row);
    model.addAttribute("id", id);
    model.addAttribute("when", fmt.moment(row.startedAt()));
    model.addAttribute("questions", imports.questions(id).stream().map(Enum::name).toList());
    model.addAttribute("rejected", imports.rejected(id, SHOWN));
    model.addAttribute("shown", SHOWN);
    model.addAttribute("kept", Imports.MOST_REJECTED_KEPT);
    imports
        .progress(id)
        .ifPresent(
            far -> {
              long percent = row.bytes() == 0 ? 0 : 100 * far.bytesRead() / row.bytes();
              model.addAttribute("percent", Math.min(99, percent));
              model.addAttribute("lines", far.lines());
              model.addAttribute("bad", far.rejected());
            });
    return "stove/import";
  }

  /** Every bad line that was kept, as CSV. */
  @GetMapping("/stove/{code}/imports/{id}/rejected.csv")
  ResponseEntity<byte[]> rejected(@PathVariable String code, @PathVariable UUID id)
      throws IOException {
    imports.find(batches.find(code), id);
    StringBuilder text = new StringBuilder();
    try (CSVPrinter csv = new CSVPrinter(text, CSVFormat.DEFAULT)) {
      csv.printRecord("line", "why");
      for (Imports.Rejected bad : imports.rejected(id, Imports.MOST_REJECTED_KEPT)) {
        csv.printRecord(bad.line(), Cells.guarded(bad.why()));
      }
    }
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"rejected-lines.csv\"")
        .body(text.toString().getBytes(StandardCharsets.UTF_8));
  }

  @PostMapping("/stove/{code}/imports/{id}/answer")
  String answer(
      @PathVariable String code,
      @PathVariable UUID id,
      @RequestParam @Nullable String scale,
      @RequestParam @Nullable String order,
      @RequestParam @Nullable String zone,
      @RequestParam @Nullable String clock,
      RedirectAttributes flash) {
    BatchRecord batch = batches.find(code);
    List<String> open = imports.questions(id).stream().map(Enum::name).toList();
    if (open.contains("SCALE") && Typed.blank(scale)
        || open.contains("ORDER") && Typed.blank(order)
        || open.contains("CLOCK") && Typed.blank(clock)) {
      flash.addFlashAttribute("problem", "Say all that is asked: nothing is guessed.");
    } else {
      imports.answer(batch, id, choices(scale, order, zone, clock));
    }
    return "redirect:/stove/" + batch.code() + "/imports/" + id;
  }

  @PostMapping("/stove/{code}/imports/{id}/undo")
  String undo(@PathVariable String code, @PathVariable UUID id, RedirectAttributes flash) {
    BatchRecord batch = batches.find(code);
    try {
      int gone = imports.undo(batch, id);
      flash.addFlashAttribute(
          "notice",
          "Taken back: "
              + (gone == 1 ? "one reading is" : gone + " readings are")
              + " gone again.");
    } catch (Refused refused) {
      flash.addFlashAttribute("problem", refused.problems().get(0).message());
    }
    return "redirect:/stove/" + batch.code() + "/imports/" + id;
  }
}
