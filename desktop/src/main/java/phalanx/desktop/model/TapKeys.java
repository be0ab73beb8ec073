package phalanx.desktop.model;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.texts.Texts;
import phalanx.picking.PickFinger;
import phalanx.sound.listening.MidiTaps;

/** The MIDI device that taps are taken from while somebody looks, if there is one. */
final class TapKeys {

  private final PlanService planner;
  private final Consumer<PickFinger> tap;
  private final ReadOnlyStringWrapper name = new ReadOnlyStringWrapper("");
  private Optional<MidiTaps> device = Optional.empty();
  private boolean wanted;

  /**
   * Counts what was asked for: a device that is found for what is no longer wanted is given back.
   */
  private int asked;

  TapKeys(PlanService planner, Consumer<PickFinger> tap) {
    this.planner = planner;
    this.tap = tap;
  }

  void take(boolean now) {
    if (now == wanted) {
      return;
    }
    wanted = now;
    int mine = ++asked;
    device.ifPresent(MidiTaps::close);
    device = Optional.empty();
    name.set("");
    if (wanted) {
      planner
          .questions()
          .ask(
              () -> MidiTaps.open(f -> planner.interfaceThread().execute(() -> tap.accept(f))),
              there -> found(mine, there),
              planner.fault(Texts.of("tapKeys.devicesToTapOn")));
    }
  }

  private void found(int mine, Optional<MidiTaps> there) {
    if (mine == asked) {
      device = there;
      name.set(there.map(MidiTaps::name).orElse(""));
    } else {
      there.ifPresent(MidiTaps::close);
    }
  }

  /** What it is called; nothing where there is none. */
  ReadOnlyStringProperty nameProperty() {
    return name.getReadOnlyProperty();
  }
}
