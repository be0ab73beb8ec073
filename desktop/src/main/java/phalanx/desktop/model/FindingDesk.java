package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import phalanx.review.Found;
import phalanx.review.Remedy;
import phalanx.review.Review;

/** The findings of the song, one after the other, with the ways out of the one looked at. */
public final class FindingDesk {

  private final Workspace workspace;
  private final PlanService planner;
  private final ReadOnlyObjectWrapper<Optional<Found>> current =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<List<Remedy>> remedies =
      new ReadOnlyObjectWrapper<>(List.of());

  FindingDesk(Workspace workspace, PlanService planner) {
    this.workspace = workspace;
    this.planner = planner;
    workspace.reviewProperty().addListener(o -> settle());
  }

  /** All findings of the newest plan. */
  public List<Found> all() {
    return workspace.reviewProperty().get().map(Review::findings).orElse(List.of());
  }

  /** The finding looked at stays while it is there; else the next one after it is looked at. */
  private void settle() {
    Optional<Found> was = current.get();
    if (was.isPresent()) {
      show(
          all().stream()
              .filter(f -> f.tick() == was.get().tick())
              .filter(f -> f.finding().rule().equals(was.get().finding().rule()))
              .findFirst());
    }
  }

  private void show(Optional<Found> found) {
    remedies.set(List.of());
    current.set(found);
    found.ifPresent(
        f ->
            planner.remedies(
                workspace.arrangementProperty().get(),
                f,
                answer -> {
                  if (current.get().equals(Optional.of(f))) {
                    remedies.set(answer);
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
    Found next = all.get(Math.floorMod(at, all.size()));
    show(Optional.of(next));
    workspace.selectPlayedBar(next.bar());
  }

  /** Stops looking at findings. */
  public void close() {
    show(Optional.empty());
  }

  /** Takes a way out. */
  public void take(Remedy remedy) {
    workspace.edit(remedy.edit());
  }

  /** The finding looked at. */
  public ReadOnlyObjectProperty<Optional<Found>> currentProperty() {
    return current.getReadOnlyProperty();
  }

  /** Ways out of it, once they were tried. */
  public ReadOnlyObjectProperty<List<Remedy>> remediesProperty() {
    return remedies.getReadOnlyProperty();
  }
}
