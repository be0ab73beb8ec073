package phalanx.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.picking.PickFinger;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.Texts;
import phalanx.theory.Meter;

/**
 * A passage in layers that add up to it: the thumb, then what the fingers strike, place by place in
 * the bar, the tune before the inner notes and in each the smallest step first, then slurs, then
 * hits.
 */
final class Layers {

  private final Arrangement arrangement;
  private final Passage passage;

  Layers(Arrangement arrangement, Passage passage) {
    this.arrangement = arrangement;
    this.passage = passage;
  }

  /**
   * A layer.
   *
   * @param kind thumb, layer or slurs
   * @param title what comes
   * @param notes the notes that it adds
   * @param hits the hits and brushes that it adds
   */
  record Layer(DrillKind kind, String title, List<Note> notes, List<Gesture> hits) {}

  /** Where in the bar, and whether it is of the tune. */
  private record Spot(boolean tune, int inBar, Meter meter) {}

  /** The layers in order; none is empty. */
  List<Layer> inOrder() {
    List<Layer> layers = new ArrayList<>();
    List<Note> thumb = new ArrayList<>();
    List<Note> slurs = new ArrayList<>();
    Map<Spot, List<Note>> spots =
        new TreeMap<>(
            Comparator.comparing(Spot::tune)
                .reversed()
                .thenComparing(Spot::inBar)
                .thenComparing(s -> s.meter().toString()));
    for (PlayedBar bar : passage.bars()) {
      for (Note note : arrangement.notesFrom(bar.startTick(), bar.endTick())) {
        if (note.pick().isEmpty()) {
          slurs.add(note);
        } else if (isThumbs(note)) {
          thumb.add(note);
        } else {
          boolean tune = note.part() == Note.Part.TUNE;
          Spot spot = new Spot(tune, bar.inMetre(note.tick()), bar.meter());
          spots.computeIfAbsent(spot, s -> new ArrayList<>()).add(note);
        }
      }
    }
    List<Gesture> gestures = arrangement.gesturesFrom(passage.fromTick(), passage.toTick());
    Set<Integer> played = new HashSet<>();
    add(layers, DrillKind.THUMB, Texts.of("layers.thumbAlone"), thumb, played);
    for (boolean tune : new boolean[] {true, false}) {
      fingers(layers, spots, tune, played);
    }
    add(layers, DrillKind.SLURS, Texts.of("layers.slurs"), slurs, played);
    List<Gesture> hits = gestures.stream().filter(Gesture.Hit.class::isInstance).toList();
    if (!hits.isEmpty()) {
      layers.add(new Layer(DrillKind.SLURS, Texts.of("layers.hits"), List.of(), hits));
    }
    return layers;
  }

  private static boolean isThumbs(Note note) {
    return note.isPickedBy(PickFinger.P);
  }

  private static void add(
      List<Layer> layers, DrillKind kind, String title, List<Note> notes, Set<Integer> played) {
    if (!notes.isEmpty()) {
      layers.add(new Layer(kind, title, notes, List.of()));
      notes.forEach(n -> played.add(n.tick()));
    }
  }

  /** Of what is left always the smallest step. */
  private static void fingers(
      List<Layer> layers, Map<Spot, List<Note>> spots, boolean tune, Set<Integer> played) {
    List<Spot> left =
        new ArrayList<>(spots.keySet().stream().filter(s -> s.tune() == tune).toList());
    while (!left.isEmpty()) {
      Spot next =
          left.stream()
              .min(
                  Comparator.<Spot>comparingDouble(s -> step(spots.get(s), s, played))
                      .thenComparingInt(Spot::inBar))
              .orElseThrow();
      left.remove(next);
      String count = StrokeWords.count(next.meter(), next.inBar());
      String title = titleOf(next, count);
      add(layers, DrillKind.LAYER, title, spots.get(next), played);
    }
  }

  private static String titleOf(Spot spot, String count) {
    String where =
        count.matches("\\d+") ? count : count.equals("·") ? "between" : before(spot) + count;
    return (spot.tune() ? Texts.of("layers.tuneOn") : Texts.of("layers.innerOn")) + where;
  }

  /** The number that a word such as “&amp;” is counted behind. */
  private static String before(Spot spot) {
    int at = spot.inBar();
    String number = "";
    for (Meter.Syllable s : spot.meter().syllables()) {
      if (s.tick() <= at && s.word().matches("\\d+")) {
        number = s.word();
      }
    }
    return number + " ";
  }

  /** A stroke that joins others is learnt sooner than one on a beat, that sooner than between. */
  static double step(List<Note> notes, Set<Integer> played) {
    double step = 0;
    for (Note note : notes) {
      step += played.contains(note.tick()) ? 1 : 2;
    }
    return step;
  }

  private static double step(List<Note> notes, Spot spot, Set<Integer> played) {
    boolean onBeat = spot.inBar() % spot.meter().beatTicks() == 0;
    return step(notes, played) + (onBeat ? 0 : 0.5 * notes.size());
  }
}
