/**
 * Songs on the disk as the window uses them: {@link phalanx.desktop.files.Documents} opens and
 * saves, {@link phalanx.desktop.files.Recovery} keeps what is not saved through a crash, {@link
 * phalanx.desktop.files.Preferences} remembers recent files and how notes are called.
 */
package phalanx.desktop.files;
