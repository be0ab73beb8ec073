/**
 * What readers of foreign files share: bars as they stand in a file put together into a song, with
 * chords proposed where there are none.
 */
package phalanx.formats.imported;
