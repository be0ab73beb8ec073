/** Runs that give an arrangement colour, before they are put into a song's bars. */
package phalanx.embellishment;
