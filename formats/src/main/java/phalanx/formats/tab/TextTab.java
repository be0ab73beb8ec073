package phalanx.formats.tab;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.instrument.Tuning;
import phalanx.song.Harmony;
import phalanx.song.Ritard;
import phalanx.song.Song;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.Phrase;
import phalanx.theory.Meter;
import phalanx.theory.Mode;

/**
 * Writes an arrangement as the plain text tablature players paste into a mail: chord names, the
 * count, picking letters, six strings. Plain characters only, lines of at most 78.
 */
public final class TextTab {

  private static final int WIDEST_LINE = 78;

  /** Characters for one time at which something is struck: two for a fret, one between. */
  private static final int STEP = 3;

  private static final int WIDE_STEP = 5;

  private static final int MARGIN = 3;

  private final Arrangement arrangement;
  private final Song song;

  private TextTab(Arrangement arrangement) {
    this.arrangement = arrangement;
    song = arrangement.song();
  }

  /** The whole arrangement as text. */
  public static String write(Arrangement arrangement) {
    return new TextTab(arrangement).text();
  }

  private String text() {
    StringBuilder out = new StringBuilder(heading());
    List<PlayedBar> bars = arrangement.timeline().bars();
    int from = 0;
    int section = -1;
    while (from < bars.size()) {
      if (bars.get(from).section() != section) {
        section = bars.get(from).section();
        out.append(song.sections().get(section).label()).append('\n');
      }
      int to = from;
      int width = MARGIN + 1;
      do {
        width += width(bars.get(to++));
      } while (to < bars.size()
          && width + width(bars.get(to)) <= WIDEST_LINE
          && bars.get(to).section() == section);
      system(bars.subList(from, to), out);
      from = to;
    }
    return out + TabMarks.legend(arrangement);
  }

  private String heading() {
    String facts =
        Stream.of(
                song.key()
                    .map(
                        k ->
                            "key "
                                + k.tonic().ascii()
                                + (k.mode() == Mode.MAJOR ? "" : " " + k.mode().words())),
                Optional.of(song.meter().toString()),
                Optional.of(Phrase.of("%.0f quarter notes a minute", song.tempo())),
                Optional.of(
                    "tuning "
                        + song.guitar().tuning().strings().stream()
                            .map(p -> p.name().ascii())
                            .collect(Collectors.joining(" "))),
                Optional.of("capo " + song.guitar().capoWords())
                    .filter(c -> song.guitar().capo() > 0))
            .flatMap(Optional::stream)
            .collect(Collectors.joining(", "));
    String capo = song.guitar().capo() > 0 ? "Frets are counted from the capo.\n" : "";
    return song.title() + "\n" + facts + "\n" + capo + "\n";
  }

  private int width(PlayedBar bar) {
    return times(bar).size() * step(bar) + 2;
  }

  /** Every time of a bar that has a column of its own: what is struck, the beats, the chords. */
  private TreeSet<Integer> times(PlayedBar bar) {
    TreeSet<Integer> times = new TreeSet<>();
    times.add(bar.startTick());
    notes(bar).forEach(n -> times.add(n.tick()));
    gestures(bar).forEach(g -> times.add(g.tick()));
    damps(bar).forEach(d -> times.add(d.tick()));
    bar.count().stream().filter(Meter.Syllable::onBeat).forEach(w -> times.add(w.tick()));
    slots(bar).forEach(s -> times.add(s.played().tick()));
    return times;
  }

  private Stream<Damp> damps(PlayedBar bar) {
    return arrangement.dampsFrom(bar.startTick(), bar.endTick()).stream();
  }

  private Stream<Gesture> gestures(PlayedBar bar) {
    return arrangement.gesturesFrom(bar.startTick(), bar.endTick()).stream();
  }

  private Stream<Slot> slots(PlayedBar bar) {
    return arrangement.slotsFrom(bar.startTick(), bar.endTick()).stream();
  }

