package phalanx.song;

/**
 * Where something hard stands in the song as written: it names the same spot in every repeat.
 *
 * @param bar identity of the bar
 * @param tick where in the bar
 * @param rule the rule that finds it there
 */
public record FindingRef(int bar, int tick, String rule) {}
