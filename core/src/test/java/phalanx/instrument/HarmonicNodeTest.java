package phalanx.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** Against the physics of the ideal string. */
class HarmonicNodeTest {

  private static List<HarmonicNode> on(int string) {
    return HarmonicNode.all(Guitar.STEEL).stream().filter(n -> n.string() == string).toList();
  }

  /** The frets that tables of natural harmonics give, by overtone (from memory). */
  @Test
  void nodesLieWherePlayersTouch() {
    Map<Integer, List<Double>> frets =
        Map.of(
            2, List.of(12.0),
            3, List.of(7.02, 19.02),
            4, List.of(4.98, 24.0),
            5, List.of(3.86, 8.84, 15.86),
            6, List.of(3.16),
            7, List.of(2.67, 5.83, 9.69, 14.67, 21.69));
    Map<Integer, List<Double>> found = new TreeMap<>();
    for (HarmonicNode n : on(2)) {
      if (n.fret() < 24.5) {
        found.computeIfAbsent(n.harmonic(), k -> new ArrayList<>()).add(n.fret());
      }
    }
    assertThat(found.keySet()).isEqualTo(frets.keySet());
    frets.forEach(
        (n, at) -> {
          assertThat(found.get(n)).hasSameSizeAs(at);
          for (int k = 0; k < at.size(); k++) {
            assertThat(found.get(n).get(k)).isCloseTo(at.get(k), within(0.005));
          }
        });
  }

  /** Overtone row against equal temperament: the twelfth 1.955 cents high, the third 13.686 low. */
  @Test
  void overtonesLieBesideTheTemperedNotes() {
    Map<Integer, Double> cents = Map.of(2, 0.0, 3, 1.955, 4, 0.0, 5, -13.686, 6, 1.955, 7, -31.174);
    Map<Integer, Integer> above = Map.of(2, 12, 3, 19, 4, 24, 5, 28, 6, 31, 7, 34);
    for (HarmonicNode n : on(0)) {
      assertThat(n.cents()).isCloseTo(cents.get(n.harmonic()), within(0.001));
      assertThat(n.midi()).isEqualTo(40 + above.get(n.harmonic()));
    }
  }

  /** All nodes of a string sound what the touched part and the rest have in common. */
  @Test
  void bothPartsOfTheStringSwingWithTheOvertone() {
    for (HarmonicNode n : HarmonicNode.all(Guitar.STEEL)) {
      double share = 1 - Math.pow(2, -n.fret() / 12);
      double loops = share * n.harmonic();
      assertThat(loops).isCloseTo(Math.rint(loops), within(1e-9));
      assertThat(loops).isCloseTo(n.node(), within(1e-9));
    }
  }

  @Test
  void placesOfAPitchAreTheInverseOfTheTable() {
    List<HarmonicNode> all = HarmonicNode.all(Guitar.STEEL);
    int found = 0;
    for (int midi = 40; midi <= 64 + 34; midi++) {
      int wanted = midi;
      List<HarmonicNode> places = HarmonicNode.sounding(Guitar.STEEL, midi);
      assertThat(places)
          .containsExactlyElementsOf(all.stream().filter(n -> n.midi() == wanted).toList());
      found += places.size();
    }
    assertThat(found).isEqualTo(all.size());
    assertThat(all).hasSize(6 * 17);
  }

  @Test
  void aCapoRaisesWhatSoundsAndKeepsTheFretsCountedFromIt() {
    List<HarmonicNode> open = HarmonicNode.all(Guitar.STEEL);
    List<HarmonicNode> capo = HarmonicNode.all(Guitar.STEEL.withCapo(2));
    for (int n = 0; n < open.size(); n++) {
      assertThat(capo.get(n).fret()).isEqualTo(open.get(n).fret());
      assertThat(capo.get(n).midi()).isEqualTo(open.get(n).midi() + 2);
    }
  }
}
