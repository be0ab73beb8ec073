package phalanx.findings;

import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.MelodyNote;
import phalanx.arrangement.tune.TuneOctave;
import phalanx.performance.Performance;
import phalanx.text.Texts;

/**
 * A tune that lies an octave away from the hand, as one typed the way it is sung often does: one
 * finding for the whole of it.
 */
public final class TuneAway implements Rule {

  /** As files name it. */
  public static final String NAME = "tune an octave away";

  TuneAway() {}

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    int by = TuneOctave.best(a.song());
    Optional<MelodyNote> first = a.slots().stream().flatMap(s -> s.tune().stream()).findFirst();
    return by == 0 ? List.of() : first.stream().map(n -> found(a, n, by)).toList();
  }

  private static Found found(Arrangement a, MelodyNote first, int by) {
    int now = TuneOctave.away(a.song(), 0);
    int then = TuneOctave.away(a.song(), by);
    String where =
        by < 0
            ? Texts.of("tuneAway.atFretOfOr", TuneOctave.HIGH_FRET)
            : Texts.of("tuneAway.amongTheStringsOf");
    String words =
        Texts.of(
            "tuneAway.ofNotesOfThe",
            now,
            TuneOctave.notes(a.song()),
            where,
            moved(by),
            then == 0
                ? Texts.of("tuneAway.allAreAtHand")
                : Texts.of(
                    "tuneAway.awayFromTheHand",
                    then,
                    then == 1 ? Texts.of("tuneAway.is") : Texts.of("tuneAway.are")));
    Finding finding = new Finding(NAME, Grade.NOTE, words, now, then, "notes");
    return Found.at(a, finding, first.tick(), Optional.empty());
  }

  /**
   * A move in words: {@code an octave lower}.
   *
   * @param octaves one or two, less than 0 for lower
   */
  public static String moved(int octaves) {
    return (Math.abs(octaves) == 1
            ? Texts.of("tuneAway.anOctave")
            : Texts.of("tuneAway.twoOctaves"))
        + (octaves < 0 ? Texts.of("tuneAway.lower") : Texts.of("tuneAway.higher"));
  }
}
