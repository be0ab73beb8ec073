package phalanx.level;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import phalanx.arrangement.Arrangement;
import phalanx.fretting.FretRow;
import phalanx.melody.TuneReader;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.Density;
import phalanx.picking.PatternReader;
import phalanx.planning.Arranger;
import phalanx.song.OwnSongs;
import phalanx.song.Patterns.Scope;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Timeline;
import phalanx.theory.Key;
import phalanx.theory.Meter;

/**
 * An order that teachers agree on: of each pair the first is easier (common practice, no source),
 * and laws: slower, less, shorter is never harder.
 */
class PlanLevelTest {

  private static final Arranger ARRANGER = new Arranger();

  private static double level(Song song) {
    return PlanLevel.of(ARRANGER.arrange(song)).level();
  }

  private static Song thumb(String... chart) {
    return TestSongs.of(chart).withPattern(AlternatingThumb.THUMB_ALONE).withTempo(90);
  }

  private static Song between(String... chart) {
    return TestSongs.of(chart).withPattern(AlternatingThumb.FINGERS_BETWEEN).withTempo(90);
  }

  private static Song pattern(Song song, String... rows) {
    String text = "name: own\nmetre: 4/4\n" + String.join("\n", rows) + "\n";
    return song.withPattern(PatternReader.read(text).patterns().get(0));
  }

  private static Song block(Song song) {
    return pattern(
        song, "middle | . | o | . | o |", "upper | . | o | . | o |", "thumb | o | . | o | . |");
  }

  private static Song pins(Song song, int... frets) {
    List<Integer> row = new ArrayList<>();
    for (int fret : frets) {
      row.add(fret);
    }
    return song.pin(new SlotRef(1, 0), new FretRow(row));
  }

  private static Song tune(Song song, String... bars) {
    return TestSongs.singing(song, bars);
  }

  private record Pair(String name, Song easier, Song harder) {
    @Override
    public String toString() {
      return name;
    }
  }

  private static Pair pair(String name, Song easier, Song harder) {
    return new Pair(name, easier, harder);
  }

