package phalanx.advice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import phalanx.arrangement.Note;
import phalanx.embellishment.PairWalk;
import phalanx.fretting.FretRow;
import phalanx.fretting.Shape;
import phalanx.instrument.Tuning;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.picking.PatternReader;
import phalanx.picking.PickingStyle;
import phalanx.planning.Arranger;
import phalanx.song.Patterns;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.theory.Chord;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;
import phalanx.theory.Ticks;

/**
 * Puts a walk of two voices between two chords: a pair each quarter or each eighth, over the thumb
 * on one bass string or with the lower voice as the bass, and the upper voice’s last note where the
 * next chord begins, unless a tune is there. The next chord may stand in the same bar.
 */
public final class WalkFitting {

  private static final int MOST_BEATS = 4;

  /** Fewer pairs than this before the next chord are no walk. */
  private static final int FEWEST = 2;

  /** Cost of each fret up the neck, so that a walk does not begin where it should end. */
  private static final double HIGH = 0.15;

  /** So many ways are planned. */
  private static final int TRIED = 6;

  /** A bass further up would hold the hand there. */
  private static final int HIGHEST_BASS = 3;

  /** The thumb’s strings. */
  private static final int BASS_STRINGS = 3;

  private static final int OCTAVE = 12;

  private final BarTrial trial;
  private final Song song;
  private final SlotRef at;
  private final Chord from;
  private final SlotRef next;
  private final Chord to;

  /**
   * How a walk goes.
   *
   * @param kind in which intervals
   * @param direction up or down; empty for what is easier
   * @param eighths whether a pair comes each eighth, else each quarter
   */
  public record Steps(PairWalk kind, Optional<PairWalk.Direction> direction, boolean eighths) {

    /** In quarters, whichever way is easier. */
    public static Steps of(PairWalk kind) {
      return new Steps(kind, Optional.empty(), false);
    }

    private int ticks() {
      return eighths ? Ticks.PER_QUARTER / 2 : Ticks.PER_QUARTER;
    }

    private List<PairWalk.Direction> directions() {
      return direction.map(List::of).orElse(List.of(PairWalk.Direction.values()));
    }
  }

  /**
   * For two chords.
   *
   * @param at where the first is written
   * @param next where the second is written: the next chord of the bar, or the first of another
   */
  public WalkFitting(Arranger arranger, Song song, SlotRef at, Chord from, SlotRef next, Chord to) {
    this.song = song;
    this.at = at;
    this.from = from;
    this.next = next;
    this.to = to;
    boolean inBar = next.bar() == at.bar() && next.tick() > at.tick();
    Set<Integer> bars = new HashSet<>(List.of(at.bar(), next.bar()));
    trial =
        inBar
            ? new BarTrial(arranger, song, at, bars, OptionalInt.of(next.tick()))
            : new BarTrial(arranger, song, at, bars);
  }

  /** The way in quarters that is easiest; see {@link #of(Steps)}. */
  public Optional<FittedRun> of(PairWalk kind) {
    return of(Steps.of(kind));
  }

  /**
   * The longest walk that begins and ends on tones of the chords, and of those the easiest; it
   * climbs where both ways are as easy. Empty where no two strings have one.
   */
  public Optional<FittedRun> of(Steps steps) {
    return steps.directions().stream()
        .flatMap(d -> longest(steps, d).stream())
        .min(Comparator.comparingInt(r -> r.hard().size()));
  }

  private Optional<FittedRun> longest(Steps steps, PairWalk.Direction direction) {
    int most = Math.min(MOST_BEATS, trial.room() / Ticks.PER_QUARTER);
    int each = Ticks.PER_QUARTER / steps.ticks();
    for (int pairs = most * each; pairs >= FEWEST; pairs--) {
      Optional<FittedRun> best = of(steps, direction, (pairs + each - 1) / each, pairs);
      if (best.isPresent()) {
        return best;
      }
    }
    return Optional.empty();
  }

  private Optional<FittedRun> of(Steps steps, PairWalk.Direction direction, int beats, int pairs) {
    return steps.kind().ways(song.guitar(), key(), from, to, pairs + 1, direction).stream()
        .limit(TRIED)
        .flatMap(w -> placed(steps, w))
        .map(s -> trial.of(s, beats))
        .min(
            Comparator.<FittedRun>comparingInt(r -> missing(r, steps, pairs))
                .thenComparing(r -> r.hard().size())
                .thenComparing(r -> !isOnBass(r))
                .thenComparingDouble(r -> r.arrangement().plan().cost() + HIGH * r.position()));
  }

  private static int missing(FittedRun run, Steps steps, int pairs) {
    int voices = steps.kind().isOnBass() ? 1 : 2;
    return pairs * voices - run.notes().size();
  }

  private Key key() {
    boolean minor = from.intervals().stream().anyMatch(i -> i.semitones() == 3);
    return song.key().orElse(new Key(from.root(), minor ? Mode.MINOR : Mode.MAJOR));
  }

