/**
 * Arrangements as MusicXML 4.0: {@code MusicXmlWriter} writes the score, {@code VoiceXml} a voice
 * of a bar, {@code Rhythm} cuts it into written values and tuplets, {@code HitsXml} has the hits.
 */
package phalanx.formats.musicxml;
