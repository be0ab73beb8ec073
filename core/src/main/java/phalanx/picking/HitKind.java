package phalanx.picking;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import phalanx.text.Texts;

/**
 * A sound the hand makes without plucking. The fingers it takes must be free and have time to come
 * back (common practice, no source).
 */
public enum HitKind {
  /**
   * Fingers dropped on the strings: a click, often on two and four. The thumb may pluck with it.
   */
  CLICK(
      "click",
      Texts.of("hitKind.fingerClick"),
      Set.of(PickFinger.I, PickFinger.M, PickFinger.A),
      3,
      5,
      37),
  /** The palm on the top beside the bridge, deep. The hand swings from the wrist. */
  PALM(
      "palm",
      Texts.of("hitKind.palm"),
      Set.of(PickFinger.P, PickFinger.I, PickFinger.M, PickFinger.A, PickFinger.C),
      1,
      0,
      36),
  /** The nail of the ring finger on the top. */
  NAIL_TAP("nail", Texts.of("hitKind.nailTap"), Set.of(PickFinger.A), 1, 0, 76),
  /** The tips of ring and little finger on the top. */
  FINGERTIP_TAP(
      "tip", Texts.of("hitKind.fingertipTap"), Set.of(PickFinger.A, PickFinger.C), 1, 0, 77),
  /** The side of the thumb on the bass strings. */
  THUMB_SLAP("slap", Texts.of("hitKind.thumbSlap"), Set.of(PickFinger.P), 0, 2, 38),
  /** The heel of the hand laid on all strings, which stops them. */
  HEEL_MUTE("heel", Texts.of("hitKind.heelMute"), Set.of(), 0, 5, 42);

  private final String written;
  private final String words;
  private final Set<PickFinger> fingers;
  private final int lowDamped;
  private final int highDamped;
  private final int percussionKey;

  HitKind(
      String written,
      String words,
      Set<PickFinger> fingers,
      int lowDamped,
      int highDamped,
      int percussionKey) {
    this.written = written;
    this.words = words;
    this.fingers = fingers;
    this.lowDamped = lowDamped;
    this.highDamped = highDamped;
    this.percussionKey = percussionKey;
  }

  /** Its word in a written pattern. */
  public String written() {
    return written;
  }

  /** What players call it. */
  public String words() {
    return words;
  }

  /** The hit of a word. */
  public static Optional<HitKind> written(String word) {
    return Stream.of(values()).filter(h -> h.written.equals(word)).findFirst();
  }

  /** The fingers it takes. */
  public Set<PickFinger> fingers() {
    return fingers;
  }

  /** The finger that drops on a string in it, 0 for ⑥ to 5 for ①, where each drops on its own. */
  public Optional<PickFinger> over(int string) {
    return this == CLICK && damps(string)
        ? Optional.of(List.of(PickFinger.I, PickFinger.M, PickFinger.A).get(string - lowDamped))
        : Optional.empty();
  }

  /**
   * Other ways to make it while a finger plucks the tune, by the fingers each takes, the fuller
   * first: two fingers click as well as three, and the heel of the hand knocks beside the bridge
   * while the fingers stay over the strings (common practice, no source). None for the others,
   * which leave a finger free as they are or sound of that finger alone.
   */
  public List<Set<PickFinger>> besideTheTune() {
    return switch (this) {
      case CLICK ->
          List.of(
              Set.of(PickFinger.I, PickFinger.M),
              Set.of(PickFinger.M, PickFinger.A),
              Set.of(PickFinger.I, PickFinger.A));
      case PALM -> List.of(Set.of());
      default -> List.of();
    };
  }

  /** Whether a string, 0 for ⑥ to 5 for ①, stops ringing under it. */
  public boolean damps(int string) {
    return lowDamped <= string && string <= highDamped;
  }

  /** The strings that stop ringing under it, 0 for ⑥ to 5 for ①. */
  public List<Integer> damped() {
    return IntStream.rangeClosed(lowDamped, highDamped).boxed().toList();
  }

  /**
   * The note of the General MIDI 1 percussion key map that comes nearest in sound: side stick, bass
   * drum 1, high and low wood block, acoustic snare, closed hi-hat (MIDI Manufacturers Association,
   * General MIDI System Level 1, percussion key map).
   */
  public int percussionKey() {
    return percussionKey;
  }
}
