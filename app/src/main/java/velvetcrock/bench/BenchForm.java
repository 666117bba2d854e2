package velvetcrock.bench;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import velvetcrock.web.Forms;

/**
 * The bench's sentence as it was typed; every field is kept whatever it says.
 *
 * @param amount herb in all by weight or volume, or as both; may be empty when a jar is filled by
 *     eye
 * @param herbs the herbs, at least one
 * @param oils the carriers, at least one
 * @param per the ratio
 * @param fill how full the jar is, by eye
 * @param method a way of warming; empty for as cool as it stands
 * @param slurry set when herb and oil are blended together
 * @param spirit spirit to dampen with
 * @param stand the jar and where it stands
 * @param use whom or what it is for, such as {@code SKIN}, {@code BABY} or {@code KITCHEN}
 * @param from what it goes back to
 * @param set changes to the form that a button asks for, parted by semicolons: {@code field=value},
 *     {@code herbs+}, {@code herbs-1}, {@code oils+}, {@code oils-1}
 */
public record BenchForm(
    @Nullable String amount,
    @Nullable List<HerbRow> herbs,
    @Nullable List<OilRow> oils,
    @JsonUnwrapped Per per,
    @JsonUnwrapped Fill fill,
    @Nullable String method,
    @Nullable String slurry,
    @JsonUnwrapped Spirit spirit,
    @JsonUnwrapped Standing stand,
    @Nullable String use,
    @JsonUnwrapped From from,
    @Nullable String set) {

  /**
   * The ratio.
   *
   * @param ratioKind {@code weight}, {@code volume} or {@code fill}
   * @param ratio oil per herb; empty for the smallest that covers
   */
  public record Per(@Nullable String ratioKind, @Nullable String ratio) {}

  /**
   * How full the jar is, by eye.
   *
   * @param herbFill share of the jar that the herb fills, when it is filled by eye
   * @param oilFill share of the jar that is full in the end, when it is filled by eye
   * @param packing how tightly the herb is packed, when the jar is filled by eye
   */
  public record Fill(
      @Nullable String herbFill, @Nullable String oilFill, @Nullable String packing) {}

  /**
   * Spirit to dampen with.
   *
   * @param abv strength of the spirit, % vol
   * @param dose grams of spirit to a gram of herb
   * @param spiritLot the lot of spirit; empty for the oldest, {@code none} for none
   */
  public record Spirit(@Nullable String abv, @Nullable String dose, @Nullable String spiritLot) {}

  /**
   * The jar and where it stands.
   *
   * @param jar a vessel's key; empty for the jar that fits best
   * @param cover cover wanted, mm
   * @param place where it is to stand
   */
  public record Standing(@Nullable String jar, @Nullable String cover, @Nullable String place) {}

  /**
   * What it goes back to.
   *
   * @param again code of the batch that this is another try of
   * @param earlier code of the infused oil that is charged again; empty for plain oil
   */
  public record From(@Nullable String again, @Nullable String earlier) {}

  /** Herbs and oils beyond this many are a slip. */
  static final int MOST_ROWS = 12;

  /** In place of a lot: what goes in comes from elsewhere. */
  static final String NO_LOT = "none";

  /**
   * A herb as typed.
   *
   * @param partOf the herb for which the part was chosen: with another, the best part is taken
   * @param parts its amount as it is said, its part of the blend, or so much of the one before
   * @param measuredAs the cut that is in the cup; empty for that which goes into the jar
   * @param lot a lot's id; empty for the one to be used first, {@code none} for none
   * @param water its water content, %; empty for what is known
   * @param fresh what a wilted herb weighed fresh
   * @param unrinsed what it weighed before it was rinsed
   */
  public record HerbRow(
      @Nullable String herb,
      @Nullable String part,
      @Nullable String partOf,
      @Nullable String cut,
      @Nullable String state,
      @Nullable String parts,
      @Nullable String measuredAs,
      @Nullable String lot,
      @Nullable String water,
      @Nullable String fresh,
      @Nullable String unrinsed) {

    static HerbRow of(String herb) {
      return new HerbRow(herb, null, null, null, null, null, null, null, null, null, null);
    }

    HerbRow completed() {
      return new HerbRow(
          or(herb, "yarrow"),
          or(part, ""),
          or(partOf, ""),
          or(cut, "CUT"),
          or(state, "DRIED"),
          or(parts, "1"),
          or(measuredAs, ""),
          or(lot, ""),
          or(water, ""),
          or(fresh, ""),
          or(unrinsed, ""));
    }

    HerbRow withCut(String finer) {
      return new HerbRow(
          herb, part, partOf, finer, state, parts, measuredAs, lot, water, fresh, unrinsed);
    }

    HerbRow dried() {
      return new HerbRow(herb, part, partOf, cut, "DRIED", parts, measuredAs, "", "", "", "");
    }

    HerbRow saying(String amount) {
      return new HerbRow(
          herb, part, partOf, cut, state, amount, measuredAs, lot, water, fresh, unrinsed);
    }
  }

  /**
   * A carrier as typed.
   *
   * @param share its amount as it is said, its part by volume, or so much of the one before; of a
   *     single oil empty to go by the ratio
   * @param lot as with herbs
   */
  public record OilRow(@Nullable String carrier, @Nullable String share, @Nullable String lot) {
    OilRow completed(String usual, boolean alone) {
      return new OilRow(or(carrier, usual), or(share, alone ? "" : "1"), or(lot, ""));
    }

    OilRow byRatio() {
      return new OilRow(carrier, "", lot);
    }
  }

  /** A form with nothing typed. */
  static BenchForm empty() {
    return Forms.blank(BenchForm.class);
  }

  /** The same as another try of a batch. */
  BenchForm tryAgain(String code) {
    return new BenchForm(
        amount,
        herbs,
        oils,
        new BenchForm.Per(per.ratioKind(), per.ratio()),
        new BenchForm.Fill(fill.herbFill(), fill.oilFill(), fill.packing()),
        method,
        slurry,
        new BenchForm.Spirit(spirit.abv(), spirit.dose(), spirit.spiritLot()),
        new BenchForm.Standing(stand.jar(), stand.cover(), stand.place()),
        use,
        new BenchForm.From(code, from.earlier()),
        set);
  }

  /** The same with changes asked for, as a button would. */
  BenchForm asked(String changes) {
    return new BenchForm(
        amount,
        herbs,
        oils,
        new BenchForm.Per(per.ratioKind(), per.ratio()),
        new BenchForm.Fill(fill.herbFill(), fill.oilFill(), fill.packing()),
        method,
        slurry,
        new BenchForm.Spirit(spirit.abv(), spirit.dose(), spirit.spiritLot()),
        new BenchForm.Standing(stand.jar(), stand.cover(), stand.place()),
        use,
        new BenchForm.From(from.again(), from.earlier()),
        changes);
  }

  /** The same with nothing missing and the asked change made. */
  BenchForm completed(String usualCarrier, String usualPlace, String usualAmount) {
    List<HerbRow> herbRows = herbRows();
    List<OilRow> oilsTyped = rows(oils, new OilRow(null, null, null), "oils");
    List<OilRow> oilRows =
        oilsTyped.stream()
            .map(row -> row.completed(usualCarrier, oilsTyped.size() == 1))
            .map(row -> asksForRatio() ? row.byRatio() : row)
            .toList();
    String finer = changed("cut", null, "");
    if (!finer.isEmpty()) {
      herbRows = herbRows.stream().map(row -> row.withCut(finer)).toList();
    }
    if (wanted().contains("state=DRIED")) {
      herbRows = herbRows.stream().map(HerbRow::dried).toList();
    }
    return new BenchForm(
        changed("amount", inAll(herbRows), usualAmount),
        herbRows,
        oilRows,
        new BenchForm.Per(
            changed("ratioKind", per.ratioKind(), "weight"), changed("ratio", per.ratio(), "")),
        new BenchForm.Fill(
            changed("herbFill", fill.herbFill(), "0.66"),
            changed("oilFill", fill.oilFill(), "0.92"),
            changed("packing", fill.packing(), "UNSAID")),
        changed("method", method, ""),
        changed("slurry", slurry, ""),
        new BenchForm.Spirit(
            changed("abv", spirit.abv(), "96"),
            changed("dose", spirit.dose(), "0.5"),
            changed("spiritLot", spirit.spiritLot(), "")),
        new BenchForm.Standing(
            changed("jar", stand.jar(), ""),
            changed("cover", stand.cover(), ""),
            changed("place", stand.place(), usualPlace)),
        changed("use", use, "SKIN"),
        new BenchForm.From(
            changed("again", from.again(), ""), changed("earlier", from.earlier(), "")),
        null);
  }

  /**
   * The herbs, of which the first takes what was said of it alone when another comes to it, and the
   * last that is left is said of it alone again.
   */
  private List<HerbRow> herbRows() {
    List<HerbRow> rows =
        rows(herbs, HerbRow.of("yarrow"), "herbs").stream().map(HerbRow::completed).toList();
    boolean moves = another() && rows.size() == 2 && said(amount);
    return moves ? List.of(rows.get(0).saying(amount), rows.get(1).saying("the same")) : rows;
  }

  private @Nullable String inAll(List<HerbRow> rows) {
    if (another() && rows.size() == 2 && said(amount)) {
      return "";
    }
    boolean left = rows.size() == 1 && herbs != null && herbs.size() > 1 && !said(amount);
    return left ? rows.get(0).parts() : amount;
  }

  private boolean another() {
    return wanted().contains("herbs+") && !"fill".equals(per.ratioKind());
  }

  private static boolean said(@Nullable String typed) {
    return typed != null && !typed.isBlank();
  }

  /** Whether a button asks for a ratio, which goes before amounts of oil. */
  private boolean asksForRatio() {
    return wanted().stream().anyMatch(change -> change.startsWith("ratio="));
  }

  /** The rows with one more or one less where a button asks for that. */
  private <T> List<T> rows(@Nullable List<T> typed, T first, String name) {
    List<T> rows = new ArrayList<>();
    if (typed != null) {
      typed.stream().filter(row -> row != null).limit(MOST_ROWS).forEach(rows::add);
    }
    if (rows.isEmpty()) {
      rows.add(first);
    }
    List<String> wanted = wanted();
    if (wanted.contains(name + "+") && rows.size() < MOST_ROWS) {
      rows.add(first);
    }
    IntStream.range(0, rows.size())
        .filter(i -> rows.size() > 1 && wanted.contains(name + "-" + i))
        .findFirst()
        .ifPresent(i -> rows.remove(i));
    return rows;
  }

  private String changed(String field, @Nullable String typed, String usual) {
    return wanted().stream()
        .filter(change -> change.startsWith(field + "="))
        .findFirst()
        .map(change -> change.substring(field.length() + 1))
        .orElseGet(() -> or(typed, usual));
  }

  private List<String> wanted() {
    return set == null ? List.of() : List.of(set.split(";"));
  }

  private static String or(@Nullable String typed, String usual) {
    return Optional.ofNullable(typed).orElse(usual);
  }
}
