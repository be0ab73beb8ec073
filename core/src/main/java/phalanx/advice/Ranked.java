package phalanx.advice;

import java.util.Comparator;
import phalanx.song.Song;

/** A way to play a song with what it costs, or costs at least. */
public sealed interface Ranked permits Advised, Pruned {

  /** The easiest first; with the same cost the lower capo. */
  Comparator<Ranked> EASIEST_FIRST =
      Comparator.comparingDouble(Ranked::costPerBar)
          .thenComparing(r -> r.way().capo())
          .thenComparing(r -> r.way().semitones());

  SettingSuggestion way();

  /** The song played so. */
  Song song();

  /** What the plan costs, or costs at least, for each bar as played. */
  double costPerBar();
}
