package phalanx.desktop.model;

import java.util.IntSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import phalanx.arrangement.Slot;
import phalanx.performance.Performance;
import phalanx.song.Timeline.PlayedBar;
import phalanx.sound.sequence.Sequencer.Loop;

/** The bars that are played round and round. */
public final class LoopChoice {

  private final OpenSong open;
  private final SlotRange selected;
  private final ObjectProperty<Optional<LoopBars>> bars =
      new SimpleObjectProperty<>(Optional.empty());
  private Optional<Ends> ends = Optional.empty();
  private boolean settling;

  /** A bar as it was written, and which time through it is. */
  private record Time(int written, long time) {}

  /** What is gone round, so that it stays the same bars where others come or go before them. */
  private record Ends(Time first, Time last) {}

  LoopChoice(OpenSong open, SlotRange selected) {
    this.open = open;
    this.selected = selected;
    bars.addListener(o -> remember());
  }

  /** The bars; empty where the song is played to its end. */
  public ObjectProperty<Optional<LoopBars>> property() {
    return bars;
  }

  void clear() {
    bars.set(Optional.empty());
  }

  private List<PlayedBar> played() {
    Performance performance = open.performanceProperty().get();
    return performance == null ? List.of() : performance.arrangement().timeline().bars();
  }

  private void remember() {
    if (!settling) {
      ends =
          bars.get()
              .flatMap(b -> time(b.first()).flatMap(f -> time(b.last()).map(l -> new Ends(f, l))));
    }
  }

  private Optional<Time> time(int number) {
    return played().stream()
        .filter(b -> b.number() == number)
        .findFirst()
        .map(
            here ->
                new Time(
                    here.written(),
                    played().stream()
                        .filter(b -> b.written() == here.written() && b.number() < number)
                        .count()));
  }

  private Optional<Integer> number(Time of) {
    return played().stream()
        .filter(b -> b.written() == of.written())
        .skip(of.time())
        .findFirst()
        .map(PlayedBar::number);
  }

  /** From when to when, in the newest plan. */
  Optional<Loop> now() {
    Performance performance = open.performanceProperty().get();
    return performance == null ? Optional.empty() : LoopBars.in(performance, bars.get());
  }

  /** Whether the bars only follow a new plan. */
  boolean isSettling() {
    return settling;
  }

  /** The same bars in a new plan, wherever they stand there; lets them go where one is no more. */
  void settle() {
    if (bars.get().isEmpty()) {
      return;
    }
    Optional<Integer> first = ends.flatMap(e -> number(e.first()));
    Optional<Integer> last = ends.flatMap(e -> number(e.last()));
    boolean there = first.isPresent() && last.isPresent() && first.get() <= last.get();
    settling = there;
    bars.set(there ? Optional.of(new LoopBars(first.get(), last.get())) : Optional.empty());
    settling = false;
  }

  /** Goes round written bars, the first time they are played, or not any more. */
  public void toggle(Set<Integer> written) {
    Performance performance = open.performanceProperty().get();
    if (bars.get().isPresent() || performance == null) {
      clear();
      return;
    }
    IntSummaryStatistics numbers =
        written.stream()
            .flatMap(
                id ->
                    performance.arrangement().timeline().bars().stream()
                        .filter(b -> b.written() == id)
                        .limit(1))
            .mapToInt(PlayedBar::number)
            .summaryStatistics();
    if (numbers.getCount() > 0) {
      bars.set(Optional.of(new LoopBars(numbers.getMin(), numbers.getMax())));
    }
  }

  /** Goes round the bars of the selected chords, or not any more. */
  public void toggle() {
    if (bars.get().isPresent()) {
      clear();
      return;
    }
    List<Slot> slots = selected.slots();
    if (!slots.isEmpty()) {
      int first = slots.get(0).played().bar();
      int last = slots.get(slots.size() - 1).played().bar();
      bars.set(Optional.of(new LoopBars(first, last)));
    }
  }
}
