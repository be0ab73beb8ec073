package phalanx.desktop.model;

import java.util.Set;
import java.util.TreeSet;
import phalanx.arrangement.Slot;
import phalanx.instrument.Tuning;
import phalanx.song.Pins;
import phalanx.song.SlotRef;

/** The strings that are stopped when the hand comes to the selected chord; can be undone. */
public final class DampPins {

  private final Workspace workspace;

  DampPins(Workspace workspace) {
    this.workspace = workspace;
  }

  /** The strings the player wants stopped there, 0 for ⑥ to 5 for ①. */
  public Set<Integer> wanted() {
    return workspace
        .chord()
        .slot()
        .map(s -> workspace.song().pins().damped(s.played().ref()))
        .orElse(Set.of());
  }

  /** Stops a string there, or lets it ring. */
  public void toggle(int string) {
    Set<Integer> next = new TreeSet<>(wanted());
    if (!next.remove(string)) {
      next.add(string);
    }
    want(next);
  }

  /** Stops all strings there, or lets all ring where all are stopped. */
  public void toggleAll() {
    Set<Integer> next = new TreeSet<>();
    for (int s = 0; s < Tuning.STRINGS && wanted().size() < Tuning.STRINGS; s++) {
      next.add(s);
    }
    want(next);
  }

  private void want(Set<Integer> strings) {
    workspace.chord().slot().map(Slot::played).ifPresent(s -> want(s.ref(), strings));
  }

  private void want(SlotRef at, Set<Integer> strings) {
    workspace.edit(
        song -> {
          Pins pins = song.pins();
          for (int s = 0; s < Tuning.STRINGS; s++) {
            pins = pins.damping(at, s, strings.contains(s));
          }
          return song.withPins(pins);
        });
  }
}
