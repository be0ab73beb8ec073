package phalanx.song;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiFunction;
import java.util.function.IntPredicate;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import phalanx.fretting.FretRow;
import phalanx.fretting.Shape;

/**
 * What the player insists on, against whatever the plan would choose.
 *
 * @param shapes shapes, by where the chord is written
 * @param frets frets for which the plan chooses the fingers, by where the chord is written; never
 *     where a shape is pinned
 * @param strings strings for single strokes (0 for ⑥ to 5 for ①), by where they are written
 * @param damps strings to be stopped when the hand comes to a chord, by where it is written
 * @param ringing strings that are left to ring there though the plan would stop them; never those
 *     to be stopped
 * @param accepted hard spots the player leaves as they are, each with a note, which may be empty
 */
public record Pins(
    Map<SlotRef, Shape> shapes,
    Map<SlotRef, FretRow> frets,
    Map<NoteRef, Integer> strings,
    Map<SlotRef, Set<Integer>> damps,
    Map<SlotRef, Set<Integer>> ringing,
    Map<FindingRef, String> accepted) {

  public static final Pins NONE =
      new Pins(Map.of(), Map.of(), Map.of(), Map.of(), Map.of(), Map.of());

  public Pins {
    shapes = Map.copyOf(shapes);
    Map<SlotRef, Shape> fingered = shapes;
    frets = only(frets, at -> !fingered.containsKey(at));
    strings = Map.copyOf(strings);
    damps = strings(damps);
    Map<SlotRef, Set<Integer>> stopped = damps;
    Map<SlotRef, Set<Integer>> left = new HashMap<>();
    ringing.forEach(
        (at, all) -> {
          Set<Integer> rest = new TreeSet<>(all);
          rest.removeAll(stopped.getOrDefault(at, Set.of()));
          left.put(at, rest);
        });
    ringing = strings(left);
    accepted = Map.copyOf(accepted);
  }

  private static Map<SlotRef, Set<Integer>> strings(Map<SlotRef, Set<Integer>> all) {
    return all.entrySet().stream()
        .filter(e -> !e.getValue().isEmpty())
        .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, e -> Set.copyOf(e.getValue())));
  }

  private static <K, V> Map<K, V> only(Map<K, V> all, Predicate<K> kept) {
    return all.entrySet().stream()
        .filter(e -> kept.test(e.getKey()))
        .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, Map.Entry::getValue));
  }

  private static <K, V> Map<K, V> with(Map<K, V> all, K at, V value) {
    Map<K, V> more = new HashMap<>(all);
    more.put(at, value);
    return more;
  }

  private static <K, V> Map<K, V> without(Map<K, V> all, K at) {
    return only(all, k -> !k.equals(at));
  }

  /** The note on a hard spot that is left as it is; empty where none is. */
  public Optional<String> accepted(FindingRef at) {
    return Optional.ofNullable(accepted.get(at));
  }

  /** With a hard spot left as it is. */
  public Pins accepting(FindingRef at, String note) {
    return new Pins(shapes, frets, strings, damps, ringing, with(accepted, at, note));
  }

  /** With a hard spot looked at again. */
  public Pins rejecting(FindingRef at) {
    return new Pins(shapes, frets, strings, damps, ringing, without(accepted, at));
  }

  /** Without the hard spots left as they are, which change no plan. */
  Pins withoutAccepted() {
    return new Pins(shapes, frets, strings, damps, ringing, Map.of());
  }

  /**
   * With the same pins in bars that are copies of others; what is left as it is stays with those.
   *
   * @param copies the copy of each bar, by identity
   */
  Pins copied(Map<Integer, Integer> copies) {
    return new Pins(
        copied(shapes, copies),
        copied(frets, copies),
        both(strings, copies, NoteRef::bar, (at, bar) -> new NoteRef(bar, at.tick(), at.role())),
        copied(damps, copies),
        copied(ringing, copies),
        accepted);
  }

  private static <V> Map<SlotRef, V> copied(Map<SlotRef, V> all, Map<Integer, Integer> copies) {
    return both(all, copies, SlotRef::bar, (at, bar) -> new SlotRef(bar, at.tick()));
  }

  private static <K, V> Map<K, V> both(
      Map<K, V> all,
      Map<Integer, Integer> copies,
      ToIntFunction<K> bar,
      BiFunction<K, Integer, K> moved) {
    Map<K, V> more = new HashMap<>(all);
    all.forEach(
        (at, value) ->
            Optional.ofNullable(copies.get(bar.applyAsInt(at)))
                .ifPresent(copy -> more.put(moved.apply(at, copy), value)));
    return more;
  }

  /** The shape pinned at a place. */
  public Optional<Shape> shape(SlotRef at) {
    return Optional.ofNullable(shapes.get(at));
  }

  /** The frets pinned at a place without their fingers. */
  public Optional<FretRow> frets(SlotRef at) {
    return Optional.ofNullable(frets.get(at));
  }

  /** Whether a shape or its frets are pinned at a place. */
  public boolean holds(SlotRef at) {
    return shapes.containsKey(at) || frets.containsKey(at);
  }

  /** Where in each bar a shape or its frets are pinned, ticks by the identity of the bar. */
  Map<Integer, Set<Integer>> ticksHeld() {
    Map<Integer, Set<Integer>> ticks = new HashMap<>();
    Stream.concat(shapes.keySet().stream(), frets.keySet().stream())
        .forEach(at -> ticks.computeIfAbsent(at.bar(), b -> new TreeSet<>()).add(at.tick()));
    return ticks;
  }

  /** The string pinned for a stroke. */
  public Optional<Integer> string(NoteRef at) {
    return Optional.ofNullable(strings.get(at));
  }

  /** The strings to be stopped when the hand comes to a chord, rising. */
  public Set<Integer> damped(SlotRef at) {
    return new TreeSet<>(damps.getOrDefault(at, Set.of()));
  }

  /** With a shape pinned. */
  public Pins with(SlotRef at, Shape shape) {
    return new Pins(with(shapes, at, shape), frets, strings, damps, ringing, accepted);
  }

  /** With frets pinned, their fingers left to the plan. */
  public Pins with(SlotRef at, FretRow row) {
    return new Pins(without(shapes, at), with(frets, at, row), strings, damps, ringing, accepted);
  }

  /** Without the shape or the frets pinned at a place. */
  public Pins without(SlotRef at) {
    return new Pins(without(shapes, at), without(frets, at), strings, damps, ringing, accepted);
  }

  /** With a string pinned for a stroke. */
  public Pins with(NoteRef at, int string) {
    return new Pins(shapes, frets, with(strings, at, string), damps, ringing, accepted);
  }

  /** Without the string pinned for a stroke. */
  public Pins without(NoteRef at) {
    return new Pins(shapes, frets, without(strings, at), damps, ringing, accepted);
  }

  /** With a string stopped, or not any more, when the hand comes to a chord. */
  public Pins damping(SlotRef at, int string, boolean damped) {
    Set<Integer> strings = damped(at);
    if (damped) {
      strings.add(string);
    } else {
      strings.remove(string);
    }
    return new Pins(shapes, frets, this.strings, with(damps, at, strings), ringing, accepted);
  }

  /** The strings that are left to ring when the hand comes to a chord, rising. */
  public Set<Integer> ringing(SlotRef at) {
    return new TreeSet<>(ringing.getOrDefault(at, Set.of()));
  }

  /** With a string left to ring, or not any more, when the hand comes to a chord. */
  public Pins lettingRing(SlotRef at, int string, boolean rings) {
    Set<Integer> strings = ringing(at);
    if (rings) {
      strings.add(string);
    } else {
      strings.remove(string);
    }
    Pins undamped = rings ? damping(at, string, false) : this;
    return new Pins(
        shapes, frets, this.strings, undamped.damps, with(ringing, at, strings), accepted);
  }

  /** Without what belongs to the chord at a place: its shape, and the strings it stops. */
  Pins withoutChord(SlotRef at) {
    return new Pins(
        without(shapes, at),
        without(frets, at),
        strings,
        without(damps, at),
        without(ringing, at),
        accepted);
  }

  /** Every place of a chord for which something is pinned. */
  Set<SlotRef> chords() {
    Set<SlotRef> all = new HashSet<>(shapes.keySet());
    all.addAll(frets.keySet());
    all.addAll(damps.keySet());
    all.addAll(ringing.keySet());
    return all;
  }

  /** Only the pins in bars that are kept. */
  Pins in(IntPredicate bars) {
    return new Pins(
        in(shapes, SlotRef::bar, bars),
        in(frets, SlotRef::bar, bars),
        in(strings, NoteRef::bar, bars),
        in(damps, SlotRef::bar, bars),
        in(ringing, SlotRef::bar, bars),
        in(accepted, FindingRef::bar, bars));
  }

  private static <K, V> Map<K, V> in(Map<K, V> all, ToIntFunction<K> bar, IntPredicate bars) {
    return only(all, k -> bars.test(bar.applyAsInt(k)));
  }
}
