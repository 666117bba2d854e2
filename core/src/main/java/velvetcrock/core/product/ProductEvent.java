package velvetcrock.core.product;

import java.util.List;
import velvetcrock.core.log.Event;

/** What can happen to a product, from the pan to the last tin. */
public sealed interface ProductEvent extends Event<ProductLog>
    permits ProductBegun,
        StirredIn,
        SpoonTested,
        MeltRead,
        WhippingSeen,
        Poured,
        Abandoned,
        TinWent,
        SkinReacted,
        ProductRemarked,
        OilReckonedAnew,
        ProductStruck {
  /** What goes into the pan with it. */
  default List<PartIn> parts() {
    return List.of();
  }

  /** Whether all that went in goes back to where it came from. */
  default boolean givesAllBack() {
    return false;
  }

  /** What a visitor says of this kind. */
  <R> R accept(Visitor<R> visitor);

  /**
   * What is to be said of each kind.
   *
   * @param <R> what it is
   */
  interface Visitor<R> {
    /** For ProductBegun. */
    R productBegun(ProductBegun event);

    /** For StirredIn. */
    R stirredIn(StirredIn event);

    /** For SpoonTested. */
    R spoonTested(SpoonTested event);

    /** For MeltRead. */
    R meltRead(MeltRead event);

    /** For WhippingSeen. */
    R whippingSeen(WhippingSeen event);

    /** For Poured. */
    R poured(Poured event);

    /** For Abandoned. */
    R abandoned(Abandoned event);

    /** For TinWent. */
    R tinWent(TinWent event);

    /** For SkinReacted. */
    R skinReacted(SkinReacted event);

    /** For ProductRemarked. */
    R productRemarked(ProductRemarked event);

    /** For OilReckonedAnew. */
    R oilReckonedAnew(OilReckonedAnew event);

    /** For ProductStruck. */
    R productStruck(ProductStruck event);
  }
}
