package phalanx.song;

/**
 * Where a chord is written: it names the same chord in every repeat.
 *
 * @param section section, from 0
 * @param bar bar in the section, from 0
 * @param change chord in the bar, from 0; 0 also for a bar that goes on with the chord before
 */
public record SlotRef(int section, int bar, int change) {}
