/** Rows of a name and a field, each of which shows and changes one thing of the song. */
package phalanx.desktop.form;
