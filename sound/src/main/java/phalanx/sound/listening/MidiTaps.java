package phalanx.sound.listening;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javax.sound.midi.MidiDevice;
import javax.sound.midi.MidiMessage;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.MidiUnavailableException;
import javax.sound.midi.Receiver;
import javax.sound.midi.Sequencer;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Synthesizer;
import phalanx.picking.PickFinger;

/**
 * Taps from a MIDI keyboard or pads: keys below middle C are the thumb, those from it up the index,
 * middle, ring and little finger in turns.
 */
public final class MidiTaps implements AutoCloseable {

  private static final int MIDDLE_C = 60;
  private static final List<PickFinger> FINGERS =
      List.of(PickFinger.I, PickFinger.M, PickFinger.A, PickFinger.C);

  private final MidiDevice device;

  private MidiTaps(MidiDevice device) {
    this.device = device;
  }

  /**
   * Opens the first device that sends.
   *
   * @param tap is told of each key that goes down, on the device’s thread
   * @return empty where there is none that can be had
   */
  public static Optional<MidiTaps> open(Consumer<PickFinger> tap) {
    for (MidiDevice.Info info : MidiSystem.getMidiDeviceInfo()) {
      try {
        MidiDevice device = MidiSystem.getMidiDevice(info);
        boolean ours = device instanceof Sequencer || device instanceof Synthesizer;
        if (!ours && device.getMaxTransmitters() != 0) {
          device.open();
          device.getTransmitter().setReceiver(receiver(tap));
          return Optional.of(new MidiTaps(device));
        }
      } catch (MidiUnavailableException e) {
        // Another program has it; the next may be free.
        continue;
      }
    }
    return Optional.empty();
  }

  /** What a device sends to: a stand-in for one sends here as well. */
  public static Receiver receiver(Consumer<PickFinger> tap) {
    return new Receiver() {
      @Override
      public void send(MidiMessage message, long micros) {
        if (message instanceof ShortMessage s
            && s.getCommand() == ShortMessage.NOTE_ON
            && s.getData2() > 0) {
          tap.accept(finger(s.getData1()));
        }
      }

      @Override
      public void close() {
        // Nothing to give back.
      }
    };
  }

  private static PickFinger finger(int key) {
    return key < MIDDLE_C ? PickFinger.P : FINGERS.get((key - MIDDLE_C) % FINGERS.size());
  }

  /** What the device is called. */
  public String name() {
    return device.getDeviceInfo().getName();
  }

  @Override
  public void close() {
    device.close();
  }
}
