package phalanx.draft;

import java.util.List;
import java.util.Locale;
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
 * @param thirds whether the tune may have a second voice in thirds and sixths under it
 * @param repeats how a section that comes again may differ, the first that fits is taken
 * @param endings what it does at the beginning and the end, where the song allows it
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
    boolean thirds,
    List<Repeat> repeats,
    Set<Frame> endings,
    List<WrittenPattern> patterns) {

  /** How a section differs when it comes again. */
  public enum Repeat {
    /** A fill where the tune holds at the end of a phrase. */
    FILL,
    /** The bass leads into the next phrase by steps. */
    WALK,
    /** The fingers’ strings between tune and bass are exchanged. */
    INNER,
    /** More is played, or less. */
    DENSITY;

    /** Its word in files. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  public Manner {
    repeats = List.copyOf(repeats);
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
                    false,
                    List.of(Repeat.INNER, Repeat.DENSITY),
                    Set.of(Frame.SLOWER),
                    List.of(PatternEdits.written(style, meter))))
        .toList();
  }
}
