package velvetcrock.moving;

import java.util.List;
import org.apache.commons.text.WordUtils;

/** What a box says of itself in plain words. */
final class Readme {
  private static final int WIDTH = 92;
  private static final String HEAD =
      """
      %s
      %s

      This is all that a household wrote down in Velvet Crock: its jars of herb in oil, its bottles,
      products and lots, who did what and when, temperatures and photos. Any spreadsheet opens the
      tables in the folder data, and any program can read them by datapackage.json, a Frictionless
      Data Package (https://specs.frictionlessdata.io).

      To put it into another house: open Velvet Crock there, go to Kitchen, then “Take it with you”,
      and choose this file. It says first what will come and what clashes.

      Not in it: sign-in names, passwords, tokens, the calendar’s address, the tokens of printed labels
      (print labels anew) and what happened at the door.

      How to read the tables
      ----------------------
      Times are in UTC. Weights are in grams, volumes in millilitres, temperatures in degrees Celsius,
      whatever the household reads. Each field’s meaning and unit stand in datapackage.json.
      A text that a spreadsheet could take for a formula has an apostrophe before it, and so has one
      that begins with an apostrophe; a lone apostrophe is an empty text.

      What the oils and salves are, and for whom they are not, stands in the log as it stood on the
      pages. Home herb oils are no medicine: what is in these tables takes no physician’s place.

      The tables
      ----------
      """;

  private Readme() {}

  static String of(String household, List<Table> tables) {
    StringBuilder text =
        new StringBuilder(HEAD.formatted(household, "=".repeat(household.length())));
    for (Table table : tables) {
      text.append(table.path()).append('\n');
      for (String line : WordUtils.wrap(table.says().strip(), WIDTH - 4, "\n", true).split("\n")) {
        text.append("    ").append(line).append('\n');
      }
    }
    return text.append(
            "photos/\n    The photos, each by its id in data/photos.csv or data/label-photos.csv.\n")
        .toString();
  }
}
