package phalanx.desktop.model;

import java.util.Optional;
import javafx.beans.InvalidationListener;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleObjectProperty;
import phalanx.practice.PracticeOrder;

/** What the player wants of a day’s practice: how long, in which order, what of the song. */
public final class PracticeWishes {

  private final IntegerProperty minutes = new SimpleIntegerProperty(25);
  private final ObjectProperty<PracticeOrder> order =
      new SimpleObjectProperty<>(PracticeOrder.THUMB_FIRST);
  private final BooleanProperty loopOnly = new SimpleBooleanProperty();
  private final BooleanProperty interleaved = new SimpleBooleanProperty();
  private final BooleanProperty compound = new SimpleBooleanProperty();
  private final LoopChoice loop;

  /**
   * The usual ones.
   *
   * @param loop the bars that are looped
   * @param changed runs when another day’s plan is wanted
   */
  PracticeWishes(LoopChoice loop, Runnable changed) {
    this.loop = loop;
    InvalidationListener listener = o -> changed.run();
    minutes.addListener(listener);
    order.addListener(listener);
    loopOnly.addListener(listener);
    interleaved.addListener(listener);
    compound.addListener(listener);
    loop.property()
        .addListener(
            o -> {
              if (loopOnly.get()) {
                changed.run();
              }
            });
  }

  /** As they stand. */
  PracticeDay.Wishes now() {
    return new PracticeDay.Wishes(
        minutes.get(),
        order.get(),
        loopOnly.get() ? loop.property().get() : Optional.empty(),
        interleaved.get(),
        compound.get());
  }

  /** How much time there is, minutes. */
  public IntegerProperty minutesProperty() {
    return minutes;
  }

  /** Which hand comes first. */
  public ObjectProperty<PracticeOrder> orderProperty() {
    return order;
  }

  /** Whether only the bars that are looped are practised. */
  public BooleanProperty loopOnlyProperty() {
    return loopOnly;
  }

  /** Whether what is alike is kept apart. */
  public BooleanProperty interleavedProperty() {
    return interleaved;
  }

  /** Whether a relay of the shapes and variations of the pattern are practised too. */
  public BooleanProperty compoundProperty() {
    return compound;
  }

  /** The bars that are looped. */
  public ReadOnlyObjectProperty<Optional<LoopBars>> loopProperty() {
    return loop.property();
  }
}
