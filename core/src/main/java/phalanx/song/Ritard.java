package phalanx.song;

import java.util.List;
import java.util.Optional;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.Texts;

/**
 * How a song slows down at its end. Its tempo falls as the speed of a body does that is braked
 * evenly to a stop beyond the last note, only more so: with x from 0 to 1 over the bars it takes,
 * tempo(x) = (1 + (w³ − 1)·x)^⅓ of what it was, w at the end (A. Friberg and J. Sundberg, “Does
 * music performance allude to locomotion?”, Journal of the Acoustical Society of America 105, 1999;
 * their exponent for final ritards, the formula from memory).
 *
 * @param bars how many bars as played, 1 to 8
 * @param to what is left of the tempo at the very end, 0.3 to 1
 * @throws IllegalArgumentException if one is out of range
 */
public record Ritard(int bars, double to) {

  public static final int MOST_BARS = 8;

  public static final double LEAST = 0.3;

  /** Over two bars to a little more than half of the tempo (common practice, no source). */
  public static final Ritard USUAL = new Ritard(2, 0.55);

  private static final double EXPONENT = 3;

  public Ritard {
    if (bars < 1 || bars > MOST_BARS || !(to >= LEAST && to <= 1)) {
      throw new IllegalArgumentException("ritard out of range: " + bars + " bars to " + to);
    }
  }

  /** In the player's words. */
  public String words() {
    return bars == 1 ? Texts.of("ritard.slowerInTheLast") : Texts.of("ritard.slowerOverBars", bars);
  }

  /**
   * The bars of a song in which it slows down; all of a song that has no more.
   *
   * @param played the whole song as played
   */
  public List<PlayedBar> in(List<PlayedBar> played) {
    return played.subList(Math.max(0, played.size() - bars), played.size());
  }

  /** The written bar in which a song begins to slow down; empty where it does not. */
  public static Optional<Integer> begins(Song song) {
    List<PlayedBar> played = song.feel().ritard().isEmpty() ? List.of() : Timeline.of(song).bars();
    return played.isEmpty()
        ? Optional.empty()
        : song.feel().ritard().map(r -> r.in(played).get(0).written());
  }

  /** The sign for it in music. */
  public static final String SIGN = "rit.";

  /** Whether a song begins to slow down in a bar as played. */
  public static boolean beginsIn(Song song, Timeline timeline, PlayedBar bar) {
    return song.feel()
        .ritard()
        .filter(r -> r.in(timeline.bars()).get(0).number() == bar.number())
        .isPresent();
  }

  /** The share of the tempo at a place, 0 where it begins to slow down, 1 at the end. */
  double tempo(double x) {
    return Math.pow(1 + slope() * x, 1 / EXPONENT);
  }

  /** How long it takes to a place, as a share of what the whole would take at the old tempo. */
  double time(double x) {
    if (slope() == 0) {
      return x;
    }
    double power = 1 - 1 / EXPONENT;
    return (Math.pow(1 + slope() * x, power) - 1) / (power * slope());
  }

  private double slope() {
    return Math.pow(to, EXPONENT) - 1;
  }
}
