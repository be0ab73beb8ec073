/** Standard MIDI files, as the JDK writes and reads them. */
package phalanx.formats.midi;