  private void system(List<PlayedBar> bars, StringBuilder out) {
    StringBuilder chords = new StringBuilder();
    StringBuilder count = new StringBuilder();
    StringBuilder letters = new StringBuilder();
    StringBuilder marks = new StringBuilder();
    StringBuilder[] strings = new StringBuilder[Tuning.STRINGS];
    for (int s = 0; s < Tuning.STRINGS; s++) {
      strings[s] = new StringBuilder(stringName(s)).append(" |");
    }
    int column = MARGIN;
    for (PlayedBar bar : bars) {
      bar(bar, column, chords, count, letters);
      marks(bar, column, marks);
      for (int s = 0; s < Tuning.STRINGS; s++) {
        stringLine(bar, s, strings[s]);
      }
      column += width(bar);
    }
    line(out, chords);
    line(out, count);
    for (int s = Tuning.STRINGS - 1; s >= 0; s--) {
      line(out, strings[s]);
    }
    line(out, letters);
    if (!marks.isEmpty()) {
      line(out, marks);
    }
    out.append('\n');
  }

  private static void line(StringBuilder out, StringBuilder line) {
    out.append(line.toString().stripTrailing()).append('\n');
  }

  /** The open string's letter, the highest string in lower case as players write it. */
  private String stringName(int string) {
    String name = song.guitar().tuning().strings().get(string).name().letter().name();
    return string == Tuning.STRINGS - 1 ? name.toLowerCase(Locale.ROOT) : name;
  }

  private void bar(
      PlayedBar bar, int column, StringBuilder chords, StringBuilder count, StringBuilder letters) {
    List<Integer> times = List.copyOf(times(bar));
    if (arrangement.timeline().beginsTempo(bar)) {
      put(chords, column + 1, "(" + Phrase.of("%.0f", bar.tempo()) + " a minute)");
    }
    if (Ritard.beginsIn(song, arrangement.timeline(), bar)) {
      put(chords, column + 1, "(" + Ritard.SIGN + ")");
    }
    slots(bar).forEach(s -> put(chords, column + column(bar, times, s.played().tick()), symbol(s)));
    for (Meter.Syllable word : bar.count()) {
      if (times.contains(word.tick())) {
        put(count, column + column(bar, times, word.tick()), word.word());
      }
    }
    for (int tick : new TreeSet<>(notes(bar).map(Note::tick).toList())) {
      String together =
          notes(bar)
              .filter(n -> n.tick() == tick)
              .map(Note::letter)
              .distinct()
              .collect(Collectors.joining());
      put(letters, column + column(bar, times, tick), together);
    }
  }

  /** What is not a plain stroke: brushes, rolls, hits, accents. */
  private void marks(PlayedBar bar, int column, StringBuilder line) {
    List<Integer> times = List.copyOf(times(bar));
    for (int tick : times) {
      String mark =
          TabMarks.at(
              gestures(bar).filter(g -> g.tick() == tick).toList(),
              notes(bar).filter(n -> n.tick() == tick).toList(),
              damps(bar).filter(d -> d.tick() == tick).toList());
      if (!mark.isEmpty()) {
        put(line, column + column(bar, times, tick), mark);
      }
    }
  }

  /** From column to column: further where frets in brackets need the room. */
  private int step(PlayedBar bar) {
    return notes(bar).anyMatch(n -> n.harmonic().isPresent()) ? WIDE_STEP : STEP;
  }

  private int column(PlayedBar bar, List<Integer> times, int tick) {
    return 1 + times.indexOf(tick) * step(bar);
  }

  private static String symbol(Slot slot) {
    Harmony harmony = slot.played().harmony();
    return harmony instanceof Harmony.Sounding s ? s.chord().ascii() : harmony.label();
  }

  private Stream<Note> notes(PlayedBar bar) {
    return arrangement.notesFrom(bar.startTick(), bar.endTick()).stream();
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
    List<Integer> times = List.copyOf(times(bar));
    StringBuilder dashes = new StringBuilder("-".repeat(width(bar) - 1));
    notes(bar)
        .filter(n -> n.string() == string)
        .forEach(
            n -> {
              int at = column(bar, times, n.tick());
              String fret = TabMarks.fret(n);
              dashes.replace(at, at + fret.length(), fret);
            });
    line.append(dashes).append('|');
  }
}
