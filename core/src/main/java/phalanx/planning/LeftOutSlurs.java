package phalanx.planning;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import phalanx.arrangement.Remark;
import phalanx.picking.Fingered;
import phalanx.text.Texts;

/** Slurs from notes that are not there, because no finger could pluck them in time. */
final class LeftOutSlurs {

  private LeftOutSlurs() {}

  /** The strokes that are not there either, by the number of their step. */
  static Map<Integer, List<VoicedStroke>> of(List<VoicedStep> voiced, List<Fingered> fingers) {
    Map<Integer, Set<Integer>> made = new HashMap<>();
    Map<Integer, List<VoicedStroke>> all = new TreeMap<>();
    for (int i = 0; i < voiced.size(); i++) {
      VoicedStep on = voiced.get(i);
      Fingered by = fingers.get(i);
      Set<Integer> strings = new HashSet<>();
      List<VoicedStroke> gone = new ArrayList<>();
      for (VoicedStroke p : on.plucks()) {
        boolean there =
            p.slurredFrom()
                .map(t -> made.getOrDefault(t, Set.of()).contains(p.string()))
                .orElseGet(() -> p.slur().isEmpty() && on.isMade(p, by));
        if (there) {
          strings.add(p.string());
        } else if (p.slur().isPresent()) {
          gone.add(p);
        }
      }
      made.put(on.placed().tick(), strings);
      if (!gone.isEmpty()) {
        all.put(i, gone);
      }
    }
    return all;
  }

  /** What is said of one of them. */
  static Remark remark(VoicedStroke gone, VoicedStep on) {
    return Remark.at(
        Remark.Kind.SLUR,
        Texts.of("leftOutSlurs.aSlurIsLeft"),
        on.placed().tick(),
        gone.string(),
        new Remark.Figure(0, 1, "notes"));
  }
}
