/**
 * The words of the window: one file of English, one of German, a key for each text. {@code Texts}
 * is where all others look them up.
 */
package phalanx.desktop.texts;
