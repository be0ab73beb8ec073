package phalanx.fuzz;

import java.util.List;

/** Songs, charts and scores that are right and have very many of one thing. */
final class WholeFamilies {

  private static final String SONG = "{\"format\":\"phalanx-song\",\"version\":2,\"title\":\"x\",";
  private static final String ONE_BAR =
      "\"sections\":[{\"id\":1,\"label\":\"\",\"bars\":[{\"id\":2,\"chords\":[{\"tick\":0,"
          + "\"chord\":\"C\"}]}]}]";
  private static final String BAR = "{\"id\":0,\"chords\":[{\"tick\":0,\"chord\":\"C\"}]},";
  private static final String LAST_BAR = "{\"id\":999999,\"chords\":[]}";
  private static final String SCORE =
      "<score-partwise><part-list><score-part id=\"P\"><part-name>x</part-name></score-part>"
          + "</part-list><part id=\"P\">";
  private static final String NOTE =
      "<note><pitch><step>G</step><octave>4</octave></pitch><duration>1</duration></note>";

  private WholeFamilies() {}

  /** Those of a reader; none for readers of single lines. */
  static List<Growth.Family> of(String reader) {
    return switch (reader) {
      case "song" -> songs();
      case "score", "packed" -> scores();
      case "chordpro" -> charts();
      default -> TextFamilies.of(reader);
    };
  }

  private static Growth.Family whole(String name, String before, String piece, String after) {
    return new Growth.Family(name, before, piece, "", after, true);
  }

  private static List<Growth.Family> songs() {
    String bars = SONG + "\"sections\":[{\"id\":1,\"label\":\"\",\"bars\":[";
    String end = LAST_BAR + "]}]}";
    String section = "{\"id\":0,\"label\":\"a\",\"like\":1,\"bars\":[]},";
    return List.of(
        whole("bars", bars, BAR, end),
        whole("bars that borrow", bars, "{\"id\":0,\"like\":999999,\"chords\":[]},", end),
        whole("sections like one", SONG + "\"sections\":[", section, "{\"id\":1,\"bars\":[]}]}"),
        whole("words", SONG + ONE_BAR + ",\"lyrics\":[", "\"la\",", "\"\"]}"),
        whole("tunes", SONG + ONE_BAR + ",\"tune\":[", "{\"bar\":2,\"notes\":\"g4\"},", "{}]}"),
        whole(
            "patterns of bars",
            SONG + ONE_BAR + ",\"picking\":{\"barPatterns\":[",
            "{\"bar\":2,\"pattern\":\"fingers-between\"},",
            "{}]}}"),
        whole(
            "strokes of bars",
            SONG + ONE_BAR + ",\"picking\":{\"barChanges\":[",
            "{\"bar\":2,\"tick\":0,\"cells\":{\"thumb\":\"o\"}},",
            "{}]}}"),
        whole(
            "pins",
            SONG + ONE_BAR + ",\"pins\":{\"shapes\":[",
            "{\"bar\":2,\"tick\":0,\"frets\":[\"x\",3,2,0,1,0]},",
            "{}]}}"),
        whole("names twice", SONG, "\"title\":\"y\",", ONE_BAR + "}"),
        whole("faults", SONG + "\"sections\":[", "7,", "8]}"));
  }

  private static List<Growth.Family> scores() {
    String measure = "<measure number=\"1\">" + NOTE + "</measure>";
    String end = "</part></score-partwise>";
    return List.of(
        whole("measures", SCORE, measure, end),
        whole("notes of a measure", SCORE + "<measure number=\"1\">", NOTE, "</measure>" + end),
        whole(
            "repeats",
            SCORE,
            "<measure number=\"1\"><barline location=\"left\"><repeat direction=\"forward\"/></barline>"
                + NOTE
                + "<barline location=\"right\"><repeat direction=\"backward\"/></barline></measure>",
            end),
        whole(
            "endings",
            SCORE,
            "<measure number=\"1\"><barline location=\"left\"><ending number=\"1\" type=\"start\"/>"
                + "</barline>"
                + NOTE
                + "<barline location=\"right\"><ending number=\"1\" type=\"stop\"/>"
                + "<repeat direction=\"backward\"/></barline></measure>",
            end),
        whole(
            "tempos that are none",
            SCORE,
            "<measure number=\"1\"><sound tempo=\"1e300\"/>" + NOTE + "</measure>",
            end),
        whole("comments", SCORE + measure, "<!-- x -->", end),
        whole(
            "document types", "<!DOCTYPE x [", "<!ENTITY a \"b\">", "]>" + SCORE + measure + end));
  }

  private static List<Growth.Family> charts() {
    String end = "{eog}\n";
    return List.of(
        whole("lines of bars", "{sog}\n", "| C . G7 . | F | N.C. |\n", end),
        whole("bars in a line", "{sog}\n|", " C |", "\n" + end),
        whole("repeats in a line", "{sog}\n", "|: C |1 G :|2 F | ", "|\n" + end),
        whole("grids", "", "{sog: A}\n| C |\n{eog}\n", ""),
        whole("words", "{sog}\n| C |\n{eog}\n", "la la la\n", ""),
        whole("faults", "{sog}\n", "| Qx | 9/9/9 |\n", end));
  }
}
