package phalanx.level;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.IntStream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.findings.Changes;
import phalanx.fretting.Grip;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.performance.Performance;
import phalanx.picking.PickFinger;
import phalanx.song.Timeline.PlayedBar;
import phalanx.technique.Technique;
import phalanx.theory.Ticks;

/** What each bar of a plan asks of the hands. */
final class BarDemands {

  /** A change that needs all the time it has, or more, is as hard as can be. */
  private static final double MOST_OF_TIME = 1.4;

  /** Strokes a second that are much; strokes of fingers off the thumb; slurs; hits. */
  private static final double MANY_STROKES = 9;

  private static final double MANY_OFF = 5;
  private static final double MANY_SLURS = 3;
  private static final double MANY_HITS = 2.5;
  private static final double MANY_CHANGES = 2;

  /** What so many are beside one that takes all the time it has, which is 0.6. */
  private static final double OFTEN = 0.5;

  /** A pinch asks a little of it, too. */
  private static final double PINCH = 0.15;

  /** Nothing to speak of is asked by fingers closer than this share of what is comfortable. */
  private static final double CLOSE = 0.85;

  /** Beyond that it grows so fast. */
  private static final double SPREAD = 2;

  /** Above this fret frets are narrow and the shape of the neck changes. */
  private static final int HIGH = 4;

  private static final double FAR = 7;
  private static final double VERY_HIGH = 12;
  private static final double MUCH_TO_REMEMBER = 7;
  private static final double MOST = 1.5;

  private final Performance performance;
  private final Arrangement a;
  private final Reach reach;
  private final Map<Demand, Map<Integer, Double>> values = new EnumMap<>(Demand.class);
  private final Set<List<Integer>> different = new HashSet<>();
  private double mostStrokes;

  private BarDemands(Performance performance) {
    this.performance = performance;
    a = performance.arrangement();
    reach = a.plan().problem().changes().reach();
    for (Demand demand : Demand.values()) {
      values.put(demand, new TreeMap<>());
    }
    changes();
    OptionalInt before = OptionalInt.empty();
    for (PlayedBar bar : a.timeline().bars()) {
      before = hands(bar, before);
      strokes(bar);
    }
  }

  static BarDemands of(Performance performance) {
    return new BarDemands(performance);
  }

  /** The numbers of the bars as played. */
  List<Integer> bars() {
    return a.timeline().bars().stream().map(PlayedBar::number).toList();
  }

  /** One demand in each bar that asks anything of it. */
  Map<Integer, Double> of(Demand demand) {
    return values.get(demand);
  }

  int distinctBars() {
    return different.size();
  }

  double mostStrokes() {
    return mostStrokes;
  }

  /** Half the mean over all bars, half that over the hardest quarter. */
  double overall(Demand demand) {
    int bars = a.timeline().bars().size();
    if (bars == 0) {
      return 0;
    }
    if (demand == Demand.LENGTH) {
      return Math.min(MOST, Math.log(1 + different.size()) / Math.log(2) / MUCH_TO_REMEMBER);
    }
    double[] sorted = of(demand).values().stream().mapToDouble(v -> v).sorted().toArray();
    double sum = IntStream.range(0, sorted.length).mapToDouble(i -> sorted[i]).sum();
    int quarter = Math.max(1, bars / 4);
    double hardest = 0;
    for (int k = 0; k < quarter && k < sorted.length; k++) {
      hardest += sorted[sorted.length - 1 - k];
    }
    return (sum / bars + hardest / quarter) / 2;
  }

  private void put(Demand demand, int bar, double value) {
    if (value > 0) {
      values.get(demand).merge(bar, Math.min(MOST, value), Math::max);
    }
  }

  /** Each by the time it has, and how many there are in a second. */
  private void changes() {
    shapes();
    Map<PlayedBar, Integer> counts = new HashMap<>();
    for (Changes.Change change : Changes.of(a, performance)) {
      double has = Ticks.millis(change.ticks(), a.song().tempo());
      double share = Math.min(MOST_OF_TIME, change.needed() / has);
      PlayedBar bar = a.timeline().barAt(change.tick());
      int count = counts.merge(bar, 1, Integer::sum);
      double often = OFTEN * often(count, bar);
      put(Demand.CHANGES, bar.number(), 0.6 * share * share + often);
    }
  }

