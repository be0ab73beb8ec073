/** The fills that ship with the program. */
package phalanx.formats.fills;
