package phalanx.formats.songfile;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * What is wrong with a song file, gathered while the rest of it is read. Where the file breaks off
 * what is missing is not told value by value.
 */
final class Faults {

  private final List<Field.Fault> all = new ArrayList<>();
  private final boolean brokenOff;

  /**
   * Before anything is read.
   *
   * @param brokenOff whether the text stops being JSON somewhere
   */
  Faults(boolean brokenOff) {
    this.brokenOff = brokenOff;
  }

  /** What a part of the file says; something else, and a fault noted, where it says nothing. */
  <T> T or(T otherwise, Supplier<T> read) {
    return maybe(read).orElse(otherwise);
  }

  /** What a part of the file says; empty, and a fault noted, where that cannot be read. */
  <T> Optional<T> maybe(Supplier<T> read) {
    try {
      return Optional.of(read.get());
    } catch (Field.Fault fault) {
      note(fault);
      return Optional.empty();
    }
  }

  /** Every item of a list that can be read. */
  <T> List<T> each(Supplier<List<Field>> list, Function<Field, T> read) {
    List<T> items = new ArrayList<>();
    for (Field item : or(List.<Field>of(), list)) {
      maybe(() -> read.apply(item)).ifPresent(items::add);
    }
    return items;
  }

  /** One more fault. */
  void note(Field.Fault fault) {
    if (!brokenOff || !fault.isOfNothing()) {
      all.add(fault);
    }
  }

  /** Every fault so far. */
  List<Field.Fault> all() {
    return List.copyOf(all);
  }
}
