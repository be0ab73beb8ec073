package phalanx.arrangement.board;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.fretting.Shape;
import phalanx.picking.Pattern;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.picking.WrittenPattern;
import phalanx.planning.Arranger;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.ChordChange;
import phalanx.song.Densities;
import phalanx.song.Harmony;
import phalanx.song.Patterns;
import phalanx.song.Pins;
import phalanx.song.Section;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.Tune;
import phalanx.theory.Ticks;

/**
 * How the song's pattern falls on one chord held through: what sounds on which string, with which
 * finger.
 *
 * @param harmony the chord
 * @param shape the shape it is held with
 * @param lengthTicks length of the pattern
 * @param notes what is struck
 * @param gestures hits, brushes and rolls
 * @param remarks where the pattern had to be bent
 */
public record PatternFall(
    Harmony harmony,
    Shape shape,
    int lengthTicks,
    List<Note> notes,
    List<Gesture> gestures,
    List<String> remarks) {

  public PatternFall {
    notes = List.copyOf(notes);
    gestures = List.copyOf(gestures);
    remarks = List.copyOf(remarks);
  }

  /**
   * The work of one finger.
   *
   * @param strokes how often it strikes
   * @param quickestMillis how soon at the soonest it strikes again
   * @param quickestTick when it strikes before that
   * @param quickestTicks the same time in ticks
   */
  public record Work(int strokes, double quickestMillis, int quickestTick, int quickestTicks) {}

  /**
   * A pattern on the chord of a slot and on the chords that follow, each once.
   *
   * @param limit how many at most
   */
  public static List<PatternFall> of(
      Arranger arranger, Arrangement a, WrittenPattern pattern, int slot, int limit) {
    List<PatternFall> falls = new ArrayList<>();
    int n = a.slots().size();
    for (int i = 0; i < n && falls.size() < limit; i++) {
      Slot at = a.slots().get((slot + i) % n);
      Harmony harmony = at.played().harmony();
      boolean seen = falls.stream().anyMatch(f -> f.harmony().equals(harmony));
      if (!seen && harmony instanceof Harmony.Sounding && at.shape().isPresent()) {
        falls.add(on(arranger, a.song(), pattern, harmony, at.shape().get()));
      }
    }
    return falls;
  }

  /**
   * A song of nothing but a pattern on one chord held with a shape.
   *
   * @param rounds how often it is played
   */
  public static Song round(
      Song song, WrittenPattern pattern, Harmony harmony, Shape shape, int rounds) {
    List<Bar> bars = new ArrayList<>();
    Pins pins = Pins.NONE;
    for (int bar = 1; bar <= rounds * pattern.bars(); bar++) {
      bars.add(Bar.of(bar, List.of(new ChordChange(0, harmony))));
      pins = pins.with(new SlotRef(bar, 0), shape);
    }
    Chart held = new Chart(List.of(Section.of(bars.size() + 1, "", bars)));
    WrittenPattern round =
        new WrittenPattern(pattern.title(), "", pattern.meter(), pattern.pattern());
    return song.withChart(held)
        .withPins(pins)
        .withPatterns(Patterns.of(round))
        .withDensities(Densities.NONE)
        .withTune(Tune.NONE)
        .withFeel(song.feel().withMeter(pattern.meter()).withPickup(0));
  }

  private static PatternFall on(
      Arranger arranger, Song song, WrittenPattern pattern, Harmony harmony, Shape shape) {
    // Where chords come early one round leads into the next: the middle one of three is shown.
    boolean leads = pattern.pattern().steps().stream().anyMatch(Pattern.Step::early);
    Arrangement fall = arranger.arrange(round(song, pattern, harmony, shape, leads ? 3 : 1));
    int length = pattern.pattern().lengthTicks();
    int from = leads ? length : 0;
    List<String> remarks = fall.slots().stream().flatMap(s -> s.remarks().stream()).toList();
    return new PatternFall(
        harmony,
        shape,
        length,
        fall.notesFrom(from, from + length).stream().map(n -> n.at(n.tick() - from)).toList(),
        fall.gesturesFrom(from, from + length).stream().map(g -> g.at(g.tick() - from)).toList(),
        remarks.stream().distinct().toList());
  }

  /**
   * What each finger does at a tempo, quarter notes a minute; fingers without work are left out.
   */
  public Map<PickFinger, Work> work(double tempo) {
    Map<PickFinger, Work> work = new EnumMap<>(PickFinger.class);
    for (PickFinger finger : PickFinger.values()) {
      List<Integer> ticks = uses(finger);
      int closest = lengthTicks;
      int at = 0;
      for (int i = 0; i < ticks.size(); i++) {
        int next = i + 1 < ticks.size() ? ticks.get(i + 1) : ticks.get(0) + lengthTicks;
        if (next - ticks.get(i) < closest) {
          closest = next - ticks.get(i);
          at = ticks.get(i);
        }
      }
      if (!ticks.isEmpty()) {
        work.put(finger, new Work(ticks.size(), Ticks.millis(closest, tempo), at, closest));
      }
    }
    return work;
  }

  /** When a finger is used, for strings, hits and brushes. */
  private List<Integer> uses(PickFinger finger) {
    Stream<Integer> plucked =
        notes.stream()
            .filter(n -> n.isPickedBy(finger) && !n.isBrushed())
            .map(n -> n.tick() + n.delayTicks());
    Stream<Integer> other =
        gestures.stream().filter(g -> g.fingers().contains(finger)).map(Gesture::tick);
    return Stream.concat(plucked, other).distinct().sorted().toList();
  }

  /** The finger a role's stroke at a tick is played with here, if it is played at all. */
  public Optional<PickFinger> finger(Role role, int tick) {
    return notes.stream()
        .filter(n -> n.tick() == tick)
        .filter(n -> n.ref().role() == role || n.ref().role().isThumb() && role.isThumb())
        .flatMap(n -> n.pick().stream())
        .findFirst();
  }
}
