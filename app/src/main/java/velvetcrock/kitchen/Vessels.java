package velvetcrock.kitchen;

import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The vessels of the kitchen with how many there are and how many stand empty. */
@Service
public class Vessels {
  private final Households households;
  private final List<VesselsInUse> inUse;

  Vessels(Households households, List<VesselsInUse> inUse) {
    this.households = households;
    this.inUse = inUse;
  }

  /** All of them: the household's own first, then the common shapes. */
  @Transactional(readOnly = true)
  public List<JarAtHand> all() {
    Map<String, Integer> counts = households.jarCounts();
    List<VesselsInUse.Count> used = inUse.stream().map(VesselsInUse::now).toList();
    return households.jars().stream()
        .map(
            jar ->
                new JarAtHand(
                    jar,
                    counts.containsKey(jar.key())
                        ? OptionalInt.of(counts.get(jar.key()))
                        : OptionalInt.empty(),
                    used.stream().mapToInt(count -> count.of(jar)).sum()))
        .toList();
  }
}
