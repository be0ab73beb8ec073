package phalanx.song;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * A value with everything it was before and everything undone: undo and redo without limit.
 *
 * @param past earlier values, oldest first
 * @param present the value now
 * @param future undone values, next first
 */
public record History<T>(List<T> past, T present, List<T> future) {

  public History {
    past = List.copyOf(past);
    future = List.copyOf(future);
  }

  /** A history that begins now. */
  public static <T> History<T> of(T value) {
    return new History<>(List.of(), value, List.of());
  }

  /** After an edit; an edit that changes nothing leaves no step, and what was undone is gone. */
  public History<T> edit(UnaryOperator<T> change) {
    T next = change.apply(present);
    return next.equals(present) ? this : new History<>(with(past, present), next, List.of());
  }

  /** With every value, past, present and undone, changed alike; leaves no step. */
  public History<T> throughout(UnaryOperator<T> change) {
    return new History<>(
        past.stream().map(change).toList(),
        change.apply(present),
        future.stream().map(change).toList());
  }

  public boolean canUndo() {
    return !past.isEmpty();
  }

  public boolean canRedo() {
    return !future.isEmpty();
  }

  /** One step back; the same if there is none. */
  public History<T> undo() {
    if (past.isEmpty()) {
      return this;
    }
    int last = past.size() - 1;
    List<T> undone = new ArrayList<>(List.of(present));
    undone.addAll(future);
    return new History<>(past.subList(0, last), past.get(last), undone);
  }

  /** One step forward again; the same if there is none. */
  public History<T> redo() {
    return future.isEmpty()
        ? this
        : new History<>(with(past, present), future.get(0), future.subList(1, future.size()));
  }

  private static <T> List<T> with(List<T> list, T more) {
    List<T> longer = new ArrayList<>(list);
    longer.add(more);
    return longer;
  }
}
