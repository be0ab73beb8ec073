/**
 * Notation and tablature: what a bar needs ({@link phalanx.engraving.score.BarContent}), how bars
 * are spaced and broken into systems ({@link phalanx.engraving.score.Spacing}), how a system is
 * drawn ({@link phalanx.engraving.score.SystemDrawing}). All measures are staff spaces, from the
 * top line of the upper staff, y downwards.
 */
package phalanx.engraving.score;
