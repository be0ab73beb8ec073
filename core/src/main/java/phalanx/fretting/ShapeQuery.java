package phalanx.fretting;

import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.theory.Chord;
import phalanx.theory.NoteName;

/**
 * A question to the {@link ShapeSearch}: which shapes can this hand hold for this chord?
 *
 * @param chord the chord, counted from the capo as if it were the nut
 * @param bass the note the lowest sounding string must have; empty for any tone of the chord
 * @param rootless whether the root may be left out
 * @param top MIDI note that must be the highest sounding, capo included, if any
 * @param below MIDI note that all that sounds lies below and that has a place at the hand's frets,
 *     capo included, if any
 * @param highestFret no finger above this fret, counted from the capo; 0 to 24
 * @param thumb whether the thumb may hold string ⑥
 * @param sounding strings that must sound because the picking hand wants them, 0 for ⑥ to 5 for ①
 * @param guitar the guitar, with its capo
 * @param hand the fretting hand
 * @throws IllegalArgumentException if the highest fret is out of range
 */
public record ShapeQuery(
    Chord chord,
    Optional<NoteName> bass,
    boolean rootless,
    OptionalInt top,
    OptionalInt below,
    int highestFret,
    boolean thumb,
    Set<Integer> sounding,
    Guitar guitar,
    Hand hand) {

  /** Highest fret looked at unless asked otherwise. */
  public static final int USUAL_HIGHEST_FRET = 15;

  public ShapeQuery {
    if (highestFret < 0 || highestFret > 24) {
      throw new IllegalArgumentException("highest fret out of range: " + highestFret);
    }
    sounding = Set.copyOf(sounding);
  }

  /** The usual question: the chord's own bass lowest, root present, thumb as the hand allows. */
  public static ShapeQuery of(Chord chord, Guitar guitar, Hand hand) {
    return new ShapeQuery(
        chord,
        Optional.of(chord.bass()),
        false,
        OptionalInt.empty(),
        OptionalInt.empty(),
        USUAL_HIGHEST_FRET,
        hand.thumbOver(),
        Set.of(),
        guitar,
        hand);
  }

  /** With another bass; empty for any tone of the chord. */
  public ShapeQuery withBass(Optional<NoteName> wanted) {
    return new ShapeQuery(
        chord, wanted, rootless, top, below, highestFret, thumb, sounding, guitar, hand);
  }

  /** With the root left out where that helps. */
  public ShapeQuery withRootless() {
    return new ShapeQuery(
        chord, bass, true, top, below, highestFret, thumb, sounding, guitar, hand);
  }

  /** With this MIDI note on top. */
  public ShapeQuery withTop(int midi) {
    return new ShapeQuery(
        chord,
        bass,
        rootless,
        OptionalInt.of(midi),
        below,
        highestFret,
        thumb,
        sounding,
        guitar,
        hand);
  }

  /** With all that sounds below a MIDI note that a finger can add where the hand is. */
  public ShapeQuery withAllBelow(int midi) {
    OptionalInt note = OptionalInt.of(midi);
    return new ShapeQuery(
        chord, bass, rootless, top, note, highestFret, thumb, sounding, guitar, hand);
  }

  /** Up to another fret. */
  public ShapeQuery withHighestFret(int fret) {
    return new ShapeQuery(chord, bass, rootless, top, below, fret, thumb, sounding, guitar, hand);
  }

  /** With the thumb staying behind the neck. */
  public ShapeQuery withoutThumb() {
    return new ShapeQuery(
        chord, bass, rootless, top, below, highestFret, false, sounding, guitar, hand);
  }

  /** With strings that must sound. */
  public ShapeQuery withSounding(Set<Integer> strings) {
    return new ShapeQuery(
        chord, bass, rootless, top, below, highestFret, thumb, strings, guitar, hand);
  }
}
