package phalanx.arrangement.board;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.picking.PickFinger;
import phalanx.text.Texts;
import phalanx.theory.Meter;

/**
 * What a hand does, said as players say it to themselves: pinch, thumb, index, brush.
 *
 * @param tick when, in ticks from the start of the pattern
 * @param count the word of the count there, or a dot between the words
 * @param words the motion
 */
public record SpokenMotion(int tick, String count, String words) {

  /** From three strings at once on, players call it a block. */
  private static final int BLOCK = 3;

  private static final Map<PickFinger, String> FINGERS =
      Map.of(
          PickFinger.P, Texts.of("spokenMotion.thumb"),
          PickFinger.I, Texts.of("spokenMotion.index"),
          PickFinger.M, Texts.of("spokenMotion.middle"),
          PickFinger.A, Texts.of("spokenMotion.ring"),
          PickFinger.C, Texts.of("spokenMotion.little"));

  /** The motions of a pattern on a chord, in order. */
  public static List<SpokenMotion> of(PatternFall fall, Meter meter) {
    TreeMap<Integer, List<Note>> notes = new TreeMap<>();
    TreeMap<Integer, List<Gesture>> gestures = new TreeMap<>();
    fall.notes().forEach(n -> notes.computeIfAbsent(n.tick(), t -> new ArrayList<>()).add(n));
    fall.gestures().forEach(g -> gestures.computeIfAbsent(g.tick(), t -> new ArrayList<>()).add(g));
    TreeMap<Integer, Boolean> ticks = new TreeMap<>();
    notes.keySet().forEach(t -> ticks.put(t, true));
    gestures.keySet().forEach(t -> ticks.put(t, true));
    List<SpokenMotion> motions = new ArrayList<>();
    for (int tick : ticks.keySet()) {
      List<String> words = new ArrayList<>();
      List<Gesture> across = gestures.getOrDefault(tick, List.of());
      boolean rolls = across.stream().anyMatch(Gesture.Roll.class::isInstance);
      plucks(notes.getOrDefault(tick, List.of()), rolls, words);
      across.forEach(g -> gesture(g, words));
      motions.add(new SpokenMotion(tick, count(meter, tick), String.join(" + ", words)));
    }
    return motions;
  }

  private static void plucks(List<Note> together, boolean rolls, List<String> words) {
    List<Note> plucked = together.stream().filter(n -> !n.isBrushed()).toList();
    boolean thumb = plucked.stream().anyMatch(n -> n.isPickedBy(PickFinger.P));
    if (rolls) {
      words.add(Texts.of("spokenMotion.roll"));
    } else if (plucked.size() > BLOCK || plucked.size() == BLOCK && !thumb) {
      words.add(Texts.of("spokenMotion.block"));
    } else if (plucked.size() > 1) {
      words.add(thumb ? Texts.of("spokenMotion.pinch") : Texts.of("spokenMotion.twoFingers"));
    } else if (plucked.size() == 1) {
      plucked.get(0).pick().map(FINGERS::get).ifPresent(words::add);
    }
  }

  private static void gesture(Gesture gesture, List<String> words) {
    if (gesture instanceof Gesture.Hit hit) {
      words.add(hit.kind().words());
    } else if (gesture instanceof Gesture.Brush brush) {
      words.add(
          brush.towardsTreble()
              ? Texts.of("spokenMotion.brushDown")
              : Texts.of("spokenMotion.brushUp"));
    }
  }

  private static String count(Meter meter, int tick) {
    int inBar = tick % meter.barTicks();
    return meter.syllables(4).stream()
        .filter(s -> s.tick() == inBar)
        .map(Meter.Syllable::word)
        .findFirst()
        .orElse("·");
  }
}
