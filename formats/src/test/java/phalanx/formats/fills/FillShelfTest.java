package phalanx.formats.fills;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.advice.FillFitting;
import phalanx.advice.FillTry;
import phalanx.advice.FittedRun;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Group;
import phalanx.arrangement.Note;
import phalanx.embellishment.Ending;
import phalanx.embellishment.Fill;
import phalanx.embellishment.FillReader;
import phalanx.melody.Want;
import phalanx.planning.Arranger;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Meter;
import phalanx.theory.NoteName;

class FillShelfTest {

  private static final Arranger ARRANGER = new Arranger();

  /**
   * Degrees of the major scale, and of the minor one with the sixth raised, or with the major
   * third.
   */
  private static final Set<Integer> MAJOR = Set.of(0, 2, 4, 5, 7, 9, 11);

  private static final Set<Integer> BLUESY = Set.of(0, 2, 3, 4, 5, 7, 9, 10);

  @Test
  void sixtyFillsOrMoreInBothColours() {
    assertThat(FillShelf.all()).hasSizeGreaterThanOrEqualTo(60);
    assertThat(written("[\\^_/]")).as("with hammer-ons, pull-offs or slides").isGreaterThan(8);
    assertThat(written("\\+")).as("with double stops").isGreaterThan(6);
    assertThat(written("[567],")).as("that go below the root").isGreaterThan(5);
    assertThat(FillShelf.all()).extracting(Fill::name).doesNotHaveDuplicates();
    assertThat(FillShelf.all()).extracting(Fill::beats).contains(1, 2, 4, 8);
    for (Fill fill : FillShelf.all()) {
      assertThat(degrees(fill, Fill.Colour.MAJOR)).as(fill.name()).isSubsetOf(MAJOR);
      assertThat(degrees(fill, Fill.Colour.BLUESY)).as(fill.name()).isSubsetOf(BLUESY);
      assertThat(degrees(fill, Fill.Colour.MAJOR))
          .as(fill.name())
          .isNotEqualTo(degrees(fill, Fill.Colour.BLUESY));
    }
  }

  private static long written(String sign) {
    Pattern has = Pattern.compile(sign);
    return FillShelf.all().stream()
        .filter(f -> has.matcher(f.lines().get(Fill.Colour.MAJOR)).find())
        .count();
  }

  private static Set<Integer> degrees(Fill fill, Fill.Colour colour) {
    return fill.over(colour, 60, NoteName.parse("C").orElseThrow()).notes().stream()
        .flatMap(n -> n.wants().stream())
        .map(w -> ((Want.Sound) w).pitch().midi() % 12)
        .collect(Collectors.toSet());
  }

  /**
   * The chords on I, IV and V of G, C, D, A and E: nineteen fills in twenty go over them where the
   * hand is, in both colours, and what is hard of the others is said. Over C, whose thirds lie
   * where no finger is left over its bass, fewer do.
   */
  @Test
  void fillsAreComfortableOverTheirChords() {
    int all = 0;
    int hard = 0;
    for (String chord : List.of("G", "C", "D", "A", "E", "F", "B")) {
      List<String> here = hard(chord);
      int tried = FillShelf.all().size() * Fill.Colour.values().length;
      assertThat(here).as(chord).hasSizeLessThan(tried / 8);
      all += tried;
      hard += here.size();
    }
    assertThat(hard).isLessThan(all / 20);
  }

  /** Why fills do not go over a chord; those that do lose no note. */
  private static List<String> hard(String chord) {
    List<String> hard = new ArrayList<>();
    NoteName root = NoteName.parse(chord).orElseThrow();
    for (Fill fill : FillShelf.all()) {
      for (Fill.Colour colour : Fill.Colour.values()) {
        FillTry tried = tried(song(chord, fill), 0, chord, fill, colour);
        tried.why().ifPresent(why -> hard.add(fill.name() + ": " + why));
        if (tried.fits()) {
          assertThat(tried.fitted().orElseThrow().notes())
              .as(fill.name())
              .hasSameSizeAs(
                  fill.over(colour, 60, root).notes().stream()
                      .flatMap(n -> n.wants().stream())
                      .toList());
        }
      }
    }
    return hard;
  }

