/**
 * The two fonts that pages are set in, as numbers: how wide words are, how music signs are drawn.
 */
package phalanx.engraving.font;
