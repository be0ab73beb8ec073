package phalanx.advice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import phalanx.arrangement.Note;
import phalanx.embellishment.PairWalk;
import phalanx.fretting.FretRow;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
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
 * Puts a walk of double stops between two chords: a pair each quarter over the thumb on one bass
 * string, and the last pair where the next chord begins, unless a tune is there.
 */
public final class WalkFitting {

  private static final int MOST_BEATS = 4;

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
   * For two chords.
   *
   * @param at where the first is written, the last of its bar
   * @param next where the second is written
   */
  public WalkFitting(Arranger arranger, Song song, SlotRef at, Chord from, SlotRef next, Chord to) {
    this.song = song;
    this.at = at;
    this.from = from;
    this.next = next;
    this.to = to;
    trial = new BarTrial(arranger, song, at, Set.of(at.bar(), next.bar()));
  }

  /** The way that is easiest; empty where no pair of strings has one, or there is no quarter. */
  public Optional<FittedRun> of(PairWalk kind) {
    int beats = Math.min(MOST_BEATS, trial.room() / Ticks.PER_QUARTER);
    if (beats == 0) {
      return Optional.empty();
    }
    Guitar guitar = song.guitar();
    return kind.ways(guitar, key(), from, to, beats + 1).stream()
        .limit(TRIED)
        .flatMap(w -> basses(w).map(bass -> placed(w, beats, bass)))
        .map(s -> trial.of(s, beats))
        .min(
            Comparator.<FittedRun>comparingInt(r -> beats * 2 - r.notes().size())
                .thenComparing(r -> r.hard().size())
                .thenComparing(r -> !isOnBass(r))
                .thenComparingDouble(r -> r.arrangement().plan().cost() + HIGH * r.position()));
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
          List<Integer> row = new ArrayList<>(Collections.nCopies(Tuning.STRINGS, Shape.SILENT));
          row.set(s, fret);
          rows.add(Optional.of(new FretRow(row)));
        }
      }
    }
    return rows.stream();
  }

  /** Whether the thumb has the chord's own bass. */
  private boolean isOnBass(FittedRun run) {
    return run.allNotes().stream()
        .filter(n -> n.part() == Note.Part.BASS)
        .allMatch(n -> n.midi() % OCTAVE == (from.bass().chroma() + song.guitar().capo()) % OCTAVE);
  }

  private Song placed(PairWalk.Way way, int beats, Optional<FretRow> bass) {
    int start = trial.barTicks() - beats * Ticks.PER_QUARTER;
    BarTune tune = song.tune().at(at.bar(), song.chart()).silencing(start, trial.barTicks());
    for (int i = 0; i < beats; i++) {
      tune = tune.placing(note(way, i, start + i * Ticks.PER_QUARTER));
    }
    Song walked =
        song.withTune(song.tune().with(at.bar(), tune))
            .withPatterns(
                song.patterns().with(new Patterns.Scope.OfChord(at), pedal(trial.meter())));
    Song arrived = arriving(walked, way, next);
    return bass.map(row -> arrived.pin(at, row)).orElse(arrived);
  }

  /** With the last pair where the next chord begins, unless a tune is there. */
  private static Song arriving(Song walked, PairWalk.Way way, SlotRef next) {
    BarTune tune = walked.tune().at(next.bar(), walked.chart());
    int end = next.tick() + Ticks.PER_QUARTER;
    boolean free =
        tune.heldTicks() <= next.tick()
            && tune.notes().stream().noneMatch(n -> n.tick() < end && n.endTick() > next.tick());
    return free
        ? walked.withTune(
            walked
                .tune()
                .with(next.bar(), tune.placing(note(way, way.pairs().size() - 1, next.tick()))))
        : walked;
  }

  private static TuneNote note(PairWalk.Way way, int index, int tick) {
    PairWalk.Pair pair = way.pairs().get(index);
    List<Want> both =
        List.of(
            new Want.Place(way.lowString(), pair.low()),
            new Want.Place(way.highString(), pair.high()));
    return new TuneNote(tick, Ticks.PER_QUARTER, both, Optional.empty(), List.of());
  }

  /** The thumb on the chord's bass on every beat, and nothing else. */
  private static PickingStyle pedal(Meter meter) {
    String cells = " o |".repeat(meter.beats());
    return PatternReader.read("name: pedal\nmetre: " + meter + "\nroot |" + cells + "\n")
        .patterns()
        .get(0);
  }
}
