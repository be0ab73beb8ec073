/**
 * Pitch, interval and chord: what the notes are called, before any guitar is involved.
 *
 * <p>Start with {@link phalanx.theory.Chord}. {@link phalanx.theory.ChordReader} turns what a
 * player types into one, {@link phalanx.theory.ChordNaming} finds the chords that sounding notes
 * may be called. Musical time is in whole {@link phalanx.theory.Ticks}.
 *
 * <p>Nothing in core takes or returns null.
 */
package phalanx.theory;
