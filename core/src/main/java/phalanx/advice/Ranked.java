package phalanx.advice;

import java.util.Comparator;
import phalanx.song.Song;

/** A way to play a song with what it costs, or costs at least. */
public sealed interface Ranked permits Advised, Pruned {

  /** Above this fret a capo leaves little of the neck and of the sound (common practice). */
  int HIGHEST_CAPO = 7;

  /** The easiest first, but a capo far up the neck last; with the same cost the lower capo. */
  Comparator<Ranked> EASIEST_FIRST =
      Comparator.comparing(Ranked::isFarUp)
          .thenComparingDouble(Ranked::costPerBar)
          .thenComparing(r -> r.way().capo())
          .thenComparing(r -> r.way().semitones());

  SettingSuggestion way();

  /** Whether the capo lies far up the neck. */
  default boolean isFarUp() {
    return way().capo() > HIGHEST_CAPO;
  }

  /** The song played so. */
  Song song();

  /** What the plan costs, or costs at least, for each bar as played. */
  double costPerBar();
}
