package phalanx.sound.listening;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import phalanx.performance.Performance;
import phalanx.planning.Arranger;
import phalanx.practice.ExpectedStroke;
import phalanx.practice.HeardSound;
import phalanx.practice.SimulatedPlayer;
import phalanx.song.OwnSongs;
import phalanx.song.Song;

/** Live and from a file the same is heard; a device that goes away is said. */
class LiveListeningTest {

  private static final int RATE = 44_100;

  private static float[] samples() {
    Song song = OwnSongs.all().get("Heron");
    Performance performance = Performance.of(new Arranger().arrange(song));
    List<ExpectedStroke> expected = ExpectedStroke.of(performance, 0, 4 * 20160);
    return SimulatedMicrophone.QUIET_ROOM.hear(
        performance, SimulatedPlayer.steady(4).play(expected, song.tempo()), Map.of(), 4);
  }

  /** What was heard, and when it was told, in samples. */
  private static final class Notes implements LiveListening.Ear {
    private final List<HeardSound> sounds = Collections.synchronizedList(new ArrayList<>());
    private final CompletableFuture<String> end = new CompletableFuture<>();

    @Override
    public void heard(List<HeardSound> more) {
      sounds.addAll(more);
    }

    @Override
    public void ended(String why) {
      end.complete(why);
    }
  }

  @Test
  void liveTheSameIsHeard() throws Exception {
    float[] samples = samples();
    Notes notes = new Notes();
    try (LiveListening live = new LiveListening(new PlayedInput(samples, RATE, 1000), 440, notes)) {
      assertThat(notes.end.get(60, TimeUnit.SECONDS)).isEmpty();
      assertThat(live.input().isReal()).isFalse();
    }
    Decimator decimator = new Decimator(RATE);
    Listener listener = new Listener(decimator.rate(), 440);
    List<HeardSound> whole =
        new ArrayList<>(listener.hear(samples, decimator.apply(samples, samples.length)));
    whole.addAll(listener.end());
    assertThat(notes.sounds).hasSizeGreaterThan(20);
    assertThat(notes.sounds.stream().map(HeardSound::seconds))
        .isEqualTo(whole.stream().map(HeardSound::seconds).toList());
  }

  /** A sound is known at most 130 ms after it began; a block of the device comes to that. */
  @Test
  void aSoundIsKnownSoon() {
    float[] samples = samples();
    Listener listener = new Listener(RATE / 2.0, 440);
    Decimator decimator = new Decimator(RATE);
    int done = 0;
    float[] block = new float[256];
    for (int at = 0; at + 256 <= samples.length; at += 256) {
      System.arraycopy(samples, at, block, 0, 256);
      List<HeardSound> heard = listener.hear(block, decimator.apply(block, 256));
      double now = (at + 256) / (double) RATE;
      for (HeardSound sound : heard) {
        assertThat(now - sound.seconds()).isLessThan(0.13);
        done++;
      }
    }
    assertThat(done).isGreaterThan(20);
  }

  @Test
  void aDeviceThatGoesAwayIsSaid() throws Exception {
    SoundInput broken =
        new SoundInput() {
          @Override
          public String name() {
            return "pulled out";
          }

          @Override
          public boolean isReal() {
            return true;
          }

          @Override
          public int rate() {
            return RATE;
          }

          @Override
          public int read(float[] samples) throws IOException {
            throw new IOException("it was pulled out");
          }

          @Override
          public void close() {
            // Nothing to give back.
          }
        };
    Notes notes = new Notes();
    try (LiveListening live = new LiveListening(broken, 440, notes)) {
      assertThat(live.input()).isSameAs(broken);
      assertThat(notes.end.get(10, TimeUnit.SECONDS)).isEqualTo("it was pulled out");
    }
  }
}
