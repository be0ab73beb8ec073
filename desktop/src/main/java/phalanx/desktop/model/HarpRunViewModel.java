package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleIntegerProperty;
import phalanx.arrangement.Slot;
import phalanx.embellishment.HarpRun;
import phalanx.fretting.Shape;
import phalanx.song.SlotRef;
import phalanx.song.Song;

/** Harp runs over the shape of the selected chord, one of which the player looks at. */
public final class HarpRunViewModel {

  private final OpenSong open;
  private final ChordChoice chords;
  private final PlaybackController sound;
  private final IntegerProperty chosen = new SimpleIntegerProperty();
  private final ReadOnlyObjectWrapper<List<Proposal>> proposals =
      new ReadOnlyObjectWrapper<>(List.of());

  /**
   * A run that goes over the shape.
   *
   * @param order its strings as they are written
   */
  public record Proposal(String order, HarpRun run) {}

  HarpRunViewModel(OpenSong open, ChordChoice chords, PlaybackController sound) {
    this.open = open;
    this.chords = chords;
    this.sound = sound;
    open.arrangementProperty().addListener(o -> propose());
    chords.placeProperty().addListener(o -> propose());
    open.screenProperty().addListener(o -> propose());
    propose();
  }

  /** Only where it is looked at. */
  private void propose() {
    if (open.screenProperty().get() == Screen.SHAPES) {
      Optional<Shape> held = chords.slot().flatMap(Slot::shape);
      proposals.set(held.map(this::over).orElse(List.of()));
    }
  }

  private List<Proposal> over(Shape held) {
    return HarpRun.proposals(held.frets()).stream()
        .map(
            order ->
                new Proposal(
                    HarpRun.text(order), HarpRun.of(held.frets(), order, open.song().guitar())))
        .toList();
  }

  /** The runs there are; none over a shape of few strings. */
  public ReadOnlyObjectProperty<List<Proposal>> proposalsProperty() {
    return proposals.getReadOnlyProperty();
  }

  /** The place of the one looked at. */
  public IntegerProperty chosenProperty() {
    return chosen;
  }

  /** The one looked at. */
  public Optional<Proposal> looked() {
    List<Proposal> all = proposals.get();
    return all.isEmpty()
        ? Optional.empty()
        : Optional.of(all.get(Math.floorMod(chosen.get(), all.size())));
  }

  /** Lets it be heard. */
  public void hear() {
    looked().ifPresent(p -> sound.audition().hear(p.run()));
  }

  /**
   * Makes it the tune of the selected chord's bar; can be undone. Nothing happens where that bar
   * was taken out of the song since it was planned.
   */
  public void put() {
    Optional<Slot> slot = chords.slot();
    looked().ifPresent(p -> slot.ifPresent(s -> open.edit(song -> put(p.run(), song, s))));
  }

  private static Song put(HarpRun run, Song song, Slot slot) {
    SlotRef at = slot.played().ref();
    return song.chart().bar(at.bar()).isPresent() ? run.into(song, at, slot.held()) : song;
  }
}
