/**
 * Picking patterns on the disk: those that ship, {@link phalanx.formats.patterns.PatternShelf}, and
 * a player's own, {@link phalanx.formats.patterns.OwnPatterns}.
 */
package phalanx.formats.patterns;
