package phalanx.arrangement.tune;

import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.MelodyNote;
import phalanx.fretting.CostTerm;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.melody.Slur;

/**
 * Finds how the tune goes over a shape: the cheapest row of places by dynamic programming over the
 * moments at which notes of a slot begin. Where a note sounds at an end of the slot there is one
 * way for each place it can have there, for it is the plan that chooses among them. Weights are by
 * judgement.
 */
public final class TuneFit {

  /** Cost of a note that no finger reaches. */
  static final double MISSED = CostTerm.CANNOT_BE_DONE.weight() + CostTerm.TUNE_MISSED.weight();

  private final TunePlaces places;
  private final TuneSlide slide;
  private final TuneStep step;

  public TuneFit(Reach reach, boolean onTop) {
    places = new TunePlaces(reach, onTop);
    slide = new TuneSlide(places);
    step = new TuneStep(reach);
  }

  /** Between two plans: lets go of what the last ones did not use. */
  public void forgetUnused() {
    places.forgetUnused();
  }

  /** As an arrangement's plan has it. */
  public static TuneFit of(Arrangement a) {
    return new TuneFit(a.plan().problem().changes().reach(), a.song().tune().onTop());
  }

  public Reach reach() {
    return places.reach();
  }

  public boolean onTop() {
    return places.onTop();
  }

  /** Every place of a note, those on another string than the player wants left out. */
  public List<TunePlace> places(Shape shape, int root, MelodyNote note) {
    return places.of(shape, root, note);
  }

  /** Every place on a string of a pitch counted from the capo. */
  public List<TunePlace> places(Shape shape, int root, int midi, int string) {
    return places.of(shape, root, midi, Optional.of(string));
  }

  /** The cheapest way. */
  TuneWay way(Shape shape, int root, List<MelodyNote> notes) {
    return ways(shape, root, new SlotTune(notes, SlotTune.Edges.FREE)).get(0);
  }

  /**
   * The ways over a shape, the cheapest first: one for each two places of the notes that sound at
   * the ends.
   *
   * @param root the string the thumb starts on: the bass's, unless the tune goes down to it
   */
  public List<TuneWay> ways(Shape shape, int root, SlotTune tune) {
    return search(tune).ways(shape, root, Double.POSITIVE_INFINITY);
  }

  /** What finds the ways to play a tune over one shape after another. */
  public TuneSearch search(SlotTune tune) {
    return new TuneSearch(tune, places, slide, step);
  }

  /**
   * Whether a note sounds up to the time at which another begins; the first is judged elsewhere.
   */
  public static boolean legato(List<MelodyNote> notes, int at) {
    int tick = notes.get(at).tick();
    for (int n = 0; n < at; n++) {
      if (notes.get(n).endTick() == tick) {
        return true;
      }
    }
    return false;
  }

  /**
   * Whether the fretting hand can make a note from one before it.
   *
   * @param together the notes that begin with the one before, itself among them
   */
  boolean canSlur(Shape shape, TunePlace from, List<TunePlace> together, TunePlace to, Slur slur) {
    return step.canSlur(shape, from, together, to, slur);
  }
}
