/**
 * Files in and out, one package a format: {@link phalanx.formats.chordpro.ChordProReader} reads a
 * chart; {@link phalanx.formats.musicxml.MusicXmlWriter}, {@link phalanx.formats.tab.TextTab} and
 * {@link phalanx.formats.json.ArrangementJson} write an arrangement. {@link
 * phalanx.formats.disk.AtomicFile} puts what they write on disk, whole or not at all.
 */
package phalanx.formats;
