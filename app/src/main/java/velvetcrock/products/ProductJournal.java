package velvetcrock.products;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.ProductEvent;
import velvetcrock.core.product.ProductState;
import velvetcrock.journal.Journal;
import velvetcrock.journal.JournalLine;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;

/** Tells the journal what was written in the logs of products. */
@Component
class ProductJournal {
  private final Journal journal;
  private final Catalogues catalogues;
  private final Households households;
  private final CurrentHousehold current;

  ProductJournal(
      Journal journal, Catalogues catalogues, Households households, CurrentHousehold current) {
    this.journal = journal;
    this.catalogues = catalogues;
    this.households = households;
    this.current = current;
  }

  /** Tells of an entry by whoever is signed in. */
  void tell(String code, ProductState state, Entry<ProductEvent> entry) {
    tell(code, state, entry, current.name());
  }

  /** Tells of an entry; one that only takes another back is told by striking that. */
  void tell(String code, ProductState state, Entry<ProductEvent> entry, String by) {
    if (entry.event().strikes()) {
      journal.strike(entry.replaces());
      return;
    }
    Catalogue catalogue = catalogues.current();
    ProductWords words = new ProductWords(catalogue, households.formats(households.current()));
    List<String> herbs =
        state.parts().stream()
            .flatMap(p -> p.infused() == null ? Stream.of() : p.infused().herbs().stream())
            .distinct()
            .toList();
    List<String> oils =
        state.parts().stream()
            .filter(p -> p.kind() == PartIn.Kind.CARRIER)
            .flatMap(p -> p.blend(catalogue).shares().stream())
            .map(s -> s.carrier().key())
            .distinct()
            .toList();
    String about =
        Stream.concat(
                herbs.stream().map(h -> catalogue.herb(h).name()),
                state.parts().stream().map(p -> ProductParts.name(p, catalogue)))
            .distinct()
            .collect(Collectors.joining(", "));
    journal.keep(
        new JournalLine(
            entry.id(),
            entry.event().kind(),
            new JournalLine.Subject(
                code + " " + words.name(state), "/products/" + code, about, herbs, oils),
            entry.at(),
            by,
            words.of(entry.event()).title(),
            words.of(entry.event()).detail(),
            false),
        entry.replaces());
  }
}
