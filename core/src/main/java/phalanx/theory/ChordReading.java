package phalanx.theory;

/** What came of reading a chord symbol. */
public sealed interface ChordReading {

  /**
   * The symbol was understood.
   *
   * @param chord the chord it names
   */
  record Read(Chord chord) implements ChordReading {}

  /**
   * The symbol was not understood.
   *
   * @param column where reading stopped, in characters from the start of the symbol, from 0
   * @param expected what could have stood there
   */
  record Unreadable(int column, String expected) implements ChordReading {}
}
