/**
 * What both hands do when: derived from a song by {@link phalanx.arrangement.Arranger}, never
 * edited or saved as truth. Start with {@link phalanx.arrangement.Arrangement}.
 */
package phalanx.arrangement;
