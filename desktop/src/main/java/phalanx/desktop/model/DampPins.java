package phalanx.desktop.model;

import java.util.Set;
import java.util.TreeSet;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Slot;
import phalanx.instrument.Tuning;
import phalanx.song.Pins;
import phalanx.song.SlotRef;

/** The strings that are stopped when the hand comes to the selected chord; can be undone. */
public final class DampPins {

  private final OpenSong open;
  private final ChordChoice chords;

  DampPins(OpenSong open, ChordChoice chords) {
    this.open = open;
    this.chords = chords;
  }

  /** The strings the player wants stopped there, 0 for ⑥ to 5 for ①. */
  public Set<Integer> wanted() {
    return chords.slot().map(s -> open.song().pins().damped(s.played().ref())).orElse(Set.of());
  }

  /** The strings that the plan stops there by itself. */
  public Set<Integer> planned() {
    Set<Integer> strings = new TreeSet<>();
    chords
        .slot()
        .ifPresent(
            slot ->
                open.arrangementProperty().get().dampsFrom(slot.fromTick(), slot.toTick()).stream()
                    .filter(Damp::planned)
                    .forEach(d -> strings.addAll(d.strings())));
    return strings;
  }

  /** The strings that the player lets ring there though the plan would stop them. */
  public Set<Integer> ringing() {
    return chords.slot().map(s -> open.song().pins().ringing(s.played().ref())).orElse(Set.of());
  }

  /**
   * Stops a string there, or lets it ring: against the plan where that would stop it, and as the
   * plan has it where it was let ring.
   */
  public void toggle(int string) {
    if (ringing().contains(string)) {
      letRing(string, false);
    } else if (planned().contains(string)) {
      letRing(string, true);
    } else {
      Set<Integer> next = new TreeSet<>(wanted());
      if (!next.remove(string)) {
        next.add(string);
      }
      want(next);
    }
  }

  private void letRing(int string, boolean rings) {
    chords
        .slot()
        .map(s -> s.played().ref())
        .ifPresent(
            at -> open.edit(song -> song.withPins(song.pins().lettingRing(at, string, rings))));
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
    chords.slot().map(Slot::played).ifPresent(s -> want(s.ref(), strings));
  }

  private void want(SlotRef at, Set<Integer> strings) {
    open.edit(
        song -> {
          Pins pins = song.pins();
          for (int s = 0; s < Tuning.STRINGS; s++) {
            pins = pins.damping(at, s, strings.contains(s));
          }
          return song.withPins(pins);
        });
  }
}
