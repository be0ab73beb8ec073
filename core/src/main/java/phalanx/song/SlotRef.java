package phalanx.song;

/**
 * Where a chord is written: it names the same chord in every repeat, and after bars were moved.
 *
 * @param bar identity of the bar
 * @param tick where in the bar it begins, 0 also for a chord held over from the bar before
 */
public record SlotRef(int bar, int tick) {}
