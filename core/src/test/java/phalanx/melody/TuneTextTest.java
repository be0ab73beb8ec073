package phalanx.melody;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.technique.Technique;
import phalanx.technique.TechniqueText;
import phalanx.theory.Meter;
import phalanx.theory.Pitch;

class TuneTextTest {

  private static BarTune read(String text, String meter) {
    TuneReader.Result result = TuneReader.read(text, Meter.parse(meter).orElseThrow());
    assertThat(result.problems()).isEmpty();
    return result.tune();
  }

  /** Notes as pitch, place in eighths and length in eighths. */
  private static String notes(BarTune tune) {
    return tune.notes().stream()
        .map(
            n ->
                n.wants().stream()
                        .map(w -> w instanceof Want.Sound s ? s.pitch().toString() : w.toString())
                        .collect(Collectors.joining("+"))
                    + " "
                    + n.tick() / 2520.0
                    + "/"
                    + n.lengthTicks() / 2520.0)
        .collect(Collectors.joining(", "));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "g4 . b d'; 4/4; G4 0.0/4.0, B4 4.0/2.0, D6 6.0/2.0",
        "g4 . b d; 4/4; G4 0.0/4.0, B4 4.0/2.0, D5 6.0/2.0",
        "g; 3/4; G4 0.0/6.0",
        "e5 d c b a g f# e; 4/4; E5 0.0/1.0, D5 1.0/1.0, C5 2.0/1.0, B4 3.0/1.0, A4 4.0/1.0, G4 5.0/1.0, F♯4 6.0/1.0, E4 7.0/1.0",
        "[c d] - bb4+d .; 4/4; C5 0.0/1.0, D5 1.0/1.0, B♭4+D5 4.0/4.0",
        "a . b c . d; 6/8; A4 0.0/2.0, B4 2.0/1.0, C5 3.0/2.0, D5 5.0/1.0",
        "- - g, -; 4/4; G3 4.0/2.0"
      })
  void cellsShareTheBarAndNotesAreTheNearest(String text, String meter, String notes) {
    assertThat(notes(read(text, meter))).isEqualTo(notes);
  }

  @Test
  void placesSlursGracesAndHeldNotesAreRead() {
    BarTune tune = read(". ^a@2 {b}_g 2:3", "4/4");
    assertThat(tune.heldTicks()).isEqualTo(5040);
    assertThat(tune.notes().get(0).slur()).contains(Slur.HAMMER_ON);
    assertThat(tune.notes().get(0).wants())
        .containsExactly(new Want.Sound(Pitch.parse("A4").orElseThrow(), Optional.of(4)));
    assertThat(tune.notes().get(1).slur()).contains(Slur.PULL_OFF);
    assertThat(tune.notes().get(1).graces()).hasSize(1);
    assertThat(tune.notes().get(2).wants()).containsExactly(new Want.Place(4, 3));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "g4 x . .; 4; expected a note such as",
        "g4 [a b; 4; expected ]",
        "g a b c d e f g a b c; 1; 11 cells do not share",
        "g4 . 2:30 .; 6; expected a note such as",
        "g4 []  . .; 4; expected notes in"
      })
  void whatCannotBeReadHasItsPlace(String text, int column, String message) {
    TuneReader.Result result = TuneReader.read(text, new Meter(4, 4));
    assertThat(result.problems().get(0).column()).isEqualTo(column);
    assertThat(result.problems().get(0).message()).startsWith(message);
  }

  /** Grids that do not meet the beats are written all the same. */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "[c4 d e f g] [a b c] d; 4/4",
        "[c4 d e f g a b] . e; 4/4",
        "c4 [d e f] [g a b c d] . e; 5/4"
      })
  void everyTypedBarCanBeWritten(String text, String meter) {
    Meter in = Meter.parse(meter).orElseThrow();
    BarTune typed = read(text, meter);
    assertThat(TuneReader.read(TuneWriter.write(typed, in), in).tune()).isEqualTo(typed);
  }

  /** Round trip: what is written is read back as the same notes. */
  @Property(tries = 400)
  void whatIsWrittenIsReadBack(@ForAll("bars") BarTune tune) {
    String text = TuneWriter.write(tune, Meter.FOUR_FOUR);
    assertThat(read(text, "4/4")).as(text).isEqualTo(tune);
  }

  @Provide
  Arbitrary<BarTune> bars() {
    Arbitrary<Integer> numbers = Arbitraries.integers().between(0, 999);
    return numbers
        .list()
        .ofMinSize(1)
        .ofMaxSize(9)
        .map(
            list -> {
              List<TuneNote> notes = new ArrayList<>();
              int parts = 1 + list.get(0) % 6;
              int held = list.get(0) % 3 == 0 ? 5040 / parts : 0;
              int at = held;
              for (int n : list) {
                int start = at + n % 2 * 5040 / parts;
                int length = (1 + n % 5) * 5040 / parts;
                if (start + length <= 20160) {
                  notes.add(note(start, length, n));
                  at = start + length;
                }
              }
              return new BarTune(held, notes);
            });
  }

  private static TuneNote note(int start, int length, int n) {
    String[] names = {"C4", "F#4", "Bb3", "E5", "A4", "D6", "G3"};
    Want want =
        n % 7 == 6
            ? new Want.Place(n % 6, n % 20)
            : new Want.Sound(
                Pitch.parse(names[n % names.length]).orElseThrow(),
                n % 4 == 0 ? Optional.of(n % 6) : Optional.empty());
    Optional<Slur> slur = n % 5 == 0 ? Optional.of(Slur.values()[n % 3]) : Optional.empty();
    List<Want> graces =
        n % 11 == 0
            ? List.of(new Want.Sound(Pitch.parse("A5").orElseThrow(), Optional.empty()))
            : List.of();
    List<String> words = List.copyOf(TechniqueText.all());
    boolean plain = n % 3 != 0 || slur.isPresent();
    Set<Technique> techniques =
        plain ? Set.of() : Set.of(TechniqueText.of(words.get(n % words.size())).orElseThrow());
    return new TuneNote(start, length, List.of(want), slur, graces, techniques);
  }
}
