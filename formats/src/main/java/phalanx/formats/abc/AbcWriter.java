package phalanx.formats.abc;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import phalanx.arrangement.Arrangement;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.notation.Rhythm;
import phalanx.song.Bar;
import phalanx.song.BarLyrics;
import phalanx.song.ChordChange;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.TunePitches;
import phalanx.text.Phrase;
import phalanx.theory.Chord;
import phalanx.theory.Key;
import phalanx.theory.Letter;
import phalanx.theory.Meter;
import phalanx.theory.Mode;
import phalanx.theory.Pitch;
import phalanx.theory.Ticks;

/**
 * Writes the tune of a song with its chord symbols, repeats and words in ABC 2.1. Both hands are
 * not carried: the notation has one line.
 */
public final class AbcWriter {

  /** The unit note length: an eighth. */
  private static final int UNIT = Ticks.PER_QUARTER / 2;

  private static final int BARS_A_LINE = 4;

  private final Song song;
  private final StringBuilder out = new StringBuilder();
  private final Map<Letter, Integer> keySigns = new TreeMap<>();

  private AbcWriter(Song song) {
    this.song = song;
  }

  /** The tune of an arrangement. */
  public static String write(Arrangement arrangement) {
    return write(arrangement.song());
  }

  /** The tune of a song. */
  public static String write(Song song) {
    AbcWriter writer = new AbcWriter(song);
    writer.head();
    writer.body();
    return writer.out.toString();
  }

  private void field(char name, String value) {
    out.append(name).append(':').append(value.replaceAll("[\\r\\n]", " ")).append('\n');
  }

  private void head() {
    out.append("%abc-2.1\n");
    field('X', "1");
    field('T', song.title());
    if (!song.credits().composer().isEmpty()) {
      field('C', song.credits().composer());
    }
    field('M', song.meter().toString());
    field('L', "1/8");
    field('Q', tempo(song.meter(), song.tempo()));
    song.lyrics().forEach(l -> field('W', l));
    if (song.guitar().capo() > 0) {
      field('N', "capo " + song.guitar().capo());
    }
    field('K', song.key().map(AbcWriter::key).orElse("none"));
    song.key().ifPresent(this::keySigns);
  }

  private static String tempo(Meter meter, double quarters) {
    String beat = meter.isCompound() ? "3/8" : "1/4";
    double beats = meter.isCompound() ? quarters * Ticks.PER_QUARTER / meter.beatTicks() : quarters;
    return beat + "=" + Phrase.of("%.3f", beats).replaceAll("\\.?0+$", "");
  }

  private static String key(Key key) {
    return key.tonic().ascii()
        + switch (key.mode()) {
          case MAJOR -> "";
          case MINOR -> "m";
          default -> key.mode().hasSignature() ? " " + key.mode().words() : "m";
        };
  }

  private void keySigns(Key key) {
    // Where a mode has no signature of its own it is written in that of minor.
    Key signed = key.mode().hasSignature() ? key : new Key(key.tonic(), Mode.MINOR);
    for (int degree = 0; degree < Mode.DEGREES; degree++) {
      keySigns.put(signed.degree(degree).letter(), signed.degree(degree).alteration());
    }
  }

  private void body() {
    List<Bar> bars = song.chart().bars();
    Map<Integer, Meter> meters = song.chart().meters(song.meter());
    Map<Integer, BarTune> tunes = song.tune().along(song.chart());
    Meter now = song.meter();
    boolean first = true;
    for (Section section : song.sections()) {
      if (!section.label().isBlank()) {
        field('P', section.label());
      }
      StringBuilder line = new StringBuilder();
      List<Bar> here = section.bars();
      List<Bar> lined = new ArrayList<>();
      for (int b = 0; b < here.size(); b++) {
        Bar bar = here.get(b);
        Meter meter = meters.get(bar.id());
        int length =
            first && song.feel().pickupTicks() > 0 ? song.feel().pickupTicks() : meter.barTicks();
        first = false;
        if (!meter.equals(now)) {
          line.append("[M:").append(meter).append(']');
          now = meter;
        }
        bar.tempo().ifPresent(t -> line.append("[Q:").append(tempo(meter, t)).append(']'));
        boolean tiedOut = isHeld(bars, bar, tunes);
        boolean goesOver = reachesEnd(tunes.getOrDefault(bar.id(), BarTune.SILENT), length);
        line.append(bar(bar, meter, length, tunes.getOrDefault(bar.id(), BarTune.SILENT), tiedOut));
        reaches = goesOver;
        line.append(barLine(here, b, bars)).append(' ');
        lined.add(bar);
        if (lined.size() == BARS_A_LINE || b + 1 == here.size()) {
          String opens = lined.get(0).repeatStart() ? "|:" : "";
          out.append(opens)
              .append(ending(bars, lined.get(0)))
              .append(line.toString().strip())
              .append('\n');
          words(lined, tunes);
          line.setLength(0);
          lined.clear();
        }
      }
    }
  }

