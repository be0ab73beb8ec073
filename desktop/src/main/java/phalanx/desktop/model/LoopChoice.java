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
import phalanx.sound.score.Sequencer.Loop;

/** The bars that are played round and round. */
public final class LoopChoice {

  private final Workspace workspace;
  private final ObjectProperty<Optional<LoopBars>> bars =
      new SimpleObjectProperty<>(Optional.empty());

  LoopChoice(Workspace workspace) {
    this.workspace = workspace;
  }

  /** The bars; empty where the song is played to its end. */
  public ObjectProperty<Optional<LoopBars>> property() {
    return bars;
  }

  void clear() {
    bars.set(Optional.empty());
  }

  /** From when to when, in the newest plan. */
  Optional<Loop> now() {
    Performance performance = workspace.performanceProperty().get();
    return performance == null ? Optional.empty() : LoopBars.in(performance, bars.get());
  }

  /** Lets the bars go where a new plan has them no more. */
  void settle() {
    if (workspace.performanceProperty().get() != null && now().isEmpty()) {
      clear();
    }
  }

  /** Goes round written bars, the first time they are played, or not any more. */
  public void toggle(Set<Integer> written) {
    Performance performance = workspace.performanceProperty().get();
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
    List<Slot> slots = workspace.range().slots();
    if (!slots.isEmpty()) {
      int first = slots.get(0).played().bar();
      int last = slots.get(slots.size() - 1).played().bar();
      bars.set(Optional.of(new LoopBars(first, last)));
    }
  }
}
