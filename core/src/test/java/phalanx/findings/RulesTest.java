package phalanx.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.song.TestSongs.singing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Group;
import phalanx.arrangement.Note;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeTrial;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.Tuning;
import phalanx.performance.Performance;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.HandSchool;
import phalanx.picking.PatternReader;
import phalanx.picking.Role;
import phalanx.picking.ThumbRoute;
import phalanx.planning.Arranger;
import phalanx.song.NoteRef;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.suggestion.Suggestion;
import phalanx.suggestion.Suggestions;
import phalanx.theory.Key;

/**
 * Each rule finds what it is for, with its place and figure, and nothing where all is well. What is
 * hard where is common practice, no source.
 */
class RulesTest {

  private static final Arranger ARRANGER = new Arranger();
  private static final int BEAT = 5040;

  private static Song song(String chords) {
    return TestSongs.of(chords).withPattern(AlternatingThumb.FINGERS_BETWEEN);
  }

  private static Song holding(Song song, int bar, Integer... frets) {
    Shape shape =
        ShapeTrial.of(List.of(frets), new phalanx.fretting.Reach(song.guitar(), song.hand()))
            .fingerings()
            .get(0)
            .shape();
    return song.pin(new SlotRef(bar, 0), shape);
  }

  private static Song picking(Song song, String rows) {
    PatternReader.Result read = PatternReader.read("name: x\nmetre: 4/4\n" + rows);
    assertThat(read.problems()).isEmpty();
    return song.withPattern(read.patterns().get(0));
  }

  private static List<Found> in(Song song, Rule rule) {
    Arrangement a = ARRANGER.arrange(song);
    return rule.in(a, Performance.of(a));
  }

  /** The same where nobody stops a string. */
  private static Arrangement undamped(Arrangement a) {
    return new Arrangement(
        a.song(), a.timeline(), a.slots(), a.notes(), a.gestures(), List.of(), a.holds(), a.plan());
  }

  private static Found only(Song song, Rule rule) {
    assertThat(in(song, rule)).hasSize(1);
    return in(song, rule).get(0);
  }

  @Test
  void anOpenLowStringRingsIntoTheChordAfterIt() {
    Song song = holding(holding(song("E | D"), 1, 0, 2, 2, 1, 0, 0), 2, -1, 5, 4, 2, 3, 2);
    Arrangement a = undamped(ARRANGER.arrange(song.withThumb(ThumbRoute.STEADY)));
    List<Found> all = new RingsOver().in(a, Performance.of(a));
    assertThat(all).hasSize(1);
    Found found = all.get(0);
    assertThat(found.string()).contains(0);
    assertThat(found.bar()).isEqualTo(2);
    assertThat(found.finding().measured()).isEqualTo(4);
    assertThat(found.finding().message()).startsWith("⑥ rings on into D");
  }

  @Test
  void aFingerThatLeavesEndsItsNoteAndATonesOfTheNextChordMayRing() {
    Song fretted = holding(holding(song("G | D"), 1, 3, 2, 0, 0, 0, 3), 2, -1, 5, 4, 2, 3, 2);
    assertThat(in(fretted.withThumb(ThumbRoute.STEADY), new RingsOver()))
        .noneMatch(f -> f.string().equals(Optional.of(0)));
    Song shared = holding(holding(song("E | A"), 1, 0, 2, 2, 1, 0, 0), 2, -1, 0, 2, 2, 2, 0);
    assertThat(in(shared.withThumb(ThumbRoute.STEADY), new RingsOver()))
        .noneMatch(f -> f.string().equals(Optional.of(0)));
  }

  @Test
  void aStringThePatternAsksForAndTheShapeLeavesOutIsFound() {
    Song song =
        holding(
            picking(
                song("C7"),
                "tune | . . | . o | . . | . . |\nmiddle | . o | . . | . . | . . |\n"
                    + "thumb | o . | . . | o . | . . |\n"),
            1,
            -1,
            3,
            2,
            3,
            1,
            -1);
    Found found = only(song, new DeadStrings());
    assertThat(found.string()).contains(5);
    assertThat(found.tick()).isEqualTo(BEAT + BEAT / 2);
    assertThat(found.finding().message()).isEqualTo("① does not sound: played on ②");
    assertThat(in(holding(song, 1, -1, 3, 2, 3, 1, 0), new DeadStrings())).isEmpty();
  }

  @Test
  void aBrushOverAStringThatNothingMutesIsFound() {
    String brush = "brush | . | (6-1) | . | . |\n";
    Song song = picking(song("D"), brush);
    Song open = holding(song, 1, 0, -1, 0, 2, 3, 2);
    assertThat(in(open, new UnmutedStrings()))
        .extracting(f -> f.string().orElseThrow())
        .containsExactly(1);
    assertThat(in(holding(song, 1, -1, 0, 0, 2, 3, 2), new UnmutedStrings())).isEmpty();
  }

