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
 * @param time when it sounds
 * @param place where on the neck
 * @param pick the finger that plucks it; empty for one the fretting hand makes
 * @param part what it does in the texture
 * @param ref where its stroke is written
 * @param manner how it is played
 */
public record Note(
    Time time, Place place, Optional<PickFinger> pick, Part part, NoteRef ref, Manner manner) {

  /**
   * When a note sounds.
   *
   * @param tick when it is struck as written, from the start of the song
   * @param lengthTicks how long it rings
   * @param delayTicks how much later than its tick it sounds, in a roll or a brush
   */
  public record Time(int tick, int lengthTicks, int delayTicks) {}

  /**
   * Where a note is played.
   *
   * @param string 0 for ⑥ to 5 for ①
   * @param fret from the capo, 0 open
   * @param midi sounding pitch, capo included
   * @param finger the finger that holds it; empty for an open string
   */
  public record Place(int string, int fret, int midi, Optional<Finger> finger) {}

  /**
   * How a note is played.
   *
   * @param attack how it starts
   * @param group what it is struck together with
   * @param techniques what is special about it
   * @param force how strongly
   */
  public record Manner(Attack attack, Group group, Set<Technique> techniques, Force force) {
    public Manner {
      techniques = Set.copyOf(techniques);
    }
  }

  /** When it is struck as written, from the start of the song. */
  public int tick() {
    return time.tick;
  }

  /** How long it rings. */
  public int lengthTicks() {
    return time.lengthTicks;
  }

  /** How much later than its tick it sounds, in a roll or a brush. */
  public int delayTicks() {
    return time.delayTicks;
  }

  /** The string, 0 for ⑥ to 5 for ①. */
  public int string() {
    return place.string;
  }

  /** The fret from the capo, 0 open. */
  public int fret() {
    return place.fret;
  }

  /** The sounding pitch, capo included. */
  public int midi() {
    return place.midi;
  }

  /** The finger that holds it; empty for an open string. */
  public Optional<Finger> fretFinger() {
    return place.finger;
  }

  /** How it starts. */
  public Attack attack() {
    return manner.attack;
  }

  /** What it is struck together with. */
  public Group group() {
    return manner.group;
  }

  /** What is special about it. */
  public Set<Technique> techniques() {
    return manner.techniques;
  }

  /** How strongly it is struck. */
  public Force force() {
    return manner.force;
  }

  /** Whether a finger plucks it. */
  public boolean isPickedBy(PickFinger finger) {
    return pick.equals(Optional.of(finger));
  }

  /** What stands for its stroke: the finger's letter, or H, P or S for a slur. */
  public String letter() {
    return attack().isSlur() ? attack().sign() : pick.map(PickFinger::letter).orElse("");
  }

  /** When it ends as written, from the start of the song. */
  public int endTick() {
    return tick() + lengthTicks();
  }

  /** Whether it is one string of a sweep. */
  public boolean isBrushed() {
    return group() == Group.BRUSH;
  }

  /** The same note at another time. */
  public Note at(int other) {
    return with(new Time(other, time.lengthTicks, time.delayTicks));
  }

  /** The same note ringing for another time. */
  public Note lasting(int ticks) {
    return with(new Time(time.tick, ticks, time.delayTicks));
  }

  private Note with(Time other) {
    return new Note(other, place, pick, part, ref, manner);
  }

  /** The same note in another place. */
  public Note with(Place other) {
    return new Note(time, other, pick, part, ref, manner);
  }

  /** The same note started in another way. */
  public Note starting(Attack other) {
    Manner how = new Manner(other, manner.group, manner.techniques, manner.force);
    return new Note(time, place, pick, part, ref, how);
  }

  /** The same note played with other techniques, at another fret and pitch if need be. */
  public Note played(Set<Technique> how, int at, int sounding) {
    Place there = new Place(place.string, at, sounding, place.finger);
    return new Note(
        time, there, pick, part, ref, new Manner(manner.attack, manner.group, how, manner.force));
  }

  /** The harmonic it is, if it is one. */
  public Optional<Technique> harmonic() {
    return techniques().stream().filter(t -> t.higher() > 0).findFirst();
  }

  /** The voice a note belongs to. */
  public enum Part {
    BASS,
    INNER,
    TUNE
  }
}
