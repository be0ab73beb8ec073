package phalanx.sound.sequence;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.Note;
import phalanx.formats.SongFiles;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.sound.Heard;
import phalanx.sound.Layer;
import phalanx.sound.Loudness;
import phalanx.sound.strings.Instrument;
import phalanx.sound.strings.Levels;

/** The tune is heard above the rest where it begins a note, as usual levels have it. */
class BalanceTest {

  /** The length of a block in which loudness is taken, s (ITU-R BS.1770). */
  private static final double BLOCK = 0.4;

  /** In the third song little but the tune sounds where a note of it begins. */
  @ParameterizedTest
  @CsvSource({"harbour-lamp, 6.5", "low-tide-reel, 6.5", "slate-roof-rain, 30"})
  void theTuneStandsOut(String name, double most) {
    Song song = SongFiles.open(Path.of("..", "demo", name + SongFiles.ENDING)).song().orElseThrow();
    Performance performance = Performance.of(new Arranger().arrange(song));
    Set<Layer> rest = EnumSet.of(Layer.THUMB, Layer.FINGERS, Layer.HITS);
    double[] tune = sound(performance, Set.of(Layer.TUNE));
    double[] others = sound(performance, rest);
    double[] above =
        performance.notes().stream()
            .filter(n -> n.note().part() == Note.Part.TUNE)
            .mapToDouble(Sounded::onset)
            .map(at -> loudness(tune, at) - loudness(others, at))
            .sorted()
            .toArray();
    double median = above[above.length / 2];
    System.out.printf("%s: the tune is %.1f dB above the rest%n", name, median);
    assertThat(median).as(Arrays.toString(above)).isBetween(2.0, most);
  }

  private static double loudness(double[] sound, double at) {
    return Loudness.of(sound, (int) (at * Heard.RATE), (int) ((at + BLOCK) * Heard.RATE));
  }

  private static double[] sound(Performance performance, Set<Layer> layers) {
    EventSequence score = EventSequence.of(performance);
    Levels levels = Levels.FILE.only(layers);
    Sequencer sequencer =
        new Sequencer(score, new Instrument(score.guitar(), Heard.RATE, levels), levels);
    sequencer.go(0, CountIn.NONE);
    int frames = (int) (score.seconds() * Heard.RATE);
    float[] out = new float[2 * frames];
    sequencer.render(out, frames);
    double[] left = new double[frames];
    for (int n = 0; n < frames; n++) {
      left[n] = out[2 * n];
    }
    return Loudness.weighted(left, Heard.RATE);
  }
}
