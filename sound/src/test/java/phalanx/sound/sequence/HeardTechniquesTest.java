package phalanx.sound.sequence;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.picking.Force.PLAIN;
import static phalanx.sound.strings.Plucker.NAIL;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.arrangement.Note;
import phalanx.instrument.Guitar;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.picking.AlternatingThumb;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.sound.Heard;
import phalanx.sound.Layer;
import phalanx.sound.Spectrum;
import phalanx.sound.strings.Excitation;
import phalanx.sound.strings.Instrument;
import phalanx.sound.strings.Levels;

/**
 * What is heard of a tune’s techniques at the end of the way: its text is planned, played and
 * rendered, and the samples are listened to, not the events.
 */
class HeardTechniquesTest {

  /** The tune alone of a song at 60, so that a tick of a quarter is a second. */
  private static final class Played {
    final List<Sounded> notes;
    final double[] sound;

    Played(String... bars) {
      Song chords = TestSongs.of("G | ".repeat(bars.length));
      Song song =
          TestSongs.singing(
                  chords, List.of(bars).stream().filter(b -> !b.isEmpty()).toArray(String[]::new))
              .withPattern(AlternatingThumb.THUMB_ALONE)
              .withTempo(60);
      Performance performance = Performance.of(new Arranger().arrange(song));
      notes = performance.notes().stream().filter(n -> n.note().part() == Note.Part.TUNE).toList();
      EventSequence score = EventSequence.of(performance);
      Levels alone = Levels.FILE.only(Set.of(Layer.TUNE));
      Sequencer sequencer =
          new Sequencer(score, new Instrument(score.guitar(), Heard.RATE, alone), alone);
      sequencer.go(0, CountIn.NONE);
      int frames = (int) (score.seconds() * Heard.RATE);
      float[] out = new float[2 * frames];
      sequencer.render(out, frames);
      sound = new double[frames];
      for (int n = 0; n < frames; n++) {
        sound[n] = out[2 * n];
      }
    }

    /** Loudness of a piece against that just before the last note begins, dB. */
    double after(double from, double to) {
      double onset = notes.get(notes.size() - 1).onset();
      return decibels(onset + from, onset + to) - decibels(onset - 0.12, onset - 0.03);
    }

    double decibels(double from, double to) {
      return 20 * Math.log10(Math.max(1e-9, Heard.loudness(sound, from, to)));
    }

    /** How far what is heard of a piece lies from a pitch, cents. */
    double cents(double from, double to, double midi) {
      double want = Instrument.hertz(midi);
      double[] piece =
          Arrays.copyOfRange(sound, (int) (from * Heard.RATE), (int) (to * Heard.RATE));
      return Spectrum.cents(new Spectrum(piece, Heard.RATE).peakNear(want), want);
    }
  }

  /** The note slid to sounds on where the finger arrives, as loud as the one it came from. */
  @ParameterizedTest
  @ValueSource(strings = {"b4@2 . /c5@2 .", "f#5@1 . /g5@1 .", "a4@3 . /b4@3 .", "g5@1 . /f5@1 ."})
  void aSlideIsHeardOnItsWayAndWhereItEnds(String tune) {
    Played played = new Played(tune);
    Sounded last = played.notes.get(played.notes.size() - 1);
    assertThat(last.note().attack().isSlur()).as("it is slid").isTrue();
    // High notes lose 25 dB a second by themselves; cut off they would be 34 dB down by now.
    assertThat(played.after(0.05, 0.15)).isGreaterThan(-13);
    assertThat(played.after(0.25, 0.4)).isGreaterThan(-19);
    double at = last.onset();
    assertThat(played.cents(at + 0.05, at + 0.6, last.note().midi())).isBetween(-8.0, 8.0);
  }

  @Test
  void twoNotesSlideTogether() {
    Played played = new Played("2:3+3:4 . /2:5+3:6 .");
    assertThat(played.notes).hasSize(4);
    assertThat(played.after(0.05, 0.15)).isGreaterThan(-5);
    assertThat(played.after(0.25, 0.4)).isGreaterThan(-12);
    for (Sounded note : played.notes.subList(2, 4)) {
      assertThat(note.note().attack().isSlur()).isTrue();
      double cents = played.cents(note.onset() + 0.05, note.onset() + 0.6, note.note().midi());
      assertThat(cents).isBetween(-10.0, 10.0);
    }
  }

