/**
 * What the player decided: the chart, the guitar, the hand, the pattern, the pins.
 *
 * <p>Start with {@link phalanx.song.Song}. Its {@link phalanx.song.Chart} holds sections and bars
 * with identities; {@link phalanx.song.ChartEdits} has the edits, each a function to a new chart;
 * {@link phalanx.song.History} keeps songs for undo. {@link phalanx.song.Patterns} says what the
 * picking hand plays where. {@link phalanx.song.Timeline} unrolls repeats, endings and metres into
 * what is played.
 */
package phalanx.song;
