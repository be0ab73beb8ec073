package phalanx.song;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.IntFunction;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import phalanx.theory.Meter;

/**
 * The written form of a song: its sections and bars. {@link ChartEdits} changes it.
 *
 * @param sections the sections in order; no two sections or bars share an identity
 * @throws IllegalArgumentException if two sections or bars have the same number
 */
public record Chart(List<Section> sections) {

  public static final Chart EMPTY = new Chart(List.of());

  /** Bars may borrow from bars that borrow; longer chains than this are circles. */
  private static final int LONGEST_CHAIN = 64;

  /** Bars a chart is filled up to where sections are like others. */
  private static final int MOST_BARS = SongBounds.MOST_BARS;

  /** Highest number of a section or a bar. */
  public static final int HIGHEST_ID = 1_000_000_000;

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

  /** An identity that no section and no bar has, and so have the next ones after it. */
  public int freshId() {
    int[] taken =
        sections.stream()
            .flatMapToInt(
                s -> IntStream.concat(IntStream.of(s.id()), s.bars().stream().mapToInt(Bar::id)))
            .sorted()
            .toArray();
    int highest = taken.length == 0 ? 0 : taken[taken.length - 1];
    if (highest < HIGHEST_ID - MOST_BARS) {
      return highest + 1;
    }
    // Only a file written by hand gets here: the first gap that is wide enough.
    int free = 1;
    for (int id : taken) {
      if (id - free >= MOST_BARS) {
        return free;
      }
      free = Math.max(free, id + 1);
    }
    return free;
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

  /**
   * What sounds in each bar from which tick on, in the order the bars are written; a chord that
   * goes on from the bar before stands at 0.
   */
  public Map<Integer, TreeMap<Integer, Harmony>> harmonies() {
    Map<Integer, Bar> index = byId();
    Map<Integer, TreeMap<Integer, Harmony>> all = new HashMap<>();
    Harmony sounding = new Harmony.NoChord();
    for (Bar bar : bars()) {
      TreeMap<Integer, Harmony> in = new TreeMap<>();
      in.put(0, sounding);
      changes(bar, index).forEach(c -> in.put(c.tick(), c.harmony()));
      sounding = in.lastEntry().getValue();
      all.put(bar.id(), in);
    }
    return all;
  }

  /** The first that a function has for a bar, or else for one it is like. */
  <T> Optional<T> alongBar(int bar, IntFunction<T> of) {
    Optional<T> found = Optional.ofNullable(of.apply(bar));
    return found.isPresent() ? found : alongBar(bar, of, byId());
  }

  /** The same for every bar, by its identity; bars for which there is nothing are left out. */
  <T> Map<Integer, T> alongBars(IntFunction<T> of) {
    Map<Integer, Bar> index = byId();
    Map<Integer, T> all = new HashMap<>();
    for (int bar : index.keySet()) {
      alongBar(bar, of, index).ifPresent(f -> all.put(bar, f));
    }
    return all;
  }

  private static <T> Optional<T> alongBar(int bar, IntFunction<T> of, Map<Integer, Bar> index) {
    Optional<T> found = Optional.empty();
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

  /** The tempo in force in every bar, quarter notes a minute, by the bar's identity. */
  public Map<Integer, Double> tempos(double first) {
    Map<Integer, Double> tempos = new HashMap<>();
    double now = first;
    for (Bar bar : bars()) {
      now = bar.tempo().orElse(now);
      tempos.put(bar.id(), now);
    }
    return tempos;
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
    // A bar that goes with its section may have been borrowed from elsewhere: once more, then.
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
    Map<Integer, Section> settled = new HashMap<>();
    int fresh = freed.freshId();
    int bars = now.size();
    for (Section section : freed.modelsFirst()) {
      Optional<Section> like = section.borrows().map(settled::get);
      bars += like.map(l -> l.bars().size()).orElse(0);
      if (like.isEmpty() || bars > MOST_BARS) {
        settled.put(section.id(), section.borrowing(Optional.empty()));
        continue;
      }
      Map<Integer, Bar> own = new HashMap<>();
      section.bars().forEach(b -> b.borrows().ifPresent(of -> own.putIfAbsent(of, b)));
      List<Bar> filled = new ArrayList<>();
      for (Bar model : like.get().bars()) {
        Bar mine = own.get(model.id());
        filled.add((mine == null ? Bar.like(fresh, model.id()) : mine).signedAs(model));
        fresh += mine == null ? 1 : 0;
      }
      settled.put(section.id(), section.withBars(filled));
    }
    return new Chart(sections.stream().map(s -> settled.get(s.id())).toList());
  }

  /**
   * The sections, each behind the one it is like; those that are like themselves are in no order.
   */
  private List<Section> modelsFirst() {
    Map<Integer, Section> all = new HashMap<>();
    sections.forEach(s -> all.put(s.id(), s));
    Map<Integer, Section> order = new LinkedHashMap<>();
    for (Section section : sections) {
      Deque<Section> chain = new ArrayDeque<>();
      Set<Integer> seen = new HashSet<>();
      Optional<Section> at = Optional.of(section);
      while (at.isPresent() && !order.containsKey(at.get().id()) && seen.add(at.get().id())) {
        chain.push(at.get());
        at = at.get().borrows().map(all::get);
      }
      chain.forEach(s -> order.putIfAbsent(s.id(), s));
    }
    return List.copyOf(order.values());
  }
}
