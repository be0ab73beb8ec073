package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import phalanx.song.Song;

/**
 * What is offered for a song as it stands: looked for, one of it chosen by ear, then taken. Once
 * the song is another, taking it would undo what came since, so that nothing of it may be taken.
 */
final class Offer<T> {

  private final ReadOnlyObjectWrapper<List<T>> all = new ReadOnlyObjectWrapper<>(List.of());
  private final ReadOnlyObjectWrapper<Optional<T>> chosen =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyBooleanWrapper searching = new ReadOnlyBooleanWrapper();

  private Optional<Song> base = Optional.empty();

  /** It is looked for, for a song. */
  void begin(Song song) {
    chosen.set(Optional.empty());
    all.set(List.of());
    base = Optional.of(song);
    searching.set(true);
  }

  /** A first one came; the others follow. */
  void first(T one) {
    if (all.get().isEmpty() && searching.get()) {
      all.set(List.of(one));
    }
  }

  /** Everything came. */
  void found(List<T> found) {
    searching.set(false);
    all.set(found);
  }

  /** Nothing is offered any more. */
  void forget() {
    searching.set(false);
    chosen.set(Optional.empty());
    all.set(List.of());
    base = Optional.empty();
  }

  /** It holds for another song from now on, which part of it was taken into. */
  void holdsFor(Song other) {
    base = Optional.of(other);
  }

  /** Whether it is for a song. */
  boolean isFor(Song song) {
    return base.equals(Optional.of(song));
  }

  /** One was heard. */
  void choose(T one) {
    chosen.set(Optional.of(one));
  }

  /** What may be taken into a song: the one that was heard last. */
  Optional<T> forTaking(Song song) {
    return chosen.get().filter(o -> isFor(song));
  }

  /** What there is, in its order. */
  ReadOnlyObjectProperty<List<T>> allProperty() {
    return all.getReadOnlyProperty();
  }

  /** The one that was heard last. */
  ReadOnlyObjectProperty<Optional<T>> chosenProperty() {
    return chosen.getReadOnlyProperty();
  }

  /** Whether it is being looked for. */
  ReadOnlyBooleanProperty searchingProperty() {
    return searching.getReadOnlyProperty();
  }
}