  static Stream<Pair> pairs() {
    Song open = between("G | C | D | G");
    Song plain = thumb("G | C | G | D");
    Song sung = tune(between("C | F | G | C").withKey(Key.parse("C")), "e4 . . .", "f4 . . .");
    return Stream.of(
        pair("one chord, two chords", thumb("Em | Em"), thumb("Em | Am")),
        pair("two chords, four chords", thumb("Em | Am | Em | Am"), thumb("Em | C | G | D")),
        pair("open, barre", between("Em | Am | Em | Am"), between("Fm | Bbm | Fm | Bbm")),
        pair("open, one small barre", between("C | Am | G | C"), between("C | F | G | C")),
        pair("G, F sharp", between("G | C | D | G"), between("F# | B | C# | F#")),
        pair("E, E flat", between("E | A | B7 | E"), between("Eb | Ab | Bb7 | Eb")),
        pair(
            "A minor, B flat minor", between("Am | Dm | E7 | Am"), between("Bbm | Ebm | F7 | Bbm")),
        pair(
            "triads, jazz chords",
            between("C | Am | Dm | G"),
            between("Bbmaj9 | Gm11 | Cm9 | F13")),
        pair("slow, quick", open.withTempo(60), open.withTempo(120)),
        pair("quick, very quick", open.withTempo(100), open.withTempo(180)),
        pair("thumb alone, fingers between", plain, between("G | C | G | D")),
        pair("blocks, fingers between", block(open), open),
        pair(
            "thumb on one and three, on every beat",
            pattern(open, "thumb | o | . | o | . |"),
            pattern(open, "thumb | o | o | o | o |")),
        pair(
            "pinches, syncopation",
            pattern(open, "tune | o | . | o | . |", "thumb | o | o | o | o |"),
            pattern(open, "tune | . o | . o | . o | . o |", "thumb | o | o | o | o |")),
        pair(
            "quarters, eighths",
            pattern(open, "upper | . | o | . | o |", "thumb | o | . | o | . |"),
            pattern(open, "upper | o o | o o | o o | o o |", "thumb | o | . | o | . |")),
        pair(
            "eighths, sixteenths",
            pattern(open, "upper | . o | . o | . o | . o |", "thumb | o | o | o | o |"),
            pattern(
                open,
                "upper | . o . o | . o . o | . o . o | . o . o |",
                "thumb | o | o | o | o |")),
        pair(
            "without hits, with hits",
            pattern(open, "upper | . o | . o | . o | . o |", "thumb | o | o | o | o |"),
            pattern(
                open,
                "upper | . o | . o | . o | . o |",
                "thumb | o | o | o | o |",
                "hits | . | click | . | click |")),
        pair(
            "one hit, four hits",
            pattern(open, "thumb | o | o | o | o |", "hits | . | . | . | click |"),
            pattern(open, "thumb | o | o | o | o |", "hits | click | click | click | click |")),
        pair(
            "chords alone, chords and tune",
            block(open),
            tune(open, "b4 . d5 .", "c5 . g4 .", "a4 b a f#")),
        pair(
            "a slow tune, a moving tune",
            sung,
            tune(sung, "e4 f g a", "f4 g a c5", "g4 a b d5", "c5 g4 e c")),
        pair(
            "tune in first position, tune at fret 9",
            tune(open, "b3 . d4 .", "c4 . e4 .", "a3 . d4 ."),
            tune(open, "b4 . d5 .", "c5 . e5 .", "a4 . d5 .")),
        pair(
            "plucked, hammered and pulled",
            tune(open, "b3 c4 b3 a3"),
            tune(open, "b3 ^c4 _b3 _a3")),
        pair("plain, bent", tune(open, "d4 . . ."), tune(open, "d4(b1) . . .")),
        pair("plain, harp harmonics", tune(open, "b3 . . ."), tune(open, "b3(t12) . . .")),
        pair("plain, vibrato", tune(open, "d4 . . ."), tune(open, "d4(vw) . . .")),
        pair(
            "short, long",
            open,
            between("G | C | D | Em | Am | C | D7 | G", "Em | Bm | C | D | G | Am | D7 | G")),
        pair(
            "again and again, always new",
            between("G | C | G | C | G | C | G | C"),
            between("G | Am | Bm | C | D | Em | A7 | D7")),
        pair(
            "a chord a bar, two a bar",
            block(between("G | C | D | G")),
            block(between("G C | D G | G C | D G"))),
        pair(
            "two a bar, four a bar",
            block(between("G C | D G")),
            block(between("G C D G | Em Am D G"))),
        pair(
            "close shape, wide shape",
            pins(between("G | G"), 3, 2, 0, 0, 0, 3),
            pins(between("G | G"), 3, -1, 5, 4, 3, 7)),
        pair(
            "open E, barred E",
            pins(thumb("E | E"), 0, 2, 2, 1, 0, 0),
            pins(thumb("E | E"), -1, 7, 9, 9, 9, 7)),
        pair(
            "first position, ninth",
            pins(thumb("Am | Am"), -1, 0, 2, 2, 1, 0),
            pins(thumb("Am | Am"), -1, 12, 10, 9, 10, -1)),
        pair(
            "small barre, full barre",
            pins(between("F | F"), -1, -1, 3, 2, 1, 1),
            pins(between("F | F"), 1, 3, 3, 2, 1, 1)),
        pair("with capo, without", between("G | C | D | G"), between("Bb | Eb | F | Bb")),
        pair(
            "thumb and tune, the whole pattern",
            dense(sung, Density.TUNE),
            dense(sung, Density.FULL)),
        pair("thumb alone, thumb and tune", dense(sung, Density.THUMB), dense(sung, Density.TUNE)),
        pair(
            "waltz bass, waltz with eighths",
            waltz("upper | . | o | o |"),
            waltz("upper | . o | o o | o o |")),
        pair(
            "two bars, the same with F sharp minor",
            between("A | D"),
            between("A | D", "F#m | Bm")),
        pair("E minor alone, F minor alone", between("Em | Em"), between("Fm | Fm")),
        pair(
            "open sevenths, altered",
            between("A7 | D7 | E7 | A7"),
            between("A7 | D7b9 | E7#9 | A7b13")),
        pair(
            "easy song, hard song",
            OwnSongs.all().get("Pebble Song"),
            OwnSongs.all().get("Night Tram")));
  }