  private static FillTry tried(Song song, int tick, String chord, Fill fill, Fill.Colour colour) {
    return new FillFitting(ARRANGER, song, new SlotRef(1, tick), TestSongs.chord(chord))
        .of(fill, colour, Ending.PLAIN);
  }

  private static Song song(String chord, Fill fill) {
    Song song = TestSongs.of(chord).withTempo(100);
    return song.withFeel(song.feel().withMeter(new Meter(Math.max(4, fill.beats()), 4)));
  }

  @Test
  void aFillGivesWayToNothingAndTakesNothingBeforeIt() {
    Fill fill = FillShelf.all().get(0);
    Song song = TestSongs.singing(TestSongs.of("G"), "g3 b d4 b3");
    FittedRun fitted = tried(song, 0, "G", fill, Fill.Colour.MAJOR).fitted().orElseThrow();
    var notes = fitted.song().tune().bars().get(1).notes();
    assertThat(notes.subList(0, 2)).isEqualTo(song.tune().bars().get(1).notes().subList(0, 2));
    assertThat(notes).hasSize(2 + 4);
    FillTry late = tried(song, 10080 + 1, "G", fill, Fill.Colour.MAJOR);
    assertThat(late.fitted()).isEmpty();
    assertThat(late.why()).hasValueSatisfying(w -> assertThat(w).contains("it lasts 2 quarters"));
  }

  /** With each ending hung on: still within comfort, and heard as what it is. */
  @ParameterizedTest
  @EnumSource(Ending.class)
  void endingsAreHungOn(Ending ending) {
    Fill fill = FillShelf.all().get(1);
    List<String> hard = new ArrayList<>();
    for (String chord : List.of("G", "C", "D", "A", "E")) {
      FillTry tried =
          new FillFitting(ARRANGER, song(chord, fill), new SlotRef(1, 0), TestSongs.chord(chord))
              .of(fill, Fill.Colour.MAJOR, ending);
      FittedRun fitted = tried.fitted().orElseThrow();
      tried.why().ifPresent(why -> hard.add(chord + ": " + why));
      Note last = fitted.notes().get(fitted.notes().size() - 1);
      switch (ending) {
        case SLIDE -> assertThat(last.attack()).as(chord).isEqualTo(Attack.SLID);
        case ROLL ->
            assertThat(fitted.arrangement().notes())
                .as(chord)
                .filteredOn(n -> n.tick() == last.tick() && n.group() == Group.ROLL)
                .hasSizeGreaterThan(1);
        case BRUSH ->
            assertThat(fitted.arrangement().notes())
                .as(chord)
                .filteredOn(n -> n.tick() == last.tick() && n.isBrushed())
                .hasSizeGreaterThan(1);
        default -> assertThat(last.attack()).isEqualTo(Attack.PLUCKED);
      }
    }
    assertThat(hard).isEmpty();
  }

  @Test
  void whereOneDoesNotFitTheNearestDoes() {
    Song gm = song("Gm", FillShelf.all().get(0));
    FillFitting fitting = new FillFitting(ARRANGER, gm, new SlotRef(1, 0), TestSongs.chord("Gm"));
    List<FillTry> tried =
        FillShelf.all().stream()
            .limit(12)
            .map(f -> fitting.of(f, Fill.Colour.MAJOR, Ending.PLAIN))
            .toList();
    FillTry home = tried.get(0);
    assertThat(home.why()).contains("its major third grates against Gm");
    assertThat(FillTry.nearest(home.fill(), tried))
        .hasValueSatisfying(
            n -> assertThat(n.fill().degrees(Fill.Colour.MAJOR)).noneMatch(d -> d % 12 == 4));
  }

