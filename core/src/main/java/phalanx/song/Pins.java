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
 */
public record Pins(Map<SlotRef, Shape> shapes, Map<NoteRef, Integer> strings) {

  public static final Pins NONE = new Pins(Map.of(), Map.of());

  public Pins {
    shapes = Map.copyOf(shapes);
    strings = Map.copyOf(strings);
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
    return new Pins(more, strings);
  }

  /** Without the shape pinned at a place. */
  public Pins without(SlotRef at) {
    Map<SlotRef, Shape> fewer = new HashMap<>(shapes);
    fewer.remove(at);
    return new Pins(fewer, strings);
  }

  /** With a string pinned for a stroke. */
  public Pins with(NoteRef at, int string) {
    Map<NoteRef, Integer> more = new HashMap<>(strings);
    more.put(at, string);
    return new Pins(shapes, more);
  }

  /** Without the string pinned for a stroke. */
  public Pins without(NoteRef at) {
    Map<NoteRef, Integer> fewer = new HashMap<>(strings);
    fewer.remove(at);
    return new Pins(shapes, fewer);
  }

  /** Only the pins in bars that are kept. */
  Pins in(IntPredicate bars) {
    return new Pins(
        shapes.entrySet().stream()
            .filter(e -> bars.test(e.getKey().bar()))
            .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)),
        strings.entrySet().stream()
            .filter(e -> bars.test(e.getKey().bar()))
            .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)));
  }
}