  /** The bar line behind a bar, with what the next one in the same line begins with. */
  private String barLine(List<Bar> here, int b, List<Bar> all) {
    Bar bar = here.get(b);
    boolean lineEnds = (b + 1) % BARS_A_LINE == 0 || b + 1 == here.size();
    boolean last = bar == all.get(all.size() - 1);
    String end = bar.plays() > 1 ? ":|" : last ? "|]" : b + 1 == here.size() ? "||" : "|";
    if (lineEnds) {
      return " " + end;
    }
    Bar next = here.get(b + 1);
    String start = next.repeatStart() ? ":" : "";
    return " " + (next.repeatStart() && bar.plays() > 1 ? "::" : end + start) + ending(all, next);
  }

  private static String ending(List<Bar> all, Bar bar) {
    int place = all.indexOf(bar);
    boolean goesOn =
        place > 0
            && all.get(place - 1).passes().equals(bar.passes())
            && all.get(place - 1).plays() == 1;
    if (bar.passes().isEmpty() || goesOn) {
      return "";
    }
    return "["
        + new TreeSet<>(bar.passes()).stream().map(String::valueOf).collect(Collectors.joining(","))
        + " ";
  }

  private static boolean isHeld(List<Bar> all, Bar bar, Map<Integer, BarTune> tunes) {
    int next = all.indexOf(bar) + 1;
    return next < all.size()
        && tunes.getOrDefault(all.get(next).id(), BarTune.SILENT).heldTicks() > 0;
  }

  /** What sounds in a span of a bar. */
  private record Filled(Optional<TuneNote> note, boolean held, boolean first) {}

  private String bar(Bar bar, Meter meter, int length, BarTune tune, boolean tiedOut) {
    TreeMap<Integer, String> chords = new TreeMap<>();
    for (ChordChange change : song.chart().changes(bar)) {
      if (change.tick() < length) {
        String label =
            change.harmony().sounding().map(Chord::ascii).orElse(change.harmony().label());
        chords.put(change.tick(), label.replace('"', '\''));
      }
    }
    List<Rhythm.Span> spans = new ArrayList<>();
    List<Filled> filled = new ArrayList<>();
    int offset = meter.barTicks() - length;
    int at = 0;
    if (tune.heldTicks() > 0 && reaches) {
      at =
          cut(
              spans,
              filled,
              chords,
              offset,
              0,
              Math.min(length, tune.heldTicks()),
              Optional.empty(),
              true);
    }
    for (TuneNote note : tune.notes()) {
      if (note.tick() >= length) {
        break;
      }
      at = cut(spans, filled, chords, offset, at, note.tick(), Optional.empty(), false);
      at =
          cut(
              spans,
              filled,
              chords,
              offset,
              at,
              Math.min(length, note.endTick()),
              Optional.of(note),
              false);
    }
    cut(spans, filled, chords, offset, at, length, Optional.empty(), false);
    Map<Letter, Map<Integer, Integer>> signs = new TreeMap<>();
    StringBuilder text = new StringBuilder();
    List<Rhythm.Piece> pieces = Rhythm.of(spans, meter);
    int tick = 0;
    List<Pitch> sounding = held;
    for (int p = 0; p < pieces.size(); p++) {
      Rhythm.Piece piece = pieces.get(p);
      Filled of = filled.get(piece.span());
      if (piece.opens() && !piece.closes()) {
        text.append(tuplet(pieces, p));
      }
      String chord = chords.get(tick);
      if (chord != null) {
        text.append('"').append(chord).append('"');
      }
      boolean sounds = of.note().isPresent() || of.held();
      if (of.note().isPresent() && piece.first() && of.first()) {
        sounding = pitches(of.note().get());
        text.append(graces(of.note().get(), signs));
      }
      text.append(sounds ? notes(sounding, signs) : "z").append(length(piece));
      boolean goesOn =
          sounds
              && (p + 1 < pieces.size()
                  ? isSame(filled, piece.span(), pieces.get(p + 1).span())
                  : tiedOut);
      text.append(goesOn ? "-" : "").append(beamBreak(tick + piece.ticks() + offset, meter));
      tick += piece.ticks();
    }
    held = sounding;
    return text.toString().strip();
  }

  private List<Pitch> held = List.of();
  private boolean reaches;

