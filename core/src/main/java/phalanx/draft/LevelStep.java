package phalanx.draft;

import phalanx.arrangement.Arrangement;
import phalanx.song.Song;

/**
 * One step easier or fuller.
 *
 * @param words what was done, in the player’s words
 * @param song the song with it
 * @param arrangement its plan
 * @param before how hard the bars were, on average, 1.0 to 5.0
 * @param after how hard they are with it
 */
public record LevelStep(
    String words, Song song, Arrangement arrangement, double before, double after) {}
