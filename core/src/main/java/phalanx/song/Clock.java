package phalanx.song;

import java.util.List;
import java.util.Optional;
import phalanx.song.Timeline.PlayedBar;
import phalanx.theory.Ticks;

/**
 * When what is written is played. Written time is even: swing moves it within a beat, and each bar
 * lasts by its own tempo. The one place where ticks become seconds.
 */
public final class Clock {

  private static final double SECONDS_PER_MINUTE = 60;

  private final Timeline timeline;
  private final Swing swing;
  private final double first;
  private final double[] starts;
  private final boolean steady;
  private final Optional<Slowing> slowing;

  /** Where a song slows down: from one tick of it to another. */
  private record Slowing(Ritard ritard, int from, int to) {

    static Optional<Slowing> of(Song song) {
      // What is played may be some bars of the song: the end is that of the whole.
      return song.feel()
          .ritard()
          .flatMap(
              r -> {
                List<PlayedBar> bars = r.in(Timeline.of(song).bars());
                return bars.isEmpty()
                    ? Optional.empty()
                    : Optional.of(
                        new Slowing(
                            r, bars.get(0).startTick(), bars.get(bars.size() - 1).endTick()));
              });
    }

    private double place(double tick) {
      return Math.max(0, Math.min(1, (tick - from) / (to - from)));
    }

    /** The ticks that would last as long at the tempo before. */
    double evened(double fromTick, double toTick) {
      double inside = place(toTick) - place(fromTick);
      double time = ritard.time(place(toTick)) - ritard.time(place(fromTick));
      return toTick - fromTick + (time - inside) * (to - from);
    }

    double tempo(double tick) {
      return ritard.tempo(place(tick));
    }
  }

  private Clock(Timeline timeline, Swing swing, double first, Optional<Slowing> slowing) {
    this.slowing = slowing;
    this.timeline = timeline;
    this.swing = swing;
    this.first = first;
    starts = new double[timeline.bars().size() + 1];
    for (int b = 0; b < timeline.bars().size(); b++) {
      PlayedBar bar = timeline.bars().get(b);
      starts[b + 1] = starts[b] + seconds(bar, bar.startTick(), bar.endTick());
    }
    steady = slowing.isEmpty() && timeline.bars().stream().allMatch(b -> b.tempo() == first);
  }

  /** The clock of a song. */
  public static Clock of(Song song, Timeline timeline) {
    return new Clock(timeline, song.feel().swing(), song.tempo(), Slowing.of(song));
  }

  private static double seconds(double ticks, double tempo) {
    return ticks / Ticks.PER_QUARTER * SECONDS_PER_MINUTE / tempo;
  }

  /** When a written tick is played with swing, in ticks from the start of the song. */
  public int played(int tick) {
    return timeline.bars().isEmpty() ? tick : timeline.barAt(tick).played(tick, swing);
  }

  /**
   * When a written tick sounds, in seconds from the start of the song.
   *
   * @param delayTicks how much later than written, as in a roll
   */
  public double seconds(int tick, int delayTicks) {
    return secondsAt(played(tick) + delayTicks);
  }

  /** When a tick comes that no swing moves, in seconds from the start of the song. */
  public double unswung(int tick) {
    return timeline.bars().isEmpty() || tick < timeline.lengthTicks() ? secondsAt(tick) : seconds();
  }

  /** When a tick, counted as played, comes, in seconds from the start of the song. */
  private double secondsAt(int played) {
    if (timeline.bars().isEmpty()) {
      return seconds(played, first);
    }
    int b = timeline.placeOf(timeline.barAt(played));
    PlayedBar bar = timeline.bars().get(b);
    return starts[b] + seconds(bar, bar.startTick(), played);
  }

  private double seconds(PlayedBar bar, int from, int to) {
    double ticks = slowing.map(s -> s.evened(from, to)).orElse((double) (to - from));
    return seconds(ticks, bar.tempo());
  }

  /** The tempo at the start of a bar’s beat, or anywhere else in it, quarter notes a minute. */
  public double tempo(PlayedBar bar, int tick) {
    return bar.tempo() * slowing.map(s -> s.tempo(tick)).orElse(1.0);
  }

  /** Whether the tempo changes within a bar. */
  public boolean changesIn(PlayedBar bar) {
    return slowing.filter(s -> bar.endTick() > s.from() && bar.startTick() < s.to()).isPresent();
  }

  /**
   * When something is played if the whole song had the tempo it begins with, in ticks: times
   * between such ticks are in proportion to seconds, whatever tempos lie between.
   *
   * @param delayTicks how much later than written, as in a roll
   */
  public int evened(int tick, int delayTicks) {
    int played = played(tick) + delayTicks;
    return steady
        ? played
        : (int) Math.round(secondsAt(played) * first / SECONDS_PER_MINUTE * Ticks.PER_QUARTER);
  }

  /** How long a delay in a bar lasts at the tempo the song begins with, in ticks. */
  public int evenedDelay(PlayedBar bar, int delayTicks) {
    return steady ? delayTicks : (int) Math.round(delayTicks * first / tempo(bar, bar.startTick()));
  }

  /**
   * The written tick that is heard at a time, from the start of the song; the nearest one where the
   * time lies outside.
   */
  public int tickAt(double seconds) {
    if (timeline.bars().isEmpty()) {
      return 0;
    }
    int bar = 0;
    while (bar + 1 < timeline.bars().size() && starts[bar + 1] <= seconds) {
      bar++;
    }
    int low = timeline.bars().get(bar).startTick();
    int high = timeline.bars().get(bar).endTick();
    // Within a bar later ticks never sound earlier, so the last that has sounded is found by
    // halves.
    while (low + 1 < high) {
      int middle = (low + high) >>> 1;
      if (seconds(middle, 0) <= seconds) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /** When a bar of the song is over, in seconds from its start. */
  public double startOfNext(PlayedBar bar) {
    return starts[timeline.placeOf(bar) + 1];
  }

  /** How long the song lasts, seconds. */
  public double seconds() {
    return starts[starts.length - 1];
  }
}
