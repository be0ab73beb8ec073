package phalanx.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import phalanx.desktop.background.PlannedSong;

/**
 * What is to be done with the plan of a song as it stands once that is there: what is written to a
 * file must not be of the song before an edit, or of a first plan without its tune fitted.
 */
final class AwaitedPlan {

  private record Waiting(Consumer<PlannedSong> use, Runnable never) {}

  private final List<Waiting> waiting = new ArrayList<>();

  /**
   * Waits for the plan.
   *
   * @param use takes it
   * @param never runs instead where it will never come
   */
  void add(Consumer<PlannedSong> use, Runnable never) {
    waiting.add(new Waiting(use, never));
  }

  /** The plan is there. */
  void came(PlannedSong plan) {
    all().forEach(w -> w.use().accept(plan));
  }

  /** It will never come: planning failed, or another song is open. */
  void failed() {
    all().forEach(w -> w.never().run());
  }

  private List<Waiting> all() {
    List<Waiting> all = List.copyOf(waiting);
    waiting.clear();
    return all;
  }
}
