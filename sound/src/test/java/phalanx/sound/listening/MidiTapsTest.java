package phalanx.sound.listening;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import javax.sound.midi.Receiver;
import javax.sound.midi.ShortMessage;
import org.junit.jupiter.api.Test;
import phalanx.picking.PickFinger;

/** Keys as a device sends them (MIDI 1.0: a note-on of velocity 0 is a note-off). */
class MidiTapsTest {

  @Test
  void keysThatGoDownAreTaps() throws Exception {
    List<PickFinger> taps = new ArrayList<>();
    try (Receiver receiver = MidiTaps.receiver(taps::add)) {
      receiver.send(new ShortMessage(ShortMessage.NOTE_ON, 0, 40, 90), -1);
      receiver.send(new ShortMessage(ShortMessage.NOTE_OFF, 0, 40, 0), -1);
      receiver.send(new ShortMessage(ShortMessage.NOTE_ON, 0, 60, 90), -1);
      receiver.send(new ShortMessage(ShortMessage.NOTE_ON, 0, 60, 0), -1);
      receiver.send(new ShortMessage(ShortMessage.NOTE_ON, 0, 62, 1), -1);
      receiver.send(new ShortMessage(ShortMessage.CONTROL_CHANGE, 0, 64, 127), -1);
    }
    assertThat(taps).containsExactly(PickFinger.P, PickFinger.I, PickFinger.A);
  }
}
