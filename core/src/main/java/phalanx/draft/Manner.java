package phalanx.draft;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import phalanx.embellishment.Frame;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.Density;
import phalanx.picking.PatternEdits;
import phalanx.picking.ThumbRoute;
import phalanx.picking.WrittenPattern;
import phalanx.song.Feel;
import phalanx.song.Song;
import phalanx.theory.Meter;

/**
 * A manner of arranging a song.
 *
 * @param name what a player calls it
 * @param about what it does, in a few words
 * @param thumb its way over the bass strings
 * @param slowest the slowest tempo it suits, quarters a minute
 * @param fastest the fastest
 * @param least the least of the pattern it is played with
 * @param most the most
 * @param rings whether the tune’s notes ring into each other
 * @param endings what it does at the end, where the song allows it
 * @param patterns one for each metre it suits
 */
public record Manner(
    String name,
    String about,
    ThumbRoute thumb,
    double slowest,
    double fastest,
    Density least,
    Density most,
    boolean rings,
    Set<Frame> endings,
    List<WrittenPattern> patterns) {

  public Manner {
    endings = Set.copyOf(endings);
    patterns = List.copyOf(patterns);
    if (patterns.isEmpty()) {
      throw new IllegalArgumentException("a manner has a pattern: " + name);
    }
  }

  /** Its pattern in a metre. */
  public Optional<WrittenPattern> in(Meter meter) {
    return patterns.stream().filter(p -> p.meter().equals(meter)).findFirst();
  }

  /** Whether it suits a song’s metre and tempo. */
  public boolean suits(Song song) {
    return in(song.meter()).isPresent() && song.tempo() >= slowest && song.tempo() <= fastest;
  }

  /** The plain ways of the thumb and the fingers, which every metre has. */
  static List<Manner> plain(Meter meter) {
    return Stream.of(AlternatingThumb.values())
        .map(
            style ->
                new Manner(
                    style.title(),
                    style.words(),
                    ThumbRoute.ALTERNATING,
                    Feel.SLOWEST,
                    Feel.FASTEST,
                    Density.TUNE,
                    Density.FULL,
                    false,
                    Set.of(Frame.SLOWER),
                    List.of(PatternEdits.written(style, meter))))
        .toList();
  }
}
