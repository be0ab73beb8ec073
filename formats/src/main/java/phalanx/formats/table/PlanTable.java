package phalanx.formats.table;

import java.util.List;
import java.util.stream.Collectors;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.findings.Found;
import phalanx.findings.Review;
import phalanx.fretting.FretRow;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.Phrase;
import phalanx.theory.Ticks;

/**
 * The chords, shapes and findings of a plan as comma-separated values (RFC 4180), one row each,
 * told apart by the first column.
 */
public final class PlanTable {

  private static final String HEAD =
      "kind,section,bar,beat,string,chord,frets,fingers,grade,rule,message";

  private final StringBuilder out = new StringBuilder(HEAD + "\r\n");
  private final Arrangement arrangement;

  private PlanTable(Arrangement arrangement) {
    this.arrangement = arrangement;
  }

  /** The whole table. */
  public static String write(Arrangement arrangement) {
    PlanTable table = new PlanTable(arrangement);
    arrangement.slots().forEach(table::chord);
    Review.of(arrangement).findings().forEach(table::finding);
    return table.out.toString();
  }

  private void chord(Slot slot) {
    PlayedBar bar = arrangement.timeline().barOf(slot.played());
    String label =
        slot.played()
            .harmony()
            .sounding()
            .map(c -> c.ascii())
            .orElse(slot.played().harmony().label());
    row(
        List.of(
            "chord",
            section(bar),
            String.valueOf(bar.number()),
            beat(bar, slot.played().tick()),
            "",
            label,
            slot.shape().map(s -> FretRow.text(s.frets())).orElse(""),
            slot.shape().map(PlanTable::fingers).orElse(""),
            "",
            "",
            ""));
  }

  /** A finger a string from ⑥ to ①, a hyphen where none presses. */
  private static String fingers(Shape shape) {
    StringBuilder fingers = new StringBuilder();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      fingers.append(shape.finger(s).map(Finger::sign).orElse("-"));
    }
    return fingers.toString();
  }

  private void finding(Found found) {
    PlayedBar bar = arrangement.timeline().barAt(found.tick());
    row(
        List.of(
            "finding",
            section(bar),
            found.bars().stream().map(String::valueOf).collect(Collectors.joining(" ")),
            beat(bar, found.tick()),
            found.string().map(s -> String.valueOf(StringSign.number(s))).orElse(""),
            "",
            "",
            "",
            found.finding().grade().word(),
            found.finding().rule(),
            found.finding().message()));
  }

  private String section(PlayedBar bar) {
    return arrangement.song().sections().get(bar.section()).label();
  }

  private static String beat(PlayedBar bar, int tick) {
    return Phrase.of("%.2f", 1 + (double) bar.inMetre(tick) / Ticks.PER_QUARTER)
        .replaceFirst("\\.?0+$", "");
  }

  private void row(List<String> cells) {
    out.append(cells.stream().map(PlanTable::cell).collect(Collectors.joining(",")));
    out.append("\r\n");
  }

  private static String cell(String text) {
    boolean plain = text.chars().noneMatch(c -> c == ',' || c == '"' || c == '\n' || c == '\r');
    return plain ? text : "\"" + text.replace("\"", "\"\"") + "\"";
  }
}
