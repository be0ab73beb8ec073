package phalanx.song;

import phalanx.theory.Chord;

/** What stands in a chart where a chord may stand. */
public sealed interface Harmony {

  /** What the chart shows. */
  String label();

  /**
   * A chord sounds.
   *
   * @param chord the chord
   */
  record Sounding(Chord chord) implements Harmony {
    @Override
    public String label() {
      return chord.toString();
    }
  }

  /** The hands rest: N.C. */
  record NoChord() implements Harmony {
    @Override
    public String label() {
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
    public String label() {
      return text;
    }
  }
}
