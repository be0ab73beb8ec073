package phalanx.planning;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import phalanx.arrangement.MelodyNote;
import phalanx.arrangement.tune.SlotTune;
import phalanx.arrangement.tune.TuneFit;
import phalanx.arrangement.tune.TuneLine;
import phalanx.fretting.Candidates;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.PlanProblem;
import phalanx.fretting.PlanSlot;
import phalanx.picking.Pattern;
import phalanx.picking.PatternHeard;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.Timeline.PlayedSlot;
import phalanx.theory.Chord;

/**
 * What is known of a song's slots before a shape is chosen for any.
 *
 * @param tunes the tune in each slot
 * @param heard what the pattern of each wants to be heard
 * @param millis time the hand has to come to each, ms
 * @param fingered the ways to finger the frets pinned in each, if any are
 * @param leftOut when the pattern’s fingers do nothing, because the hand has no time for it, ticks
 */
record SongSlots(
    Song song,
    Timeline timeline,
    TimedSteps placed,
    List<SlotTune> tunes,
    List<PatternHeard> heard,
    double[] millis,
    List<Optional<Candidates>> fingered,
    SlotRows rows,
    ChangeCosts changes,
    TuneFit fit,
    Set<Integer> leftOut) {

  static SongSlots of(Song song, SlotRows rows, ChangeCosts changes, TuneFit fit) {
    return of(song, Timeline.of(song), rows, changes, fit, Set.of());
  }

  /** The same song with some of its chords in parts. */
  SongSlots cut(Set<Integer> ticks) {
    return of(song, timeline.cut(ticks), rows, changes, fit, leftOut);
  }

  /** The same song without what the pattern’s fingers do at some more ticks. */
  SongSlots leavingOut(Set<Integer> ticks) {
    Set<Integer> all = new HashSet<>(leftOut);
    all.addAll(ticks);
    return of(song, timeline, rows, changes, fit, Set.copyOf(all));
  }

  /** Whether something is left out while a slot lasts. */
  boolean leavesOut(PlayedSlot slot) {
    return leftOut.stream().anyMatch(t -> slot.tick() <= t && t < slot.endTick());
  }

  private static SongSlots of(
      Song song,
      Timeline timeline,
      SlotRows rows,
      ChangeCosts changes,
      TuneFit fit,
      Set<Integer> leftOut) {
    PatternBook book = new PatternBook(song);
    List<MelodyNote> line = TuneLine.of(song, timeline);
    TimedSteps placed =
        TimedSteps.of(song, timeline, book, new InnerStrokes(song, timeline, line, leftOut));
    List<List<MelodyNote>> lines = TuneLine.bySlot(line, timeline, placed.early());
    List<SlotTune> tunes = new ArrayList<>();
    List<PatternHeard> heard = new ArrayList<>();
    List<List<Pattern.Step>> steps = placed.bySlot();
    int[] turns = placed.turns();
    for (int i = 0; i < timeline.slots().size(); i++) {
      PlayedSlot slot = timeline.slots().get(i);
      int to = slot.endTick() - (i + 1 < placed.early().length ? placed.early()[i + 1] : 0);
      tunes.add(SlotTune.of(lines.get(i), slot.tick() - placed.early()[i], to));
      boolean hasTune = !lines.get(i).isEmpty();
      Optional<Chord> chord =
          slot.harmony() instanceof Harmony.Sounding s ? Optional.of(s.chord()) : Optional.empty();
      PatternHeard pattern =
          PatternHeard.of(
              steps.get(i),
              hasTune,
              struck(song, lines.get(i), slot.tick() - placed.early()[i]),
              song.thumbAt(slot.ref().bar()),
              SongNotes.pedal(song),
              chord,
              song.guitar());
      pattern = pattern.from(turns[i]).in(slot.share());
      heard.add(i + 1 == timeline.slots().size() ? pattern.ending() : pattern);
    }
    double[] millis = ChangeTimes.of(song, timeline, placed, lines);
    return new SongSlots(
        song,
        timeline,
        placed,
        tunes,
        heard,
        millis,
        rows.fingered(song, timeline, fit.reach()),
        rows,
        changes,
        fit,
        leftOut);
  }

  /** The pitch classes of the tune that begin at a tick or later, counted from the capo. */
  private static Set<Integer> struck(Song song, List<MelodyNote> tune, int from) {
    int capo = song.guitar().capo();
    return tune.stream()
        .filter(n -> n.tick() >= from)
        .map(n -> Math.floorMod(n.midi() - capo, 12))
        .collect(Collectors.toSet());
  }

  int count() {
    return timeline.slots().size();
  }

  /** The notes of the tune in a slot. */
  List<MelodyNote> tune(int slot) {
    return tunes.get(slot).notes();
  }

  /** A slot as the solver sees it. */
  PlanSlot row(int slot) {
    return row(slot, tunes.get(slot), Double.POSITIVE_INFINITY);
  }

  /** The same where the shapes are chosen without a look at the tune. */
  PlanSlot rowWithoutTune(int slot) {
    return row(slot, SlotTune.NONE, Double.POSITIVE_INFINITY);
  }

  /**
   * The same where candidates that cost more than a limit may be left out; where all do, dearer
   * ones are left.
   */
  PlanSlot row(int slot, double most) {
    return row(slot, tunes.get(slot), most);
  }

  private PlanSlot row(int slot, SlotTune tune, double most) {
    PlayedSlot played = timeline.slots().get(slot);
    return rows.slot(
        song,
        played,
        tune,
        heard.get(slot),
        millis[slot],
        SlotRows.limit(timeline, played),
        most,
        fit,
        fingered.get(slot));
  }

  /** What is to be solved once every slot has its row. */
  PlanProblem problem(List<PlanSlot> rows) {
    return new PlanProblem(rows, changes);
  }

  /** What holding a slot's chord costs at least, whatever pattern and tune make of it. */
  double leastAlone(int slot) {
    return rows.leastAlone(
        song,
        timeline.slots().get(slot),
        SlotRows.limit(timeline, timeline.slots().get(slot)),
        fit.reach());
  }
}
