/** Arrangements as plain text tablature. */
package phalanx.formats.tab;
