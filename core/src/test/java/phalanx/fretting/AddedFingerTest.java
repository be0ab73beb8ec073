package phalanx.fretting;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.Tuning;
import phalanx.song.TestSongs;

class AddedFingerTest {

  private static final Reach REACH = new Reach(Guitar.STEEL, Hand.MEDIUM);
  private static final Reach STRETCHING = new Reach(Guitar.STEEL, Hand.MEDIUM.withStretches(true));
  private static final String[] CHORDS = {"C", "G", "Am7", "D7", "F", "Bm7", "E", "Gmaj7"};

  private static Shape shape(String chord, Integer... frets) {
    return ShapeSearch.find(ShapeQuery.of(TestSongs.chord(chord), Guitar.STEEL, Hand.MEDIUM), REACH)
        .fingering(List.of(frets))
        .orElseThrow()
        .shape();
  }

  /** The finger is that of the cheapest fingering of all frets in which every other one stays. */
  @Property(tries = 300)
  void isTheCheapestOfAllFingeringsInWhichTheOthersStay(
      @ForAll @IntRange(max = 7) int chord,
      @ForAll @IntRange(max = 30) int which,
      @ForAll @IntRange(max = 5) int string,
      @ForAll @IntRange(min = 1, max = 14) int fret) {
    List<RatedShape> shapes =
        ShapeSearch.find(
                ShapeQuery.of(TestSongs.chord(CHORDS[chord]), Guitar.STEEL, Hand.MEDIUM), REACH)
            .candidates(31, 2);
    Shape held = shapes.get(which % shapes.size()).shape();
    List<Integer> frets = new ArrayList<>();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      frets.add(s == string ? fret : held.fret(s).orElse(Shape.SILENT));
    }
    Optional<Finger> best =
        ShapeTrial.of(frets, REACH).fingerings().stream()
            .filter(
                r ->
                    IntStream.range(0, Tuning.STRINGS)
                        .allMatch(s -> s == string || held.finger(s).equals(r.shape().finger(s))))
            .min(Comparator.comparingDouble(RatedShape::cost))
            .flatMap(r -> r.shape().finger(string));
    assertThat(AddedFinger.on(held, string, fret, STRETCHING)).isEqualTo(best);
  }

  /** Over an open C the little finger takes d on ② and g on ① (common practice, no source). */
  @Test
  void theLittleFingerIsFreeOverAnOpenC() {
    Shape c = shape("C", -1, 3, 2, 0, 1, 0);
    assertThat(AddedFinger.on(c, 4, 3, REACH)).contains(Finger.LITTLE);
    assertThat(AddedFinger.on(c, 5, 3, REACH)).contains(Finger.LITTLE);
    assertThat(AddedFinger.on(c, 5, 12, REACH)).isEmpty();
  }

  /** The index stays on ② fret 1 under the little finger three frets on, not twelve frets on. */
  @ParameterizedTest
  @CsvSource({"3, LITTLE, true", "4, LITTLE, true", "13, LITTLE, false", "1, INDEX, true"})
  void aFingerStaysUnderAnotherOnItsStringAsFarAsBothReach(int fret, Finger finger, boolean can) {
    Shape c = shape("C", -1, 3, 2, 0, 1, 0);
    assertThat(AddedFinger.ownStays(c, 4, fret, finger, REACH)).isEqualTo(can);
    assertThat(AddedFinger.ownStays(c, 5, fret, finger, REACH)).isTrue();
  }

  /** A finger that presses a string higher up is in the way. */
  @Test
  void aFingerAboveIsInTheWay() {
    Shape c = shape("C", -1, 3, 2, 0, 1, 0);
    assertThat(AddedFinger.ownStays(c, 1, 2, Finger.MIDDLE, REACH)).isFalse();
  }

  @Test
  void aHandHoldsWhatItWasFoundToHoldAndNothingWider() {
    Shape c = shape("C", -1, 3, 2, 0, 1, 0);
    assertThat(AddedFinger.together(c, REACH)).isTrue();
    Shape far = c.with(5, new Stop.Pressed(9, Finger.LITTLE));
    assertThat(AddedFinger.together(far, REACH)).isFalse();
    Shape crossed = c.with(5, new Stop.Pressed(1, Finger.LITTLE));
    assertThat(AddedFinger.together(crossed, REACH)).isFalse();
  }

  /** Two more strings at once: what is found is one hand, and what exists is found. */
  @Property(tries = 300)
  void twoStringsAtOnceAreWithinOneHand(
      @ForAll @IntRange(max = 7) int chord,
      @ForAll @IntRange(max = 30) int which,
      @ForAll @IntRange(max = 4) int string,
      @ForAll @IntRange(min = 1, max = 12) int fret,
      @ForAll @IntRange(min = -2, max = 2) int apart) {
    List<RatedShape> shapes =
        ShapeSearch.find(
                ShapeQuery.of(TestSongs.chord(CHORDS[chord]), Guitar.STEEL, Hand.MEDIUM), REACH)
            .candidates(31, 2);
    Shape held = shapes.get(which % shapes.size()).shape();
    int other = string + 1;
    int otherFret = Math.max(1, fret + apart);
    if (held.finger(string).isPresent() || held.finger(other).isPresent()) {
      return;
    }
    Map<Integer, Finger> found =
        AddedFinger.on(held, Map.of(string, fret, other, otherFret), STRETCHING);
    List<Integer> frets = new ArrayList<>(held.frets());
    frets.set(string, fret);
    frets.set(other, otherFret);
    boolean exists =
        ShapeTrial.of(frets, REACH).fingerings().stream()
            .map(RatedShape::shape)
            .anyMatch(
                s ->
                    held.grips().entrySet().stream()
                            .allMatch(g -> g.getValue().equals(s.grips().get(g.getKey())))
                        && s.finger(string).isPresent()
                        && s.finger(other).isPresent()
                        && !s.finger(string).equals(s.finger(other))
                        && !held.grips().containsKey(s.finger(string).get())
                        && !held.grips().containsKey(s.finger(other).get()));
    assertThat(!found.isEmpty()).isEqualTo(exists);
    if (!found.isEmpty()) {
      Shape all =
          held.with(string, new Stop.Pressed(fret, found.get(string)))
              .with(other, new Stop.Pressed(otherFret, found.get(other)));
      assertThat(AddedFinger.together(all, STRETCHING)).isTrue();
    }
  }

  /** Sixths over an open bass: two fingers, nobody holds anything (common practice, no source). */
  @ParameterizedTest
  @CsvSource({"2, 2, 4, 2", "2, 4, 4, 3", "2, 6, 4, 5", "3, 9, 5, 8"})
  void aPairOverAnOpenBassHasTwoFingers(int low, int lowFret, int high, int highFret) {
    Map<Integer, Finger> found =
        AddedFinger.on(Shape.NOTHING, Map.of(low, lowFret, high, highFret), REACH);
    assertThat(found).hasSize(2);
    assertThat(found.get(low)).isNotEqualTo(found.get(high));
    if (lowFret > highFret) {
      assertThat(found.get(low)).isGreaterThan(found.get(high));
    }
  }
}
