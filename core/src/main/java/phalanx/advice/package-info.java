/**
 * Other keys, capos and tunings for a song, each planned and looked through, the easiest first.
 * Start with {@link phalanx.advice.Advisor}.
 */
package phalanx.advice;