  /**
   * A pick-up has only the room it has, and tried in short a fill lies where it lies in the song.
   */
  @Test
  void aPickUpHasLessRoomAndAnExcerptIsLikeTheSong() {
    Song plain = TestSongs.of("| E7 | Am | Dm | E7 |").withTempo(100);
    Song song = plain.withFeel(plain.feel().withPickup(7560));
    Fill two = FillShelf.all().get(0);
    assertThat(tried(song, 0, "E7", two, Fill.Colour.MAJOR).why())
        .hasValueSatisfying(w -> assertThat(w).contains("has 1.5 here"));
    FillFitting whole = new FillFitting(ARRANGER, song, new SlotRef(4, 0), TestSongs.chord("E7"));
    for (Fill fill : FillShelf.all().subList(0, 6)) {
      FittedRun here = whole.of(fill, Fill.Colour.MAJOR, Ending.PLAIN).fitted().orElseThrow();
      FittedRun inShort =
          whole.inShort().of(fill, Fill.Colour.MAJOR, Ending.PLAIN).fitted().orElseThrow();
      assertThat(inShort.notes())
          .extracting(Note::midi)
          .containsExactlyElementsOf(here.notes().stream().map(Note::midi).toList());
      assertThat(inShort.fromTick() % 20160).isEqualTo((here.fromTick() - 7560) % 20160);
    }
  }

  /** A fill of two bars begins in the bar before where the chord is held there already. */
  @ParameterizedTest
  @ValueSource(strings = {"4/4", "3/4", "2/4", "6/8"})
  void aLongFillBeginsInABarBefore(String metre) {
    Fill fill = FillShelf.all().stream().filter(f -> f.beats() == 8).findFirst().orElseThrow();
    Meter meter = Meter.parse(metre).orElseThrow();
    Song plain = TestSongs.of("| D | G | G | G | G | C |").withTempo(100);
    Song song = plain.withFeel(plain.feel().withMeter(meter));
    FillFitting fitting = new FillFitting(ARRANGER, song, new SlotRef(5, 0), TestSongs.chord("G"));
    FillTry tried = fitting.of(fill, Fill.Colour.MAJOR, Ending.PLAIN);
    FittedRun run = tried.fitted().orElseThrow();
    assertThat(run.fromTick()).isEqualTo(5 * meter.barTicks() - 8 * 5040);
    assertThat(run.notes())
        .hasSameSizeAs(fill.over(Fill.Colour.MAJOR, 55, NoteName.parse("G").orElseThrow()).notes());
    assertThat(run.song().tune().at(1, song.chart()).isSilent()).isTrue();
    assertThat(run.song().tune().at(6, song.chart()).isSilent()).isTrue();
    assertThat(
            fitting
                .inShort()
                .of(fill, Fill.Colour.MAJOR, Ending.PLAIN)
                .fitted()
                .orElseThrow()
                .notes())
        .hasSameSizeAs(run.notes());
  }

  @Test
  void aLongFillNeedsItsChordInTheBarBefore() {
    Fill fill = FillShelf.all().stream().filter(f -> f.beats() == 8).findFirst().orElseThrow();
    Song song = TestSongs.of("| G | C | G |").withTempo(100);
    FillTry tried =
        new FillFitting(ARRANGER, song, new SlotRef(3, 0), TestSongs.chord("G"))
            .of(fill, Fill.Colour.MAJOR, Ending.PLAIN);
    assertThat(tried.why())
        .hasValueSatisfying(w -> assertThat(w).contains("it lasts 8 quarters, and G has 4.0 here"));
  }

  @Test
  void whatIsNoFillIsSaidWithItsLine() {
    FillReader.Result read =
        FillReader.read(
            "name: A\nbeats: 2\nmajor: 5 3\nbluesy: 5 b3\n\nname: B\nbeats: 9\nmajor: 1\n"
                + "bluesy: 1\nname: C\nbeats: 1\nmajor: 9\nbluesy: 1\nloud: yes\n");
    assertThat(read.fills()).extracting(Fill::name).containsExactly("A");
    assertThat(read.problems()).extracting(FillReader.Problem::line).containsExactly(6, 14, 10);
  }
}
