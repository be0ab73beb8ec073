package phalanx.notation;

import java.util.ArrayList;
import java.util.List;
import phalanx.theory.Ticks;

/**
 * A written note value.
 *
 * @param type its name as MusicXML has it: {@code quarter}, {@code 16th}
 * @param dotted whether a dot lengthens it by half
 * @param ticks how long it lasts
 */
public record NoteValue(String type, boolean dotted, int ticks) {

  /** Longest first, so that a greedy choice ties as few notes as possible. */
  private static final List<NoteValue> VALUES = values();

  private static List<NoteValue> values() {
    List<NoteValue> values = new ArrayList<>();
    int ticks = Ticks.PER_WHOLE;
    for (String type : List.of("whole", "half", "quarter", "eighth", "16th", "32nd", "64th")) {
      values.add(new NoteValue(type, true, ticks * 3 / 2));
      values.add(new NoteValue(type, false, ticks));
      ticks /= 2;
    }
    return values;
  }

  /**
   * The values that, tied together, last this long.
   *
   * @throws IllegalArgumentException if no row of values does, as for a third of a quarter
   */
  public static List<NoteValue> lasting(int ticks) {
    List<NoteValue> row = new ArrayList<>();
    int left = ticks;
    for (NoteValue value : VALUES) {
      while (value.ticks() <= left) {
        row.add(value);
        left -= value.ticks();
      }
    }
    if (left != 0) {
      throw new IllegalArgumentException("no written value lasts " + ticks + " ticks");
    }
    return row;
  }

  /** Flags or beams it has: none for a quarter, one for an eighth. */
  public int flags() {
    int plain = dotted ? ticks * 2 / 3 : ticks;
    int flags = 0;
    for (int shorter = Ticks.PER_QUARTER; plain < shorter; shorter /= 2) {
      flags++;
    }
    return flags;
  }

  /** Whether it has a stem: every value but a whole note. */
  public boolean hasStem() {
    return ticks < Ticks.PER_WHOLE;
  }

  /** Whether its head is filled: a quarter and everything shorter. */
  public boolean isBlack() {
    return (dotted ? ticks * 2 / 3 : ticks) <= Ticks.PER_QUARTER;
  }
}
