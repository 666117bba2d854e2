package velvetcrock.pots;

import java.util.LinkedHashMap;
import java.util.Map;
import velvetcrock.core.melt.PotEvent;
import velvetcrock.web.KindNames;

/** The names under which entries of a pot are stored. */
final class PotKinds {
  static final KindNames<PotEvent> NAMES = new KindNames<>(names());

  private PotKinds() {}

  private static Map<String, Class<? extends PotEvent>> names() {
    Map<String, Class<? extends PotEvent>> names = new LinkedHashMap<>();
    names.put("pot-begun", PotEvent.Begun.class);
    names.put("pot-added", PotEvent.Added.class);
    names.put("pot-tested", PotEvent.Tested.class);
    names.put("pot-read", PotEvent.Read.class);
    names.put("pot-looked", PotEvent.Looked.class);
    names.put("pot-poured", PotEvent.Poured.class);
    names.put("pot-abandoned", PotEvent.Abandoned.class);
    names.put("tin-went", PotEvent.Went.class);
    names.put("skin-reacted", PotEvent.Reacted.class);
    names.put("pot-remarked", PotEvent.Remarked.class);
    names.put("struck", PotEvent.Struck.class);
    return names;
  }
}
