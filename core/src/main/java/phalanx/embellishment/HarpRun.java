package phalanx.embellishment;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
import phalanx.melody.BarTune;
import phalanx.melody.Slur;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.picking.PatternReader;
import phalanx.picking.PickFinger;
import phalanx.picking.PickingStyle;
import phalanx.song.Patterns;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.technique.Technique;
import phalanx.text.Texts;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.NoteName;
import phalanx.theory.ScaleNaming;
import phalanx.theory.Ticks;

/**
 * A run over a held shape in which plain notes and harmonics touched an octave above alternate, two
 * strings apart or more, so that they ring into each other as on a harp. The ring finger plucks the
 * plain notes; the thumb plucks the harmonics, which the index finger touches (common practice, no
 * source). A plain note may be plucked above its fret and pulled off to it: three notes a beat.
 *
 * @param notes one after the other
 * @param scale the scale that they make, or of which they are an arpeggio, as far as it has a name
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
          "2 4* 1 3*",
          "1 3* 2 4*",
          "2 4* 1 3* 2 4* 1 3*",
          "1 3* 2 3*",
          "4 6* 3 5* 2 4* 1 3* 2 4* 3 5* 4 6*",
          "4p 6* 3p 5* 2p 4* 1p 3*",
          "1p 3* 2p 4* 3p 5* 4p 6*");

  /** How far above its fret a note is pulled off from, the first that the scale has. */
  private static final List<Integer> PULLED_FROM = List.of(2, 3, 1);

  /** Plain and touched strings are this far apart at least. */
  private static final int APART = 2;

  private static final int ABOVE = 12;

  /** One more finger is this many frets above the one held at most. */
  private static final int REACHED = 4;

  private static final Pattern STEP = Pattern.compile("([1-6])(\\*|p([1-4])?)?");
  private static final Key C = Key.parse("C").orElseThrow();

  public HarpRun {
    notes = List.copyOf(notes);
  }

  /**
   * One string of the order.
   *
   * @param string 0 for ⑥ to 5 for ①
   * @param touched whether it is touched an octave above
   * @param above frets above the held one on which it is plucked and pulled off to it, {@link
   *     #BY_SCALE} for the next of the scale; 0 where it is plucked as it is held
   */
  public record Step(int string, boolean touched, int above) {

    /** Pulled off from the next note of the scale. */
    public static final int BY_SCALE = -1;

    /** As it is written. */
    String text() {
      String pulled = above == 0 ? "" : above == BY_SCALE ? "p" : "p" + above;
      return (Tuning.STRINGS - string) + (touched ? "*" : pulled);
    }
  }

  /**
   * One note.
   *
   * @param string 0 for ⑥ to 5 for ①
   * @param fret where it is held, from the capo, 0 open
   * @param touched whether it is touched an octave above
   * @param pulled whether it is pulled off from the note before
   * @param midi its sounding pitch, capo included
   * @param name what it is called, counted from the capo as chords are
   */
  public record HarpNote(
      int string, int fret, boolean touched, boolean pulled, int midi, NoteName name) {

    /** The fret over which it is touched, if it is. */
    public Optional<Integer> touchFret() {
      return touched ? Optional.of(fret + ABOVE) : Optional.empty();
    }

    /** The same, called as a scale has it. */
    private HarpNote named(ScaleNaming.Scale scale) {
      return new HarpNote(string, fret, touched, pulled, midi, scale.key().nameOf(name.chroma()));
    }

    /** The finger that plucks it; none where it is pulled off. */
    public Optional<PickFinger> pick() {
      return pulled ? Optional.empty() : Optional.of(touched ? PickFinger.P : PickFinger.A);
    }
  }

  /**
   * Reads an order such as {@code 4 6* 3 5*}, with {@code 4p} or {@code 4p2} for a string that is
   * plucked above its fret and pulled off to it; empty where it is none.
   */
  public static Optional<List<Step>> order(String text) {
    List<Step> steps = new ArrayList<>();
    for (String word : text.strip().split("[\\s,]+")) {
      Matcher step = STEP.matcher(word);
      if (!step.matches()) {
        return Optional.empty();
      }
      int string = Tuning.STRINGS - Integer.parseInt(step.group(1));
      String how = step.group(2) == null ? "" : step.group(2);
      int above = step.group(3) == null ? Step.BY_SCALE : Integer.parseInt(step.group(3));
      steps.add(new Step(string, how.equals("*"), how.startsWith("p") ? above : 0));
    }
    return Optional.of(steps);
  }

  /** An order as it is read. */
  public static String text(List<Step> order) {
    return order.stream().map(Step::text).collect(Collectors.joining(" "));
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
    for (Step step : order) {
      if (frets.get(step.string()) == Shape.SILENT) {
        throw new IllegalArgumentException(
            "string " + (Tuning.STRINGS - step.string()) + " does not sound in this shape");
      }
    }
    List<NoteName> roots = new ArrayList<>();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (frets.get(s) != Shape.SILENT) {
        roots.add(C.nameOf(chroma(guitar, s, frets.get(s))));
      }
    }
    Optional<ScaleNaming.Scale> held =
        scale(order.stream().map(s -> note(guitar, s, frets.get(s.string()), false)), roots);
    List<HarpNote> notes = new ArrayList<>();
    for (Step step : order) {
      int fret = frets.get(step.string());
      if (step.above() != 0) {
        notes.add(note(guitar, step, fret + above(guitar, step, fret, held), false));
      }
      notes.add(note(guitar, step, fret, step.above() != 0));
    }
    Optional<ScaleNaming.Scale> scale = scale(notes.stream(), roots);
    List<HarpNote> named =
        scale.map(s -> notes.stream().map(n -> n.named(s)).toList()).orElse(notes);
    return new HarpRun(named, scale.map(s -> words(s, named, frets, guitar)));
  }

  /**
   * A scale is called so where all of its tones are there; else the run is an arpeggio, and the one
   * more finger that would make it the scale is named.
   */
  private static String words(
      ScaleNaming.Scale scale, List<HarpNote> notes, List<Integer> frets, Guitar guitar) {
    Set<Integer> there = notes.stream().map(n -> n.name().chroma()).collect(Collectors.toSet());
    List<NoteName> missing = scale.missing(there);
    if (missing.isEmpty()) {
      return scale.words();
    }
    String tones =
        notes.stream()
            .map(n -> n.name())
            .distinct()
            .sorted(
                Comparator.comparingInt(
                    n -> Math.floorMod(n.chroma() - scale.root().chroma(), ABOVE)))
            .map(NoteName::toString)
            .collect(Collectors.joining(", "));
    String arpeggio = Texts.of("harpRun.arpeggioOf", tones);
    return missing.size() > 1
        ? arpeggio
        : oneMore(missing.get(0), frets, guitar)
            .map(place -> Texts.of("harpRun.withItIs", arpeggio, place, scale.words()))
            .orElse(arpeggio);
  }

  /** Where one more finger takes a tone, above the frets held: {@code F♯ on ④ 4}. */
  private static Optional<String> oneMore(NoteName tone, List<Integer> frets, Guitar guitar) {
    return IntStream.range(0, Tuning.STRINGS)
        .filter(s -> frets.get(s) != Shape.SILENT)
        .mapToObj(
            s ->
                new int[] {
                  s, Math.floorMod(tone.chroma() - chroma(guitar, s, frets.get(s)), ABOVE)
                })
        .filter(place -> place[1] <= REACHED)
        .min(Comparator.comparingInt(place -> place[1]))
        .map(
            place ->
                tone + " on " + StringSign.of(place[0]) + " " + (frets.get(place[0]) + place[1]));
  }

  private static HarpNote note(Guitar guitar, Step step, int fret, boolean pulled) {
    int midi = guitar.midi(step.string(), fret) + (step.touched() ? ABOVE : 0);
    NoteName name = C.nameOf(chroma(guitar, step.string(), fret));
    return new HarpNote(step.string(), fret, step.touched(), pulled, midi, name);
  }

  private static Optional<ScaleNaming.Scale> scale(Stream<HarpNote> notes, List<NoteName> roots) {
    return ScaleNaming.of(notes.map(n -> n.name().chroma()).toList(), roots);
  }

  /** How many frets above the held one a note is pulled off from. */
  private static int above(Guitar guitar, Step step, int fret, Optional<ScaleNaming.Scale> scale) {
    if (step.above() != Step.BY_SCALE) {
      return step.above();
    }
    return PULLED_FROM.stream()
        .filter(
            up -> scale.filter(s -> s.has(chroma(guitar, step.string(), fret + up))).isPresent())
        .findFirst()
        .orElse(PULLED_FROM.get(0));
  }

  private static int chroma(Guitar guitar, int string, int fret) {
    return Math.floorMod(guitar.shapeMidi(string, fret), ABOVE);
  }

  /**
   * The run as the tune of one bar, in eighths, in triplets with pull-offs, or twice as fast where
   * it has more notes; what still finds no room is left out.
   */
  public BarTune bar(Meter meter) {
    boolean threes = notes.stream().anyMatch(HarpNote::pulled);
    int slow = Ticks.PER_QUARTER / (threes ? 3 : 2);
    int step = notes.size() * slow <= meter.barTicks() ? slow : slow / 2;
    List<TuneNote> tune = new ArrayList<>();
    for (HarpNote note : notes) {
      int tick = step * tune.size();
      if (tick + step <= meter.barTicks()) {
        Set<Technique> played =
            note.touched() ? Set.of(new Technique.TouchedHarmonic(ABOVE)) : Set.of();
        Want place = new Want.Place(note.string(), note.fret());
        Optional<Slur> slur = note.pulled() ? Optional.of(Slur.PULL_OFF) : Optional.empty();
        tune.add(new TuneNote(tick, step, List.of(place), slur, List.of(), played));
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
