package phalanx.planning;

import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import phalanx.picking.Pattern;
import phalanx.picking.PickingStyle;
import phalanx.song.Song;
import phalanx.song.Timeline.PlayedBar;
import phalanx.song.Timeline.PlayedSlot;
import phalanx.theory.Meter;

/** Which pattern is played where in one song, looked up once. */
public final class PatternBook {

  private final Song song;
  private final Map<Integer, PickingStyle> bars = new HashMap<>();
  private final Map<Integer, List<Pattern.Step>> changes = new HashMap<>();

  // By identity: a song has few styles, and comparing them stroke by stroke for every bar is slow.
  private final Map<PickingStyle, Map<Meter, Pattern>> patterns = new IdentityHashMap<>();

  public PatternBook(Song song) {
    this.song = song;
  }

  /** What is played in a bar. */
  public PickingStyle style(PlayedBar bar) {
    return bars.computeIfAbsent(bar.written(), b -> song.patterns().at(b, song.chart()));
  }

  /** What is played over a chord. */
  public PickingStyle style(PlayedBar bar, PlayedSlot slot) {
    PickingStyle own = song.patterns().slots().get(slot.ref());
    return own == null ? style(bar) : own;
  }

  /** The strokes of a style, tremolos written out. */
  Pattern pattern(PickingStyle style, Meter meter) {
    return patterns
        .computeIfAbsent(style, s -> new HashMap<>())
        .computeIfAbsent(meter, m -> style.in(m).plain(m.beatTicks()));
  }

  /** The steps a bar plays otherwise. */
  List<Pattern.Step> changes(PlayedBar bar) {
    return changes.computeIfAbsent(
        bar.written(),
        b ->
            Pattern.plain(
                song.patterns().changes(b, song.chart()),
                bar.meter().beatTicks(),
                bar.meter().barTicks()));
  }
}
