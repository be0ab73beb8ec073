package phalanx.picking;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.technique.Technique;
import phalanx.theory.Meter;

class PatternTextTest {

  private static final String GOOD =
      """
      # a remark
      name: Mixed grids
      about: a triplet against eighths
      metre: 3/4
      tune  | . o | . | o |
      inner | o o o | . | . |
      thumb | o | o | . . . . o |
      """;

  @Test
  void readsRowsThatCutTheirBeatsDifferently() {
    PatternReader.Result result = PatternReader.read(GOOD);
    assertThat(result.problems()).isEmpty();
    WrittenPattern pattern = result.patterns().get(0);
    assertThat(pattern.title()).isEqualTo("Mixed grids");
    assertThat(pattern.meter()).isEqualTo(new Meter(3, 4));
    assertThat(pattern.pattern().steps())
        .extracting(Pattern.Step::tick)
        .containsExactly(0, 1680, 2520, 3360, 5040, 10080, 10080 + 4032);
    assertThat(pattern.pattern().steps().get(0).roles())
        .containsExactlyInAnyOrder(Role.INNER, Role.THUMB);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "tune  | . o |; tune  | . ö |; 5; 11; expected o for a stroke",
        "tune  | . o |; tone  | . o |; 5; 1; expected a row",
        "metre: 3/4; metre: 3/5; 4; 8; expected a metre such as 4/4",
        "inner | o o o |; inner | o o o o o o o o o |; 6; 8; expected 1 to 8 parts in a beat, found 9",
        "thumb | o | o | . . . . o |; thumb | o | o |; 2; 1; the rows of",
        "inner |; tune |; 6; 1; the row “tune” stands twice",
        "name: Mixed grids; ; 3; 1; expected “name:” before a pattern"
      })
  void aFaultHasItsPlaceAndTheOtherPatternsStay(
      String right, String wrong, int line, int column, String message) {
    String bad = GOOD.replace(right, wrong == null ? "" : wrong);
    PatternReader.Result result =
        PatternReader.read(bad + "\nname: Good\nthumb | o | o | o | o |\n");
    assertThat(result.patterns()).extracting(WrittenPattern::title).containsExactly("Good");
    PatternReader.Problem first = result.problems().get(0);
    assertThat(first.line()).isEqualTo(line);
    assertThat(first.column()).isEqualTo(column);
    assertThat(first.message()).startsWith(message);
  }

  private static final String RICH =
      """
      name: Everything
      metre: 4/4
      order: A A B
      bar: A
      tune   | o! . | (m) = | o~3 . . . | . o |
      inner  | i . | . | . | . |
      thumb  | o | o | o | . o |
      hits   | . | nail | . | heel |
      roll   | / | . | . | . |
      next   | . . | . . | . . | . > |
      bar: B
      brush  | 6-1n! | . | (1-4) | . |
      bar: end
      upper  | o | . | . | . |
      root   | o | . | . | . |
      roll   | \\3 | . | . | . |
      """;

  @Test
  void everyKindOfStrokeHasItsWord() {
    PatternReader.Result result = PatternReader.read(RICH);
    assertThat(result.problems()).isEmpty();
    WrittenPattern rich = result.patterns().get(0);
    assertThat(rich.bars()).isEqualTo(3);
    Pattern.Step one = rich.pattern().steps().get(0);
    assertThat(one.roll()).contains(new Roll(true, 1));
    assertThat(one.strokes())
        .containsExactly(
            new Stroke.Pluck(Role.TUNE, Force.ACCENTED, Optional.empty()),
            new Stroke.Pluck(Role.INNER, Force.PLAIN, Optional.of(PickFinger.I)),
            Stroke.Pluck.of(Role.THUMB));
    assertThat(PatternEdits.step(rich.pattern(), 5040).strokes())
        .contains(
            new Stroke.Pluck(Role.TUNE, Force.SOFT, Optional.of(PickFinger.M)),
            new Stroke.Knock(HitKind.NAIL_TAP, Force.PLAIN));
    assertThat(PatternEdits.step(rich.pattern(), 7560).strokes())
        .containsExactly(new Stroke.Stop(Role.TUNE));
    assertThat(PatternEdits.step(rich.pattern(), 17640).early()).isTrue();
    assertThat(PatternEdits.step(rich.pattern(), 40320).strokes())
        .containsExactly(new Stroke.Brush(0, 5, Touch.NAILS, Force.ACCENTED));
    assertThat(rich.ending().orElseThrow().steps().get(0).roll()).contains(new Roll(false, 3));
    WrittenPattern back = PatternReader.read(PatternWriter.write(rich)).patterns().get(0);
    assertThat(back).isEqualTo(rich);
    assertThat(PatternWriter.write(rich)).contains("order: A A B", "bar: end");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "nail;clack;8;14;expected a hit: click, palm, nail, tip, slap, heel",
        "6-1n!;6-7;12;10;expected a brush such as 6-1",
        "'. > |';'> > |';10;28;the next chord comes half a beat",
        "order: A A B;order: A C;3;1;there is no bar “C”",
        "bar: B;bar: A;11;6;expected another name of a bar",
        "heel;slap;8;27;the thumb cannot do two things at once",
        "(m);(z);5;17;expected o for a stroke"
      })
  void aFaultInARichPatternHasItsPlace(
      String right, String wrong, int line, int column, String message) {
    String bad = RICH.replace("| heel |", "| . heel |").replace(right, wrong);
    PatternReader.Result result = PatternReader.read(bad);
    assertThat(result.patterns()).isEmpty();
    PatternReader.Problem first = result.problems().get(0);
    assertThat(first.message()).startsWith(message);
    assertThat(first.line()).isEqualTo(line);
    assertThat(first.column()).isEqualTo(column);
  }

  @Test
  void sixStrokesForFiveFingersAreRefusedWithTheReason() {
    WrittenPattern full =
        PatternReader.read(
                """
                name: Full
                metre: 4/4
                tune   | o | . | . | . |
                upper  | o | . | . | . |
                middle | o | . | . | . |
                inner  | o | . | . | . |
                thumb  | o | . | . | . |
                """)
            .patterns()
            .get(0);
    PatternEdits.Result tooMuch =
        PatternEdits.toggle(full, new Stroke.Knock(HitKind.NAIL_TAP, Force.PLAIN), 0);
    assertThat(tooMuch)
        .isEqualTo(new PatternEdits.Result.Refused("Six strokes at once for five fingers"));
    assertThat(PatternEdits.early(full, 5040)).isInstanceOf(PatternEdits.Result.Refused.class);
    assertThat(PatternEdits.early(full, 17640)).isInstanceOf(PatternEdits.Result.Done.class);
    assertThat(PatternEdits.doubled(full).bars()).isEqualTo(2);
    assertThat(PatternEdits.halved(PatternEdits.doubled(full)).pattern().steps())
        .isEqualTo(full.pattern().steps());
  }

  /** Thirds and quarters of one beat in one row would need twelve parts. */
  @Test
  void gridsThatCannotBeWrittenInOneRowAreRefused() {
    WrittenPattern thirds =
        PatternReader.read("name: x\nmetre: 4/4\ntune | o o . | . | . | . |\n").patterns().get(0);
    assertThat(PatternEdits.toggle(thirds, Stroke.Pluck.of(Role.TUNE), 1260))
        .isInstanceOf(PatternEdits.Result.Refused.class);
    assertThat(PatternEdits.toggle(thirds, Stroke.Pluck.of(Role.TUNE), 2520))
        .isInstanceOf(PatternEdits.Result.Done.class);
    assertThat(PatternEdits.toggle(thirds, Stroke.Pluck.of(Role.UPPER), 1260))
        .isInstanceOf(PatternEdits.Result.Done.class);
  }

  /** Round trip: what is written is read back as the same strokes. */
  @Property(tries = 300)
  void whatIsWrittenIsReadBack(
      @ForAll @Size(min = 1, max = 14) List<@IntRange(max = 63) Integer> places,
      @ForAll @IntRange(min = 1, max = 8) int parts) {
    List<Role> roles = List.of(Role.THUMB, Role.INNER, Role.MIDDLE, Role.UPPER, Role.TUNE);
    TreeMap<Integer, TreeSet<Role>> strokes = new TreeMap<>();
    for (int place : places) {
      int tick = place % 8 * 5040 + place / 8 % parts * 5040 / parts;
      strokes.computeIfAbsent(tick, t -> new TreeSet<>()).add(roles.get(place % 5));
    }
    List<Pattern.Step> steps = new ArrayList<>();
    strokes.forEach((tick, set) -> steps.add(Pattern.Step.of(tick, set.toArray(Role[]::new))));
    WrittenPattern pattern =
        new WrittenPattern("p", "", Meter.FOUR_FOUR, new Pattern("p", 40320, steps));
    PatternReader.Result back = PatternReader.read(PatternWriter.write(pattern));
    assertThat(back.problems()).isEmpty();
    WrittenPattern read = back.patterns().get(0);
    assertThat(read.bars()).isEqualTo(2);
    assertThat(read.pattern().steps()).hasSameSizeAs(steps);
    for (int i = 0; i < steps.size(); i++) {
      assertThat(read.pattern().steps().get(i).tick()).isEqualTo(steps.get(i).tick());
      assertThat(read.pattern().steps().get(i).roles())
          .containsExactlyInAnyOrderElementsOf(steps.get(i).roles());
    }
  }

  /** Nothing that is written into a pattern file stops the reader. */
  @Property(tries = 300)
  void anyTextIsRead(@ForAll("texts") String text) {
    PatternReader.read(text)
        .problems()
        .forEach(p -> assertThat(p.line()).isBetween(1, (int) text.lines().count()));
  }

  @Provide
  Arbitrary<String> texts() {
    return Arbitraries.of(
            "name: x", "metre: 6/8", "tune | o |", "thumb", "| o", "o", "", "thumb|.o|", "metre:")
        .list()
        .ofMaxSize(7)
        .map(lines -> String.join("\n", lines));
  }

  @Test
  void strokesHaveTechniquesThatNeedNoPlaceOfTheirOwn() {
    String text =
        "name: x\nmetre: 4/4\nupper | . | (m:pop) | . | o:t12 |\nthumb | o:pm | p:slap! | o:pm | . |\n";
    PatternReader.Result read = PatternReader.read(text);
    assertThat(read.problems()).isEmpty();
    WrittenPattern pattern = read.patterns().get(0);
    assertThat(PatternEdits.step(pattern.pattern(), 0).strokes())
        .containsExactly(Stroke.Pluck.of(Role.THUMB).played(Set.of(Technique.Plain.PALM_MUTE)));
    assertThat(PatternReader.read(PatternWriter.write(pattern)).patterns().get(0))
        .isEqualTo(pattern);
    for (String word : List.of("o:h", "o:b1", "o:v", "o:", "o:pm,slap,pop", "o~3:pm")) {
      String wrong = text.replace("o:pm |", word + " |");
      assertThat(PatternReader.read(wrong).problems()).as(word).isNotEmpty();
    }
  }

  /** A steady thumb damped by the heel under a ringing tune is one word, or one edit. */
  @Test
  void theWholeThumbIsMutedAtOnce() {
    String rows = "upper | . | o | . | o |\nthumb | o | p:slap | o | (o) |\n";
    WrittenPattern plain = PatternReader.read("name: x\n" + rows).patterns().get(0);
    WrittenPattern muted = PatternReader.read("name: x\nmute: thumb\n" + rows).patterns().get(0);
    assertThat(PatternEdits.isThumbMuted(plain.pattern())).isFalse();
    assertThat(PatternEdits.isThumbMuted(muted.pattern())).isTrue();
    assertThat(PatternEdits.thumbMuted(plain).pattern().steps()).isEqualTo(muted.pattern().steps());
    assertThat(PatternEdits.thumbMuted(muted).pattern().steps()).isEqualTo(plain.pattern().steps());
    assertThat(muted.pattern().steps())
        .flatExtracting(s -> s.plucks().map(p -> p.techniques().toString()).toList())
        .containsExactly("[PALM_MUTE]", "[]", "[SLAP]", "[PALM_MUTE]", "[]", "[PALM_MUTE]");
    assertThat(PatternReader.read("name: x\nmute: all\n" + rows).problems())
        .singleElement()
        .satisfies(p -> assertThat(p.message()).contains("expected “thumb”"));
  }
}
