/**
 * Pitch, interval and chord: what the notes are called, before any guitar is involved.
 *
 * <p>Start with {@link phalanx.theory.Chord}. {@link phalanx.theory.ChordReader} turns what a
 * player types into one, {@link phalanx.theory.ChordNaming} finds the chords that sounding notes
 * may be called, {@link phalanx.theory.NoteNaming} says them in English, German or solfège. {@link
 * phalanx.theory.Key} has degrees and numerals, {@link phalanx.theory.Borrowing} where foreign
 * chords come from. Musical time is in whole {@link phalanx.theory.Ticks}.
 *
 * <p>Nothing in core takes or returns null.
 */
package phalanx.theory;
