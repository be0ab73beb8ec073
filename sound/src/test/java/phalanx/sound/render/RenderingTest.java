package phalanx.sound.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.stream.Stream;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.arrangement.Note;
import phalanx.formats.SongFiles;
import phalanx.formats.patterns.PatternShelf;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.Force;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.Swing;
import phalanx.song.TestSongs;
import phalanx.sound.Heard;
import phalanx.sound.Layer;
import phalanx.sound.Spectrum;
import phalanx.sound.render.RenderOptions.BarRange;
import phalanx.sound.sequence.Event;
import phalanx.sound.sequence.EventSequence;
import phalanx.sound.sequence.Interpretation;
import phalanx.sound.strings.Levels;

/** What is in the file, against the times of the performance. */
class RenderingTest {

  private static final RenderOptions EXACT =
      RenderOptions.USUAL.played(p -> p.by(Interpretation.EXACT));

  private static final Path DEMO = Path.of("..", "demo");

  private static Stream<String> demos() {
    return Stream.of("harbour-lamp", "slate-roof-rain", "low-tide-reel");
  }

  private static Performance demo(String name) {
    Song song = SongFiles.open(DEMO.resolve(name + SongFiles.ENDING)).song().orElseThrow();
    return Performance.of(new Arranger().arrange(song));
  }

  private static Performance of(Song song, String chart) {
    return Performance.of(new Arranger().arrange(song.editChart(c -> TestSongs.of(chart).chart())));
  }

  private static double[] left(Performance performance, RenderOptions options) {
    Rendering rendering = new Rendering(performance, options);
    double[] left = new double[(int) rendering.frames()];
    int at = 0;
    for (Optional<float[]> b = rendering.next(); b.isPresent(); b = rendering.next()) {
      for (int n = 0; n < b.get().length; n += 2) {
        left[at++] = b.get()[n];
      }
    }
    assertThat(at).isEqualTo(left.length);
    return left;
  }

  /**
   * Whether something sets in at a time: the bend of the signal, which a pluck has most of, is far
   * stronger just after than it was in the period of the lowest string before.
   */
  private static boolean setsIn(double[] sound, double at, double within) {
    int frame = (int) Math.round(at * Heard.RATE);
    int room = (int) (within * Heard.RATE);
    double before = bend(sound, frame - 620, frame - room);
    return bend(sound, frame - room, frame + room) > 1.5 * before + 1e-5;
  }

  private static double bend(double[] sound, int from, int to) {
    double most = 0;
    for (int n = Math.max(2, from); n < Math.min(to, sound.length); n++) {
      most = Math.max(most, Math.abs(sound[n] - 2 * sound[n - 1] + sound[n - 2]));
    }
    return most;
  }

  /** String by string, so that nothing else rings there: every pluck within a millisecond. */
  @ParameterizedTest
  @MethodSource("demos")
  void everyPluckOfTheDemoSongsIsWithinAMillisecondOfItsTime(String name) {
    Performance performance = demo(name);
    for (int s = 0; s < 6; s++) {
      int string = s;
      List<Sounded> notes =
          performance.notes().stream().filter(n -> n.note().string() == string).toList();
      // All equally loud, so that a soft brush is not lost in the ring of a louder tune.
      RenderOptions even = EXACT.asHeard(Levels.FILE.with(Layer.TUNE, 0));
      double[] sound = left(only(performance, notes), even);
      List<Sounded> missing =
          notes.stream()
              .filter(n -> !n.note().attack().isSlur())
              // The flesh of a thumb that brushes softly sets in too gently for this measure.
              .filter(n -> !n.note().isBrushed() || n.note().force() != Force.SOFT)
              .filter(n -> !setsIn(sound, n.onset(), 0.001))
              .toList();
      assertThat(missing).as("string %d", string).isEmpty();
    }
  }

  private static Performance only(Performance p, List<Sounded> notes) {
    return new Performance(p.arrangement(), p.clock(), notes, List.of(), List.of());
  }