  @ParameterizedTest
  @CsvSource({"a4@3 . ^b4@3 ., 71", "d5@2 . _b4@2 ., 71", "f#5@1 . ^g5@1 ., 79"})
  void aSlurGoesOnAtItsPitch(String tune, int midi) {
    Played played = new Played(tune);
    Sounded last = played.notes.get(1);
    assertThat(last.note().attack().isSlur()).isTrue();
    assertThat(played.after(0.05, 0.15)).isGreaterThan(-6);
    assertThat(played.cents(last.onset() + 0.05, last.onset() + 0.6, midi)).isBetween(-8.0, 8.0);
  }

  /** Written silence is silent: on fretted and on open strings. */
  @ParameterizedTest
  @ValueSource(strings = {"g5@1 - - -", "b4@2 - - -", "b4@2 - d5@2 ."})
  void aRestIsSilent(String tune) {
    Played played = new Played(tune, "- - - g4");
    double onset = played.notes.get(0).onset();
    double ring = played.decibels(onset + 0.3, onset + 0.9);
    assertThat(played.decibels(onset + 1.25, onset + 1.9)).isLessThan(ring - 20);
    assertThat(ring).isGreaterThan(-60);
  }

  /** A rest at the beginning of a bar ends what the bar before has. */
  @Test
  void aRestAtABarLineIsSilent() {
    Played played = new Played("g4 . . b4@2", "- - g4 .");
    assertThat(played.decibels(4.3, 5.9)).isLessThan(played.decibels(3.1, 3.9) - 18);
  }

  /** Before a bar in which no tune is written nothing is cut off. */
  @Test
  void withoutARestAnOpenStringRingsOn() {
    Played played = new Played("b3@2 . . .", "");
    assertThat(played.notes.get(0).end()).isGreaterThan(4.5);
    assertThat(played.decibels(4.2, 4.8)).isGreaterThan(played.decibels(3.2, 3.8) - 15);
  }

  /** Nothing presses a string that sounds a natural harmonic: it dies as an open one does. */
  @Test
  void aNaturalHarmonicRingsLongerThanAFrettedNote() {
    double harmonic =
        lost(
            new Heard(Guitar.STEEL)
                .after(i -> i.harmonic(5, 76, Excitation.of(NAIL, PLAIN), Layer.TUNE)));
    double fretted =
        lost(new Heard(Guitar.STEEL).after(i -> i.pluck(5, 76, NAIL, PLAIN, Layer.TUNE)));
    assertThat(harmonic).isLessThan(fretted - 3);
    Played played = new Played("e5(h) . . .", "");
    assertThat(played.notes.get(0).end()).isGreaterThan(6);
    assertThat(played.cents(4.1, 5, 76)).isBetween(-5.0, 5.0);
  }

  private static double lost(Heard heard) {
    double[] sound = heard.seconds(2);
    return 20 * Math.log10(Heard.loudness(sound, 0.1, 0.5) / Heard.loudness(sound, 1.5, 1.9));
  }

  /** All that is written is heard at its onset, at its pitch, and louder than what was before. */
  @ParameterizedTest
  @CsvSource({
    "'d5 . . .', 74, 0",
    "'d5(v) . . .', 74, 30",
    "'d5(vw) . . .', 74, 60",
    "'d4(pm) . . .', 62, 40",
    "'d4(b1) . . .', 64, 12",
    "'g4(t12) . . .', 67, 10",
    "'b4(pb1/2) . . .', 72, 12"
  })
  void everyTechniqueIsHeardAtItsPitch(String tune, int midi, int off) {
    Played played = new Played("- " + tune.substring(0, tune.length() - 2));
    Sounded note = played.notes.get(0);
    double before = played.decibels(note.onset() - 0.3, note.onset() - 0.05);
    double there = played.decibels(note.onset() + 0.005, note.onset() + 0.1);
    assertThat(there).isGreaterThan(before + 40);
    double cents = played.cents(note.onset() + 0.35, note.onset() + 1.2, midi);
    assertThat(cents).isBetween(-8.0 - off, 8.0 + off);
  }

  /** Near the bridge a note is brighter, over the end of the neck it is not. */
  @Test
  void whereAStringIsPluckedIsHeard() {
    double[] bright =
        List.of("d4(tasto) . . .", "d4 . . .", "d4(pont) . . .").stream()
            .mapToDouble(
                t -> new Spectrum(Arrays.copyOf(new Played(t).sound, 65536), Heard.RATE).centroid())
            .toArray();
    assertThat(bright[2]).isGreaterThan(1.08 * Math.max(bright[0], bright[1]));
  }
}
