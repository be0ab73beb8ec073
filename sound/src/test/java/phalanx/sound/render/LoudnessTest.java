package phalanx.sound.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.formats.SongFiles;
import phalanx.performance.Performance;
import phalanx.planning.Arranger;
import phalanx.song.Song;

/**
 * Against the signals of EBU Tech 3341, whose loudness is stated to a tenth of a unit (cases 1 to 4
 * and a true peak, from memory).
 */
class LoudnessTest {

  private static void sine(Loudness meter, double rate, double decibels, double seconds) {
    int frames = (int) (seconds * rate);
    float[] sound = new float[2 * frames];
    double level = Math.pow(10, decibels / 20);
    for (int n = 0; n < frames; n++) {
      float v = (float) (level * Math.sin(2 * Math.PI * 1000 * n / rate));
      sound[2 * n] = v;
      sound[2 * n + 1] = v;
    }
    meter.add(sound, frames);
  }

  @ParameterizedTest
  @CsvSource({"48000, -23", "44100, -23", "48000, -33", "96000, -23"})
  void aToneInBothChannelsIsAsLoudAsItsLevel(double rate, double level) {
    Loudness meter = new Loudness(rate);
    sine(meter, rate, level, 20);
    assertThat(meter.integrated()).isCloseTo(level, within(0.1));
  }

  /** What is far softer than the rest is gated. */
  @Test
  void softStretchesDoNotCount() {
    Loudness meter = new Loudness(48000);
    sine(meter, 48000, -36, 10);
    sine(meter, 48000, -23, 60);
    sine(meter, 48000, -36, 10);
    assertThat(meter.integrated()).isCloseTo(-23, within(0.1));
    Loudness silent = new Loudness(48000);
    sine(silent, 48000, -90, 5);
    assertThat(silent.integrated()).isEqualTo(Loudness.SILENCE);
  }

  /** A tone at a quarter of the rate whose samples all lie at 71 % of its height. */
  @Test
  void peaksBetweenSamplesAreFound() {
    Loudness meter = new Loudness(48000);
    float[] sound = new float[2 * 4800];
    for (int n = 0; n < 4800; n++) {
      double swell = Math.min(1, n / 480.0);
      sound[2 * n] = (float) (0.5 * swell * Math.sin(Math.PI / 2 * n + Math.PI / 4));
    }
    meter.add(sound, 4800);
    assertThat(meter.truePeak()).isCloseTo(-6, within(0.4));
  }

  private static Performance demo(String name) {
    Path file = Path.of("..", "demo", name + SongFiles.ENDING);
    Song song = SongFiles.open(file).song().orElseThrow();
    return Performance.of(new Arranger().arrange(song));
  }

  private static Loudness rendered(Performance performance, RenderOptions options) {
    Rendering rendering = new Rendering(performance, options);
    while (rendering.next().isPresent()) {
      assertThat(rendering.peak()).isLessThan(1);
    }
    return rendering.loudness();
  }

  @ParameterizedTest
  @ValueSource(strings = {"harbour-lamp", "low-tide-reel", "slate-roof-rain"})
  void everySongComesToOneLoudness(String name) {
    Loudness heard = rendered(demo(name), RenderOptions.USUAL);
    assertThat(heard.integrated()).isCloseTo(SongLoudness.USUAL, within(0.7));
    assertThat(heard.truePeak()).isLessThan(-1);
  }

  @Test
  void anotherLoudnessCanBeAskedForAndAPartKeepsItsPlaceInTheWhole() {
    Performance song = demo("slate-roof-rain");
    RenderOptions softer = RenderOptions.USUAL.played(p -> p.asLoudAs(OptionalDouble.of(-26)));
    assertThat(rendered(song, softer).integrated()).isCloseTo(-26, within(0.7));
    RenderOptions some = RenderOptions.USUAL.of(new RenderOptions.BarRange(3, 6));
    double part = rendered(song, some).integrated();
    RenderOptions left = some.played(p -> p.asLoudAs(OptionalDouble.empty()));
    double gain = part - rendered(song, left).integrated();
    double whole =
        rendered(song, RenderOptions.USUAL).integrated()
            - rendered(song, RenderOptions.USUAL.played(p -> p.asLoudAs(OptionalDouble.empty())))
                .integrated();
    assertThat(gain).isCloseTo(whole, within(0.5));
  }
}
