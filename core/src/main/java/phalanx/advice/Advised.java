package phalanx.advice;

import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.findings.Review;
import phalanx.findings.Tally;
import phalanx.findings.TuneAway;
import phalanx.fretting.Reach;
import phalanx.song.Song;
import phalanx.text.Phrase;
import phalanx.text.Texts;

/**
 * How hard a song is when it is played one way.
 *
 * @param way the way
 * @param song the song played so
 * @param costPerBar what the plan costs for each bar as played
 * @param hardestSpan the widest stretch of two fingers in a shape, mm; 0 where nothing is held
 * @param tally how many spots are hard
 * @param ceiling tempo up to which the hands hold, quarter notes a minute; empty without a limit
 * @param openStrings strings that ring open in a shape, on average
 * @param sameSound whether it still sounds in its key
 * @param tuneHigher how much higher the tune sounds than now, semitones; 0 without a tune
 */
public record Advised(
    SettingSuggestion way,
    Song song,
    double costPerBar,
    double hardestSpan,
    Tally tally,
    Optional<Double> ceiling,
    double openStrings,
    boolean sameSound,
    int tuneHigher)
    implements Ranked {

  static Advised of(SettingSuggestion way, Song before, Arrangement a) {
    Review review = Review.of(a);
    Reach reach = a.plan().problem().changes().reach();
    double span =
        a.slots().stream()
            .flatMap(s -> reach.widestSpan(s.asked()).stream())
            .mapToDouble(Reach.Span::millimetres)
            .max()
            .orElse(0);
    return new Advised(
        way,
        a.song(),
        a.plan().cost() / Math.max(1, a.timeline().bars().size()),
        span,
        review.tally(),
        review.ceiling().song(),
        a.slots().stream().mapToInt(Advised::open).average().orElse(0),
        way.soundsAs(before),
        before.tune().isEmpty() ? 0 : way.tuneHigher(before));
  }

  /** How the tune sounds against now: empty where it sounds the same. */
  public String tuneWords() {
    int octaves = tuneHigher / 12;
    if (tuneHigher == 0) {
      return "";
    }
    String how =
        tuneHigher % 12 == 0
            ? TuneAway.moved(octaves)
            : Phrase.of(
                "%d %s",
                Math.abs(tuneHigher),
                tuneHigher > 0 ? Texts.of("advised.higher") : Texts.of("advised.lower"));
    return Texts.of("advised.theTuneSounds", how);
  }

  private static int open(Slot slot) {
    return slot.shape()
        .map(s -> (int) s.soundingStrings().stream().filter(n -> s.finger(n).isEmpty()).count())
        .orElse(0);
  }
}
