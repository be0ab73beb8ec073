package phalanx.embellishment;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.melody.BarTune;
import phalanx.melody.Slur;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.NoteName;

/** Fills made of a tune, written and read, over other chords, with an ending. */
class FillMakerTest {

  private static final NoteName G = NoteName.parse("G").orElseThrow();

  private static FillMaker.Result of(String chords, int bars, String... tune) {
    Song song = TestSongs.singing(TestSongs.of(chords), tune);
    List<Integer> ids = List.of(1, 2).subList(0, bars);
    return FillMaker.of(song, ids, TestSongs.chord(chords.split(" ")[0]), "Mine");
  }

  @ParameterizedTest
  @CsvSource({
    "G, - . b4 g, 2, 3 1, b3 1",
    "G, - . b4 d4, 2, 3' 5, b3' 5",
    "C, - . [e5 d] c, 2, 3 2 1 ., b3 2 1 .",
    "A, - [e5@1 ^f#@1] d . , 3, 5@1' ^6@1' 4' ., ",
  })
  void aTuneBecomesDegrees(String chord, String tune, int beats, String major, String bluesy) {
    Fill fill = of(chord, 1, tune.strip()).fill().orElseThrow();
    assertThat(fill.beats()).isEqualTo(beats);
    if (bluesy != null) {
      assertThat(fill.lines())
          .isEqualTo(Map.of(Fill.Colour.MAJOR, major, Fill.Colour.BLUESY, bluesy));
    }
    assertThat(FillReader.read(FillWriter.write(fill)).fills()).containsExactly(fill);
  }

  /** What was saved comes back as it was over the chord it was taken from. */
  @Test
  void aSavedFillIsTheTuneItWasMadeOf() {
    String bar = "- g4@2 [b4 ^c5] {c5}/d5";
    Song song = TestSongs.singing(TestSongs.of("G"), bar);
    Fill fill = FillMaker.of(song, List.of(1), TestSongs.chord("G"), "Mine").fill().orElseThrow();
    BarTune tune = song.tune().at(1, song.chart());
    BarTune back = fill.over(Fill.Colour.MAJOR, 67, G);
    assertThat(back.notes()).hasSameSizeAs(tune.notes());
    for (int i = 0; i < tune.notes().size(); i++) {
      assertThat(back.notes().get(i).wants()).isEqualTo(tune.notes().get(i).wants());
      assertThat(back.notes().get(i).graces()).isEqualTo(tune.notes().get(i).graces());
      assertThat(back.notes().get(i).slur()).isEqualTo(tune.notes().get(i).slur());
      assertThat(back.notes().get(i).tick()).isEqualTo(tune.notes().get(i).tick() - 5040);
    }
  }

  /** A bluesy line stays as it is, and major gets the major third. */
  @Test
  void aBluesyTuneIsTheBluesyColour() {
    Fill fill = of("G", 1, "- . a#4 g").fill().orElseThrow();
    assertThat(fill.lines().get(Fill.Colour.BLUESY)).isEqualTo("b3 1");
    assertThat(fill.lines().get(Fill.Colour.MAJOR)).isEqualTo("3 1");
  }

  @Test
  void whatIsNoFillSaysWhy() {
    assertThat(of("G", 1, "").trouble()).contains("no tune");
    assertThat(of("G", 1, "- . . b5(h7)").trouble()).contains("natural harmonic");
    Song long_ = TestSongs.singing(TestSongs.of("| G | C | D |"), "g4 a b c", "d g a b", "g . . .");
    assertThat(FillMaker.of(long_, List.of(1, 2, 3), TestSongs.chord("D"), "x").trouble())
        .contains("1 to 8 whole quarters");
  }

  @Test
  void twoBarsAreOneFillAndATieGoesOn() {
    Song song = TestSongs.singing(TestSongs.of("| G | G |"), "- . g4 b", ". d5 b g");
    Fill fill = FillMaker.of(song, List.of(1, 2), TestSongs.chord("G"), "x").fill().orElseThrow();
    assertThat(fill.beats()).isEqualTo(6);
    assertThat(fill.over(Fill.Colour.MAJOR, 67, G).notes())
        .extracting(n -> n.lengthTicks() / 5040)
        .containsExactly(1, 2, 1, 1, 1);
  }

  /** The third of a chord and a fill’s third must agree (common practice, no source). */
  @ParameterizedTest
  @CsvSource({
    "G, major, true",
    "G7, bluesy, true",
    "Gm, major, false",
    "Gm7, bluesy, true",
    "Gsus4, major, true"
  })
  void aMajorThirdGratesOverAMinorChord(String chord, String colour, boolean goes) {
    Fill fill = FillReader.read("name: x\nbeats: 1\nmajor: [3 1]\nbluesy: [b3 1]\n").fills().get(0);
    Fill.Colour in = colour.equals("major") ? Fill.Colour.MAJOR : Fill.Colour.BLUESY;
    assertThat(fill.clash(in, TestSongs.chord(chord)).isEmpty()).isEqualTo(goes);
  }

  @Test
  void aFillForMinorChordsSaysSo() {
    FillReader.Result read =
        FillReader.read("name: x\nover: minor\nbeats: 1\nmajor: [5 1]\nbluesy: [b7 1]\n");
    assertThat(read.problems()).isEmpty();
    assertThat(read.fills().get(0).over()).isEqualTo(Set.of(Fill.Kind.MINOR));
    assertThat(read.fills().get(0).clash(Fill.Colour.MAJOR, TestSongs.chord("G")))
        .hasValueSatisfying(w -> assertThat(w).contains("written over minor chords"));
    assertThat(FillReader.read("name: x\nover: happy\nbeats: 1\nmajor: 5\nbluesy: 1\n").problems())
        .singleElement()
        .satisfies(p -> assertThat(p.message()).contains("after “over:”"));
  }

  @Test
  void theMostAlikeHasTheSmallestDifference() {
    List<Fill> fills =
        FillReader.read(
                "name: a\nbeats: 2\nmajor: 5 3 2 1\nbluesy: 5 b3 2 1\n"
                    + "name: b\nbeats: 2\nmajor: 5 3 1 .\nbluesy: 5 b3 1 .\n"
                    + "name: c\nbeats: 4\nmajor: 1 2 3 5\nbluesy: 1 2 b3 5\n")
            .fills();
    Fill a = fills.get(0);
    assertThat(a.unlike(a, Fill.Colour.MAJOR)).isZero();
    assertThat(a.unlike(fills.get(1), Fill.Colour.MAJOR)).isEqualTo(1);
    assertThat(a.unlike(fills.get(2), Fill.Colour.MAJOR)).isGreaterThan(3);
  }

  @Test
  void aSlideComesFromAWholeToneBelow() {
    Song song =
        Ending.SLIDE.ways(TestSongs.singing(TestSongs.of("G"), "g4 a b d"), 1, 15120).get(0);
    assertThat(song.tune().at(1, song.chart()).notes().get(3))
        .satisfies(
            n -> {
              assertThat(n.slur()).contains(Slur.SLIDE);
              assertThat(n.graces().toString()).contains("C5");
            });
  }
}
