package phalanx.song;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.IntFunction;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import phalanx.theory.Meter;

/**
 * The written form of a song: its sections and bars. {@link ChartEdits} changes it.
 *
 * @param sections the sections in order; no two sections or bars share an identity
 */
public record Chart(List<Section> sections) {

  public static final Chart EMPTY = new Chart(List.of());

  /** Bars may borrow from bars that borrow; longer chains than this are circles. */
  private static final int LONGEST_CHAIN = 64;

  public Chart {
    sections = List.copyOf(sections);
    Set<Integer> ids = new HashSet<>();
    for (Section section : sections) {
      requireNew(ids, section.id());
      section.bars().forEach(b -> requireNew(ids, b.id()));
    }
  }

  private static void requireNew(Set<Integer> ids, int id) {
    if (!ids.add(id)) {
      throw new IllegalArgumentException("two parts of a chart are both number " + id);
    }
  }

  /** Every written bar in order. */
  public List<Bar> bars() {
    return sections.stream().flatMap(s -> s.bars().stream()).toList();
  }

  /** Whether no bar is written. */
  public boolean isEmpty() {
    return sections.stream().allMatch(s -> s.bars().isEmpty());
  }

  /** Every bar by its identity. */
  public Map<Integer, Bar> byId() {
    Map<Integer, Bar> index = new HashMap<>();
    bars().forEach(b -> index.put(b.id(), b));
    return index;
  }

  /** The bar with an identity. */
  public Optional<Bar> bar(int id) {
    return sections.stream().flatMap(s -> s.bars().stream()).filter(b -> b.id() == id).findFirst();
  }

  /** The section with an identity. */
  public Optional<Section> section(int id) {
    return sections.stream().filter(s -> s.id() == id).findFirst();
  }

  /** The section a bar stands in. */
  public Optional<Section> sectionOf(int bar) {
    return sections.stream()
        .filter(s -> s.bars().stream().anyMatch(b -> b.id() == bar))
        .findFirst();
  }

  /** The place of a bar among all written bars, from 1; 0 if it is not there. */
  public int number(int bar) {
    return bars().stream().map(Bar::id).toList().indexOf(bar) + 1;
  }

  /** An identity that no section and no bar has. */
  public int freshId() {
    return 1
        + sections.stream()
            .flatMap(s -> Stream.concat(Stream.of(s.id()), s.bars().stream().map(Bar::id)))
            .mapToInt(i -> i)
            .max()
            .orElse(0);
  }

  /** The chords of a bar, those it borrows included. */
  public List<ChordChange> changes(Bar bar) {
    return bar.borrows().isEmpty() ? bar.changes() : changes(bar, byId());
  }

  static List<ChordChange> changes(Bar bar, Map<Integer, Bar> index) {
    TreeMap<Integer, ChordChange> all = new TreeMap<>();
    Optional<Bar> at = Optional.of(bar);
    for (int link = 0; link < LONGEST_CHAIN && at.isPresent(); link++) {
      at.get().changes().forEach(c -> all.putIfAbsent(c.tick(), c));
      at = at.get().borrows().map(index::get);
    }
    return List.copyOf(all.values());
  }

  /** The first that a function has for a bar, or else for one it is like. */
  <T> Optional<T> alongBar(int bar, IntFunction<T> of) {
    Optional<T> found = Optional.ofNullable(of.apply(bar));
    if (found.isPresent()) {
      return found;
    }
    Map<Integer, Bar> index = byId();
    Optional<Bar> at = Optional.ofNullable(index.get(bar));
    for (int link = 0; link < LONGEST_CHAIN && at.isPresent() && found.isEmpty(); link++) {
      found = Optional.ofNullable(of.apply(at.get().id()));
      at = at.get().borrows().map(index::get);
    }
    return found;
  }

  /** The first that a function has for a section, or else for one it is like. */
  <T> Optional<T> alongSection(Section section, IntFunction<T> of) {
    Optional<T> found = Optional.empty();
    Optional<Section> at = Optional.of(section);
    for (int link = 0; link < LONGEST_CHAIN && at.isPresent() && found.isEmpty(); link++) {
      found = Optional.ofNullable(of.apply(at.get().id()));
      at = at.get().borrows().flatMap(this::section);
    }
    return found;
  }

  /** Whether a bar would come back to itself if it borrowed from another. */
  public boolean isCircle(int bar, int from) {
    Map<Integer, Bar> index = byId();
    Optional<Integer> at = Optional.of(from);
    for (int link = 0; link < LONGEST_CHAIN && at.isPresent(); link++) {
      if (at.get() == bar) {
        return true;
      }
      at = Optional.ofNullable(index.get(at.get())).flatMap(Bar::borrows);
    }
    return at.isPresent();
  }

  /** The metre in force in every bar, by the bar's identity. */
  public Map<Integer, Meter> meters(Meter first) {
    Map<Integer, Meter> meters = new HashMap<>();
    Meter now = first;
    for (Bar bar : bars()) {
      now = bar.meter().orElse(now);
      meters.put(bar.id(), now);
    }
    return meters;
  }

  /** With every bar changed by a function that keeps its identity. */
  public Chart mapBars(UnaryOperator<Bar> change) {
    return new Chart(
        sections.stream().map(s -> s.withBars(s.bars().stream().map(change).toList())).toList());
  }

  /** With every section changed by a function. */
  public Chart mapSections(UnaryOperator<Section> change) {
    return new Chart(sections.stream().map(change).toList());
  }

  /**
   * With everything that borrows brought into order: a section that is like another has a bar for
   * each of that one's, with its signs; what borrowed from a bar or section that is gone keeps the
   * chords it had there.
   *
   * @param before the chart it was made from, where lost bars are still found
   */
  Chart settled(Chart before) {
    Map<Integer, Bar> old = before.byId();
    Chart settled = settledOnce(old);
    Chart last = this;
    // A section may be like one that is itself like another: each round brings one more into order.
    for (int round = 0;
        round < Math.min(sections.size(), LONGEST_CHAIN) && !settled.equals(last);
        round++) {
      last = settled;
      settled = settled.settledOnce(old);
    }
    return settled;
  }

  private Chart settledOnce(Map<Integer, Bar> old) {
    Map<Integer, Bar> now = byId();
    Chart freed =
        mapBars(
            b -> {
              boolean lost = b.borrows().isPresent() && !now.containsKey(b.borrows().get());
              return lost ? b.withChanges(changes(b, old)).borrowing(Optional.empty()) : b;
            });
    List<Section> settled = new ArrayList<>();
    int fresh = freed.freshId();
    for (Section section : freed.sections) {
      Optional<Section> like = section.borrows().flatMap(freed::section);
      if (like.isEmpty()) {
        settled.add(section.borrowing(Optional.empty()));
        continue;
      }
      List<Bar> bars = new ArrayList<>();
      for (Bar model : like.get().bars()) {
        Optional<Bar> mine =
            section.bars().stream()
                .filter(b -> b.borrows().equals(Optional.of(model.id())))
                .findFirst();
        bars.add(mine.orElse(Bar.like(fresh, model.id())).signedAs(model));
        fresh += mine.isPresent() ? 0 : 1;
      }
      settled.add(section.withBars(bars));
    }
    return new Chart(settled);
  }
}
