package phalanx.findings;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Group;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.Grip;
import phalanx.fretting.Stance;
import phalanx.instrument.Finger;
import phalanx.performance.Performance;

/** The ways of the fretting hand with the time they need and the time they have. */
public final class Changes {

  /**
   * The hand goes from one shape to the next, or a finger beside its shape from note to note.
   *
   * @param slot the slot it leads into or happens in
   * @param from the last note struck before
   * @param note the note a single finger goes to; empty for the whole hand
   * @param needed the time it needs, ms
   * @param ticks from the last stroke before to the first one after, as played, if the whole song
   *     had the tempo it begins with
   */
  public record Change(Slot slot, Note from, Optional<Note> note, double needed, int ticks) {

    /** When it has to be done. */
    public int tick() {
      return note.map(Note::tick).orElse(slot.fromTick());
    }
  }

  /** How fast a finger slides with its string down, mm in a millisecond (common practice). */
  private static final double SLIDE_SPEED = 1;

  private final Arrangement a;
  private final Performance performance;
  private final ChangeCosts costs;
  private final TreeMap<Integer, Slot> slots = new TreeMap<>();
  private final List<Change> all = new ArrayList<>();

  private Changes(Arrangement a, Performance performance) {
    this.a = a;
    this.performance = performance;
    costs = a.plan().problem().changes();
    a.slots().forEach(s -> slots.put(s.fromTick(), s));
  }

  /** Every way for which a finger has to go somewhere, by time. */
  public static List<Change> of(Arrangement a, Performance performance) {
    Changes changes = new Changes(a, performance);
    changes.ofShape();
    for (Finger finger : Finger.values()) {
      changes.beside(finger);
    }
    changes.all.sort((x, y) -> Integer.compare(x.tick(), y.tick()));
    return changes.all;
  }

  /** The ways of the whole hand from shape to shape. */
  public static List<Change> ofShapes(Arrangement a, Performance performance) {
    Changes changes = new Changes(a, performance);
    changes.ofShape();
    return changes.all;
  }

  private void ofShape() {
    for (int i = 1; i < a.slots().size(); i++) {
      Slot before = a.slots().get(i - 1);
      Slot slot = a.slots().get(i);
      List<Note> last = a.notesFrom(before.fromTick(), slot.fromTick());
      List<Note> first = a.notesFrom(slot.fromTick(), slot.toTick());
      if (!last.isEmpty()
          && !first.isEmpty()
          && before.shape().isPresent()
          && slot.shape().isPresent()) {
        // What the tune holds beside its shape comes along.
        Stance from = a.leaving(i - 1);
        Stance to = a.coming(i);
        Note waits = lastBinding(last, !before.tune().isEmpty());
        int ticks = performance.evened(first.get(0)) - performance.evened(waits);
        add(slot, waits, Optional.empty(), needed(from, to), ticks);
      }
    }
  }

  /**
   * The last note that the hand has to wait for: an accompanying note just before a change may be
   * let go half-way (common practice, no source).
   */
  private static Note lastBinding(List<Note> struck, boolean sung) {
    int n = struck.size() - 1;
    int tick = struck.get(n).tick();
    while (n > 0 && struck.get(n).tick() == tick && isAccompanying(struck.get(n), sung)) {
      n--;
    }
    return struck.get(n).tick() == tick ? struck.get(struck.size() - 1) : struck.get(n);
  }

  /** A finger’s single note; the top of a figure too where no tune is sung. */
  private static boolean isAccompanying(Note note, boolean sung) {
    boolean inner = note.part() == Note.Part.INNER || note.part() == Note.Part.TUNE && !sung;
    return inner && note.group() != Group.BRUSH;
  }

  /** The ways of a finger to and from notes beside the shape while that is held. */
  private void beside(Finger finger) {
    List<Hold> holds = a.holds().stream().filter(h -> h.finger() == finger).toList();
    for (int i = 1; i < holds.size(); i++) {
      Hold from = holds.get(i - 1);
      Hold to = holds.get(i);
      Slot slot = slots.floorEntry(to.fromTick()).getValue();
      if (slot.fromTick() == to.fromTick()) {
        continue;
      }
      Optional<Note> last = struck(from).reduce((x, y) -> y);
      Optional<Note> first = struck(to).findFirst();
      if (last.isPresent() && first.isPresent()) {
        add(
            slot,
            last.get(),
            first,
            first.get().attack() == Attack.SLID ? slid(from, to) : needed(from, to),
            performance.evened(first.get()) - performance.evened(last.get()));
      }
    }
  }

  private Stream<Note> struck(Hold hold) {
    return a.notesFrom(hold.fromTick(), hold.toTick()).stream()
        .filter(n -> n.fretFinger().equals(Optional.of(hold.finger())))
        .filter(n -> n.fret() == hold.fret())
        .filter(n -> n.string() >= hold.lowString() && n.string() <= hold.highString());
  }

  private void add(Slot slot, Note from, Optional<Note> note, double needed, int ticks) {
    if (needed > 0 && ticks > 0) {
      all.add(new Change(slot, from, note, needed, ticks));
    }
  }

  private double needed(Stance from, Stance to) {
    return costs.millisNeeded(from, to);
  }

  private double needed(Hold from, Hold to) {
    double way = costs.reach().distance(grip(from), grip(to));
    boolean slides = from.lowString() == to.lowString() && from.highString() == to.highString();
    return way > 0 ? costs.millisNeeded(way, slides) : 0;
  }

  /** A finger that sounds on its way is down already and only follows its string. */
  private double slid(Hold from, Hold to) {
    return costs.reach().distance(grip(from), grip(to)) / SLIDE_SPEED;
  }

  private static Grip grip(Hold hold) {
    return new Grip(hold.fret(), hold.lowString(), hold.highString());
  }
}
