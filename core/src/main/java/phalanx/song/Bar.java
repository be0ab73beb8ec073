package phalanx.song;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.theory.Chord;
import phalanx.theory.Meter;

/**
 * One written bar.
 *
 * @param id its identity in the song, 1 or more; it keeps it wherever it is moved
 * @param borrows identity of the bar whose chords it takes over, if it does
 * @param changes its chords in order; in a bar that borrows, what it has instead of the other's
 * @param meter the metre that begins here, if another one does
 * @param tempo the tempo that begins here, quarter notes a minute, if another one does
 * @param repeatStart whether a repeated passage starts with this bar
 * @param plays how often the passage ending here is played; 1 where no repeat ends
 * @param passes the times through in which it is played, as a first or second ending; empty for all
 * @param phrase whether a phrase begins with it, where the player said so
 * @throws IllegalArgumentException if tempo, number of plays or a chord’s place are out of range
 */
public record Bar(
    int id,
    Optional<Integer> borrows,
    List<ChordChange> changes,
    Optional<Meter> meter,
    Optional<Double> tempo,
    boolean repeatStart,
    int plays,
    Set<Integer> passes,
    Optional<Boolean> phrase) {

  /** A passage is played at most this often. */
  public static final int MOST_PLAYS = 16;

  public Bar {
    changes = List.copyOf(changes);
    passes = Set.copyOf(passes);
    if (tempo.filter(t -> !Feel.isTempo(t)).isPresent()) {
      throw new IllegalArgumentException("tempo out of range: " + tempo.get());
    }
    if (plays < 1 || plays > MOST_PLAYS) {
      throw new IllegalArgumentException("a passage is played 1 to 16 times: " + plays);
    }
    for (int i = 1; i < changes.size(); i++) {
      if (changes.get(i).tick() <= changes.get(i - 1).tick()) {
        throw new IllegalArgumentException("chords out of order in a bar");
      }
    }
    if (passes.stream().anyMatch(p -> p < 1 || p > MOST_PLAYS)) {
      throw new IllegalArgumentException("an ending belongs to times 1 to 16: " + passes);
    }
  }

  /** A plain bar without signs. */
  public static Bar of(int id, List<ChordChange> changes) {
    return new Bar(
        id,
        Optional.empty(),
        changes,
        Optional.empty(),
        Optional.empty(),
        false,
        1,
        Set.of(),
        Optional.empty());
  }

  /** A bar over one chord. */
  public static Bar of(int id, Chord chord) {
    return of(id, List.of(new ChordChange(0, new Harmony.Sounding(chord))));
  }

  /** A bar that takes over the chords of another. */
  public static Bar like(int id, int other) {
    return of(id, List.of()).borrowing(Optional.of(other));
  }

  /** The same bar under another identity. */
  public Bar withId(int other) {
    return new Bar(other, borrows, changes, meter, tempo, repeatStart, plays, passes, phrase);
  }

  /** With other chords of its own. */
  public Bar withChanges(List<ChordChange> other) {
    return new Bar(id, borrows, other, meter, tempo, repeatStart, plays, passes, phrase);
  }

  /** Taking over another bar's chords, or no longer. */
  public Bar borrowing(Optional<Integer> other) {
    return new Bar(id, other, changes, meter, tempo, repeatStart, plays, passes, phrase);
  }

  /** With another metre from here on, or the one before going on. */
  public Bar withMeter(Optional<Meter> other) {
    return new Bar(id, borrows, changes, other, tempo, repeatStart, plays, passes, phrase);
  }

  /** At another tempo from here on, or at the one before. */
  public Bar withTempo(Optional<Double> other) {
    return new Bar(id, borrows, changes, meter, other, repeatStart, plays, passes, phrase);
  }

  /** With or without the start of a repeat. */
  public Bar startingRepeat(boolean starts) {
    return new Bar(id, borrows, changes, meter, tempo, starts, plays, passes, phrase);
  }

  /** At the end of a passage played this often; 1 for no repeat. */
  public Bar endingRepeat(int times) {
    return new Bar(id, borrows, changes, meter, tempo, repeatStart, times, passes, phrase);
  }

  /** Played in some times through only; empty for all. */
  public Bar inPasses(Set<Integer> times) {
    return new Bar(id, borrows, changes, meter, tempo, repeatStart, plays, times, phrase);
  }

  /** With another bar's repeat signs, endings, metre and tempo. */
  Bar signedAs(Bar other) {
    return new Bar(
        id,
        borrows,
        changes,
        other.meter,
        other.tempo,
        other.repeatStart,
        other.plays,
        other.passes,
        other.phrase);
  }

  /** With or without a phrase that begins here; empty to leave it to what is found. */
  public Bar beginningPhrase(Optional<Boolean> begins) {
    return new Bar(id, borrows, changes, meter, tempo, repeatStart, plays, passes, begins);
  }
}
