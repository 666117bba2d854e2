package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.batch.BatchStorage;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.Drawn;
import velvetcrock.core.drawer.DryingEvent;
import velvetcrock.core.drawer.LotEvent;
import velvetcrock.core.log.Event;
import velvetcrock.core.product.ProductEvent;
import velvetcrock.drawer.DrawerStorage;
import velvetcrock.ledger.EventStorage;
import velvetcrock.products.ProductStorage;

/** What was ever stored can be read, and nothing of a kind is forgotten. */
class StoredEntriesTest {
  private static final Map<String, EventStorage<?>> BY_SUBJECT =
      Map.of(
          "batch", BatchStorage.STORAGE,
          "lot", DrawerStorage.LOTS,
          "load", DrawerStorage.LOADS,
          "product", ProductStorage.STORAGE);

  private static final Map<String, Class<?>> FAMILIES =
      Map.of(
          "batch", BatchEvent.class,
          "lot", LotEvent.class,
          "load", DryingEvent.class,
          "product", ProductEvent.class);

  /** One entry as it was stored before there were versions. */
  record Sample(String subject, String kind, String data) {}

  static List<Sample> samples() throws IOException {
    try (var file = StoredEntriesTest.class.getResourceAsStream("/entries-as-first-stored.tsv")) {
      return new String(file.readAllBytes(), StandardCharsets.UTF_8)
          .lines()
          .filter(line -> !line.startsWith("#"))
          .map(line -> line.split("\t"))
          .map(cells -> new Sample(cells[0], cells[1], cells[2]))
          .toList();
    }
  }

  @ParameterizedTest
  @MethodSource("samples")
  void whatWasFirstStoredIsReadAndWrittenAgainUnchanged(Sample sample) {
    same(BY_SUBJECT.get(sample.subject()), sample);
  }

  private static <E extends Event<?>> void same(EventStorage<E> storage, Sample sample) {
    E event = storage.read(sample.kind(), 1, sample.data());

    assertThat(event.kind()).isEqualTo(sample.kind());
    String again = storage.json(event);
    JsonMapper json = JsonMapper.shared();
    String lifted = sample.data().replace("\"pot ", "\"product ");
    assertThat(json.readTree(again)).isEqualTo(json.readTree(lifted));
    assertThat(storage.read(sample.kind(), storage.version(event), again)).isEqualTo(event);
  }

  @Test
  void everyKindHasItsStoredNameItsSampleAndItsDescription() throws IOException {
    for (String subject : BY_SUBJECT.keySet()) {
      Set<String> sampled =
          samples().stream()
              .filter(s -> s.subject().equals(subject))
              .map(Sample::kind)
              .collect(Collectors.toCollection(TreeSet::new));
      EventStorage<?> storage = BY_SUBJECT.get(subject);

      assertThat(new TreeSet<>(storage.names())).as(subject).isEqualTo(sampled);
      assertThat(kinds(FAMILIES.get(subject))).as(subject).hasSameSizeAs(sampled);
      storage
          .kinds()
          .forEach((name, kind) -> assertThat(kind.says()).as(name).isNotBlank().endsWith("."));
    }
  }

  private static List<Class<?>> kinds(Class<?> family) {
    if (!family.isSealed()) {
      return List.of(family);
    }
    return Arrays.stream(family.getPermittedSubclasses())
        .flatMap(permitted -> kinds(permitted).stream())
        .collect(Collectors.toCollection(ArrayList::new));
  }

  @Test
  void anOlderFormIsLiftedAsItIsRead() {
    String data = "{\"bottle\":\"A\",\"ml\":70.0,\"text\":\"70 ml\",\"what\":\"pot HF74\"}";

    assertThat(BatchStorage.STORAGE.read("drawn", 1, data))
        .isEqualTo(new Drawn("A", 70, "70 ml", "product HF74"));
    assertThat(BatchStorage.STORAGE.read("drawn", 2, data))
        .isEqualTo(new Drawn("A", 70, "70 ml", "pot HF74"));
  }

  static Stream<String> nonsense() {
    return Stream.of("{", "[]", "{\"grossG\":\"12\",\"text\":\"\"}", "{\"colour\":3}", "{} {}");
  }

  @ParameterizedTest
  @MethodSource("nonsense")
  void whatIsNotOfItsKindIsRefusedAndNeverThrowsOtherwise(String data) {
    assertThatThrownBy(() -> BatchStorage.STORAGE.sent("pot-weighed", data))
        .isInstanceOf(Refused.class);
  }

  @Test
  void whatTheHouseWritesItselfIsTakenFromNobody() {
    String hot = "{\"from\":\"2026-11-01T10:00:00Z\",\"to\":null,\"peakC\":95.0,\"ceilingC\":90.0}";

    assertThatThrownBy(() -> BatchStorage.STORAGE.sent("ran-hot", hot))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("written by the house itself");
    assertThat(BatchStorage.STORAGE.read("ran-hot", 1, hot).kind()).isEqualTo("ran-hot");
  }
}
