/** What the window shows and edits, without any node: the song, its plan, the selection. */
package phalanx.desktop.model;
