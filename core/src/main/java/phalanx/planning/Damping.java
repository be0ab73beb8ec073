package phalanx.planning;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Damper;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.fretting.AddedFinger;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.picking.FingerAssignment;
import phalanx.picking.HandSchool;
import phalanx.picking.PickFinger;
import phalanx.song.Clock;
import phalanx.theory.Ticks;

/**
 * Who can stop a string that rings on when the hand comes to a chord, as players do it: the thumb
 * laid back on it, the side of a finger that presses the next string, a fretting finger that is
 * free (common practice, no source).
 */
public final class Damping {

  private final Clock clock;
  private final double tempo;
  private final Reach reach;
  private final HandSchool school;

  /** When each picking finger does something, ticks. */
  private final Map<PickFinger, TreeSet<Integer>> busy = new EnumMap<>(PickFinger.class);

  private final TreeSet<Integer> thumb;
  private final TreeSet<Integer> strokes = new TreeSet<>();

  /** The strings that the thumb plucks, by tick. */
  private final Map<Integer, Set<Integer>> plucked = new HashMap<>();

  /** For what both hands do in a song. */
  public static Damping in(Arrangement a) {
    return new Damping(
        a.notes(),
        a.gestures(),
        Clock.of(a.song(), a.timeline()),
        a.song().tempo(),
        a.song().school(),
        a.plan().problem().changes().reach());
  }

  Damping(
      List<Note> notes,
      List<Gesture> gestures,
      Clock clock,
      double tempo,
      HandSchool school,
      Reach reach) {
    this.school = school;
    this.clock = clock;
    this.tempo = tempo;
    this.reach = reach;
    for (PickFinger finger : PickFinger.values()) {
      busy.put(finger, new TreeSet<>());
    }
    thumb = busy.get(PickFinger.P);
    for (Note note : notes) {
      note.pick().ifPresent(finger -> strike(note, finger));
    }
    for (Gesture gesture : gestures) {
      strokes.add(gesture.tick());
      gesture.fingers().forEach(f -> busy.get(f).add(gesture.tick()));
    }
  }

  private void strike(Note note, PickFinger finger) {
    strokes.add(note.tick());
    busy.get(finger).add(note.tick());
    if (finger == PickFinger.P) {
      plucked.computeIfAbsent(note.tick(), t -> new HashSet<>()).add(note.string());
    }
  }

  /** The strings from ① down over which the fingers are at home. */
  private static final int FINGERED = 4;

  /** More strings than these are stopped by the heel of the hand, not one by one. */
  private static final int SINGLY = 2;

  /** How strings are stopped when the hand comes to a chord, those for which something is free. */
  List<Damp> stopping(Slot slot, Set<Integer> strings) {
    Optional<Damp> together = strings.size() > SINGLY ? together(slot, strings) : Optional.empty();
    return together
        .map(List::of)
        .orElseGet(() -> strings.stream().flatMap(s -> when(slot, s).stream()).toList());
  }

  /** How a string is stopped when the hand comes to a chord; empty where nothing is free for it. */
  public Optional<Damp> when(Slot slot, int string) {
    int tick = slot.fromTick();
    return byThumb(tick, string)
        .or(() -> byFretting(slot, string).map(d -> new Damp(tick, List.of(string), d)))
        .or(() -> planted(tick, string))
        .or(() -> betweenStrokes(tick, string));
  }

  /**
   * Whether anything was struck before the hand comes to a chord: else there is nothing to stop.
   */
  boolean isAfterAnyStroke(Slot slot) {
    return strokes.lower(slot.fromTick()) != null;
  }

  /**
   * How several strings are stopped at once: the heel of the hand laid on them when the hand comes
   * to a chord, or half-way there from the stroke before where it plucks at once; empty where there
   * is no time for it.
   */
  public Optional<Damp> together(Slot slot, Set<Integer> strings) {
    int tick = slot.fromTick();
    Integer before = strokes.lower(tick);
    if (before == null) {
      return Optional.empty();
    }
    Integer next = strokes.ceiling(tick);
    boolean rests = next == null || millis(tick, next) >= FingerAssignment.THUMB_BACK_MS;
    int at = rests ? tick : before + (tick - before) / 2;
    return millis(before, at) >= FingerAssignment.THUMB_BACK_MS
        ? Optional.of(new Damp(at, List.copyOf(strings), new Damper.Heel()))
        : Optional.empty();
  }

