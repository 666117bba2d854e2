package velvetcrock.core.caution;

import velvetcrock.core.keeping.Use;
import velvetcrock.core.making.Drops;

/** What an oil or pot is for, as far as cautions go. */
public enum Purpose {
  /** The skin in general. */
  SKIN,
  /** The face. */
  FACE,
  /** Lips, from which it is swallowed. */
  LIPS,
  /** Hair and scalp. */
  HAIR,
  /** Massage of large areas. */
  MASSAGE,
  /** Intimate skin. */
  INTIMATE,
  /** A nursing mother. */
  NURSING,
  /** A child under two. */
  BABY,
  /** A child from two to six. */
  CHILD,
  /** A child from six to twelve. */
  OLDER_CHILD,
  /** Pregnancy. */
  PREGNANCY,
  /** Animals; it is not made for them. */
  PETS,
  /** Eating. */
  KITCHEN;

  /** How it counts in keeping: for eating or for the skin. */
  public Use use() {
    return this == KITCHEN ? Use.KITCHEN : Use.SKIN;
  }

  /** Whom something is for that has essential oils in it, or might have. */
  public static Purpose of(Drops.Where where) {
    return switch (where) {
      case FACE -> FACE;
      case BODY, SMALL_AREA -> SKIN;
      case PREGNANCY -> PREGNANCY;
      case CHILD_2_6 -> CHILD;
      case CHILD_6_12 -> OLDER_CHILD;
      case UNDER_2 -> BABY;
    };
  }

  /** The purpose that a use stands for where nothing more is known. */
  public static Purpose of(Use use) {
    return use == Use.KITCHEN ? KITCHEN : SKIN;
  }
}
