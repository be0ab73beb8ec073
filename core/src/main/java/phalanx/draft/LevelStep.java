package phalanx.draft;

import phalanx.arrangement.Arrangement;
import phalanx.level.PlanLevel;
import phalanx.song.Song;

/**
 * One step easier or fuller.
 *
 * @param words what was done, in the player’s words
 * @param song the song with it
 * @param arrangement its plan
 * @param before the level before
 * @param after the level with it
 */
public record LevelStep(
    String words, Song song, Arrangement arrangement, PlanLevel before, PlanLevel after) {}
