package velvetcrock.plans;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import velvetcrock.web.Typed;

/** Links to the same want with something else about it. */
public final class InsteadLinks {
  /** The query of the planner's page with what is to be changed. */
  public String link(WantForm form, OutlookView.Instead instead) {
    Map<String, List<String>> fields = new LinkedHashMap<>();
    List<WantForm.Row> things = Objects.requireNonNull(form.things());
    boolean oilAlone = instead.fields().containsKey("things[0].what");
    for (int i = 0; i < (oilAlone ? 1 : things.size()); i++) {
      String at = "things[" + i + "].";
      fields.put(at + "what", List.of(Typed.text(things.get(i).what())));
      fields.put(at + "count", List.of(Typed.text(things.get(i).count())));
      fields.put(at + "size", List.of(Typed.text(things.get(i).size())));
      fields.put(at + "kind", List.of(Typed.text(things.get(i).kind())));
    }
    fields.put("herb", List.of(Typed.text(form.herb())));
    fields.put("cut", List.of(Typed.text(form.cut())));
    fields.put("carrier", List.of(Typed.text(form.carrier())));
    fields.put("by", List.of(Typed.text(form.by())));
    fields.put("from", List.of(Typed.text(form.from())));
    fields.put("ratio", List.of(Typed.text(form.ratio())));
    fields.put("safeFor", form.safeFor() == null ? List.of() : form.safeFor());
    instead
        .fields()
        .forEach((name, value) -> fields.put(name, value.isEmpty() ? List.of() : List.of(value)));
    List<String> pairs = new ArrayList<>();
    fields.forEach((name, values) -> values.forEach(v -> pairs.add(coded(name) + "=" + coded(v))));
    return pairs.stream().collect(Collectors.joining("&"));
  }

  private static String coded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }
}