  @Test
  void aThumbThatStartsOnAnotherNoteIsFoundAndAPedalMeansTo() {
    Song song = holding(song("C"), 1, 0, -1, 2, 0, 1, 0);
    Found found = only(song, new ForeignBass());
    assertThat(found.finding().message()).isEqualTo("the thumb starts C on E, its bass is C");
    assertThat(found.finding().measured()).isEqualTo(4);
    assertThat(in(holding(song("C"), 1, -1, 3, 2, 0, 1, 0), new ForeignBass())).isEmpty();
    Song capo = song.withGuitar(song.guitar().withCapo(3));
    assertThat(only(capo, new ForeignBass()).finding().measured()).isEqualTo(4);
    Song pedal = song.withKey(Key.parse("E")).withThumb(ThumbRoute.PEDAL);
    assertThat(in(pedal, new ForeignBass())).isEmpty();
  }

  @Test
  void strokesTooQuickForOneFingerAreLeftOutAndFound() {
    Song song = picking(song("C"), "thumb | o o o o o o o o | o . | o . | o . |\n").withTempo(140);
    List<Found> found = in(song, new FingersTooSoon());
    assertThat(found).isNotEmpty();
    assertThat(found).allMatch(f -> f.finding().unit().equals("ms"));
    assertThat(found).allMatch(f -> f.finding().measured() < f.finding().limit());
    assertThat(in(song.withTempo(60), new FingersTooSoon())).isEmpty();
  }

  @Test
  void moreStringsThanFingersAreFound() {
    String block = "upper | o | . | . | . |\nmiddle | o | . | . | . |\ntune | o | . | . | . |\n";
    // Without a stroke of its own the thumb takes the lowest of the three.
    Song idle = holding(picking(song("C"), block), 1, -1, 3, 2, 0, 1, 0);
    assertThat(in(idle.withSchool(HandSchool.THUMB_AND_TWO), new FingersTooSoon())).isEmpty();
    block += "thumb | o | . | . | . |\n";
    Song song = holding(picking(song("C"), block), 1, -1, 3, 2, 0, 1, 0);
    Found found = only(song.withSchool(HandSchool.THUMB_AND_TWO), new FingersTooSoon());
    assertThat(found.finding().measured()).isEqualTo(3);
    assertThat(found.finding().limit()).isEqualTo(2);
    assertThat(found.finding().unit()).isEqualTo("fingers");
    assertThat(in(song, new FingersTooSoon())).isEmpty();
  }

  @Test
  void fingersAskedForTheWrongWayRoundAreFound() {
    Song song = picking(song("C"), "inner | a | . | . | . |\ntune | i | . | . | . |\n");
    List<Found> found = in(song, new Crossings());
    assertThat(found).isNotEmpty();
    assertThat(found.get(0).finding().message()).contains("cross another finger");
    String right = "inner | i | . | . | . |\ntune | a | . | . | . |\n";
    assertThat(in(picking(song("C"), right), new Crossings())).isEmpty();
  }

  @Test
  void aSlurThatCannotBeMadeIsFoundWithHowFarItIsOff() {
    Song song = singing(song("C"), "3:0 ^1:3 . .");
    Found strings = only(holding(song, 1, -1, 3, 2, 0, 1, 0), new LostSlurs());
    assertThat(strings.finding().unit()).isEqualTo("strings");
    assertThat(strings.finding().measured()).isPositive();
    Song down = singing(song("C"), "2:3 ^2:0 . .");
    Found way = only(holding(down, 1, -1, 3, 2, 0, 1, 0), new LostSlurs());
    assertThat(way.finding().unit()).isEqualTo("frets");
    assertThat(way.finding().measured()).isEqualTo(-3);
    Song fine = singing(song("C"), "2:1 ^2:3 . .");
    assertThat(in(holding(fine, 1, -1, 3, 2, 0, 1, 0), new LostSlurs())).isEmpty();
  }

  @Test
  void pinsThatContradictAreFound() {
    Song song = holding(song("D"), 1, -1, -1, 0, 2, 3, 2);
    NoteRef stroke = new NoteRef(1, BEAT / 2, Role.MIDDLE);
    Song pinned = song.withPins(song.pins().with(stroke, 0));
    Arrangement a = ARRANGER.arrange(picking(pinned, "middle | . o | . . | . . | . . |\n"));
    List<Found> found = new BrokenPins().in(a, Performance.of(a));
    assertThat(found).hasSize(1);
    assertThat(found.get(0).finding().message()).startsWith("⑥ is pinned");
    assertThat(found.get(0).tick()).isEqualTo(BEAT / 2);
  }

  @Test
  void aChordThatNoHandCanHoldIsFound() {
    Guitar wide = Guitar.STEEL.withTuning(Tuning.parse("E3 E3 E3 E3 E3 E3").orElseThrow());
    Song song = song("C13b9").withGuitar(wide).withHand(Hand.SMALL);
    Arrangement a = ARRANGER.arrange(song);
    assertThat(new MissingShapes().in(a, Performance.of(a))).hasSize(1);
    assertThat(in(song("C"), new MissingShapes())).isEmpty();
  }

