/**
 * The guitar and the hand that holds it, in millimetres.
 *
 * <p>Start with {@link phalanx.instrument.Guitar}; {@link phalanx.instrument.Fretboard} gives its
 * geometry and {@link phalanx.instrument.Hand} the spans a player's fingers reach.
 */
package phalanx.instrument;
