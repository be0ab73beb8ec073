package phalanx.advice;

import phalanx.song.Song;

/**
 * A way that was given up unplanned to its end, since others are easier.
 *
 * @param way the way
 * @param song the song played so
 * @param costPerBar what its plan would cost for each bar as played at least
 */
public record Pruned(SettingSuggestion way, Song song, double costPerBar) implements Ranked {}
