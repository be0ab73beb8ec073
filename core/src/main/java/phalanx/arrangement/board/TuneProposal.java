package phalanx.arrangement.board;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.song.Bar;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.song.Tune;
import phalanx.theory.Chord;
import phalanx.theory.Interval;
import phalanx.theory.Meter;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

/**
 * Proposes a line over the chords where a song has no tune: one note a chord, thirds and sevenths
 * where they lie near, as small steps as can be (common practice, no source). The cheapest row by
 * dynamic programming; a proposal, for the player to change.
 */
public final class TuneProposal {

  /** Where a line sings on a guitar: d4 to g5, counted from the capo. */
  private static final int LOWEST = 62;

  private static final int HIGHEST = 79;

  /** Cost of each semitone moved. */
  private static final double STEP = 1;

  /** Cost of a tone that is neither third nor seventh. */
  private static final double PLAIN_TONE = 2.5;

  /** Cost of the same note again, which makes no line. */
  private static final double SAME = 1.5;

  /** Where the line is best at home. */
  private static final int MIDDLE = 69;

  private static final double AWAY = 0.1;

  private record Place(int bar, int tick, int length, Chord chord) {}

  private record Row(double cost, Optional<Row> before, Pitch pitch) {}

  private TuneProposal() {}

  /** A line over every chord of a song; bars that are like others take theirs. */
  public static Tune of(Song song) {
    List<Place> places = places(song);
    List<Row> rows = List.of();
    for (Place place : places) {
      rows = next(rows, place.chord());
    }
    Optional<Row> last = rows.stream().min((a, b) -> Double.compare(a.cost(), b.cost()));
    List<Pitch> pitches = new ArrayList<>();
    for (Optional<Row> r = last; r.isPresent(); r = r.get().before()) {
      pitches.add(0, r.get().pitch());
    }
    Map<Integer, List<TuneNote>> notes = new HashMap<>();
    for (int i = 0; i < places.size(); i++) {
      Place p = places.get(i);
      Want want = new Want.Sound(pitches.get(i), Optional.empty());
      notes
          .computeIfAbsent(p.bar(), b -> new ArrayList<>())
          .add(new TuneNote(p.tick(), p.length(), List.of(want), Optional.empty(), List.of()));
    }
    Tune tune = Tune.NONE;
    for (Map.Entry<Integer, List<TuneNote>> bar : notes.entrySet()) {
      tune = tune.with(bar.getKey(), new BarTune(0, bar.getValue()));
    }
    return tune;
  }

  private static List<Place> places(Song song) {
    Map<Integer, Meter> meters = song.chart().meters(song.meter());
    List<Place> places = new ArrayList<>();
    for (Bar bar : song.chart().bars()) {
      int end = meters.get(bar.id()).barTicks();
      List<ChordChange> changes =
          song.chart().changes(bar).stream().filter(c -> c.tick() < end).toList();
      for (int c = 0; c < changes.size(); c++) {
        int until = c + 1 < changes.size() ? changes.get(c + 1).tick() : end;
        if (changes.get(c).harmony() instanceof Harmony.Sounding s) {
          int tick = changes.get(c).tick();
          places.add(new Place(bar.id(), tick, until - tick, s.chord()));
        }
      }
    }
    return places;
  }

  private static List<Row> next(List<Row> rows, Chord chord) {
    List<Row> next = new ArrayList<>();
    for (int midi = LOWEST; midi <= HIGHEST; midi++) {
      Optional<Interval> tone = chord.intervalOf(Math.floorMod(midi, 12));
      if (tone.isPresent()) {
        NoteName name = chord.spelling(Math.floorMod(midi, 12)).orElseThrow();
        Pitch pitch = Pitch.of(midi, name);
        boolean guide = tone.get().number() == 3 || tone.get().number() == 7;
        double alone = (guide ? 0 : PLAIN_TONE) + AWAY * Math.abs(midi - MIDDLE);
        Optional<Row> best =
            rows.stream()
                .map(r -> new Row(r.cost() + alone + step(r.pitch(), pitch), Optional.of(r), pitch))
                .min((a, b) -> Double.compare(a.cost(), b.cost()));
        next.add(best.orElseGet(() -> new Row(alone, Optional.empty(), pitch)));
      }
    }
    return next;
  }

  private static double step(Pitch from, Pitch to) {
    int way = Math.abs(from.midi() - to.midi());
    return way == 0 ? SAME : STEP * way;
  }
}
