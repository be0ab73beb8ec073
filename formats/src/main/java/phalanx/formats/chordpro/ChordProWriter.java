package phalanx.formats.chordpro;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.chart.ChartWriter;
import phalanx.chart.Notation;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.song.Bar;
import phalanx.song.BarLyrics;
import phalanx.song.ChordChange;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.text.Phrase;
import phalanx.theory.Chord;
import phalanx.theory.Meter;
import phalanx.theory.Mode;
import phalanx.theory.Ticks;

/**
 * Writes a song as a ChordPro chart (ChordPro file format 6): its sections as grids, the shapes of
 * the plan as definitions, the words under their chords.
 */
public final class ChordProWriter {

  private static final int BARS_A_LINE = 4;
  private static final int LEAST_FRETS = 4;

  private final Arrangement arrangement;
  private final Song song;
  private final StringBuilder out = new StringBuilder();

  private String sounding = "N.C.";

  private ChordProWriter(Arrangement arrangement) {
    this.arrangement = arrangement;
    song = arrangement.song();
  }

  /** The whole chart as text. */
  public static String write(Arrangement arrangement) {
    ChordProWriter writer = new ChordProWriter(arrangement);
    writer.head();
    writer.pickup();
    writer.shapes();
    writer.sections();
    return writer.out.toString();
  }

  private void directive(String name, String value) {
    out.append('{').append(name).append(": ").append(oneLine(value)).append("}\n");
  }

  private static String oneLine(String value) {
    return value.replaceAll("[\\r\\n}]", " ");
  }

  private void head() {
    directive("title", song.title());
    if (!song.credits().composer().isEmpty()) {
      directive("composer", song.credits().composer());
    }
    if (!song.credits().arranger().isEmpty()) {
      directive("arranger", song.credits().arranger());
    }
    song.key()
        .ifPresent(
            k ->
                directive(
                    "key",
                    k.tonic().ascii()
                        + (k.mode() == Mode.MAJOR
                            ? ""
                            : k.mode() == Mode.MINOR
                                ? "m"
                                : " " + k.mode().words().toLowerCase(Locale.ROOT))));
    directive("time", song.meter().toString());
    directive("tempo", Phrase.of("%.3f", song.tempo()).replaceAll("\\.?0+$", ""));
    if (song.guitar().capo() > 0) {
      directive("capo", String.valueOf(song.guitar().capo()));
    }
    if (!song.guitar().tuning().equals(Tuning.STANDARD)) {
      directive(
          "comment",
          "tuning "
              + song.guitar().tuning().strings().stream()
                  .map(p -> p.name().ascii())
                  .collect(Collectors.joining(" ")));
    }
  }

  /** The pick-up as a share of a whole note; an own directive, which other programs pass over. */
  private void pickup() {
    int ticks = song.feel().pickupTicks();
    if (ticks > 0) {
      int common = gcd(ticks, Ticks.PER_WHOLE);
      directive("x_phalanx_pickup", ticks / common + "/" + Ticks.PER_WHOLE / common);
    }
  }

  private static int gcd(int a, int b) {
    return b == 0 ? a : gcd(b, a % b);
  }

  /** The first shape of each chord; a chord held in other ways later keeps its name. */
  private void shapes() {
    Map<String, Shape> shapes = new LinkedHashMap<>();
    for (Slot slot : arrangement.slots()) {
      slot.played()
          .harmony()
          .sounding()
          .ifPresent(c -> slot.shape().ifPresent(s -> shapes.putIfAbsent(c.ascii(), s)));
    }
    shapes.forEach(this::define);
  }

