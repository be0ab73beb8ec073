/** Picking patterns on the disk: {@link phalanx.formats.patterns.PatternShelf}. */
package phalanx.formats.patterns;
