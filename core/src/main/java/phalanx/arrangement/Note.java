package phalanx.arrangement;

import java.util.Optional;
import java.util.Set;
import phalanx.instrument.Finger;
import phalanx.picking.Force;
import phalanx.picking.PickFinger;
import phalanx.song.NoteRef;
import phalanx.technique.Technique;

/**
 * One sounding note.
 *
 * @param tick when it is struck as written, from the start of the song
 * @param lengthTicks how long it rings
 * @param string 0 for ⑥ to 5 for ①
 * @param fret from the capo, 0 open
 * @param midi sounding pitch, capo included
 * @param pick the finger that plucks it; empty for one the fretting hand makes
 * @param fretFinger the finger that holds it; empty for an open string
 * @param part what it does in the texture
 * @param ref where its stroke is written
 * @param attack how it starts
 * @param group what it is struck together with
 * @param techniques what is special about it
 * @param force how strongly
 * @param delayTicks how much later than its tick it sounds, in a roll or a brush
 */
public record Note(
    int tick,
    int lengthTicks,
    int string,
    int fret,
    int midi,
    Optional<PickFinger> pick,
    Optional<Finger> fretFinger,
    Part part,
    NoteRef ref,
    Attack attack,
    Group group,
    Set<Technique> techniques,
    Force force,
    int delayTicks) {

  public Note {
    techniques = Set.copyOf(techniques);
  }

  /** Whether a finger plucks it. */
  public boolean isPickedBy(PickFinger finger) {
    return pick.equals(Optional.of(finger));
  }

  /** What stands for its stroke: the finger's letter, or H, P or S for a slur. */
  public String letter() {
    return attack.isSlur() ? attack.sign() : pick.map(PickFinger::letter).orElse("");
  }

  /** When it ends as written, from the start of the song. */
  public int endTick() {
    return tick + lengthTicks;
  }

  /** Whether it is one string of a sweep. */
  public boolean isBrushed() {
    return group == Group.BRUSH;
  }

  /** The same note at another time. */
  public Note at(int other) {
    return with(other, lengthTicks, attack);
  }

  /** The same note started in another way. */
  public Note starting(Attack other) {
    return with(tick, lengthTicks, other);
  }

  /** The same note ringing for another time. */
  public Note lasting(int ticks) {
    return with(tick, ticks, attack);
  }

  /** The same note played with other techniques, at another fret and pitch if need be. */
  public Note played(Set<Technique> how, int at, int sounding) {
    return new Note(
        tick,
        lengthTicks,
        string,
        at,
        sounding,
        pick,
        fretFinger,
        part,
        ref,
        attack,
        group,
        how,
        force,
        delayTicks);
  }

  /** The harmonic it is, if it is one. */
  public Optional<Technique> harmonic() {
    return techniques.stream().filter(t -> t.higher() > 0).findFirst();
  }

  private Note with(int when, int ticks, Attack how) {
    return new Note(
        when,
        ticks,
        string,
        fret,
        midi,
        pick,
        fretFinger,
        part,
        ref,
        how,
        group,
        techniques,
        force,
        delayTicks);
  }

  /** The voice a note belongs to. */
  public enum Part {
    BASS,
    INNER,
    TUNE
  }
}