  /** The chord as it is held, or a bass alone, so that the fingers are free. */
  private Stream<Optional<FretRow>> basses(PairWalk.Way way) {
    List<Optional<FretRow>> rows = new ArrayList<>(List.of(Optional.empty()));
    for (NoteName tone : from.notes()) {
      for (int s = 0; s < Math.min(way.lowString(), BASS_STRINGS); s++) {
        int fret = Math.floorMod(tone.chroma() - song.guitar().shapeMidi(s, 0), OCTAVE);
        boolean root = tone.equals(from.bass());
        if (fret == 0 || root && fret <= HIGHEST_BASS) {
          rows.add(Optional.of(row(Map.of(s, fret))));
        }
      }
    }
    return rows.stream();
  }

  private static FretRow row(Map<Integer, Integer> frets) {
    List<Integer> row = new ArrayList<>(Collections.nCopies(Tuning.STRINGS, Shape.SILENT));
    frets.forEach(row::set);
    return new FretRow(row);
  }

  /** Whether the thumb has the chord's own bass when it comes. */
  private boolean isOnBass(FittedRun run) {
    return run.arrangement().notesFrom(run.tick(), run.endTick()).stream()
        .filter(n -> n.part() == Note.Part.BASS)
        .findFirst()
        .filter(n -> n.midi() % OCTAVE == (from.bass().chroma() + song.guitar().capo()) % OCTAVE)
        .isPresent();
  }

  private Stream<Song> placed(Steps steps, PairWalk.Way way) {
    int start = trial.end() - (way.pairs().size() - 1) * steps.ticks();
    BarTune tune = song.tune().at(at.bar(), song.chart()).silencing(start, trial.end());
    for (int i = 0; i + 1 < way.pairs().size(); i++) {
      tune = tune.placing(note(steps, way, i, start + i * steps.ticks()));
    }
    Song walked = song.withTune(song.tune().with(at.bar(), tune));
    Song arrived = arriving(walked, steps, way);
    if (steps.kind().isOnBass()) {
      return Stream.of(onBass(arrived, steps, way, start));
    }
    SlotRef part = new SlotRef(at.bar(), start);
    Song pedal = playing(arrived, part, pedal(trial.meter()));
    // A part of the chord has a shape of its own only where one is pinned.
    return basses(way)
        .filter(bass -> start == at.tick() || bass.isPresent())
        .map(bass -> bass.map(row -> pedal.pin(part, row)).orElse(pedal));
  }

  /** With the lower voice in the thumb: a shape of two strings for each pair. */
  private Song onBass(Song walked, Steps steps, PairWalk.Way way, int start) {
    Song placed = walked;
    PickingStyle bass = bass(trial.meter(), steps.eighths());
    for (int i = 0; i + 1 < way.pairs().size(); i++) {
      PairWalk.Pair pair = way.pairs().get(i);
      SlotRef part = new SlotRef(at.bar(), start + i * steps.ticks());
      FretRow row = row(Map.of(pair.lowString(), pair.low(), pair.highString(), pair.high()));
      placed = playing(placed, part, bass).pin(part, row);
    }
    return placed;
  }

  private static Song playing(Song song, SlotRef part, PickingStyle style) {
    return song.withPatterns(song.patterns().with(new Patterns.Scope.OfChord(part), style));
  }

  /** With the last pair where the next chord begins, unless a tune is there. */
  private Song arriving(Song walked, Steps steps, PairWalk.Way way) {
    BarTune tune = walked.tune().at(next.bar(), walked.chart());
    int end = next.tick() + Ticks.PER_QUARTER;
    boolean free =
        tune.heldTicks() <= next.tick()
            && tune.notes().stream().noneMatch(n -> n.tick() < end && n.endTick() > next.tick());
    TuneNote last = note(steps, way, way.pairs().size() - 1, next.tick());
    return free
        ? walked.withTune(
            walked.tune().with(next.bar(), tune.placing(last.lasting(Ticks.PER_QUARTER))))
        : walked;
  }

  private static TuneNote note(Steps steps, PairWalk.Way way, int index, int tick) {
    PairWalk.Pair pair = way.pairs().get(index);
    List<Want> voices = new ArrayList<>();
    if (!steps.kind().isOnBass()) {
      voices.add(new Want.Place(pair.lowString(), pair.low()));
    }
    voices.add(new Want.Place(pair.highString(), pair.high()));
    return new TuneNote(tick, steps.ticks(), voices, Optional.empty(), List.of());
  }

  /** The thumb on the chord's bass on every beat, and nothing else. */
  private static PickingStyle pedal(Meter meter) {
    return thumb("pedal", meter, " o |");
  }

  /** The thumb wherever a pair comes. */
  private static PickingStyle bass(Meter meter, boolean eighths) {
    return thumb("lower voice", meter, eighths ? " o o |" : " o |");
  }

  private static PickingStyle thumb(String name, Meter meter, String beat) {
    String text = "name: " + name + "\nmetre: " + meter + "\nroot |" + beat.repeat(meter.beats());
    return PatternReader.read(text + "\n").patterns().get(0);
  }
}
