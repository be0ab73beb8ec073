/**
 * The guitar and the hand that holds it, in millimetres.
 *
 * <p>Start with {@link phalanx.instrument.Guitar}; {@link phalanx.instrument.Fretboard} gives its
 * geometry and {@link phalanx.instrument.Hand} the spans a player's fingers reach. What the strings
 * pull in a tuning says {@link phalanx.instrument.StringPull}, how to reach it by ear {@link
 * phalanx.instrument.TuningByEar}, where harmonics lie {@link phalanx.instrument.HarmonicNode}.
 */
package phalanx.instrument;
