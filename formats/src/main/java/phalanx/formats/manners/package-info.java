/** The manners of arranging that come with the program, as open text. */
package phalanx.formats.manners;
