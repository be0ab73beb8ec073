/**
 * The plan as sound, from core alone: no recording, no network, no device needed. {@link
 * phalanx.sound.sequence.EventSequence} turns a performance into what is done to the strings and
 * when; {@link phalanx.sound.strings.Instrument} makes it sound; {@link
 * phalanx.sound.render.Rendering} writes it into a file; {@link phalanx.sound.play.Player} plays
 * it.
 */
package phalanx.sound;
