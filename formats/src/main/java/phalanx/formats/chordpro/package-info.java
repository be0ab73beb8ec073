/** Charts in the open ChordPro format, with bars in a grid. */
package phalanx.formats.chordpro;
