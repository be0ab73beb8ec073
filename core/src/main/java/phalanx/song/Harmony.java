package phalanx.song;

import java.util.Optional;
import phalanx.theory.Chord;
import phalanx.theory.Interval;
import phalanx.theory.NoteNaming;

/** What stands in a chart where a chord may stand. */
public sealed interface Harmony {

  /** What the chart shows, with notes as the player calls them. */
  String label(NoteNaming naming);

  /** What the chart shows, in English. */
  default String label() {
    return label(NoteNaming.ENGLISH);
  }

  /** The same an interval higher. */
  default Harmony up(Interval interval) {
    return this;
  }

  /**
   * A chord sounds.
   *
   * @param chord the chord
   */
  record Sounding(Chord chord) implements Harmony {
    @Override
    public String label(NoteNaming naming) {
      return naming.name(chord);
    }

    @Override
    public Harmony up(Interval interval) {
      return new Sounding(chord.up(interval));
    }
  }

  /** The hands rest: N.C. */
  record NoChord() implements Harmony {
    @Override
    public String label(NoteNaming naming) {
      return "N.C.";
    }
  }

  /**
   * Something stands here that could not be read; it is kept as it was typed and rests.
   *
   * @param text what was typed
   */
  record Unread(String text) implements Harmony {
    @Override
    public String label(NoteNaming naming) {
      return text;
    }
  }

  /** The chord that sounds; empty where none does or what is written is none. */
  default Optional<Chord> sounding() {
    return this instanceof Sounding s ? Optional.of(s.chord()) : Optional.empty();
  }
}
