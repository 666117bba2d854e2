package velvetcrock.products;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.making.Suspects;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.TinFate;
import velvetcrock.core.product.TinGroup;
import velvetcrock.drawer.Drawer;
import velvetcrock.drawer.LotRecord;
import velvetcrock.drawer.LotWords;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.web.Formats;

/** From a tin back to everything in it, from a lot forward to every tin, and what tins share. */
@Component
class Tracing {
  private static final int MOST_COMPARED = 200;
  private static final long TROUBLE_FREE_DAYS = 14;

  private final Products products;
  private final Traces traces;
  private final Drawer drawer;
  private final Catalogues catalogues;

  Tracing(Products products, Traces traces, Drawer drawer, Catalogues catalogues) {
    this.products = products;
    this.traces = traces;
    this.drawer = drawer;
    this.catalogues = catalogues;
  }

  /** Everything that is in a product, down to lots and harvests. */
  @Transactional(readOnly = true)
  List<ProductView.Source> sources(ProductRecord product, Formats fmt) {
    Catalogue catalogue = catalogues.current();
    LotWords words = new LotWords(catalogue, fmt);
    List<Traces.Back> back = traces.back(product.id());
    List<ProductView.Source> sources = new ArrayList<>();
    for (PartIn part : product.state().parts()) {
      PartIn.Infused infused = part.infused();
      List<ProductView.Lot> lots = new ArrayList<>();
      for (Traces.Back one : back) {
        boolean straight = one.batch() == null && one.lot().equals(part.lot());
        boolean through = infused != null && infused.batch().equals(one.batch());
        if (straight || through) {
          drawer.find(one.lot()).ifPresent(lot -> lots.add(lot(lot, words)));
        }
      }
      sources.add(
          new ProductView.Source(
              ProductParts.name(part, catalogue), fmt.g(part.massG()), link(infused), lots));
    }
    return sources;
  }

  private static @Nullable String link(PartIn.@Nullable Infused infused) {
    if (infused == null) {
      return null;
    }
    return infused.letter() == null
        ? "/batches/" + infused.batch()
        : "/cellar/" + infused.batch() + "/" + infused.letter();
  }

  private static ProductView.Lot lot(LotRecord lot, LotWords words) {
    return new ProductView.Lot(
        words.name(lot.lot()) + ", " + words.origin(lot.lot()), "/drawer/lots/" + lot.id());
  }

  /** Every product that a lot went into. */
  @Transactional(readOnly = true)
  List<ProductRecord> ofLot(UUID lot) {
    return products.of(traces.ofLot(lot));
  }

  /** Every product that a batch went into. */
  @Transactional(readOnly = true)
  List<ProductRecord> ofBatch(String code) {
    return products.of(traces.ofBatch(code));
  }

  /**
   * A tin with everything in it by name: herbs, oils, wax, essential oils, and each lot and batch.
   */
  record Seen(ProductRecord product, ProductState.Tin tin, Set<String> contents) {
    String name() {
      return product.code() + "-" + tin.name();
    }

    boolean troubled() {
      return !tin.reactions().isEmpty();
    }
  }

  /** Every tin of the newest products, and of all from which a skin reacted. */
  @Transactional(readOnly = true)
  List<Seen> tins(Formats fmt) {
    Map<UUID, ProductRecord> all = new LinkedHashMap<>();
    products.troubled().forEach(p -> all.put(p.id(), p));
    products.newest(MOST_COMPARED).forEach(p -> all.put(p.id(), p));
    Map<UUID, List<UUID>> lots = traces.lots(List.copyOf(all.keySet()));
    Map<UUID, String> names = lotNames(lots.values(), fmt);
    List<Seen> tins = new ArrayList<>();
    for (ProductRecord product : all.values()) {
      Set<String> inAll = contents(product.state());
      for (UUID lot : lots.getOrDefault(product.id(), List.of())) {
        inAll.add(names.getOrDefault(lot, "a lot that is no more"));
      }
      Map<String, Set<String>> byGroup = new HashMap<>();
      for (ProductState.Tin tin : product.state().filling().tins()) {
        tins.add(
            new Seen(
                product,
                tin,
                byGroup.computeIfAbsent(tin.group(), g -> contents(product.state(), g, inAll))));
      }
    }
    return tins;
  }

  private Map<UUID, String> lotNames(Collection<List<UUID>> lots, Formats fmt) {
    LotWords words = new LotWords(catalogues.current(), fmt);
    Map<UUID, String> names = new HashMap<>();
    drawer
        .among(lots.stream().flatMap(List::stream).collect(Collectors.toSet()))
        .forEach(
            (id, lot) ->
                names.put(id, "lot: " + words.name(lot.lot()) + ", " + words.origin(lot.lot())));
    return names;
  }

  private Set<String> contents(ProductState state) {
    Catalogue catalogue = catalogues.current();
    Set<String> contents = new LinkedHashSet<>();
    for (PartIn part : state.parts()) {
      PartIn.Infused infused = part.infused();
      if (infused == null) {
        contents.add(ProductParts.name(part, catalogue));
      } else {
        infused.herbs().forEach(h -> contents.add(catalogue.herb(h).name()));
        infused.oils().forEach(o -> contents.add(catalogue.carrier(o.carrier()).name()));
        contents.add("batch " + infused.batch());
      }
    }
    return contents;
  }

  /** What is in the tins of a group. */
  private Set<String> contents(ProductState state, String group, Set<String> inAll) {
    Set<String> contents = new LinkedHashSet<>(inAll);
    state.group(group).ifPresent(of -> contents.addAll(alone(state, of)));
    return contents;
  }

  /** What the tins of a group have besides the melt's parts. */
  private List<String> alone(ProductState state, TinGroup group) {
    Catalogue catalogue = catalogues.current();
    return Stream.concat(
            state.dropsOf(group, state.melt(catalogue)).stream()
                .map(d -> catalogue.essentialOil(d.oil()).name() + " (essential oil)"),
            group.extras().stream().map(p -> ProductParts.name(p, catalogue)))
        .toList();
  }

  /** Whom tins went to that hold for a question, with their names. */
  static List<String> given(List<Seen> tins, Predicate<Seen> which) {
    return tins.stream()
        .filter(t -> !t.tin().to().isEmpty())
        .filter(which)
        .map(t -> t.tin().to() + " (" + t.name() + ")")
        .toList();
  }

  /**
   * What the tins that troubled share: against those that were used up, or given away or in use for
   * two weeks, without a report.
   */
  static Suspects suspects(List<Seen> tins, Formats fmt) {
    return Suspects.of(
        tins.stream().filter(Seen::troubled).map(Seen::contents).toList(),
        tins.stream().filter(t -> troubleFree(t.tin(), fmt)).map(Seen::contents).toList());
  }

  private static boolean troubleFree(ProductState.Tin tin, Formats fmt) {
    if (!tin.reactions().isEmpty() || tin.fate() == null || tin.since() == null) {
      return false;
    }
    boolean used = tin.fate() == TinFate.USED_UP;
    boolean inUse = tin.fate() == TinFate.GIVEN || tin.fate() == TinFate.KEPT;
    return used || inUse && !fmt.date(tin.since()).plusDays(TROUBLE_FREE_DAYS).isAfter(fmt.today());
  }
}
