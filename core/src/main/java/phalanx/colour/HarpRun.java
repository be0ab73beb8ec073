package phalanx.colour;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.picking.PatternReader;
import phalanx.picking.PickFinger;
import phalanx.picking.PickingStyle;
import phalanx.song.Patterns;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.technique.Technique;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.NoteName;
import phalanx.theory.ScaleNaming;
import phalanx.theory.Ticks;

/**
 * A run over a held shape in which plain notes and harmonics touched an octave above alternate, two
 * strings apart or more, so that they ring into each other as on a harp. The ring finger plucks the
 * plain notes; the thumb plucks the harmonics, which the index finger touches (common practice, no
 * source).
 *
 * @param notes one after the other
 * @param scale the scale they make, as far as it has a name
 */
public record HarpRun(List<HarpNote> notes, Optional<String> scale) {

  /** The orders a player tries first; string numbers, a star where it is touched. */
  private static final List<String> ORDERS =
      List.of(
          "4 6* 3 5* 2 4* 1 3*",
          "3* 1 4* 2 5* 3 6* 4",
          "6* 4 5* 3 4* 2 3* 1",
          "1 3* 2 4* 3 5* 4 6*",
          "3 6* 2 5* 1 4*",
          "4 6* 3 5* 2 4* 1 3* 2 4* 3 5* 4 6*");

  /** Plain and touched strings are this far apart at least. */
  private static final int APART = 2;

  private static final int ABOVE = 12;
  private static final Pattern STEP = Pattern.compile("([1-6])(\\*?)");
  private static final Key C = Key.parse("C").orElseThrow();

  public HarpRun {
    notes = List.copyOf(notes);
  }

  /**
   * One string of the order.
   *
   * @param string 0 for ⑥ to 5 for ①
   * @param touched whether it is touched an octave above
   */
  public record Step(int string, boolean touched) {}

  /**
   * One note.
   *
   * @param string 0 for ⑥ to 5 for ①
   * @param fret where the shape holds it, from the capo, 0 open
   * @param touched whether it is touched an octave above
   * @param midi its sounding pitch, capo included
   * @param name what it is called, counted from the capo as chords are
   */
  public record HarpNote(int string, int fret, boolean touched, int midi, NoteName name) {

    /** The fret over which it is touched, if it is. */
    public Optional<Integer> touchFret() {
      return touched ? Optional.of(fret + ABOVE) : Optional.empty();
    }

    /** The same, called as a scale has it. */
    private HarpNote named(ScaleNaming.Scale scale) {
      return new HarpNote(string, fret, touched, midi, scale.key().nameOf(name.chroma()));
    }

    /** The finger that plucks it. */
    public PickFinger pick() {
      return touched ? PickFinger.P : PickFinger.A;
    }
  }

  /** Reads an order such as {@code 4 6* 3 5*}; empty where it is none. */
  public static Optional<List<Step>> order(String text) {
    List<Step> steps = new ArrayList<>();
    for (String word : text.strip().split("[\\s,]+")) {
      Matcher step = STEP.matcher(word);
      if (!step.matches()) {
        return Optional.empty();
      }
      int string = Tuning.STRINGS - Integer.parseInt(step.group(1));
      steps.add(new Step(string, !step.group(2).isEmpty()));
    }
    return Optional.of(steps);
  }

  /** An order as it is read. */
  public static String text(List<Step> order) {
    return order.stream()
        .map(s -> (Tuning.STRINGS - s.string()) + (s.touched() ? "*" : ""))
        .collect(Collectors.joining(" "));
  }

  /**
   * Orders that go over a shape, without the strings that it leaves silent.
   *
   * @param frets from ⑥ to ①, {@link Shape#SILENT} for a silent string
   */
  public static List<List<Step>> proposals(List<Integer> frets) {
    return ORDERS.stream()
        .map(o -> order(o).orElseThrow())
        .map(o -> o.stream().filter(s -> frets.get(s.string()) != Shape.SILENT).toList())
        .filter(HarpRun::alternates)
        .distinct()
        .toList();
  }

