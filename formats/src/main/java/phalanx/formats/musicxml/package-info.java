/** Arrangements as MusicXML 4.0. */
package phalanx.formats.musicxml;
