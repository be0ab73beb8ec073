package phalanx.formats.tab;

import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Arranger;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.instrument.Tuning;
import phalanx.song.Harmony;
import phalanx.song.Meter;
import phalanx.song.Song;
import phalanx.song.Timeline.PlayedBar;

/**
 * Writes an arrangement as the plain text tablature players paste into a mail: chord names, the
 * count, picking letters, six strings. Plain characters only, lines of at most 78.
 */
public final class TextTab {

  private static final int WIDEST_LINE = 78;

  /** Characters for one step of the pattern: two for a fret or a pinch, one between. */
  private static final int STEP = 3;

  private static final int MARGIN = 3;

  private final Arrangement arrangement;
  private final Song song;
  private final int stepTicks;
  private final int barWidth;

  private TextTab(Arrangement arrangement) {
    this.arrangement = arrangement;
    song = arrangement.song();
    stepTicks = Math.min(Arranger.pattern(song).closestSteps(), song.meter().beatTicks());
    barWidth = song.meter().barTicks() / stepTicks * STEP + 2;
  }

  /** The whole arrangement as text. */
  public static String write(Arrangement arrangement) {
    return new TextTab(arrangement).text();
  }

  private String text() {
    StringBuilder out = new StringBuilder(heading());
    List<PlayedBar> bars = arrangement.timeline().bars();
    int perLine = Math.max(1, (WIDEST_LINE - MARGIN - 1) / barWidth);
    int from = 0;
    int section = -1;
    while (from < bars.size()) {
      if (bars.get(from).section() != section) {
        section = bars.get(from).section();
        out.append(song.sections().get(section).label()).append('\n');
      }
      int to = from;
      while (to < bars.size() && to < from + perLine && bars.get(to).section() == section) {
        to++;
      }
      system(bars.subList(from, to), out);
      from = to;
    }
    return out.toString();
  }

  private String heading() {
    String facts =
        Stream.of(
                song.key().map(k -> "key " + k.tonic().ascii() + (k.minor() ? " minor" : "")),
                Optional.of(song.meter().toString()),
                Optional.of("%.0f quarter notes a minute".formatted(song.tempo())),
                Optional.of(
                    "tuning "
                        + song.guitar().tuning().strings().stream()
                            .map(p -> p.name().ascii())
                            .collect(Collectors.joining(" "))),
                Optional.of("capo " + song.guitar().capo()).filter(c -> song.guitar().capo() > 0))
            .flatMap(Optional::stream)
            .collect(Collectors.joining(", "));
    String capo = song.guitar().capo() > 0 ? "Frets are counted from the capo.\n" : "";
    return song.title() + "\n" + facts + "\n" + capo + "\n";
  }

  private void system(List<PlayedBar> bars, StringBuilder out) {
    StringBuilder chords = new StringBuilder();
    StringBuilder count = new StringBuilder();
    StringBuilder letters = new StringBuilder();
    StringBuilder[] strings = new StringBuilder[Tuning.STRINGS];
    for (int s = 0; s < Tuning.STRINGS; s++) {
      strings[s] = new StringBuilder(stringName(s)).append(" |");
    }
    for (int b = 0; b < bars.size(); b++) {
      int column = MARGIN + b * barWidth;
      bar(bars.get(b), column, chords, count, letters);
      for (int s = 0; s < Tuning.STRINGS; s++) {
        stringLine(bars.get(b), s, strings[s]);
      }
    }
    line(out, chords);
    line(out, count);
    for (int s = Tuning.STRINGS - 1; s >= 0; s--) {
      line(out, strings[s]);
    }
    line(out, letters);
    out.append('\n');
  }

  private static void line(StringBuilder out, StringBuilder line) {
    out.append(line.toString().stripTrailing()).append('\n');
  }

  /** The open string's letter, the highest string in lower case as players write it. */
  private String stringName(int string) {
    String name = song.guitar().tuning().strings().get(string).name().letter().name();
    return string == Tuning.STRINGS - 1 ? name.toLowerCase() : name;
  }

  private void bar(
      PlayedBar bar, int column, StringBuilder chords, StringBuilder count, StringBuilder letters) {
    for (Slot slot : arrangement.slots()) {
      if (slot.played().bar() == bar.number()) {
        put(chords, column + column(slot.played().tick() - bar.startTick()), symbol(slot));
      }
    }
    for (Meter.Syllable word : song.meter().syllables()) {
      if (word.tick() % stepTicks == 0) {
        put(count, column + column(word.tick()), word.word());
      }
    }
    for (int tick : new TreeSet<>(notes(bar).map(Note::tick).toList())) {
      String together =
          notes(bar)
              .filter(n -> n.tick() == tick)
              .map(n -> n.pick().letter())
              .collect(Collectors.joining());
      put(letters, column + column(tick - bar.startTick()), together);
    }
  }

  private int column(int tick) {
    return 1 + tick / stepTicks * STEP;
  }

  private static String symbol(Slot slot) {
    Harmony harmony = slot.played().harmony();
    return harmony instanceof Harmony.Sounding s ? s.chord().ascii() : harmony.label();
  }

  private Stream<Note> notes(PlayedBar bar) {
    int end = bar.startTick() + bar.lengthTicks();
    return arrangement.notes().stream().filter(n -> n.tick() >= bar.startTick() && n.tick() < end);
  }

  /** Puts a word at a column, or one space after what already reaches there. */
  private static void put(StringBuilder line, int column, String word) {
    if (line.length() >= column && line.length() > 0) {
      line.append(' ');
    }
    while (line.length() < column) {
      line.append(' ');
    }
    line.append(word);
  }

  private void stringLine(PlayedBar bar, int string, StringBuilder line) {
    StringBuilder dashes = new StringBuilder("-".repeat(barWidth - 1));
    notes(bar)
        .filter(n -> n.string() == string)
        .forEach(
            n -> {
              int at = column(n.tick() - bar.startTick());
              String fret = String.valueOf(n.fret());
              dashes.replace(at, at + fret.length(), fret);
            });
    line.append(dashes).append('|');
  }
}
