/**
 * Playing live: one small interface to whatever makes frames heard, with the system's sound line
 * and a simulated card behind it; a {@link phalanx.sound.play.Player} that fills it from a thread
 * of its own and knows what is heard now.
 */
package phalanx.sound.play;
