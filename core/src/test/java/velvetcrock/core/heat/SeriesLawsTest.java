package velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.params.ParameterizedTest;

/** Laws of readings that come in any order. */
class SeriesLawsTest {
  @ParameterizedTest
  @InstancioSource(samples = 60)
  void inWhateverOrderParcelsComeTheSeriesIsTheSame(@Given int seed) {
    Random random = new Random(seed);
    TreeMap<Long, Double> all = new TreeMap<>();
    Series series = Series.none();
    for (int parcel = 0; parcel < 12; parcel++) {
      TreeMap<Long, Double> sent = new TreeMap<>();
      for (int i = random.nextInt(9); i > 0; i--) {
        sent.put((long) random.nextInt(60), (double) random.nextInt(100));
      }
      Series before = series;
      Map<Long, Double> was = Map.copyOf(all);
      series = series.with(of(sent));
      sent.forEach(all::putIfAbsent);
      assertThat(read(before)).isEqualTo(was);
      assertThat(read(series)).isEqualTo(all);
    }
  }

  private static Series of(TreeMap<Long, Double> readings) {
    Series.Builder series = Series.builder();
    readings.forEach(series::add);
    return series.build();
  }

  private static Map<Long, Double> read(Series series) {
    TreeMap<Long, Double> read = new TreeMap<>();
    for (int i = 0; i < series.size(); i++) {
      assertThat(i == 0 || series.millis(i) > series.millis(i - 1)).isTrue();
      read.put(series.millis(i), series.celsius(i));
    }
    return read;
  }
}