  /** Whether what sounds last in a bar sounds up to its line. */
  private static boolean reachesEnd(BarTune tune, int length) {
    int end =
        tune.notes().isEmpty()
            ? tune.heldTicks()
            : tune.notes().get(tune.notes().size() - 1).endTick();
    return end >= length;
  }

  private static String beamBreak(int tick, Meter meter) {
    return tick % meter.beatTicks() == 0 ? " " : "";
  }

  private static boolean isSame(List<Filled> filled, int one, int two) {
    if (one == two) {
      return true;
    }
    Filled next = filled.get(two);
    return !next.first()
        && (next.held() || next.note().isPresent() && next.note().equals(filled.get(one).note()));
  }

  /** Fills a span, cut where chords begin, so that each stands before something. */
  private static int cut(
      List<Rhythm.Span> spans,
      List<Filled> filled,
      TreeMap<Integer, String> chords,
      int offset,
      int from,
      int to,
      Optional<TuneNote> note,
      boolean held) {
    int at = from;
    boolean first = note.isPresent() || held;
    while (at < to) {
      Integer next = chords.higherKey(at);
      int end = next == null ? to : Math.min(to, next);
      spans.add(new Rhythm.Span(offset + at, offset + end));
      filled.add(new Filled(note, held, first));
      first = false;
      at = end;
    }
    return Math.max(from, to);
  }

  private static String tuplet(List<Rhythm.Piece> pieces, int from) {
    int count = 0;
    for (int p = from; p < pieces.size(); p++) {
      count++;
      if (pieces.get(p).closes()) {
        break;
      }
    }
    Rhythm.Ratio ratio = pieces.get(from).ratio().orElseThrow();
    return Phrase.of("(%d:%d:%d", ratio.actual(), ratio.normal(), count);
  }

  private List<Pitch> pitches(TuneNote note) {
    return note.wants().stream().map(this::pitch).toList();
  }

  private Pitch pitch(Want want) {
    return TunePitches.of(song, want).pitch();
  }

  private String graces(TuneNote note, Map<Letter, Map<Integer, Integer>> signs) {
    if (note.graces().isEmpty()) {
      return "";
    }
    return "{"
        + note.graces().stream().map(w -> letter(pitch(w), signs)).collect(Collectors.joining())
        + "}";
  }

  private String notes(List<Pitch> pitches, Map<Letter, Map<Integer, Integer>> signs) {
    String letters = pitches.stream().map(p -> letter(p, signs)).collect(Collectors.joining());
    return pitches.size() == 1 ? letters : pitches.isEmpty() ? "z" : "[" + letters + "]";
  }

  /** A letter with its accidental where the bar so far does not say it: C is middle C. */
  private String letter(Pitch pitch, Map<Letter, Map<Integer, Integer>> signs) {
    Letter letter = pitch.name().letter();
    int wanted = pitch.name().alteration();
    Map<Integer, Integer> said = signs.computeIfAbsent(letter, l -> new TreeMap<>());
    int now = said.getOrDefault(pitch.octave(), keySigns.getOrDefault(letter, 0));
    String sign =
        wanted == now ? "" : wanted == 0 ? "=" : (wanted > 0 ? "^" : "_").repeat(Math.abs(wanted));
    said.put(pitch.octave(), wanted);
    String name = letter.name();
    int octave = pitch.octave();
    if (octave >= 5) {
      name = String.valueOf((char) (name.charAt(0) + ('a' - 'A'))) + "'".repeat(octave - 5);
    } else {
      name += ",".repeat(4 - octave);
    }
    return sign + name;
  }

  private static String length(Rhythm.Piece piece) {
    int ticks = piece.value().ticks();
    int gcd = gcd(ticks, UNIT);
    int over = ticks / gcd;
    int under = UNIT / gcd;
    return (over == 1 ? "" : String.valueOf(over)) + (under == 1 ? "" : "/" + under);
  }

  private static int gcd(int a, int b) {
    return b == 0 ? a : gcd(b, a % b);
  }

  /**
   * Words under the bars of a line: a bar’s words under its notes, the next bar behind a stroke.
   */
  private void words(List<Bar> bars, Map<Integer, BarTune> tunes) {
    int verses =
        bars.stream().mapToInt(b -> song.words().at(b.id()).verses().size()).max().orElse(0);
    for (int verse = 0; verse < verses; verse++) {
      StringBuilder line = new StringBuilder();
      for (Bar bar : bars) {
        BarLyrics words = song.words().at(bar.id());
        line.append(words.verse(verse).replace("|", "/").replace("\n", " ")).append(" | ");
      }
      field('w', line.toString().stripTrailing());
    }
  }
}
