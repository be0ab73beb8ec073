/**
 * A song laid out as pages of marks: lines, beams, curves, music signs, words with their baselines,
 * in points from the top left of the paper. Nothing here knows a screen, a printer or a file: they
 * paint the same marks. Start reading at {@link phalanx.engraving.Engraver}.
 */
package phalanx.engraving;
