package phalanx.song;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntPredicate;
import java.util.stream.Collectors;
import phalanx.fretting.Shape;

/**
 * What the player insists on, against whatever the plan would choose.
 *
 * @param shapes shapes, by where the chord is written
 * @param strings strings for single strokes (0 for ⑥ to 5 for ①), by where they are written
 * @param accepted hard spots the player leaves as they are, each with a note, which may be empty
 */
public record Pins(
    Map<SlotRef, Shape> shapes, Map<NoteRef, Integer> strings, Map<FindingRef, String> accepted) {

  public static final Pins NONE = new Pins(Map.of(), Map.of(), Map.of());

  public Pins {
    shapes = Map.copyOf(shapes);
    strings = Map.copyOf(strings);
    accepted = Map.copyOf(accepted);
  }

  /** The note on a hard spot that is left as it is; empty where none is. */
  public Optional<String> accepted(FindingRef at) {
    return Optional.ofNullable(accepted.get(at));
  }

  /** With a hard spot left as it is. */
  public Pins accepting(FindingRef at, String note) {
    Map<FindingRef, String> more = new HashMap<>(accepted);
    more.put(at, note);
    return new Pins(shapes, strings, more);
  }

  /** With a hard spot looked at again. */
  public Pins rejecting(FindingRef at) {
    Map<FindingRef, String> fewer = new HashMap<>(accepted);
    fewer.remove(at);
    return new Pins(shapes, strings, fewer);
  }

  /** The shape pinned at a place. */
  public Optional<Shape> shape(SlotRef at) {
    return Optional.ofNullable(shapes.get(at));
  }

  /** The string pinned for a stroke. */
  public Optional<Integer> string(NoteRef at) {
    return Optional.ofNullable(strings.get(at));
  }

  /** With a shape pinned. */
  public Pins with(SlotRef at, Shape shape) {
    Map<SlotRef, Shape> more = new HashMap<>(shapes);
    more.put(at, shape);
    return new Pins(more, strings, accepted);
  }

  /** Without the shape pinned at a place. */
  public Pins without(SlotRef at) {
    Map<SlotRef, Shape> fewer = new HashMap<>(shapes);
    fewer.remove(at);
    return new Pins(fewer, strings, accepted);
  }

  /** With a string pinned for a stroke. */
  public Pins with(NoteRef at, int string) {
    Map<NoteRef, Integer> more = new HashMap<>(strings);
    more.put(at, string);
    return new Pins(shapes, more, accepted);
  }

  /** Without the string pinned for a stroke. */
  public Pins without(NoteRef at) {
    Map<NoteRef, Integer> fewer = new HashMap<>(strings);
    fewer.remove(at);
    return new Pins(shapes, fewer, accepted);
  }

  /** Only the pins in bars that are kept. */
  Pins in(IntPredicate bars) {
    return new Pins(
        shapes.entrySet().stream()
            .filter(e -> bars.test(e.getKey().bar()))
            .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)),
        strings.entrySet().stream()
            .filter(e -> bars.test(e.getKey().bar()))
            .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)),
        accepted.entrySet().stream()
            .filter(e -> bars.test(e.getKey().bar()))
            .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)));
  }
}
