/**
 * Songs in the program's own format, {@code .phalanx.json}: {@link
 * phalanx.formats.songfile.SongFileWriter}, {@link phalanx.formats.songfile.SongFileReader}, and
 * the way up from older versions in {@link phalanx.formats.songfile.Upgrades}. The form is
 * described in docs/file-format.md and by the schema among the resources.
 */
package phalanx.formats.songfile;
