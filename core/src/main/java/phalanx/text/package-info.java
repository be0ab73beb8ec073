/** Words for the player: {@link phalanx.text.Phrase} puts figures into sentences. */
package phalanx.text;
