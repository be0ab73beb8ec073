package phalanx.formats.midi;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.formats.FileProblem;
import phalanx.formats.SongFiles;
import phalanx.formats.SongReading;
import phalanx.melody.BarTune;
import phalanx.melody.TuneWriter;
import phalanx.planning.Arranger;
import phalanx.song.Ritard;
import phalanx.song.Song;
import phalanx.theory.Meter;

/** Against the JDK's own reader of Standard MIDI Files. */
class MidiFileTest {

  private static Arrangement demo(String name) {
    Path file = Path.of("..", "demo", name + SongFiles.ENDING);
    return new Arranger().arrange(SongFiles.open(file).song().orElseThrow());
  }

  private static List<ShortMessage> notes(Sequence sequence) {
    List<ShortMessage> notes = new ArrayList<>();
    for (Track track : sequence.getTracks()) {
      for (int e = 0; e < track.size(); e++) {
        if (track.get(e).getMessage() instanceof ShortMessage m
            && m.getCommand() == ShortMessage.NOTE_ON
            && m.getData2() > 0) {
          notes.add(m);
        }
      }
    }
    return notes;
  }

  @Test
  void everyNoteAndHitIsThereOnAChannelOfItsString() throws Exception {
    Arrangement a = demo("slate-roof-rain");
    Sequence sequence = MidiSystem.getSequence(new ByteArrayInputStream(MidiWriter.write(a)));
    List<ShortMessage> heard = notes(sequence);
    // General MIDI: percussion is channel 10, which the JDK counts from 0.
    assertThat(heard.stream().filter(m -> m.getChannel() != 9).count()).isEqualTo(a.notes().size());
    assertThat(heard.stream().filter(m -> m.getChannel() == 9).count())
        .isEqualTo(
            a.gestures().stream()
                .filter(g -> g instanceof phalanx.arrangement.Gesture.Hit)
                .count());
    double seconds = sequence.getMicrosecondLength() / 1e6;
    assertThat(seconds)
        .isCloseTo(
            phalanx.performance.Performance.of(a).seconds(),
            org.assertj.core.api.Assertions.within(0.05));
  }

  /**
   * The JDK’s reader counts a file with a ritard as long as the clock does, and slower by steps.
   */
  @Test
  void aRitardIsACurveOfTempos() throws Exception {
    Song song = demo("slate-roof-rain").song();
    Song slower = song.withFeel(song.feel().withRitard(Optional.of(new Ritard(2, 0.5))));
    Arrangement a = new Arranger().arrange(slower);
    Sequence sequence = MidiSystem.getSequence(new ByteArrayInputStream(MidiWriter.write(a)));
    double seconds = phalanx.performance.Performance.of(a).seconds();
    assertThat(seconds)
        .isGreaterThan(phalanx.performance.Performance.of(demo("slate-roof-rain")).seconds() + 1);
    assertThat(sequence.getMicrosecondLength() / 1e6)
        .isCloseTo(seconds, org.assertj.core.api.Assertions.within(0.05));
    List<Integer> micros = new ArrayList<>();
    Track conductor = sequence.getTracks()[0];
    for (int e = 0; e < conductor.size(); e++) {
      if (conductor.get(e).getMessage() instanceof MetaMessage m && m.getType() == 0x51) {
        byte[] d = m.getData();
        micros.add((d[0] & 255) << 16 | (d[1] & 255) << 8 | d[2] & 255);
      }
    }
    assertThat(micros).hasSizeGreaterThanOrEqualTo(8).isSorted();
    // The bars can be read again as they were.
    assertThat(MidiReader.read(MidiWriter.write(a)).song().chart().bars())
        .hasSameSizeAs(a.timeline().bars());
  }

  private static void note(Track track, int channel, int key, int from, int to) throws Exception {
    track.add(new MidiEvent(new ShortMessage(ShortMessage.NOTE_ON, channel, key, 90), from));
    track.add(new MidiEvent(new ShortMessage(ShortMessage.NOTE_OFF, channel, key, 0), to));
  }

  /** A file as sequencers write it: a melody, held chords under it, 480 ticks a quarter. */
  @Test
  void theMelodyIsFoundAndChordsAreProposed() throws Exception {
    Sequence sequence = new Sequence(Sequence.PPQ, 480);
    Track chords = sequence.createTrack();
    String name = "Strings";
    chords.add(new MidiEvent(new MetaMessage(3, name.getBytes(), name.length()), 0));
    int[][] triads = {{48, 52, 55}, {53, 57, 60}, {55, 59, 62}, {48, 52, 55}};
    Track melody = sequence.createTrack();
    melody.add(new MidiEvent(new MetaMessage(3, "Melody".getBytes(), 6), 0));
    int[] line = {64, 67, 65, 69, 67, 71, 72, 72};
    for (int bar = 0; bar < 4; bar++) {
      for (int key : triads[bar]) {
        note(chords, 0, key, bar * 1920, bar * 1920 + 1900);
      }
      // A player is never quite on the grid.
      note(melody, 1, line[2 * bar], bar * 1920 + 7, bar * 1920 + 950);
      note(melody, 1, line[2 * bar + 1], bar * 1920 + 953, bar * 1920 + 1915);
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    MidiSystem.write(sequence, 1, out);
    SongReading reading = MidiReader.read(out.toByteArray());
    Song song = reading.song();
    assertThat(song.chart().bars()).hasSize(4);
    assertThat(song.chart().bars().stream().map(b -> b.changes().get(0).harmony().label()).toList())
        .containsExactly("C", "F", "G", "C");
    assertThat(song.tune().at(song.chart().bars().get(0).id(), song.chart()).notes())
        .extracting(n -> n.tick() + "+" + n.lengthTicks())
        .containsExactly("0+10080", "10080+10080");
    assertThat(reading.remarks())
        .extracting(FileProblem::message)
        .anyMatch(m -> m.contains("“Melody”"))
        .anyMatch(m -> m.contains("grid"));
    assertThat(reading.sources().orElseThrow().names()).containsExactly("Strings", "Melody");
    Song other = MidiReader.read(out.toByteArray(), Optional.of("Strings")).song();
    BarTune second = other.tune().at(other.chart().bars().get(1).id(), other.chart());
    assertThat(TuneWriter.write(second, Meter.FOUR_FOUR)).isEqualTo("c4");
  }

  @Test
  void whatIsNoMidiFileIsSaid() {
    SongReading reading = MidiReader.read(new byte[] {1, 2, 3});
    assertThat(reading.problems()).extracting(FileProblem::message).hasSize(1);
  }
}
