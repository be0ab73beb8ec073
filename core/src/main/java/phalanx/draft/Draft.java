package phalanx.draft;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import phalanx.arrangement.Arrangement;
import phalanx.findings.Review;
import phalanx.findings.Tally;
import phalanx.level.PlanLevel;
import phalanx.melody.BarTune;
import phalanx.performance.Performance;
import phalanx.review.MusicFigures;
import phalanx.song.Bar;
import phalanx.song.Patterns.Scope;
import phalanx.song.Song;
import phalanx.text.Texts;
import phalanx.theory.Ticks;

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
 * @param reason why it is not nearer to the level that was asked for; empty where it is near
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
    List<Section> sections,
    Optional<String> reason) {

  /** A level further from what was asked for is explained. */
  private static final double FAR = 0.5;

  /** So many reasons are named. */
  private static final int REASONS = 2;

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

  /** A plan, measured. */
  static Draft of(
      Manner manner,
      Song song,
      Performance performance,
      Review review,
      PlanLevel level,
      List<Section> sections) {
    Arrangement a = performance.arrangement();
    double beats = Math.max(1, a.timeline().lengthTicks() / (double) Ticks.PER_QUARTER);
    return new Draft(
        manner,
        song,
        a,
        level,
        review.ceiling().song(),
        review.tally(),
        a.notes().size() / beats,
        heard(MusicFigures.of(a)),
        sections,
        Optional.empty());
  }

  /** Thirds, sevenths and basses that are heard, and a bass without leaps, in equal parts. */
  private static double heard(MusicFigures figures) {
    double leaps = figures.leaps().of() == 0 ? 1 : 1 - figures.leaps().percent() / 100;
    return (share(figures.thirds()) + share(figures.sevenths()) + share(figures.basses()) + leaps)
        / 4;
  }

  private static double share(MusicFigures.Share share) {
    return share.of() == 0 ? 1 : share.percent() / 100;
  }

  /** The same, explained where a level was asked for that it does not come near to. */
  Draft asked(OptionalDouble wanted) {
    if (wanted.isEmpty() || Math.abs(level.level() - wanted.getAsDouble()) <= FAR) {
      return this;
    }
    String most =
        level.parts().stream()
            .limit(REASONS)
            .map(PlanLevel.Part::words)
            .collect(Collectors.joining("; "));
    String why =
        level.level() > wanted.getAsDouble()
            ? Texts.of("draft.theSongItselfAsks", wanted.getAsDouble(), most)
            : Texts.of("draft.withThisTuneAnd", song.tempo(), most);
    return new Draft(
        manner,
        song,
        arrangement,
        level,
        ceiling,
        tally,
        notesABeat,
        heard,
        sections,
        Optional.of(why));
  }

  /** What was done, by identity of the section. */
  Map<Integer, List<String>> did() {
    Map<Integer, List<String>> did = new LinkedHashMap<>();
    for (int s = 0; s < sections.size(); s++) {
      did.put(song.sections().get(s).id(), List.of(sections.get(s).did()));
    }
    return did;
  }

  /**
   * A song with one section of this draft: its pattern, density, thumb, and the tune as it is
   * played there.
   *
   * @param section its identity, the same in both
   * @return empty where the draft is in another setting, or has no such section
   */
  public Optional<Song> sectionInto(Song into, int section) {
    Optional<phalanx.song.Section> from =
        song.chart().section(section).filter(s -> into.chart().section(section).isPresent());
    boolean same = song.guitar().equals(into.guitar()) && song.key().equals(into.key());
    if (from.isEmpty() || !same) {
      return Optional.empty();
    }
    Scope scope = new Scope.OfSection(section);
    int first = from.get().bars().isEmpty() ? 0 : from.get().bars().get(0).id();
    Song mixed =
        into.withPatterns(
                into.patterns().with(scope, song.patterns().atSection(section, song.chart())))
            .withDensities(
                into.picking()
                    .densities()
                    .with(scope, song.picking().densities().at(first, song.chart())))
            .withThumb(into.picking().thumb().with(section, song.thumbAt(first)));
    for (Bar bar : from.get().bars()) {
      Optional<BarTune> tune = song.tune().own(bar.id());
      if (tune.isPresent()) {
        mixed = mixed.withTune(mixed.tune().with(bar.id(), tune.get()));
      }
    }
    Set<Integer> ringing = new HashSet<>(mixed.tune().ringing());
    if (song.tune().ringing().contains(section)) {
      ringing.add(section);
    } else {
      ringing.remove(section);
    }
    return Optional.of(mixed.withTune(mixed.tune().withRinging(ringing)));
  }
}
