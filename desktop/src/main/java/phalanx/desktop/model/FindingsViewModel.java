package phalanx.desktop.model;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import phalanx.arrangement.Arrangement;
import phalanx.desktop.background.PlanService;
import phalanx.findings.Found;
import phalanx.findings.Grade;
import phalanx.findings.Review;
import phalanx.findings.Tally;
import phalanx.song.FindingRef;
import phalanx.song.Pins;
import phalanx.suggestion.Suggestion;

/** The findings of the song, one after the other, with the ways out of the one looked at. */
public final class FindingsViewModel {

  private final OpenSong open;
  private final ChordChoice chords;
  private final PlanService planner;
  private final ReadOnlyObjectWrapper<Optional<Found>> current =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<List<Suggestion>>> remedies =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Filter> filter =
      new ReadOnlyObjectWrapper<>(new Filter.Open());

  FindingsViewModel(OpenSong open, ChordChoice chords, PlanService planner) {
    this.open = open;
    this.chords = chords;
    this.planner = planner;
    open.reviewProperty().addListener(o -> settle());
  }

  /** Which findings the player wants to go through. */
  public sealed interface Filter {

    /** All that are open and hard; what is only worth knowing has a grade of its own. */
    record Open() implements Filter {}

    /** Those of one grade that are open. */
    record OfGrade(Grade grade) implements Filter {}

    /** Those of one rule that are open. */
    record OfRule(String rule) implements Filter {}

    /** Those the player left as they are. */
    record Accepted() implements Filter {}
  }

  /** Every finding of the newest plan that the player did not accept. */
  public List<Found> open() {
    return open.reviewProperty().get().map(Review::findings).orElse(List.of());
  }

  /** Those the player left as they are. */
  public List<Found> accepted() {
    return open.reviewProperty().get().map(Review::accepted).orElse(List.of());
  }

  /** The rules that found something, each with how often, most first by name. */
  public Map<String, Long> rules() {
    return open().stream()
        .collect(
            Collectors.groupingBy(f -> f.finding().rule(), TreeMap::new, Collectors.counting()));
  }

  /** The findings the player goes through. */
  public List<Found> all() {
    Filter wanted = filter.get();
    if (wanted instanceof Filter.Accepted) {
      return accepted();
    }
    return open().stream().filter(f -> isWanted(wanted, f)).toList();
  }

  private static boolean isWanted(Filter wanted, Found found) {
    if (wanted instanceof Filter.OfRule r) {
      return found.finding().rule().equals(r.rule());
    }
    return wanted instanceof Filter.OfGrade g
        ? found.finding().grade() == g.grade()
        : found.finding().grade().isHard();
  }

  /** How many findings of each grade the player did not accept. */
  public Tally tally() {
    return Tally.of(open());
  }

  /** Goes through other findings. */
  public void filter(Filter wanted) {
    filter.set(wanted);
    show(current.get().filter(all()::contains));
  }

  /** Which findings the player goes through. */
  public ReadOnlyObjectProperty<Filter> filterProperty() {
    return filter.getReadOnlyProperty();
  }

  /** The finding looked at stays while it is there; else the next one after it is looked at. */
  private void settle() {
    boolean gone =
        filter.get() instanceof Filter.Accepted && accepted().isEmpty()
            || filter.get() instanceof Filter.OfRule && all().isEmpty()
            || filter.get() instanceof Filter.OfGrade && all().isEmpty();
    if (gone) {
      filter.set(new Filter.Open());
    }
    Optional<Found> was = current.get();
    if (was.isPresent()) {
      show(
          all().stream()
              .filter(f -> !Collections.disjoint(f.ticks(), was.get().ticks()))
              .filter(f -> f.finding().rule().equals(was.get().finding().rule()))
              .findFirst());
    }
  }

  private void show(Optional<Found> found) {
    remedies.set(Optional.empty());
    current.set(found);
    found.ifPresent(
        f ->
            planner.remedies(
                open.arrangementProperty().get(),
                f,
                answer -> {
                  if (current.get().equals(Optional.of(f))) {
                    remedies.set(Optional.of(answer));
                  }
                }));
  }

  /** Looks at the next finding (1) or the one before (-1), round the song, and goes to its bar. */
  public void step(int direction) {
    List<Found> all = all();
    if (all.isEmpty()) {
      show(Optional.empty());
      return;
    }
    int first = direction > 0 ? -1 : 0;
    int at = current.get().map(all::indexOf).orElse(first) + direction;
    look(all.get(Math.floorMod(at, all.size())));
  }

  /** Looks at a finding and goes to its bar. */
  public void look(Found found) {
    lookAt(found, found.tick());
  }

  /** Looks at a finding and goes to one of its places. */
  public void lookAt(Found found, int tick) {
    if (!all().contains(found)) {
      boolean hard = found.finding().grade().isHard();
      filter.set(hard ? new Filter.Open() : new Filter.OfGrade(found.finding().grade()));
    }
    show(Optional.of(found));
    Arrangement a = open.arrangementProperty().get();
    chords.select(a.slotsFrom(0, tick + 1).size() - 1);
  }

  /** Leaves the finding looked at as it is, with a note, which may be empty; the next comes up. */
  public void accept(String note) {
    current.get().ifPresent(f -> accept(List.of(f), note));
  }

  /** Leaves all the player goes through as they are, with one note. */
  public void acceptAll(String note) {
    accept(all(), note);
  }

  private void accept(List<Found> found, String note) {
    Set<FindingRef> refs =
        found.stream().flatMap(f -> f.refs().stream()).collect(Collectors.toSet());
    int at = current.get().map(all()::indexOf).orElse(0);
    List<Found> left = all().stream().filter(o -> !refs.contains(o.ref())).toList();
    open.edit(
        song -> {
          Pins pins = song.pins();
          for (FindingRef ref : refs) {
            pins = pins.accepting(ref, note.strip());
          }
          return song.withPins(pins);
        });
    show(left.isEmpty() ? Optional.empty() : Optional.of(left.get(at % left.size())));
  }

  /** Looks at a spot again that was left as it is. */
  public void reopen() {
    current.get().ifPresent(f -> open.edit(s -> s.withPins(rejecting(s.pins(), f.refs()))));
  }

  private static Pins rejecting(Pins pins, Set<FindingRef> refs) {
    Pins fewer = pins;
    for (FindingRef ref : refs) {
      fewer = fewer.rejecting(ref);
    }
    return fewer;
  }

  /** What the player noted on the finding looked at; empty if it is open. */
  public Optional<String> note() {
    return current.get().flatMap(f -> open.song().pins().accepted(f.ref()));
  }

  /** Stops looking at findings. */
  public void close() {
    show(Optional.empty());
  }

  /** Takes a way out. */
  public void take(Suggestion remedy) {
    open.edit(remedy.edit());
  }

  /** The finding looked at. */
  public ReadOnlyObjectProperty<Optional<Found>> currentProperty() {
    return current.getReadOnlyProperty();
  }

  /** Ways out of it; empty while they are being tried. */
  public ReadOnlyObjectProperty<Optional<List<Suggestion>>> remediesProperty() {
    return remedies.getReadOnlyProperty();
  }
}