  @ParameterizedTest
  @MethodSource("demos")
  void theFileIsSoundAndEndsInSilence(String name) {
    Performance performance = demo(name);
    double[] sound = left(performance, EXACT);
    assertThat(sound.length / Heard.RATE)
        .isCloseTo(
            performance.seconds() + Rendering.TAIL, org.assertj.core.data.Offset.offset(0.001));
    assertThat(java.util.Arrays.stream(sound).allMatch(Double::isFinite)).isTrue();
    double peak = Heard.peak(sound);
    assertThat(20 * Math.log10(peak)).isBetween(-12.0, -1.0);
    double end = sound.length / Heard.RATE;
    assertThat(Heard.loudness(sound, end - 0.05, end)).isLessThan(1e-4);
  }

  @ParameterizedTest
  @MethodSource("demos")
  void theThumbAloneHasExactlyTheThumbsOnsets(String name) {
    Performance performance = demo(name);
    EventSequence score = EventSequence.of(performance);
    List<Double> thumb =
        performance.notes().stream()
            .filter(n -> Layer.of(n.note()) == Layer.THUMB)
            .map(Sounded::onset)
            .sorted()
            .toList();
    List<Double> heard =
        score.events().stream()
            .filter(e -> e.layer() == Layer.THUMB && !(e instanceof Event.Stop))
            .map(Event::at)
            .toList();
    assertThat(heard).isEqualTo(thumb);
    double[] sound = left(performance, EXACT.only(Set.of(Layer.THUMB)));
    // Where only the fingers play, nothing sets in.
    List<Double> others =
        performance.notes().stream()
            .filter(n -> Layer.of(n.note()) != Layer.THUMB)
            .map(Sounded::onset)
            .filter(t -> thumb.stream().noneMatch(b -> Math.abs(b - t) < 0.01))
            .toList();
    assertThat(others.stream().filter(t -> setsIn(sound, t, 0.001)).toList()).isEmpty();
  }

  /** Fifteen thousandths of a second from string to string at 90 quarters: 105 of 5,040 ticks. */
  @Test
  void aBrushSpreadsByItsTime() {
    Song song =
        Song.untitled()
            .withTempo(90)
            .withPattern(PatternShelf.named("brush-on-two-and-four").orElseThrow());
    Performance performance = of(song, "G | C");
    List<Sounded> brushed = performance.notes().stream().filter(n -> n.note().isBrushed()).toList();
    assertThat(brushed).isNotEmpty();
    int tick = brushed.get(0).note().tick();
    List<Double> onsets =
        brushed.stream().filter(n -> n.note().tick() == tick).map(Sounded::onset).sorted().toList();
    for (int i = 1; i < onsets.size(); i++) {
      assertThat(onsets.get(i) - onsets.get(i - 1))
          .isCloseTo(105 / 5040.0 * 60 / 90, org.assertj.core.data.Offset.offset(1e-6));
    }
    for (Sounded note : brushed) {
      double[] alone = left(only(performance, List.of(note)), EXACT);
      assertThat(setsIn(alone, note.onset(), 0.001)).isTrue();
    }
  }

  /** Swing of 67 %: the second eighth two thirds of a beat after the first. */
  @Test
  void swingIsHeard() {
    Song song = Song.untitled().withTempo(60).withPattern(AlternatingThumb.FINGERS_BETWEEN);
    song = song.withFeel(song.feel().withSwing(Swing.TRIPLET));
    Performance performance = of(song, "C");
    List<Sounded> between =
        performance.notes().stream().filter(n -> n.note().tick() % 5040 == 2520).toList();
    assertThat(between).isNotEmpty();
    for (Sounded note : between) {
      double[] sound = left(only(performance, List.of(note)), EXACT);
      double beat = note.note().tick() / 5040;
      assertThat(setsIn(sound, beat + 0.67, 0.001)).isTrue();
      assertThat(setsIn(sound, beat + 0.5, 0.001)).isFalse();
    }
  }

