package phalanx.formats.imported;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import phalanx.formats.FileProblem;
import phalanx.formats.Texts;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.song.Song;
import phalanx.song.TunePitches;

/**
 * A tune for another instrument often lies off the neck altogether. Where more than a few of its
 * notes do, the whole tune is moved by the octaves that bring most of them onto it.
 */
public final class TuneRange {

  /** A neck is played up to this fret on its highest string with a bass below. */
  private static final int HIGHEST_FRET = 17;

  /** So many notes may lie off the neck before the tune is moved. */
  private static final double FEW = 0.05;

  private static final int FURTHEST = 3;

  private TuneRange() {}

  /** A song whose tune lies on its neck, with what was done to it. */
  public record Fitted(Song song, Optional<FileProblem> remark) {}

  /** Moves a tune that lies off the neck. */
  public static Fitted of(Song song) {
    List<Integer> pitches = pitches(song);
    double off = off(pitches, song, 0);
    if (pitches.isEmpty() || off <= FEW) {
      return new Fitted(song, Optional.empty());
    }
    int best = 0;
    double least = off;
    for (int by = 1; by <= FURTHEST; by++) {
      for (int way : new int[] {-by, by}) {
        double there = off(pitches, song, way);
        if (there < least - 1e-9) {
          least = there;
          best = way;
        }
      }
    }
    if (best == 0) {
      return new Fitted(song, Optional.empty());
    }
    String words =
        Texts.of(
            "tuneRange.ofTheNotesOf",
            (int) Math.round(off * pitches.size()),
            pitches.size(),
            Math.abs(best),
            Math.abs(best) == 1 ? "octave" : "octaves",
            best < 0 ? "down" : "up");
    return new Fitted(
        song.withTune(song.tune().octaves(best)), Optional.of(new FileProblem(1, 1, words)));
  }

  private static List<Integer> pitches(Song song) {
    List<Integer> pitches = new ArrayList<>();
    for (Map.Entry<Integer, BarTune> bar : song.tune().bars().entrySet()) {
      for (TuneNote note : bar.getValue().notes()) {
        for (Want want : note.wants()) {
          pitches.add(TunePitches.of(song, want).pitch().midi());
        }
      }
    }
    return pitches;
  }

  /** The share of notes that no string has within reach. */
  private static double off(List<Integer> pitches, Song song, int octaves) {
    int lowest = song.guitar().shapeMidi(0, 0);
    int highest = song.guitar().shapeMidi(5, HIGHEST_FRET);
    long off =
        pitches.stream().map(p -> p + 12 * octaves).filter(p -> p < lowest || p > highest).count();
    return pitches.isEmpty() ? 0 : (double) off / pitches.size();
  }
}
