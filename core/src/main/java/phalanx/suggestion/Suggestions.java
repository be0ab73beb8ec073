package phalanx.suggestion;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.findings.BrokenPins;
import phalanx.findings.BusyFingers;
import phalanx.findings.Crossings;
import phalanx.findings.DeadStrings;
import phalanx.findings.FingersTooSoon;
import phalanx.findings.Found;
import phalanx.findings.HardBends;
import phalanx.findings.LateChanges;
import phalanx.findings.LostSlurs;
import phalanx.findings.MissingShapes;
import phalanx.findings.Review;
import phalanx.findings.RingsOver;
import phalanx.findings.Tally;
import phalanx.findings.TuneAway;
import phalanx.findings.TuneCutOff;
import phalanx.findings.TuneOnTop;
import phalanx.findings.TuneReach;
import phalanx.findings.UnheardTones;
import phalanx.findings.UnmutedStrings;
import phalanx.planning.Arranger;
import phalanx.song.Feel;
import phalanx.song.Pulse;
import phalanx.text.Texts;

/**
 * Finds ways out of a finding. Each is tried by planning the song anew; only those with which the
 * finding is gone are offered.
 */
public final class Suggestions {

  /** Ways out of one kind that are offered. */
  private static final int MOST_OF_A_KIND = 3;

  /** Ways out that are offered in all. */
  private static final int MOST = 6;

  private Suggestions() {}

  /** Ways out of a finding, those that leave least first; none that trades it for another. */
  public static List<Suggestion> of(Arranger arranger, Arrangement arrangement, Found found) {
    Review before = Review.of(arrangement);
    List<Suggestion> suggestions = new ArrayList<>();
    List<Stream<PossibleEdit>> kinds = new ArrayList<>(kinds(arrangement, found));
    kinds.add(PinSuggestions.around(arrangement, found));
    Set<String> seen = new HashSet<>();
    for (Stream<PossibleEdit> kind : kinds) {
      kind.filter(w -> seen.add(w.words()))
          .filter(w -> !w.edit().apply(arrangement.song()).equals(arrangement.song()))
          .flatMap(w -> tried(arranger, w, found, before, arrangement).stream())
          .limit(Math.min(MOST_OF_A_KIND, MOST - suggestions.size()))
          .forEach(suggestions::add);
    }
    // Those that leave as much stay in the order of their kinds, the mildest first.
    suggestions.sort(Comparator.comparing(Suggestion::left));
    return suggestions;
  }

  private static Optional<Suggestion> tried(
      Arranger arranger, PossibleEdit way, Found found, Review before, Arrangement old) {
    Arrangement after = arranger.arrange(way.edit().apply(old.song()));
    Review now = Review.of(after);
    boolean gone = now.findings().stream().noneMatch(f -> f.isAt(found));
    boolean better = weighed(now).compareTo(weighed(before)) < 0;
    if (!gone || !better || !way.enough().test(now)) {
      return Optional.empty();
    }
    List<Found> fresh =
        now.findings().stream()
            .filter(f -> f.finding().grade().isHard())
            .filter(f -> before.findings().stream().noneMatch(f::isSameAs))
            .toList();
    return Optional.of(
        new Suggestion(
            way.words(),
            way.edit(),
            now.tally(),
            fresh,
            after.plan().ease() - old.plan().ease(),
            now.ceiling().song(),
            way.shape()));
  }

  /** A tone that is not heard is no reason to leave a fault as it is. */
  private static Tally weighed(Review review) {
    return Tally.of(
        review.findings().stream()
            .filter(f -> !f.finding().rule().equals(UnheardTones.NAME))
            .toList());
  }

  private static List<Stream<PossibleEdit>> kinds(Arrangement a, Found found) {
    Stream<PossibleEdit> shapes = new OtherShapeSuggestions(a, found).all();
    TuneSuggestions tune = new TuneSuggestions(a, found);
    PatternSuggestions pattern = new PatternSuggestions(a, found);
    return switch (found.finding().rule()) {
      case TuneAway.NAME -> List.of(TuneSuggestions.octave(a));
      case TuneReach.NAME -> List.of(tune.elsewhere(), tune.leaveOut(), KeySuggestions.of(a));
      case TuneCutOff.NAME -> List.of(shapes, tune.anyString(), tune.shorten());
      case LostSlurs.NAME -> List.of(tune.oneString(), shapes, tune.pluck());
      case TuneOnTop.NAME ->
          List.of(PinSuggestions.of(a, found), pattern.leaveOut(), shapes, tune.anyVoice());
      case HardBends.NAME -> List.of(tune.anyString(), tune.unbent());
      case LateChanges.NAME ->
          List.of(shapes, tune.anyString(), pattern.thumbAloneBefore(), slower(a, found));
      case FingersTooSoon.NAME ->
          List.of(
              pattern.leaveOut(), pattern.otherSchools(), pattern.anyFinger(), slower(a, found));
      case BusyFingers.NAME -> List.of(pattern.leaveOut(), slower(a, found));
      case Crossings.NAME -> List.of(pattern.anyFinger(), pattern.leaveOut());
      case BrokenPins.NAME -> List.of(PinSuggestions.of(a, found), shapes);
      case MissingShapes.NAME -> List.of(PinSuggestions.shapes(a, found));
      case DeadStrings.NAME, UnmutedStrings.NAME -> List.of(shapes, pattern.leaveOut());
      case RingsOver.NAME -> List.of(DampSuggestions.of(a, found), shapes);
      default -> List.of(shapes);
    };
  }

  /** The tempo at which what was measured in milliseconds is enough. */
  private static Stream<PossibleEdit> slower(Arrangement a, Found found) {
    double measured = found.finding().measured();
    double limit = found.finding().limit();
    boolean late = found.finding().rule().equals(LateChanges.NAME);
    double ratio = late ? limit / measured : measured / limit;
    double tempo = Math.floor(a.song().tempo() * ratio);
    return found.finding().unit().equals("ms") && tempo >= Feel.SLOWEST && ratio < 1
        ? Stream.of(
            new PossibleEdit(
                Texts.of("suggestions.playAt", Pulse.of(a.song()).mark(tempo)),
                s -> s.paced(tempo)))
        : Stream.empty();
  }
}
