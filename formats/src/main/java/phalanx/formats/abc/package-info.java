/** The ABC music standard 2.1: tunes in plain letters. */
package phalanx.formats.abc;