  /** No plan strikes above its tune; one that was made so is found. */
  @Test
  void aNoteAboveTheTuneIsFound() {
    Arrangement a = ARRANGER.arrange(singing(song("C"), "c4 . . ."));
    assertThat(new TuneOnTop().in(a, Performance.of(a))).isEmpty();
    Note tune =
        a.notes().stream().filter(n -> n.part() == Note.Part.TUNE).findFirst().orElseThrow();
    List<Note> notes = new ArrayList<>(a.notes());
    notes.add(
        new Note(
            new Note.Time(BEAT / 2, BEAT, 0),
            new Note.Place(5, 0, tune.midi() + 4, Optional.empty()),
            Optional.empty(),
            Note.Part.INNER,
            new NoteRef(1, BEAT, Role.UPPER),
            new Note.Manner(
                Attack.PLUCKED, Group.ALONE, java.util.Set.of(), phalanx.picking.Force.PLAIN)));
    notes.sort(java.util.Comparator.comparingInt(Note::tick));
    Arrangement above =
        new Arrangement(
            a.song(), a.timeline(), a.slots(), notes, a.gestures(), a.damps(), a.holds(), a.plan());
    assertThat(new TuneOnTop().in(above, Performance.of(above)))
        .singleElement()
        .satisfies(f -> assertThat(f.finding().measured()).isEqualTo(4));
  }

  /** An open G over C has strings above it: they rest, or may sound. */
  @Test
  void otherNotesLieAboveTheTuneOnlyWhereTheyMay() {
    Song song = holding(singing(song("C"), "g3 . . ."), 1, -1, 3, 2, 0, 1, 0);
    Arrangement onTop = ARRANGER.arrange(song);
    assertThat(onTop.notesFrom(0, BEAT)).noneMatch(n -> n.midi() > 55);
    // A held note has been heard by then: what lies above it is soft.
    assertThat(onTop.notesFrom(BEAT, 4 * BEAT).stream().filter(n -> n.midi() > 55))
        .isNotEmpty()
        .allMatch(n -> n.force() == phalanx.picking.Force.SOFT);
    Arrangement below = ARRANGER.arrange(song.withTune(song.tune().withOnTop(false)));
    assertThat(below.notes()).anyMatch(n -> n.midi() > 55);
    assertThat(new TuneOnTop().in(below, Performance.of(below))).isEmpty();
  }

  @Test
  void whatIsAcceptedIsNoFindingAnyMoreButIsNotForgotten() {
    Song song = singing(song("C | G"), "c4 e g b7");
    Review before = Review.of(ARRANGER.arrange(song));
    Found found = before.findings().stream().filter(f -> f.tick() == 3 * BEAT).findFirst().get();
    Song left = song.withPins(song.pins().accepting(found.ref(), "sung there"));
    Review after = Review.of(ARRANGER.arrange(left));
    assertThat(after.findings()).hasSize(before.findings().size() - 1).doesNotContain(found);
    assertThat(after.accepted()).containsExactly(found);
    assertThat(found.accepted(ARRANGER.arrange(left))).contains("sung there");
    Song again = left.withPins(left.pins().rejecting(found.ref()));
    assertThat(Review.of(ARRANGER.arrange(again)).findings()).isEqualTo(before.findings());
    assertThat(left.editChart(c -> phalanx.song.ChartEdits.delete(c, List.of(1))).pins().accepted())
        .isEqualTo(Map.of());
  }

  /** Too low for the guitar: no shape helps, another octave, key or capo does. */
  @Test
  void aTuneOutOfTheGuitarsRangeIsGivenTheNearestThatFits() {
    Song song = singing(song("G | C").withKey(Key.parse("G")), "d2 . e2 .", "g3 . . .");
    Arrangement a = ARRANGER.arrange(song);
    Found low = new TuneReach().in(a, Performance.of(a)).get(0);
    assertThat(low.finding().message()).endsWith("it lies below the lowest string");
    List<Suggestion> remedies = Suggestions.of(ARRANGER, a, low);
    assertThat(remedies)
        .extracting(Suggestion::words)
        .contains("the whole tune an octave higher", "leave this note out");
    Song high = singing(song("G | C").withKey(Key.parse("G")), "a5 . . .", "g5 . . .");
    Arrangement above = ARRANGER.arrange(high.withGuitar(high.guitar().withCapo(4)));
    Found reach = new TuneReach().in(above, Performance.of(above)).get(0);
    List<Suggestion> lower = Suggestions.of(ARRANGER, above, reach);
    assertThat(lower).isNotEmpty();
    for (Suggestion r : lower) {
      Arrangement after = ARRANGER.arrange(r.edit().apply(above.song()));
      assertThat(new TuneReach().in(after, Performance.of(after)))
          .as(r.words())
          .noneMatch(reach::isSameAs);
    }
    assertThat(lower).anyMatch(r -> r.words().startsWith("the song in"));
  }
}
