package phalanx.draft;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.embellishment.Frame;
import phalanx.picking.Density;
import phalanx.picking.ThumbRoute;
import phalanx.picking.WrittenPattern;
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
}
