package velvetcrock.products;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.making.Whipping;
import velvetcrock.core.product.Abandoned;
import velvetcrock.core.product.MeltRead;
import velvetcrock.core.product.OilReckonedAnew;
import velvetcrock.core.product.Poured;
import velvetcrock.core.product.ProductBegun;
import velvetcrock.core.product.ProductEvent;
import velvetcrock.core.product.ProductRemarked;
import velvetcrock.core.product.ProductStruck;
import velvetcrock.core.product.SkinReacted;
import velvetcrock.core.product.SpoonTested;
import velvetcrock.core.product.StirredIn;
import velvetcrock.core.product.TinFate;
import velvetcrock.core.product.TinWent;
import velvetcrock.core.product.WhippingSeen;
import velvetcrock.ledger.Door;
import velvetcrock.ledger.Kind;
import velvetcrock.ledger.Stored;
import velvetcrock.ledger.StoredEvent;
import velvetcrock.products.StoredParts.DropsInData;
import velvetcrock.products.StoredParts.IntentData;
import velvetcrock.products.StoredParts.PartInData;
import velvetcrock.products.StoredParts.TinGroupData;

/** Entries about a product, as they are stored. */
interface StoredProduct extends ProductEvent.Visitor<StoredEvent<ProductEvent>> {
  @Override
  default StoredEvent<ProductEvent> productBegun(ProductBegun event) {
    return ProductBegunData.of(event);
  }

  @Override
  default StoredEvent<ProductEvent> stirredIn(StirredIn event) {
    return StirredInData.of(event);
  }

  @Override
  default StoredEvent<ProductEvent> spoonTested(SpoonTested event) {
    return SpoonTestedData.of(event);
  }

  @Override
  default StoredEvent<ProductEvent> meltRead(MeltRead event) {
    return MeltReadData.of(event);
  }

  @Override
  default StoredEvent<ProductEvent> whippingSeen(WhippingSeen event) {
    return WhippingSeenData.of(event);
  }

  @Override
  default StoredEvent<ProductEvent> poured(Poured event) {
    return PouredData.of(event);
  }

  @Override
  default StoredEvent<ProductEvent> abandoned(Abandoned event) {
    return AbandonedData.of(event);
  }

  @Override
  default StoredEvent<ProductEvent> tinWent(TinWent event) {
    return TinWentData.of(event);
  }

  @Override
  default StoredEvent<ProductEvent> skinReacted(SkinReacted event) {
    return SkinReactedData.of(event);
  }

  @Override
  default StoredEvent<ProductEvent> productRemarked(ProductRemarked event) {
    return ProductRemarkedData.of(event);
  }

  @Override
  default StoredEvent<ProductEvent> oilReckonedAnew(OilReckonedAnew event) {
    return OilReckonedAnewData.of(event);
  }

  @Override
  default StoredEvent<ProductEvent> productStruck(ProductStruck event) {
    return ProductStruckData.of(event);
  }

  @Kind(name = "pot-begun", says = "It was weighed into the pan.", door = Door.ANYBODY)
  record ProductBegunData(
      @Nullable IntentData plan, List<PartInData> parts, List<DropsInData> drops, String reason)
      implements StoredEvent<ProductEvent> {
    static ProductBegunData of(ProductBegun e) {
      return new ProductBegunData(
          IntentData.of(e.plan()),
          Stored.each(e.parts(), PartInData::of),
          Stored.each(e.drops(), DropsInData::of),
          e.reason());
    }

    @Override
    public ProductEvent event() {
      return new ProductBegun(
          plan == null ? null : plan.value(),
          Stored.each(parts, PartInData::value),
          Stored.each(drops, DropsInData::value),
          reason);
    }
  }

  @Kind(name = "pot-added", says = "More was stirred in.", door = Door.ANYBODY)
  record StirredInData(List<PartInData> parts, List<DropsInData> drops, String reason)
      implements StoredEvent<ProductEvent> {
    static StirredInData of(StirredIn e) {
      return new StirredInData(
          Stored.each(e.parts(), PartInData::of),
          Stored.each(e.drops(), DropsInData::of),
          e.reason());
    }

    @Override
    public ProductEvent event() {
      return new StirredIn(
          Stored.each(parts, PartInData::value), Stored.each(drops, DropsInData::value), reason);
    }
  }

