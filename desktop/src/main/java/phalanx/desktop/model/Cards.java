package phalanx.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.ForkJoinPool;
import java.util.function.Consumer;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import phalanx.sound.play.Card;
import phalanx.sound.play.SimulatedCard;
import phalanx.sound.play.SystemCard;

/** The sound devices there are; looked for when first something is to be heard. */
public final class Cards {

  private final Card silent = new SimulatedCard(SimulatedCard.REAL);
  private final ObservableList<Card> there = FXCollections.observableArrayList();
  private final ObjectProperty<Card> chosen = new SimpleObjectProperty<>(silent);
  private final NewestAnswer looking;
  private final Consumer<Throwable> faults;
  private final List<Runnable> waiting = new ArrayList<>();
  private boolean known;

  Cards(Executor interfaceThread, Consumer<Throwable> faults) {
    this.faults = faults;
    // What plans or weighs may be busy for seconds, and a key pressed wants to be heard at once.
    looking = new NewestAnswer(ForkJoinPool.commonPool(), interfaceThread);
    there.setAll(silent);
  }

  /** The one that nobody hears. */
  Card silent() {
    return silent;
  }

  /** Those to choose from; the silent one is always among them. */
  public ObservableList<Card> there() {
    return there;
  }

  /** The one that plays. */
  public ObjectProperty<Card> chosenProperty() {
    return chosen;
  }

  /** Runs something once it is known what there is. */
  void whenKnown(Runnable then) {
    if (known) {
      then.run();
      return;
    }
    waiting.add(then);
    if (waiting.size() == 1) {
      look();
    }
  }

  /** Looks again what there is; whoever waits for the first look waits for this one then. */
  public void look() {
    looking.ask(
        SystemCard::there,
        this::take,
        fault -> {
          // A system whose sound cannot even be asked for has none.
          faults.accept(fault);
          take(List.of());
        });
  }

  private void take(List<Card> found) {
    boolean first = !known;
    known = true;
    List<Card> all = new ArrayList<>(found);
    all.add(silent);
    there.setAll(all);
    if (first && !found.isEmpty()) {
      chosen.set(found.get(0));
    }
    List<Runnable> now = List.copyOf(waiting);
    waiting.clear();
    now.forEach(Runnable::run);
  }

  /** The one that played is gone: the silent one takes its place until another is chosen. */
  void lost() {
    chosen.set(silent);
    look();
  }
}
