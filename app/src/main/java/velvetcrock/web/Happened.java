package velvetcrock.web;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.measure.MomentReader;
import velvetcrock.core.measure.MomentReader.Moment;

/** When something happened, as it was typed in the field {@value #FIELD}; empty for now. */
public final class Happened {
  /** The field of every form that tells when. */
  public static final String FIELD = "happened";

  private final String typed;
  private final Formats formats;
  private final @Nullable Instant made;

  /**
   * What was typed, to be read in a household.
   *
   * @param made when it was typed, where it waited on a phone since; null for now
   */
  public Happened(@Nullable String typed, Formats formats, @Nullable Instant made) {
    this.typed = Typed.text(typed);
    this.formats = formats;
    this.made = made;
  }

  /**
   * The moment that stands for it.
   *
   * @return null for now
   * @throws Refused at {@value #FIELD} where it cannot be read
   */
  public @Nullable Instant at() {
    if (typed.isEmpty()) {
      return made;
    }
    Moment moment = moment();
    return moment.exact() && moment.at().equals(told()) ? made : moment.at();
  }

  /** What it was understood as, in words; empty where nothing was typed. */
  public String words() {
    if (typed.isEmpty()) {
      return "";
    }
    Moment moment = moment();
    if (moment.exact()) {
      return formats.moment(moment.at());
    }
    boolean oneDay = formats.date(moment.from()).equals(formats.date(moment.to()));
    String from = oneDay ? formats.clock(moment.from()) : formats.moment(moment.from());
    String to = oneDay ? formats.clock(moment.to()) : formats.moment(moment.to());
    return "about " + formats.moment(moment.at()) + ", between " + from + " and " + to;
  }

  private Instant told() {
    return made == null ? formats.now() : made;
  }

  private Moment moment() {
    boolean monthFirst = formats.customs().dates() == Customs.Dates.MONTH_FIRST;
    Problems problems = new Problems();
    Moment moment =
        problems.attempt(
            FIELD, () -> new MomentReader(told(), formats.zone(), monthFirst).read(typed));
    problems.refuseIfAny();
    return java.util.Objects.requireNonNull(moment);
  }
}