  @Kind(name = "pot-tested", says = "The spoon test.", door = Door.ANYBODY)
  record SpoonTestedData(double harder, double hardness, @Nullable Double stillG)
      implements StoredEvent<ProductEvent> {
    static SpoonTestedData of(SpoonTested e) {
      return new SpoonTestedData(e.harder(), e.hardness(), e.stillG());
    }

    @Override
    public ProductEvent event() {
      return new SpoonTested(harder, hardness, stillG);
    }
  }

  @Kind(name = "pot-read", says = "The melt's temperature was read.", door = Door.ANYBODY)
  record MeltReadData(double celsius) implements StoredEvent<ProductEvent> {
    static MeltReadData of(MeltRead e) {
      return new MeltReadData(e.celsius());
    }

    @Override
    public ProductEvent event() {
      return new MeltRead(celsius);
    }
  }

  @Kind(name = "pot-looked", says = "A whipped butter was looked at.", door = Door.ANYBODY)
  record WhippingSeenData(Whipping.Look look) implements StoredEvent<ProductEvent> {
    static WhippingSeenData of(WhippingSeen e) {
      return new WhippingSeenData(e.look());
    }

    @Override
    public ProductEvent event() {
      return new WhippingSeen(look);
    }
  }

  @Kind(name = "pot-poured", says = "It was poured.", door = Door.ANYBODY)
  record PouredData(
      List<TinGroupData> groups,
      boolean stirred,
      @Nullable Long boughtMinor,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable Boolean kept)
      implements StoredEvent<ProductEvent> {
    static PouredData of(Poured e) {
      return new PouredData(
          Stored.each(e.groups(), TinGroupData::of),
          e.stirred(),
          e.boughtMinor(),
          e.kept() ? true : null);
    }

    @Override
    public ProductEvent event() {
      return new Poured(
          Stored.each(groups, TinGroupData::value),
          stirred,
          boughtMinor,
          Boolean.TRUE.equals(kept));
    }
  }

  @Kind(name = "pot-abandoned", says = "It came to nothing.", door = Door.ANYBODY)
  record AbandonedData(boolean givenBack, String why) implements StoredEvent<ProductEvent> {
    static AbandonedData of(Abandoned e) {
      return new AbandonedData(e.givenBack(), e.why());
    }

    @Override
    public ProductEvent event() {
      return new Abandoned(givenBack, why);
    }
  }

  @Kind(
      name = "oil-reckoned-anew",
      says = "What is known of an oil that went in is otherwise than it was then.",
      door = Door.HOUSE)
  record OilReckonedAnewData(String oil, LocalDate until, List<Hazard> hazards, String why)
      implements StoredEvent<ProductEvent> {
    static OilReckonedAnewData of(OilReckonedAnew e) {
      return new OilReckonedAnewData(
          e.oil(), e.until(), e.hazards().stream().sorted().toList(), e.why());
    }

    @Override
    public ProductEvent event() {
      return new OilReckonedAnew(oil, until, Set.copyOf(hazards), why);
    }
  }

  @Kind(name = "tin-went", says = "A tin went somewhere.", door = Door.ANYBODY)
  record TinWentData(String tin, TinFate fate, String to, String remark)
      implements StoredEvent<ProductEvent> {
    static TinWentData of(TinWent e) {
      return new TinWentData(e.tin(), e.fate(), e.to(), e.remark());
    }

    @Override
    public ProductEvent event() {
      return new TinWent(tin, fate, to, remark);
    }
  }

  @Kind(name = "skin-reacted", says = "A skin reacted.", door = Door.ANYBODY)
  record SkinReactedData(String tin, String what) implements StoredEvent<ProductEvent> {
    static SkinReactedData of(SkinReacted e) {
      return new SkinReactedData(e.tin(), e.what());
    }

    @Override
    public ProductEvent event() {
      return new SkinReacted(tin, what);
    }
  }

  @Kind(name = "pot-remarked", says = "Something worth writing down.", door = Door.ANYBODY)
  record ProductRemarkedData(String text) implements StoredEvent<ProductEvent> {
    static ProductRemarkedData of(ProductRemarked e) {
      return new ProductRemarkedData(e.text());
    }

    @Override
    public ProductEvent event() {
      return new ProductRemarked(text);
    }
  }

  @Kind(
      name = "struck",
      says = "Nothing: takes back the entry that it replaces.",
      door = Door.ANYBODY)
  record ProductStruckData() implements StoredEvent<ProductEvent> {
    static ProductStruckData of(ProductStruck e) {
      return new ProductStruckData();
    }

    @Override
    public ProductEvent event() {
      return new ProductStruck();
    }
  }
}
