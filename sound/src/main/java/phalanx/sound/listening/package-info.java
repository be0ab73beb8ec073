/**
 * What is heard of a player: samples in, the beginnings of sounds and their pitches out. {@link
 * phalanx.sound.listening.Recording} reads a file, {@link phalanx.sound.listening.OnsetDetector}
 * finds where sounds begin, {@link phalanx.sound.listening.PitchSalience} what is new in them;
 * {@link phalanx.sound.listening.Listener} puts them together. What a stroke was meant to be is
 * decided in {@code phalanx.practice}.
 */
package phalanx.sound.listening;