  /**
   * Shapes that follow each other have to be known, also where fingers can be there long before.
   */
  private void shapes() {
    Map<PlayedBar, Integer> counts = new HashMap<>();
    for (int i = 1; i < a.slots().size(); i++) {
      Slot slot = a.slots().get(i);
      if (slot.shape().isPresent() && !slot.shape().equals(a.slots().get(i - 1).shape())) {
        PlayedBar bar = a.timeline().barAt(slot.fromTick());
        int count = counts.merge(bar, 1, Integer::sum);
        put(Demand.CHANGES, bar.number(), OFTEN * often(count, bar));
      }
    }
  }

  private double often(int count, PlayedBar bar) {
    return Math.min(1, count / seconds(bar) / MANY_CHANGES);
  }

  private double seconds(PlayedBar bar) {
    return performance.clock().startOfNext(bar) - performance.clock().seconds(bar.startTick(), 0);
  }

  /** What the fretting hand holds, and where. */
  private OptionalInt hands(PlayedBar bar, OptionalInt before) {
    OptionalInt position = before;
    double shifts = 0;
    for (Slot slot : a.slotsFrom(bar.startTick(), bar.endTick())) {
      Shape asked = slot.asked();
      double spread =
          reach
              .widestSpan(asked)
              .map(s -> SPREAD * Math.max(0, s.millimetres() / s.comfortable() - CLOSE))
              .orElse(0.0);
      int down = asked.grips().size() - slot.resting().size();
      put(Demand.SPANS, bar.number(), spread + 0.08 * Math.max(0, down - 1));
      double time =
          (double) (Math.min(slot.toTick(), bar.endTick()) - slot.fromTick()) / bar.lengthTicks();
      for (Grip grip : asked.grips().values()) {
        if (grip.isBarre()) {
          int strings = Math.abs(grip.highString() - grip.lowString()) + 1;
          put(Demand.BARRES, bar.number(), (0.2 + strings / 6.0) * (0.6 + 0.4 * time));
        }
      }
      int[] frets = asked.frets().stream().filter(f -> f > 0).mapToInt(f -> f).toArray();
      OptionalInt here = IntStream.of(frets).min();
      if (here.isPresent() && position.isPresent()) {
        shifts += Math.max(0, Math.abs(here.getAsInt() - position.getAsInt()) - 1) / FAR;
      }
      position = here.isPresent() ? here : position;
      put(Demand.POSITIONS, bar.number(), shifts + Math.max(0, here.orElse(0) - HIGH) / VERY_HIGH);
    }
    return position;
  }

  /** What the picking hand does. */
  private void strokes(PlayedBar bar) {
    double seconds = seconds(bar);
    List<Note> notes = a.notesFrom(bar.startTick(), bar.endTick());
    Set<Integer> thumb = new TreeSet<>();
    Map<Integer, Integer> fingers = new TreeMap<>();
    int plucked = 0;
    int slurs = 0;
    double special = 0;
    List<Integer> content = new ArrayList<>();
    for (Note note : notes) {
      boolean slurred = note.attack().isSlur();
      slurs += slurred ? 1 : 0;
      plucked += slurred || note.isBrushed() ? 0 : 1;
      if (note.isPickedBy(PickFinger.P)) {
        thumb.add(note.tick());
      } else if (!slurred) {
        fingers.merge(note.tick(), 1, Integer::sum);
      }
      special += note.techniques().stream().mapToDouble(BarDemands::special).sum();
      content.addAll(List.of(note.tick() - bar.startTick(), note.string(), note.fret()));
    }
    different.add(content);
    put(Demand.LENGTH, bar.number(), notes.isEmpty() ? 0 : 0.5);
    mostStrokes = Math.max(mostStrokes, plucked / seconds);
    put(Demand.STROKES, bar.number(), plucked / seconds / MANY_STROKES);
    double off = 0;
    for (int tick : fingers.keySet()) {
      off += thumb.contains(tick) ? PINCH : thumb.isEmpty() ? 0 : 1;
    }
    put(Demand.INDEPENDENCE, bar.number(), off / seconds / MANY_OFF);
    put(Demand.SLURS, bar.number(), slurs / seconds / MANY_SLURS);
    put(Demand.TECHNIQUES, bar.number(), special / 2);
    long hits =
        a.gesturesFrom(bar.startTick(), bar.endTick()).stream()
            .filter(Gesture.Hit.class::isInstance)
            .count();
    put(Demand.HITS, bar.number(), hits / seconds / MANY_HITS);
  }

  private static double special(Technique technique) {
    if (technique instanceof Technique.TouchedHarmonic) {
      return 0.7;
    }
    return technique instanceof Technique.Bend || technique instanceof Technique.NaturalHarmonic
        ? 0.4
        : technique instanceof Technique.Vibrato ? 0.2 : 0.15;
  }
}
