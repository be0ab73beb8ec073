/**
 * Songs on the disk as the window uses them: {@link phalanx.desktop.files.Documents} opens and
 * saves, {@link phalanx.desktop.files.Exports} writes what the player takes away, {@link
 * phalanx.desktop.files.TuneImports} takes tunes out of files, {@link
 * phalanx.desktop.files.Recovery} keeps what is not saved through a crash, {@link
 * phalanx.desktop.files.Preferences} remembers recent files and how notes are called, {@link
 * phalanx.desktop.files.OwnShelf} the player's own patterns, fills and manners.
 */
package phalanx.desktop.files;
