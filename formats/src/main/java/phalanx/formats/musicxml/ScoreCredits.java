package phalanx.formats.musicxml;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.audiveris.proxymusic.MiscellaneousField;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.TypedText;
import phalanx.song.Credits;
import phalanx.song.SongBounds;
import phalanx.theory.Quoted;

/** What a score says of itself: who made it, and which of its measures carry a tune. */
final class ScoreCredits {

  /** The name of the field in which the measures stand whose first voice is the tune. */
  static final String TUNE = "tune-measures";

  private ScoreCredits() {}

  static Credits of(ScorePartwise score) {
    return new Credits(creator(score, "composer"), creator(score, "arranger"));
  }

  private static String creator(ScorePartwise score, String type) {
    if (score.getIdentification() == null) {
      return "";
    }
    return score.getIdentification().getCreator().stream()
        .filter(c -> type.equalsIgnoreCase(c.getType()) && c.getValue() != null)
        .map(TypedText::getValue)
        .map(v -> Quoted.start(v.strip().replaceAll("\\s+", " "), SongBounds.LONGEST_NAME))
        .findFirst()
        .orElse("");
  }

  /** The places of the measures, from 0, whose first voice is told to be the tune. */
  static Set<Integer> tuneMeasures(ScorePartwise score, List<MeasureFrame> frames) {
    Set<Integer> measures = new HashSet<>();
    if (score.getIdentification() == null || score.getIdentification().getMiscellaneous() == null) {
      return measures;
    }
    for (MiscellaneousField field :
        score.getIdentification().getMiscellaneous().getMiscellaneousField()) {
      if (TUNE.equals(field.getName()) && field.getValue() != null) {
        Set<String> numbers = new HashSet<>(List.of(field.getValue().strip().split("\\s+")));
        for (int m = 0; m < frames.size(); m++) {
          if (numbers.contains(frames.get(m).number())) {
            measures.add(m);
          }
        }
      }
    }
    return measures;
  }
}