  /** The thumb is free, or comes to rest on the string after plucking the one below. */
  private Optional<Damp> byThumb(int tick, int string) {
    boolean plucks = thumb.contains(tick);
    boolean rests = plucked.getOrDefault(tick, Set.of()).contains(string - 1);
    return plucks ? thumbAt(tick, string).filter(d -> rests) : free(tick, string);
  }

  private Optional<Damp> free(int tick, int string) {
    Integer before = thumb.lower(tick);
    Integer after = thumb.higher(tick);
    boolean inTime =
        (before == null || millis(before, tick) >= FingerAssignment.THUMB_BACK_MS)
            && (after == null || millis(tick, after) >= FingerAssignment.THUMB_BACK_MS);
    return thumbAt(tick, string).filter(d -> inTime);
  }

  /** The finger that is at home on the string is laid on it, where it has nothing else to do. */
  private Optional<Damp> planted(int tick, int string) {
    PickFinger finger = school.atHome(string);
    if (finger == PickFinger.P || string <= Tuning.STRINGS - 1 - FINGERED) {
      return Optional.empty();
    }
    Integer before = busy.get(finger).floor(tick);
    Integer after = busy.get(finger).ceiling(tick);
    boolean free =
        (before == null || millis(before, tick) >= FingerAssignment.TOO_QUICK_MS)
            && (after == null || millis(tick, after) >= FingerAssignment.TOO_QUICK_MS);
    return free
        ? Optional.of(new Damp(tick, List.of(string), new Damper.Picking(finger)))
        : Optional.empty();
  }

  /** Half-way between the thumb's strokes, within a quarter, where there is time for both ways. */
  private Optional<Damp> betweenStrokes(int tick, int string) {
    Integer stroke = thumb.ceiling(tick);
    Integer next = stroke == null ? null : thumb.higher(stroke);
    if (next == null) {
      return Optional.empty();
    }
    int half = stroke + (next - stroke) / 2;
    boolean inTime = millis(stroke, half) >= FingerAssignment.THUMB_BACK_MS;
    return thumbAt(half, string).filter(d -> inTime && half - tick <= Ticks.PER_QUARTER);
  }

  private static Optional<Damp> thumbAt(int tick, int string) {
    return Optional.of(new Damp(tick, List.of(string), new Damper.Picking(PickFinger.P)));
  }

  private double millis(int from, int to) {
    return Ticks.millis((long) clock.evened(to, 0) - clock.evened(from, 0), tempo);
  }

  private Optional<Damper> byFretting(Slot slot, int string) {
    Shape shape = slot.shape().orElse(Shape.NOTHING);
    if (shape.sounds(string)) {
      return Optional.empty();
    }
    Optional<Finger> beside =
        string + 1 < Tuning.STRINGS ? shape.finger(string + 1) : Optional.empty();
    return beside
        .filter(f -> f != Finger.THUMB)
        .or(() -> freeFinger(shape, string))
        .map(Damper.Fretting::new);
  }

  /** A finger the shape leaves free and that could press the string where the hand is. */
  private Optional<Finger> freeFinger(Shape shape, int string) {
    int lowest = shape.grips().values().stream().mapToInt(g -> g.fret()).min().orElse(1);
    int highest = shape.grips().values().stream().mapToInt(g -> g.fret()).max().orElse(lowest);
    return IntStream.rangeClosed(lowest, Math.min(highest + 1, reach.highestFret()))
        .mapToObj(fret -> AddedFinger.on(shape, string, fret, reach))
        .flatMap(Optional::stream)
        .filter(f -> !shape.grips().containsKey(f) && f != Finger.THUMB)
        .findFirst();
  }
}