  /** Frets are counted from the base fret, as the format has it. */
  private void define(String name, Shape shape) {
    int lowest = 0;
    int highest = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      int fret = shape.fret(s).orElse(0);
      lowest = fret > 0 && (lowest == 0 || fret < lowest) ? fret : lowest;
      highest = Math.max(highest, fret);
    }
    int base = highest <= LEAST_FRETS ? 1 : lowest;
    List<String> frets = new ArrayList<>();
    List<String> fingers = new ArrayList<>();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      int fret = shape.fret(s).orElse(-1);
      frets.add(fret < 0 ? "x" : String.valueOf(fret == 0 ? 0 : fret - base + 1));
      fingers.add(shape.finger(s).map(f -> f == Finger.THUMB ? "T" : f.sign()).orElse("-"));
    }
    out.append(
        Phrase.of(
            "{define: %s base-fret %d frets %s fingers %s}\n",
            name, base, String.join(" ", frets), String.join(" ", fingers)));
  }

  private void sections() {
    Map<Integer, Integer> numbers = new LinkedHashMap<>();
    int number = 1;
    for (Bar bar : song.chart().bars()) {
      numbers.put(bar.id(), number++);
    }
    Meter now = song.meter();
    for (Section section : song.sections()) {
      if (section.bars().isEmpty()) {
        continue;
      }
      out.append('\n');
      String label = oneLine(section.label()).replace('"', '\'');
      out.append(
          label.isBlank() ? "{start_of_grid}\n" : "{start_of_grid label=\"" + label + "\"}\n");
      List<Bar> bars = section.bars().stream().map(this::whole).toList();
      for (int from = 0; from < bars.size(); from += BARS_A_LINE) {
        List<Bar> line = bars.subList(from, Math.min(bars.size(), from + BARS_A_LINE));
        Notation notation = Notation.in(now);
        out.append(ChartWriter.line(line, notation, id -> Optional.empty())).append('\n');
        for (Bar bar : line) {
          now = bar.meter().orElse(now);
        }
      }
      out.append("{end_of_grid}\n");
      words(section);
    }
    if (!song.lyrics().isEmpty()) {
      out.append('\n');
      song.lyrics().forEach(l -> out.append(l).append('\n'));
    }
  }

  /** A bar with the chords it borrows written out: a grid has no bars that are like others. */
  private Bar whole(Bar bar) {
    return bar.borrows().isEmpty()
        ? bar
        : bar.withChanges(song.chart().changes(bar)).borrowing(Optional.empty());
  }

  /** The words of a section, verse after verse, a line for every two bars, chords before theirs. */
  private void words(Section section) {
    int verses =
        section.bars().stream()
            .mapToInt(b -> song.words().at(b.id()).verses().size())
            .max()
            .orElse(0);
    for (int verse = 0; verse < verses; verse++) {
      out.append("{start_of_verse}\n");
      sounding = "N.C.";
      StringBuilder line = new StringBuilder();
      for (int b = 0; b < section.bars().size(); b++) {
        line.append(words(section.bars().get(b), verse));
        if (b % 2 == 1 || b + 1 == section.bars().size()) {
          String text = line.toString().strip();
          if (!text.isEmpty()) {
            out.append(text).append('\n');
          }
          line.setLength(0);
        }
      }
      out.append("{end_of_verse}\n");
    }
  }

  private String words(Bar bar, int verse) {
    List<List<BarLyrics.Piece>> verses = song.words().at(bar.id()).verses();
    TreeMap<Integer, StringBuilder> at = new TreeMap<>();
    // A chord that goes on is named again, so that the words of its second bar stay there.
    at.put(0, new StringBuilder("[" + sounding + "]"));
    for (ChordChange change : song.chart().changes(bar)) {
      sounding = change.harmony().sounding().map(Chord::ascii).orElse(change.harmony().label());
      at.put(change.tick(), new StringBuilder("[" + sounding + "]"));
    }
    for (BarLyrics.Piece piece :
        verse < verses.size() ? verses.get(verse) : List.<BarLyrics.Piece>of()) {
      // The chord stands within a word that it parts.
      String gap = piece.text().endsWith("-") ? "" : " ";
      at.computeIfAbsent(piece.tick(), t -> new StringBuilder()).append(piece.text() + gap);
    }
    return String.join("", at.values());
  }
}
