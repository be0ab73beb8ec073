package phalanx.draft;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.fretting.Grip;
import phalanx.fretting.PlanSlot;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.song.Song;

/**
 * Shapes for the first months: in first position, without a barre, with the same bass (common
 * practice, no source).
 */
final class OpenShapes {

  /** The frets of first position. */
  private static final int FIRST_POSITION = 4;

  private final Arrangement a;
  private final IntPredicate wanted;

  private OpenShapes(Arrangement a, IntPredicate wanted) {
    this.a = a;
    this.wanted = wanted;
  }

  /** The song with them pinned; empty where none is wanted or none is there. */
  static Optional<Song> in(Arrangement a) {
    return new OpenShapes(a, bar -> true).pinned();
  }

  /** The same in some written bars only, by their identities. */
  static Optional<Song> in(Arrangement a, Collection<Integer> bars) {
    return new OpenShapes(a, bars::contains).pinned();
  }

  private Optional<Song> pinned() {
    Song song = a.song();
    for (int s = 0; s < a.slots().size(); s++) {
      Slot slot = a.slots().get(s);
      if (wanted.test(slot.played().ref().bar())
          && slot.shape().isPresent()
          && !slot.pinned()
          && !isOpen(slot.shape().get())) {
        Optional<Shape> other = other(s, slot.shape().get());
        if (other.isPresent()) {
          song = song.pin(slot.played().ref(), other.get());
        }
      }
    }
    return Optional.of(song).filter(p -> !p.equals(a.song()));
  }

  private Optional<Shape> other(int slot, Shape now) {
    PlanSlot there = a.plan().problem().slots().get(slot);
    Guitar guitar = a.song().guitar();
    OptionalInt bass = bass(guitar, now);
    return IntStream.range(0, there.candidates().size())
        .filter(c -> isOpen(there.candidates().get(c).shape()))
        .filter(c -> bass(guitar, there.candidates().get(c).shape()).equals(bass))
        .boxed()
        .min(Comparator.comparingDouble(c -> a.plan().through(slot, c)))
        .map(c -> there.candidates().get(c).shape());
  }

  private static boolean isOpen(Shape shape) {
    return shape.frets().stream().allMatch(f -> f <= FIRST_POSITION)
        && shape.grips().values().stream().noneMatch(Grip::isBarre);
  }

  /** The pitch class of the lowest string that sounds. */
  private static OptionalInt bass(Guitar guitar, Shape shape) {
    List<Integer> frets = shape.frets();
    return IntStream.range(0, frets.size())
        .filter(s -> frets.get(s) >= 0)
        .map(s -> Math.floorMod(guitar.midi(s, frets.get(s)), 12))
        .findFirst();
  }
}
