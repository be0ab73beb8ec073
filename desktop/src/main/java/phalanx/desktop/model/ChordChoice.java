package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.SimpleIntegerProperty;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.song.Bar;
import phalanx.song.SlotRef;

/** The chord that is selected, a slot of the newest plan. */
public final class ChordChoice {

  private final OpenSong open;
  private final IntegerProperty place = new SimpleIntegerProperty();

  ChordChoice(OpenSong open) {
    this.open = open;
  }

  private List<Slot> slots() {
    Arrangement a = open.arrangementProperty().get();
    return a == null ? List.of() : a.slots();
  }

  /** The slot's place in the song, from 0. */
  public IntegerProperty placeProperty() {
    return place;
  }

  /** Its slot, once a plan is there. */
  public Optional<Slot> slot() {
    List<Slot> slots = slots();
    return place.get() < slots.size() ? Optional.of(slots.get(place.get())) : Optional.empty();
  }

  /** The written bar it stands in. */
  public Optional<Bar> bar() {
    return slot().flatMap(s -> open.song().chart().bar(s.played().ref().bar()));
  }

  /** The last chord of the bar it is played in. */
  Optional<Slot> lastOfBar() {
    return slot()
        .flatMap(
            here ->
                slots().stream()
                    .filter(s -> s.played().bar() == here.played().bar() && !s.played().isPart())
                    .reduce((a, b) -> b));
  }

  /** Selects a slot by its place in the song, as near as the song allows. */
  public void select(int slot) {
    place.set(Math.max(0, Math.min(slot, Math.max(0, slots().size() - 1))));
  }

  /** Selects the first slot played of a written bar, unless one of its slots is selected. */
  public void selectBar(int bar) {
    boolean there = slot().filter(s -> s.played().ref().bar() == bar).isPresent();
    List<Slot> slots = slots();
    for (int i = 0; i < slots.size() && !there; i++) {
      if (slots.get(i).played().ref().bar() == bar) {
        select(i);
        return;
      }
    }
  }

  /** Selects the first slot of a bar as played. */
  public void selectPlayedBar(int number) {
    List<Slot> slots = slots();
    for (int i = 0; i < slots.size(); i++) {
      if (slots.get(i).played().bar() == number) {
        select(i);
        return;
      }
    }
  }

  /** The selected chord's place in a new plan, though bars before it came or went. */
  int placeIn(Arrangement next) {
    Optional<SlotRef> ref = slot().map(s -> s.played().ref());
    if (ref.isEmpty()) {
      return place.get();
    }
    long time =
        slots().subList(0, place.get()).stream()
            .filter(s -> s.played().ref().equals(ref.get()))
            .count();
    int last = -1;
    for (int i = 0; i < next.slots().size() && time >= 0; i++) {
      if (next.slots().get(i).played().ref().equals(ref.get())) {
        last = i;
        time--;
      }
    }
    return last < 0 ? before(ref.get(), next) : last;
  }

  /** Where a chord, or a part of one, is no more: what is held at that place now. */
  private int before(SlotRef ref, Arrangement next) {
    int found = place.get();
    for (int i = 0; i < next.slots().size(); i++) {
      SlotRef at = next.slots().get(i).played().ref();
      found = at.bar() == ref.bar() && at.tick() <= ref.tick() ? i : found;
    }
    return found;
  }
}
