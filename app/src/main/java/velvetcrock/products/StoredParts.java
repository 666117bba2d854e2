package velvetcrock.products;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.making.Working;
import velvetcrock.core.product.DropsIn;
import velvetcrock.core.product.Intent;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.TinGroup;
import velvetcrock.ledger.Stored;

/** What entries of several kinds hold, as it is stored. */
final class StoredParts {
  private StoredParts() {}

  record IntentData(
      ProductKind making,
      String name,
      Drops.Where where,
      double usedAtC,
      double aim,
      Working.Vessel in,
      boolean stirred,
      Store.Place place,
      String forWhat,
      String recipe,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable TinsData tins) {
    static IntentData of(Intent v) {
      return new IntentData(
          v.making(),
          v.name(),
          v.where(),
          v.usedAtC(),
          v.aim(),
          v.in(),
          v.stirred(),
          v.place(),
          v.forWhat(),
          v.recipe(),
          Stored.one(v.tins(), t -> new TinsData(t.count(), t.ml())));
    }

    Intent value() {
      return new Intent(
          making,
          name,
          where,
          usedAtC,
          aim,
          in,
          stirred,
          place,
          forWhat,
          recipe,
          Stored.one(tins, t -> new Intent.Tins(t.count(), t.ml())));
    }
  }

  record TinsData(int count, double ml) {}

  record PartInData(
      PartIn.@Nullable Kind kind,
      String key,
      @Nullable InfusedData infused,
      @Nullable UUID lot,
      double massG,
      String text,
      @Nullable LocalDate goodUntil) {
    static PartInData of(PartIn v) {
      return new PartInData(
          v.kind(),
          v.key(),
          Stored.one(v.infused(), InfusedData::of),
          v.lot(),
          v.massG(),
          v.text(),
          v.goodUntil());
    }

    PartIn value() {
      return new PartIn(
          kind, key, Stored.one(infused, InfusedData::value), lot, massG, text, goodUntil);
    }
  }

  record InfusedData(
      String batch,
      @Nullable String letter,
      @Nullable List<OilShareData> oils,
      @Nullable List<String> herbs,
      @JsonInclude(JsonInclude.Include.NON_EMPTY) @Nullable List<Hazard> hazards) {
    static InfusedData of(PartIn.Infused v) {
      return new InfusedData(
          v.batch(),
          v.letter(),
          Stored.each(v.oils(), OilShareData::of),
          v.herbs(),
          v.hazards().stream().sorted().toList());
    }

    PartIn.Infused value() {
      return new PartIn.Infused(
          batch,
          letter,
          Stored.each(oils, OilShareData::value),
          herbs,
          hazards == null ? Set.of() : Set.copyOf(hazards));
    }
  }

  record OilShareData(String carrier, double share) {
    static OilShareData of(PartIn.OilShare v) {
      return new OilShareData(v.carrier(), v.share());
    }

    PartIn.OilShare value() {
      return new PartIn.OilShare(carrier, share);
    }
  }

  record DropsInData(String oil, double count) {
    static DropsInData of(DropsIn v) {
      return new DropsInData(v.oil(), v.count());
    }

    DropsIn value() {
      return new DropsIn(oil, count);
    }
  }

  record TinGroupData(
      String letter,
      String vessel,
      double ml,
      int count,
      Drops.Where where,
      List<DropsInData> drops,
      List<PartInData> extras,
      String reason) {
    static TinGroupData of(TinGroup v) {
      return new TinGroupData(
          v.letter(),
          v.vessel(),
          v.ml(),
          v.count(),
          v.where(),
          Stored.each(v.drops(), DropsInData::of),
          Stored.each(v.extras(), PartInData::of),
          v.reason());
    }

    TinGroup value() {
      return new TinGroup(
          letter,
          vessel,
          ml,
          count,
          where,
          Stored.each(drops, DropsInData::value),
          Stored.each(extras, PartInData::value),
          reason);
    }
  }
}
