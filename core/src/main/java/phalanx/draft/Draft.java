package phalanx.draft;

import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.findings.Tally;
import phalanx.level.PlanLevel;
import phalanx.song.Song;

/**
 * A song arranged in one manner.
 *
 * @param manner which
 * @param song the song with it
 * @param arrangement its plan
 * @param level how hard it is to play
 * @param ceiling tempo up to which the hands hold, quarters a minute; empty without a limit
 * @param tally what is hard in it
 * @param notesABeat how many notes are struck in a beat, on average
 * @param heard what of its harmony and bass a listener hears as it should be, 0 to 1
 * @param sections what was done in each section
 */
public record Draft(
    Manner manner,
    Song song,
    Arrangement arrangement,
    PlanLevel level,
    Optional<Double> ceiling,
    Tally tally,
    double notesABeat,
    double heard,
    List<Section> sections) {

  /**
   * What was done in a section.
   *
   * @param label what the section is called
   * @param did in a line
   */
  public record Section(String label, String did) {}

  public Draft {
    sections = List.copyOf(sections);
  }
}
