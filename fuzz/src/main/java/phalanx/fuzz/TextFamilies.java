package phalanx.fuzz;

import java.util.List;

/** Texts, tunes and tablatures that are right and have very many of one thing. */
final class TextFamilies {

  private static final String STRING = "|-0-1-2-3-";

  private TextFamilies() {}

  /** Those of a reader; none for the others. */
  static List<Growth.Family> of(String reader) {
    return switch (reader) {
      case "words" -> words();
      case "abc" -> tunes();
      case "tab" -> tablatures();
      default -> List.of();
    };
  }

  private static Growth.Family whole(String name, String before, String piece, String after) {
    return new Growth.Family(name, before, piece, "", after, true);
  }

  private static List<Growth.Family> words() {
    return List.of(
        whole("chords in a line", "Quay\n", "[G]down to [C]the ", "quay\n"),
        whole("lines with chords in them", "Quay\n", "[G]down to the [C]quay we go\n", ""),
        whole("lines of chords", "Quay\n\n", "G   C   D7  G\n", ""),
        whole("chords above words", "Quay\n\n", "G       C\ndown to the quay\n", ""),
        whole("chords above a line", "Quay\n\n", "G  ", "\ndown to the quay\n"),
        whole("headings", "Quay\n", "[Verse]\n[G]down\n", ""),
        whole("lines of bars", "Quay\n", "| G | C D7 |\n", ""),
        whole("words alone", "Quay\n[G]down\n", "to the quay we go\n", ""));
  }

  private static List<Growth.Family> tunes() {
    String head = "X:1\nT:x\nM:4/4\nL:1/4\nK:G\n";
    return List.of(
        whole("bars in a line", head, "GABc|", "\n"),
        whole("lines of bars", head, "GABc|defg|\n", ""),
        whole("notes of a bar", head, "G", "|\n"),
        whole("notes together", head + "[", "G", "]|\n"),
        whole("chords", head, "\"G\"G", "|\n"),
        whole("a chord", head + "\"", "(", "\"G|\n"),
        whole("ties", head, "G-", "G|\n"),
        whole("tuplets", head, "(3GAB", "|\n"),
        whole("words", head + "GABc|\n", "w:la la\n", ""),
        whole("syllables", head + "GABc|\nw:", "la-", "\n"),
        whole("voices", head, "V:1\nG|\n", ""));
  }

  private static List<Growth.Family> tablatures() {
    String silent = "\n" + "|---------\n".repeat(5);
    return List.of(
        whole("systems", "Quay\n", STRING + "|" + "\n|---------|".repeat(5) + "\n\n", ""),
        whole(
            "systems without a gap", "Quay\n", STRING + "|" + "\n|---------|".repeat(5) + "\n", ""),
        whole("one line over and over", "Quay\n", STRING + "|\n", ""),
        whole("rules of dashes", "Quay\n", "----------\n", STRING + "|" + silent),
        whole("bars of a string", "Quay\n", STRING, "|" + silent),
        whole("figures of a bar", "Quay\n|", "-1", "|" + silent),
        whole("bends", "Quay\n|", "-7b9r7", "|" + silent),
        whole("words", "Quay\n", "tempo 1 capo key of\n", STRING + silent));
  }
}
