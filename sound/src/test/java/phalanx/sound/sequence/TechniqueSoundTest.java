package phalanx.sound.sequence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.Note;
import phalanx.instrument.Guitar;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.picking.AlternatingThumb;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.sound.Heard;
import phalanx.sound.Spectrum;

/** What a note of a tune sounds like with its techniques, from its text to the samples. */
class TechniqueSoundTest {

  private static Sounded note(String text) {
    Song song =
        TestSongs.singing(TestSongs.of("G"), text)
            .withPattern(AlternatingThumb.THUMB_ALONE)
            .withTempo(60);
    return Performance.of(new Arranger().arrange(song)).notes().stream()
        .filter(n -> n.note().part() == Note.Part.TUNE)
        .findFirst()
        .orElseThrow();
  }

  /** The note alone, as the score has it, for some seconds. */
  private static double[] sound(String text, double seconds) {
    Sounded note = note(text);
    Song song = TestSongs.singing(TestSongs.of("G"), text).withTempo(60);
    EventSequence score =
        EventSequence.of(
            Performance.of(new Arranger().arrange(song.withPattern(AlternatingThumb.THUMB_ALONE))));
    Heard heard = new Heard(Guitar.STEEL);
    double now = 0;
    double[] all = new double[0];
    List<Event> mine =
        score.events().stream().filter(e -> string(e) == note.note().string()).toList();
    for (Event event : mine) {
      if (event.at() >= note.onset() && event.at() < note.onset() + seconds) {
        all = joined(all, heard.seconds(Math.max(0, event.at() - note.onset() - now)));
        now = event.at() - note.onset();
        heard.after(event::apply);
      }
    }
    return joined(all, heard.seconds(seconds - now));
  }

  private static int string(Event event) {
    if (event instanceof Event.Pluck p) {
      return p.string();
    } else if (event instanceof Event.Harmonic h) {
      return h.string();
    } else if (event instanceof Event.Pass p) {
      return p.string();
    }
    return event instanceof Event.Stop s ? s.string() : -1;
  }

  private static double[] joined(double[] a, double[] b) {
    double[] both = Arrays.copyOf(a, a.length + b.length);
    System.arraycopy(b, 0, both, a.length, b.length);
    return both;
  }

  private static double cents(double[] sound, double from, double to, double want) {
    int a = (int) (from * Heard.RATE);
    int b = (int) (to * Heard.RATE);
    return Spectrum.cents(
        new Spectrum(Arrays.copyOfRange(sound, a, b), Heard.RATE).peakNear(want), want);
  }

  /** Open ① is E4, 329.63 Hz: its octave, twelfth and double octave are whole multiples. */
  @ParameterizedTest
  @CsvSource({"e5(h) . . ., 2", "b5@1(h) . . ., 3", "e6(h) . . ., 4"})
  void aHarmonicSoundsWithinThreeCentsOfItsOvertone(String text, int overtone) {
    double want = 440 * Math.pow(2, (64 - 69) / 12.0) * overtone;
    assertThat(cents(sound(text, 1.2), 0.05, 1.1, want)).isBetween(-3.0, 3.0);
  }

  @ParameterizedTest
  @CsvSource({"d4(b1) . . ., 2", "d4(b1/2) . . ., 1", "d4(pb1) . . ., 2", "d4(b1.5) . . ., 3"})
  void aBendReachesItsPitch(String text, int semitones) {
    double want = 440 * Math.pow(2, (62 + semitones - 69) / 12.0);
    assertThat(cents(sound(text, 1.4), 0.4, 1.3, want)).isBetween(-5.0, 5.0);
  }

  @Test
  void aReleasedBendComesBack() {
    double want = 440 * Math.pow(2, (62 - 69) / 12.0);
    double[] sound = sound("d4(b1r) . . .", 3.6);
    assertThat(cents(sound, 2.5, 3.4, want)).isBetween(-5.0, 5.0);
  }

  @Test
  void vibratoSwingsUpwardsAndAWideOneFurther() {
    double plain = spread(sound("d4 . . .", 1.5));
    double slow = spread(sound("d4(v) . . .", 1.5));
    double wide = spread(sound("d4(vw) . . .", 1.5));
    assertThat(plain).isLessThan(4);
    assertThat(slow).isGreaterThan(8);
    assertThat(wide).isGreaterThan(1.8 * slow);
  }

  /** How far the pitch moves between short pieces of a sound, cents. */
  private static double spread(double[] sound) {
    double want = 440 * Math.pow(2, (62 - 69) / 12.0);
    double least = 1e9;
    double most = -1e9;
    for (double at = 0.3; at < 1.2; at += 0.025) {
      double cents = cents(sound, at, at + 0.09, want);
      least = Math.min(least, cents);
      most = Math.max(most, cents);
    }
    return most - least;
  }

  /** Under the heel of the hand a note is over in a third of its time, or sooner. */
  @Test
  void aMutedNoteDiesThreeTimesAsFastAndIsDuller() {
    double[] plain = sound("d4 . . .", 2);
    double[] muted = sound("d4(pm) . . .", 2);
    assertThat(decay(muted)).isGreaterThan(3 * decay(plain));
    double high = 8 * 293.66;
    double bright = new Spectrum(Arrays.copyOf(plain, 8192), Heard.RATE).decibels(high);
    double dull = new Spectrum(Arrays.copyOf(muted, 8192), Heard.RATE).decibels(high);
    assertThat(dull).isLessThan(bright - 3);
  }

  /** Decibels a second between a tenth and three tenths of one. */
  private static double decay(double[] sound) {
    double early = Heard.loudness(sound, 0.05, 0.08);
    double late = Heard.loudness(sound, 0.15, 0.18);
    return 20 * Math.log10(early / late) / 0.1;
  }
}
