/** A performance into a sound file, as fast as the machine can. */
package phalanx.sound.render;
