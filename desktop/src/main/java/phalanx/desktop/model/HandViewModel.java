package phalanx.desktop.model;

import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import phalanx.advice.Advised;
import phalanx.desktop.background.PlanService;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.HandMeasure;
import phalanx.song.Song;

/**
 * The player's hand, which every song is planned for that asks for none of its own; and the hand as
 * it is being measured, with what it would change in the song.
 */
public final class HandViewModel {

  private final OpenSong open;
  private final PlanService planner;
  private final ObjectProperty<Hand> players = new SimpleObjectProperty<>(Hand.MEDIUM);
  private final ObjectProperty<Optional<HandMeasure>> measure =
      new SimpleObjectProperty<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<Change>> change =
      new ReadOnlyObjectWrapper<>(Optional.empty());

  /**
   * What another hand does to the song.
   *
   * @param before the song with its hand now
   * @param after the song with the hand measured
   */
  public record Change(Advised before, Advised after) {}

  /**
   * The hand of a song.
   *
   * @param fit plans the song for the player's hand, unless it asks for its own
   */
  HandViewModel(OpenSong open, PlanService planner, Runnable fit) {
    this.open = open;
    this.planner = planner;
    players.addListener((o, before, now) -> fit.run());
    measure.addListener(o -> weigh());
    open.historyProperty().addListener(o -> follow());
  }

  /** The player's hand. */
  public ObjectProperty<Hand> playersProperty() {
    return players;
  }

  /** What is being measured; empty while nothing is. */
  public ObjectProperty<Optional<HandMeasure>> measureProperty() {
    return measure;
  }

  /** What the measured hand would change in the song; empty until that is known. */
  public ReadOnlyObjectProperty<Optional<Change>> changeProperty() {
    return change.getReadOnlyProperty();
  }

  /** A song for the player's hand, unless it asks for its own. */
  Song fitted(Song song) {
    return song.hasOwnHand() ? song : song.withHand(players.get());
  }

  private void follow() {
    Song song = open.song();
    if (!song.hasOwnHand()) {
      players.set(song.hand());
    }
    if (measure.get().isPresent()) {
      weigh();
    }
  }

  /** Begins to measure, from the hand there is. */
  public void begin() {
    measure.set(Optional.of(HandMeasure.of(open.song().hand(), open.song().guitar())));
  }

  /** Leaves the hand as it is. */
  public void leave() {
    measure.set(Optional.empty());
  }

  /** Takes the measured hand; can be undone. */
  public void accept() {
    measured().ifPresent(hand -> open.edit(s -> s.withHand(hand)));
    leave();
  }

  /** The hand as it is measured so far. */
  public Optional<Hand> measured() {
    Guitar guitar = open.song().guitar();
    return measure.get().map(m -> m.hand(guitar, open.song().hand()));
  }

  private void weigh() {
    change.set(Optional.empty());
    Song song = open.song();
    measured()
        .ifPresent(
            hand ->
                planner.compare(
                    song,
                    song.withHand(hand),
                    (before, after) -> change.set(Optional.of(new Change(before, after)))));
  }
}
