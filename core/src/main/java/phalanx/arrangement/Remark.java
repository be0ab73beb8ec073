package phalanx.arrangement;

import java.util.Optional;

/**
 * Something the player should know about a place, found while both hands were put together.
 *
 * @param kind what it is about
 * @param words one sentence without a full stop
 * @param tick when, from the start of the song; empty where it concerns the whole chord
 * @param string the string it is about, 0 for ⑥ to 5 for ①
 * @param figure what was measured
 */
public record Remark(
    Kind kind,
    String words,
    Optional<Integer> tick,
    Optional<Integer> string,
    Optional<Figure> figure) {

  /** What a remark is about. */
  public enum Kind {
    /** Good to know, nothing is wrong. */
    NOTE,
    /** No shape can be held. */
    NO_SHAPE,
    /** What the player pinned cannot be kept. */
    PIN,
    /** The pattern asks for a string that does not sound. */
    DEAD_STRING,
    /** No string sounds under a brush. */
    NO_STRING,
    /** A brush crosses a string that nothing mutes. */
    UNMUTED,
    /** No finger can be back in time. */
    TOO_SOON,
    /** Another finger than the one asked for takes a string. */
    OTHER_FINGER,
    /** More strings together than there are fingers. */
    TOO_MANY,
    /** The fingers asked for would cross. */
    CROSSING,
    /** A hit or a brush needs fingers that are in use. */
    GESTURE,
    /** A hit is made with fewer fingers than it likes to have. */
    LIGHTER_HIT,
    /** A note of the tune lies where no finger reaches. */
    TUNE_REACH,
    /** A slur cannot be made. */
    SLUR,
    /** No stroke brings a tone that tells the chord. */
    UNHEARD
  }

  /** What was measured, and the figure it is held against, both in a unit. */
  public record Figure(double measured, double limit, String unit) {}

  /** Something good to know. */
  public static Remark note(String words) {
    return new Remark(Kind.NOTE, words, Optional.empty(), Optional.empty(), Optional.empty());
  }

  /** Something wrong with a whole chord. */
  public static Remark of(Kind kind, String words, Figure figure) {
    return new Remark(kind, words, Optional.empty(), Optional.empty(), Optional.of(figure));
  }

  /** Something wrong at a time on a string. */
  public static Remark at(Kind kind, String words, int tick, int string, Figure figure) {
    return new Remark(kind, words, Optional.of(tick), Optional.of(string), Optional.of(figure));
  }
}