  private static Song dense(Song song, Density density) {
    return song.withDensities(
        song.picking().densities().with(new Scope.WholeSong(), Optional.of(density)));
  }

  private static Song waltz(String row) {
    Song song = TestSongs.of("G | C | D | G");
    Song three = song.withFeel(song.feel().withMeter(Meter.parse("3/4").orElseThrow()));
    String text = "name: own\nmetre: 3/4\n" + row + "\nthumb | o | . | . |\n";
    return three.withTempo(100).withPattern(PatternReader.read(text).patterns().get(0));
  }

  @ParameterizedTest
  @MethodSource("pairs")
  void teachersOrderIsKept(Pair pair) {
    double easier = level(pair.easier());
    double harder = level(pair.harder());
    System.out.printf("%-45s %.2f %.2f%n", pair.name(), easier, harder);
    assertThat(easier).isLessThan(harder);
  }

  @Test
  void thereAreFortyPairs() {
    assertThat(pairs()).hasSizeGreaterThanOrEqualTo(40);
  }

  static Stream<Map.Entry<String, Song>> songs() {
    return OwnSongs.all().entrySet().stream();
  }

  /** The same plan slower is never harder, and parts add up. */
  @ParameterizedTest
  @MethodSource("songs")
  void slowerIsNeverHarder(Map.Entry<String, Song> song) {
    Arrangement a = ARRANGER.arrange(song.getValue());
    double before = 0;
    for (double share : new double[] {0.5, 0.7, 0.9, 1, 1.2, 1.5}) {
      Song paced = a.song().paced(share * song.getValue().tempo());
      PlanLevel level =
          PlanLevel.of(
              new Arrangement(
                  paced,
                  Timeline.of(paced),
                  a.slots(),
                  a.notes(),
                  a.gestures(),
                  a.damps(),
                  a.holds(),
                  a.plan()));
      assertThat(level.level()).isBetween(PlanLevel.LOWEST, PlanLevel.HIGHEST);
      double now = level.level();
      assertThat(now).isGreaterThanOrEqualTo(before - 1e-9);
      before = now;
      assertThat(level.parts().stream().mapToDouble(PlanLevel.Part::share).sum())
          .isCloseTo(1, within(1e-9));
      assertThat(level.bars()).hasSize(a.timeline().bars().size());
    }
  }

  /** Fewer strokes of the same plan, as layers are practised: never harder. */
  @ParameterizedTest
  @MethodSource("songs")
  void fewerStrokesAreNeverHarder(Map.Entry<String, Song> song) {
    Arrangement a = ARRANGER.arrange(song.getValue());
    double before = PlanLevel.of(a).level();
    for (int layer = 0; layer < 2; layer++) {
      boolean tune = layer == 0;
      Arrangement fewer =
          new Arrangement(
              a.song(),
              a.timeline(),
              a.slots(),
              a.notes().stream()
                  .filter(
                      n -> n.part() == phalanx.arrangement.Note.Part.BASS || tune && a.isOfTune(n))
                  .toList(),
              List.of(),
              List.of(),
              a.holds(),
              a.plan());
      double now = PlanLevel.of(fewer).level();
      assertThat(now).isLessThanOrEqualTo(before + 1e-9);
      before = now;
    }
  }

  @Test
  void nothingToPlayIsTheLowest() {
    assertThat(level(TestSongs.of("N.C. | N.C."))).isCloseTo(PlanLevel.LOWEST, within(0.2));
    assertThat(TuneReader.read("c4", Meter.FOUR_FOUR).problems()).isEmpty();
  }
}
