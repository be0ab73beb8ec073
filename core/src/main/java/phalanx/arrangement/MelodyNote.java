package phalanx.arrangement;

import java.util.Optional;
import java.util.Set;
import phalanx.instrument.HarmonicNode;
import phalanx.melody.Slur;
import phalanx.technique.Technique;

/**
 * A note of the tune as it is played once.
 *
 * @param tick when it begins, from the start of the song
 * @param endTick when it may end
 * @param midi its pitch counted from the capo as if it were the nut
 * @param string the string the player wants it on, 0 for ⑥ to 5 for ①
 * @param label its pitch in words, as the player wrote it or as the song's key names the place
 * @param slur how it is made from the note before, if it is not plucked
 * @param bar identity of the bar it is written in
 * @param barTick where in that bar it begins
 * @param techniques what is special about how it is played
 * @param grace whether it is a short note just before the one that is written at its place
 * @param rings whether it rings on into the next notes where time and hand allow it
 */
public record MelodyNote(
    int tick,
    int endTick,
    int midi,
    Optional<Integer> string,
    String label,
    Optional<Slur> slur,
    int bar,
    int barTick,
    Set<Technique> techniques,
    boolean grace,
    boolean rings) {

  public MelodyNote {
    techniques = Set.copyOf(techniques);
  }

  /** A note with nothing special about it. */
  public MelodyNote(
      int tick,
      int endTick,
      int midi,
      Optional<Integer> string,
      String label,
      Optional<Slur> slur,
      int bar,
      int barTick) {
    this(tick, endTick, midi, string, label, slur, bar, barTick, Set.of(), false, false);
  }

  /** Whether it is a natural harmonic. */
  public boolean isNatural() {
    return has(Technique.NaturalHarmonic.class);
  }

  /** Whether it may be touched at a node: any, unless the player named one. */
  public boolean allows(HarmonicNode node) {
    return techniques.stream()
        .allMatch(t -> !(t instanceof Technique.NaturalHarmonic n) || n.allows(node));
  }

  /**
   * Whether the index finger of the picking hand touches it.
   *
   * @param fretting whether a finger of the fretting hand is at its place
   */
  public boolean isTouchedByPicking(boolean fretting) {
    return isNatural() ? !fretting : frettedMidi() != midi;
  }

  /** Whether a hand bends its string. */
  public boolean isBent() {
    return has(Technique.Bend.class);
  }

  /** Whether a fretting finger has to hold it: an open string neither bends nor shakes. */
  public boolean isHeld() {
    return isBent() || has(Technique.Vibrato.class);
  }

  private boolean has(Class<? extends Technique> kind) {
    // Nearly every note has none, and the planner asks often.
    return !techniques.isEmpty() && techniques.stream().anyMatch(kind::isInstance);
  }

  /** The pitch that is fretted for it, counted from the capo: lower where the string is touched. */
  public int frettedMidi() {
    if (techniques.isEmpty()) {
      return midi;
    }
    return midi
        - techniques.stream()
            .filter(Technique.TouchedHarmonic.class::isInstance)
            .mapToInt(t -> (int) Math.round(t.higher()))
            .sum();
  }

  /** The same note as a short one just before the note that is written at its place. */
  public MelodyNote asGrace(int from, int to) {
    return new MelodyNote(
        from, to, midi, string, label, slur, bar, barTick, techniques, true, rings);
  }

  /** The same note begun so many ticks later, and over when it is. */
  public MelodyNote after(int ticks) {
    return ticks == 0
        ? this
        : new MelodyNote(
            tick + ticks,
            endTick,
            midi,
            string,
            label,
            slur,
            bar,
            barTick,
            techniques,
            grace,
            rings);
  }

  /** The same note going on for longer. */
  public MelodyNote until(int end) {
    return new MelodyNote(
        tick, end, midi, string, label, slur, bar, barTick, techniques, grace, rings);
  }
}