  /** Whether plain and touched notes alternate, each on another string than its neighbours. */
  private static boolean alternates(List<Step> order) {
    boolean far = order.size() >= 2 * APART;
    for (int i = 1; i < order.size(); i++) {
      Step a = order.get(i - 1);
      Step b = order.get(i);
      far &= a.touched() != b.touched() && a.string() != b.string();
    }
    return far;
  }

  /**
   * The run of an order over a shape.
   *
   * @param frets from ⑥ to ①, counted from the capo
   * @throws IllegalArgumentException if a string of the order does not sound
   */
  public static HarpRun of(List<Integer> frets, List<Step> order, Guitar guitar) {
    List<HarpNote> notes = new ArrayList<>();
    for (Step step : order) {
      int fret = frets.get(step.string());
      if (fret == Shape.SILENT) {
        throw new IllegalArgumentException(
            "string " + (Tuning.STRINGS - step.string()) + " does not sound in this shape");
      }
      int midi = guitar.midi(step.string(), fret) + (step.touched() ? ABOVE : 0);
      NoteName name = C.nameOf(chroma(guitar, step.string(), fret));
      notes.add(new HarpNote(step.string(), fret, step.touched(), midi, name));
    }
    List<NoteName> roots = new ArrayList<>();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (frets.get(s) != Shape.SILENT) {
        roots.add(C.nameOf(chroma(guitar, s, frets.get(s))));
      }
    }
    List<Integer> chromas = notes.stream().map(n -> n.name().chroma()).toList();
    Optional<ScaleNaming.Scale> scale = ScaleNaming.of(chromas, roots);
    List<HarpNote> named =
        scale.map(s -> notes.stream().map(n -> n.named(s)).toList()).orElse(notes);
    return new HarpRun(named, scale.map(ScaleNaming.Scale::words));
  }

  private static int chroma(Guitar guitar, int string, int fret) {
    return Math.floorMod(guitar.shapeMidi(string, fret), ABOVE);
  }

  /**
   * The run as the tune of one bar, in eighths, or in sixteenths where it has more notes; what
   * still finds no room is left out.
   */
  public BarTune bar(Meter meter) {
    int eighth = Ticks.PER_QUARTER / 2;
    int step = notes.size() * eighth <= meter.barTicks() ? eighth : eighth / 2;
    List<TuneNote> tune = new ArrayList<>();
    for (HarpNote note : notes) {
      int tick = step * tune.size();
      if (tick + step <= meter.barTicks()) {
        Set<Technique> played =
            note.touched() ? Set.of(new Technique.TouchedHarmonic(ABOVE)) : Set.of();
        Want place = new Want.Place(note.string(), note.fret());
        tune.add(new TuneNote(tick, step, List.of(place), Optional.empty(), List.of(), played));
      }
    }
    return new BarTune(0, tune);
  }

  /**
   * A song with the run as the tune of one bar, over the shape held there, which is pinned; the
   * pattern rests in that bar.
   *
   * @param at the chord over which it is played, the first of its bar
   */
  public Song into(Song song, SlotRef at, Shape held) {
    Meter meter = song.chart().meters(song.meter()).get(at.bar());
    Patterns.Scope bar = new Patterns.Scope.OfBar(at.bar());
    return song.withTune(song.tune().with(at.bar(), bar(meter)))
        .withPatterns(song.patterns().with(bar, rest(meter)))
        .pin(at, held);
  }

  /** A bar in which the pattern plays nothing. */
  private static PickingStyle rest(Meter meter) {
    String cells = " . |".repeat(meter.count());
    return PatternReader.read("name: rest\nmetre: " + meter + "\nthumb |" + cells + "\n")
        .patterns()
        .get(0);
  }
}
