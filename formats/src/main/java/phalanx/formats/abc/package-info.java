/**
 * The ABC music standard 2.1: tunes in plain letters. {@code AbcReader} goes through the lines,
 * {@code AbcHead} reads the fields, {@code AbcVoice} the notes, which fall into {@code AbcBars},
 * last by {@code AbcRhythm} and have their {@code AbcWords} below; {@code AbcWriter} writes.
 */
package phalanx.formats.abc;
