/**
 * What the player decided: the chart, the guitar, the hand, the pattern, the pins.
 *
 * <p>Start with {@link phalanx.song.Song}, an immutable tree of sections, bars and chords. Every
 * edit is a function that returns a new song; {@link phalanx.song.History} keeps them for undo.
 * {@link phalanx.song.Timeline} unrolls the repeats into what is played.
 */
package phalanx.song;
