package phalanx.practice;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import phalanx.arrangement.Arrangement;
import phalanx.findings.TempoCeiling;
import phalanx.song.Feel;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.Texts;

/**
 * Where drills begin and where they lead. A drill ends at the song’s tempo, or at what the hands
 * hold to in its bars where that is less. It begins at a share of that: a smaller one the nearer
 * the goal is to the ceiling (common practice, no source).
 */
final class Tempos {

  /** How much slower a drill begins whose goal is the ceiling itself. */
  private static final double HARDEST = 0.2;

  private final Arrangement arrangement;
  private final TempoCeiling ceiling;

  Tempos(Arrangement arrangement) {
    this.arrangement = arrangement;
    ceiling = TempoCeiling.of(arrangement);
  }

  /** For bars from one to another as played. */
  Drill.TempoGoal of(DrillKind kind, int fromBar, int toBar) {
    double song = arrangement.song().tempo();
    OptionalDouble most = ceiling(fromBar, toBar);
    double holds = most.isPresent() ? Math.floor(most.getAsDouble()) : Double.MAX_VALUE;
    double goal = Math.max(Feel.SLOWEST, Math.min(song, holds));
    double near = Math.min(1, goal / holds);
    double start = Math.floor(goal * (share(kind) - HARDEST * near));
    start = Math.min(goal, Math.max(Feel.SLOWEST, start));
    Optional<String> limit =
        holds < song ? Optional.of(Texts.of("tempos.itEndsAtThe", goal)) : Optional.empty();
    return new Drill.TempoGoal(start, goal, limit);
  }

  /** What the hands hold to in some bars, as a tempo that the song begins with. */
  private OptionalDouble ceiling(int fromBar, int toBar) {
    Map<Integer, Double> bars = ceiling.bars();
    return arrangement.timeline().bars().stream()
        .filter(b -> fromBar <= b.number() && b.number() <= toBar && bars.containsKey(b.number()))
        .mapToDouble(b -> inSong(b, bars.get(b.number())))
        .min();
  }

  private double inSong(PlayedBar bar, double tempo) {
    return tempo * arrangement.song().tempo() / bar.tempo();
  }

  private static double share(DrillKind kind) {
    return switch (kind) {
      case OPEN_STRINGS, THUMB, SECTION -> 0.75;
      case LAYER, JOIN -> 0.7;
      case SLURS, CHANGE -> 0.65;
      case SONG -> 0.8;
    };
  }
}