  @Test
  void onlySomeBarsBeginAtTheStartOfTheFile() {
    Performance performance = demo("harbour-lamp");
    double[] sound = left(performance, EXACT.of(new BarRange(3, 4)));
    double bar =
        performance
            .clock()
            .seconds(performance.arrangement().timeline().bars().get(1).lengthTicks(), 0);
    assertThat(sound.length / Heard.RATE)
        .isCloseTo(2 * bar + Rendering.TAIL, org.assertj.core.data.Offset.offset(0.01));
    Note first =
        performance.arrangement().notes().stream()
            .filter(n -> n.tick() >= performance.arrangement().timeline().bars().get(2).startTick())
            .findFirst()
            .orElseThrow();
    assertThat(first.tick())
        .isEqualTo(performance.arrangement().timeline().bars().get(2).startTick());
    assertThat(setsIn(sound, 0, 0.001)).isTrue();
    assertThatThrownBy(() -> new Rendering(performance, EXACT.of(new BarRange(3, 400))))
        .hasMessageContaining("bar 400 is not there: the bars are 1 to");
  }

  @Test
  void countingInComesBeforeTheFirstBar() {
    Performance performance = of(Song.untitled().withTempo(120), "C | G");
    // Heard though the metronome is not.
    RenderOptions clicks = EXACT.only(Set.of(Layer.TUNE)).countingIn(1);
    Rendering rendering = new Rendering(performance, clicks);
    assertThat(rendering.lead()).isEqualTo(2);
    double[] sound = left(performance, clicks);
    List<Double> beats = new ArrayList<>(List.of(0.0, 0.5, 1.0, 1.5));
    assertThat(beats.stream().filter(t -> !setsIn(sound, t, 0.001)).toList()).isEmpty();
  }

  /** A3 is half of A4, whatever that is tuned to. */
  @ParameterizedTest
  @ValueSource(doubles = {415, 440, 443})
  void aFileIsTunedToTheA4ThatIsAskedFor(double a4) {
    Song song = TestSongs.singing(TestSongs.of("N.C."), "a3 . . .").withTempo(60);
    double[] sound = left(Performance.of(new Arranger().arrange(song)), EXACT.tunedTo(a4));
    double[] ringing = Arrays.copyOfRange(sound, 4000, 48_000);
    double heard = new Spectrum(ringing, Heard.RATE).peakNear(a4 / 2);
    assertThat(Spectrum.cents(heard, a4 / 2)).isBetween(-3.0, 3.0);
  }

  @Test
  void theSameSongGivesTheSameBytesAndIsReadByTheSystemsOwnReader() throws Exception {
    Performance performance = of(Song.untitled(), "Am | E7");
    for (int bits : new int[] {16, 24}) {
      RenderOptions options = EXACT.with(48000, bits);
      byte[] once = bytes(performance, options);
      assertThat(bytes(performance, options)).isEqualTo(once);
      try (AudioInputStream read =
          AudioSystem.getAudioInputStream(new ByteArrayInputStream(once))) {
        assertThat(read.getFrameLength()).isEqualTo(new Rendering(performance, options).frames());
        assertThat(read.getFormat().getSampleRate()).isEqualTo(48000);
        assertThat(read.getFormat().getSampleSizeInBits()).isEqualTo(bits);
        assertThat(read.getFormat().getChannels()).isEqualTo(2);
      }
    }
  }

  private static byte[] bytes(Performance performance, RenderOptions options) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    new Rendering(performance, options).write(out, share -> true);
    return out.toByteArray();
  }

  @Test
  void renderingTellsHowFarItIsAndStopsWhenToldTo() {
    Performance performance = of(Song.untitled(), "Am | E7 | Am | E7");
    List<Double> shares = new ArrayList<>();
    assertThatThrownBy(
            () ->
                new Rendering(performance, EXACT)
                    .write(
                        new ByteArrayOutputStream(),
                        share -> {
                          shares.add(share);
                          return share < 0.5;
                        }))
        .isInstanceOf(CancellationException.class);
    assertThat(shares).isSorted();
    assertThat(shares.get(shares.size() - 1)).isBetween(0.5, 0.6);
  }
}
