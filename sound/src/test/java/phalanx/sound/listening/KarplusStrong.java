package phalanx.sound.listening;

import java.util.List;
import java.util.Random;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.practice.MatchedStroke;

/**
 * Another guitar than the program’s own, to listen to: a burst of noise in a loop of delay and
 * average (K. Karplus and A. Strong, “Digital synthesis of plucked-string and drum timbres”,
 * Computer Music Journal 7, 1983), with echoes of a room and hiss.
 */
final class KarplusStrong {

  private final int rate;
  private final Random chance;

  KarplusStrong(int rate, long seed) {
    this.rate = rate;
    chance = new Random(seed);
  }

  /**
   * The strokes as they were played, each at its level, after a silence, with noise of so much of
   * the peak.
   */
  float[] hear(
      Performance performance, List<MatchedStroke> played, double lead, double noise, double a4) {
    double end = 1.5 + played.stream().mapToDouble(MatchedStroke::heard).max().orElse(0);
    float[] mix = new float[(int) ((lead + end) * rate)];
    for (MatchedStroke stroke : played) {
      double until = end;
      for (MatchedStroke other : played) {
        boolean next = other.heard() > stroke.heard() && other.heard() < until;
        if (next && other.stroke().note().string() == stroke.stroke().note().string()) {
          until = other.heard();
        }
      }
      for (Sounded s : performance.notes()) {
        if (s.note().equals(stroke.stroke().note())) {
          until = Math.min(until, Math.max(stroke.heard() + 0.1, s.end()));
        }
      }
      pluck(mix, stroke, lead + stroke.heard(), until - stroke.heard(), a4);
    }
    room(mix);
    float peak = 1e-6f;
    for (float s : mix) {
      peak = Math.max(peak, Math.abs(s));
    }
    for (int n = 0; n < mix.length; n++) {
      mix[n] = (float) (0.5 * (mix[n] / peak + noise * chance.nextGaussian()));
    }
    return mix;
  }

  private void pluck(float[] mix, MatchedStroke stroke, double at, double length, double a4) {
    double hertz = a4 * Math.pow(2, (stroke.stroke().note().midi() - 69) / 12.0);
    double period = rate / hertz - 0.5;
    int delay = (int) period;
    double part = period - delay;
    double[] line = new double[delay + 1];
    boolean thumb = stroke.stroke().isThumbs();
    double soft = 0;
    for (int n = 0; n < line.length; n++) {
      double burst = chance.nextDouble() - 0.5;
      // Flesh rounds the burst more than a nail.
      soft += (thumb ? 0.25 : 0.7) * (burst - soft);
      line[n] = soft * (thumb ? 2 : 1);
    }
    double loud = Math.pow(10, stroke.level().orElse(0) / 20);
    double loss = Math.pow(10, -3 / (hertz * 3.5));
    double last = 0;
    int from = (int) Math.round(at * rate);
    int count = (int) (length * rate);
    int fade = (int) (0.03 * rate);
    int place = 0;
    for (int n = 0; n < count + fade && from + n < mix.length; n++) {
      double now = line[place];
      int next = place + 1 == line.length ? 0 : place + 1;
      double mean = loss * 0.5 * (now * (1 - part) + line[next] * part + last);
      last = now * (1 - part) + line[next] * part;
      line[place] = mean;
      double gain = loud * (n < count ? 1 : 1 - (double) (n - count) / fade);
      mix[from + n] += (float) (gain * now * (0.8 + 0.4 * ((from * 31) % 17) / 17.0));
      place = next;
    }
  }

  private void room(float[] mix) {
    int[] delays = {(int) (0.0113 * rate), (int) (0.0231 * rate), (int) (0.0417 * rate)};
    double[] gains = {0.18, 0.12, 0.08};
    for (int e = 0; e < delays.length; e++) {
      for (int n = mix.length - 1; n >= delays[e]; n--) {
        mix[n] += (float) (gains[e] * mix[n - delays[e]]);
      }
    }
  }
}
