package phalanx.desktop.device;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.ForkJoinPool;
import java.util.function.Consumer;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import phalanx.desktop.background.NewestAnswer;
import phalanx.sound.play.AudioDevice;
import phalanx.sound.play.SimulatedAudioDevice;
import phalanx.sound.play.SystemAudioDevice;

/** The sound devices there are; looked for when first something is to be heard. */
public final class AudioDevices {

  private final AudioDevice silent = new SimulatedAudioDevice(SimulatedAudioDevice.REAL);
  private final ObservableList<AudioDevice> there = FXCollections.observableArrayList();
  private final ObjectProperty<AudioDevice> chosen = new SimpleObjectProperty<>(silent);
  private final NewestAnswer looking;
  private final Consumer<Throwable> faults;
  private final List<Runnable> waiting = new ArrayList<>();
  private boolean known;

  public AudioDevices(Executor interfaceThread, Consumer<Throwable> faults) {
    this.faults = faults;
    // What plans or weighs may be busy for seconds, and a key pressed wants to be heard at once.
    looking = new NewestAnswer(ForkJoinPool.commonPool(), interfaceThread);
    there.setAll(silent);
  }

  /** The one that nobody hears. */
  public AudioDevice silent() {
    return silent;
  }

  /** Those to choose from; the silent one is always among them. */
  public ObservableList<AudioDevice> there() {
    return there;
  }

  /** The one that plays. */
  public ObjectProperty<AudioDevice> chosenProperty() {
    return chosen;
  }

  /** Runs something once it is known what there is. */
  public void whenKnown(Runnable then) {
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
        SystemAudioDevice::there,
        this::take,
        fault -> {
          // A system whose sound cannot even be asked for has none.
          faults.accept(fault);
          take(List.of());
        });
  }

  private void take(List<AudioDevice> found) {
    boolean first = !known;
    known = true;
    List<AudioDevice> all = new ArrayList<>(found);
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
  public void lost() {
    chosen.set(silent);
    look();
  }
}
