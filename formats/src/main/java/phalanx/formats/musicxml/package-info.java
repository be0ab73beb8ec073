/**
 * MusicXML 4.0 out and in. {@code MusicXmlWriter} writes an arrangement, {@code VoiceXml} a voice
 * of a bar, {@code Rhythm} cuts it into written values and tuplets, {@code HitsXml} has the hits.
 * {@code MusicXmlReader} reads a score as a song: {@code ScoreFile} its text, {@code MeasureReader}
 * the notes and chords of each measure, {@code MeasureFrame} what stands around them, {@code
 * GuitarXml} the instrument.
 */
package phalanx.formats.musicxml;
