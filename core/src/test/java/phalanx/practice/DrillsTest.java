package phalanx.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.findings.TempoCeiling;
import phalanx.picking.PickFinger;
import phalanx.planning.Arranger;
import phalanx.song.Bar;
import phalanx.song.DrawnSongs;
import phalanx.song.OwnSongs;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.testing.Draws;

/** What is practised, in which order (common practice, no source). */
class DrillsTest {

  private static final Comparator<Note> IN_TIME =
      Comparator.comparingInt(Note::tick).thenComparingInt(Note::string);

  private static Arrangement plan(Song song) {
    return new Arranger().arrange(song);
  }

  private static List<Note> sorted(List<Note> notes) {
    return notes.stream().sorted(IN_TIME).toList();
  }

  /** The layers of a passage add up to the arrangement, and each adds what it says. */
  private static void addUp(Arrangement a, Passage passage) {
    List<Note> before = List.of();
    for (Layers.Layer layer : new Layers(a, passage).inOrder()) {
      List<Note> now = new ArrayList<>(before);
      now.addAll(layer.notes());
      assertThat(layer.notes().isEmpty() && layer.hits().isEmpty()).as(layer.title()).isFalse();
      assertThat(before).doesNotContainAnyElementsOf(layer.notes());
      before = now;
    }
    assertThat(sorted(before)).isEqualTo(sorted(a.notesFrom(passage.fromTick(), passage.toTick())));
  }

  @Property(tries = 40)
  void layersAddUpToTheArrangementExactly(@ForAll Draws draws) {
    Arrangement a = plan(DrawnSongs.withTechniques(draws));
    for (Passage section : Passage.sections(a)) {
      section.parts().forEach(p -> addUp(a, p));
    }
  }

  @Test
  void aDrillAddsToTheOneBeforeExactlyWhatItSays() {
    for (Song song : OwnSongs.all().values()) {
      List<Note> before = List.of();
      for (Drill drill : Drills.ofSong(plan(song), PracticeOrder.THUMB_FIRST)) {
        switch (drill.kind()) {
          case THUMB -> {
            assertThat(drill.notes()).isNotEmpty().allMatch(n -> n.isPickedBy(PickFinger.P));
            assertThat(sorted(drill.adds())).isEqualTo(sorted(drill.notes()));
            before = drill.notes();
          }
          case LAYER, SLURS -> {
            List<Note> sum = new ArrayList<>(before);
            sum.addAll(drill.adds());
            assertThat(sorted(drill.notes())).as(drill.title()).isEqualTo(sorted(sum));
            before = drill.notes();
          }
          default -> {
            // Not a layer.
          }
        }
      }
    }
  }

  @Test
  void slursComeAfterEverythingThatIsPlucked() {
    Song song = TestSongs.singing(TestSongs.of("| C | G |"), "e4 ^f _e .", "d4 . b d");
    List<Drill> drills = Drills.ofSong(plan(song), PracticeOrder.THUMB_FIRST);
    Drill slurs =
        drills.stream().filter(d -> d.kind() == DrillKind.SLURS).findFirst().orElseThrow();
    assertThat(slurs.adds()).hasSize(2).allMatch(n -> n.attack().isSlur());
    drills.stream()
        .filter(d -> d.kind() == DrillKind.LAYER || d.kind() == DrillKind.THUMB)
        .forEach(d -> assertThat(d.notes()).noneMatch(n -> n.attack().isSlur()));
  }

  @Test
  void theTuneComesBeforeTheInnerNotesAndTheSmallestStepFirst() {
    for (Song song : OwnSongs.all().values()) {
      Arrangement a = plan(song);
      for (Passage section : Passage.sections(a)) {
        for (Passage part : section.parts()) {
          List<Layers.Layer> layers =
              new Layers(a, part)
                  .inOrder().stream().filter(l -> l.kind() == DrillKind.LAYER).toList();
          List<Boolean> tune =
              layers.stream()
                  .map(l -> l.notes().stream().allMatch(n -> n.part() == Note.Part.TUNE))
                  .toList();
          assertThat(tune).isSortedAccordingTo(Comparator.reverseOrder());
          smallestFirst(a, part, layers);
        }
      }
    }
  }

  /** None of the layers that come later would have been fewer strokes, all of them joined ones. */
  private static void smallestFirst(Arrangement a, Passage part, List<Layers.Layer> layers) {
    Set<Integer> played = new HashSet<>();
    a.notesFrom(part.fromTick(), part.toTick()).stream()
        .filter(n -> n.isPickedBy(PickFinger.P))
        .forEach(n -> played.add(n.tick()));
    for (int l = 0; l < layers.size(); l++) {
      boolean tune = isTune(layers.get(l));
      double step = Layers.step(layers.get(l).notes(), played);
      for (Layers.Layer later : layers.subList(l + 1, layers.size())) {
        boolean joined = later.notes().stream().allMatch(n -> played.contains(n.tick()));
        if (isTune(later) == tune && joined) {
          assertThat(1.5 * later.notes().size()).isGreaterThanOrEqualTo(step);
        }
      }
      layers.get(l).notes().forEach(n -> played.add(n.tick()));
    }
  }

  private static boolean isTune(Layers.Layer layer) {
    return layer.notes().stream().allMatch(n -> n.part() == Note.Part.TUNE);
  }

  @Test
  void theOrderIsTheOneThatIsTaught() {
    Song song = OwnSongs.all().get("Gravel Lane");
    List<DrillKind> kinds =
        Drills.ofSong(plan(song), PracticeOrder.THUMB_FIRST).stream().map(Drill::kind).toList();
    assertThat(kinds.get(0)).isEqualTo(DrillKind.OPEN_STRINGS);
    assertThat(kinds.get(kinds.size() - 1)).isEqualTo(DrillKind.SONG);
    assertThat(kinds.indexOf(DrillKind.THUMB)).isLessThan(kinds.indexOf(DrillKind.LAYER));
    assertThat(kinds.indexOf(DrillKind.LAYER)).isLessThan(kinds.indexOf(DrillKind.CHANGE));
    assertThat(kinds.indexOf(DrillKind.CHANGE)).isLessThan(kinds.indexOf(DrillKind.JOIN));
    assertThat(kinds.indexOf(DrillKind.JOIN)).isLessThan(kinds.indexOf(DrillKind.SECTION));
    List<DrillKind> fretting =
        Drills.ofSong(plan(song), PracticeOrder.FRETTING_FIRST).stream().map(Drill::kind).toList();
    assertThat(fretting.indexOf(DrillKind.CHANGE)).isLessThan(fretting.indexOf(DrillKind.THUMB));
  }

  @Test
  void openStringsAskNothingOfTheFrettingHand() {
    for (Song song : OwnSongs.all().values()) {
      Drills.ofSong(plan(song), PracticeOrder.THUMB_FIRST).stream()
          .filter(d -> d.kind() == DrillKind.OPEN_STRINGS)
          .forEach(
              d -> {
                assertThat(d.notes())
                    .isNotEmpty()
                    .allMatch(n -> n.fret() == 0 && n.fretFinger().isEmpty())
                    .allMatch(n -> n.midi() == song.guitar().midi(n.string(), 0));
                assertThat(d.played().holds()).isEmpty();
              });
    }
  }

  /** A drill never asks for more than the hands hold to, and says where it stops for that. */
  @Test
  void noDrillLeadsAboveTheCeilingOrTheSong() {
    for (Song song : OwnSongs.all().values()) {
      Arrangement a = plan(song.withTempo(song.tempo() * 1.6));
      TempoCeiling ceiling = TempoCeiling.of(a);
      for (Drill drill : Drills.ofSong(a, PracticeOrder.THUMB_FIRST)) {
        Drill.TempoGoal tempo = drill.tempo();
        assertThat(tempo.start()).isLessThanOrEqualTo(tempo.goal());
        assertThat(tempo.goal()).isLessThanOrEqualTo(a.song().tempo());
        double most =
            ceiling.bars().entrySet().stream()
                .filter(e -> drill.fromBar() <= e.getKey() && e.getKey() <= drill.toBar())
                .mapToDouble(java.util.Map.Entry::getValue)
                .min()
                .orElse(Double.MAX_VALUE);
        assertThat(tempo.goal()).isLessThanOrEqualTo(most);
        assertThat(tempo.limit().isPresent()).isEqualTo(tempo.goal() < a.song().tempo());
      }
    }
  }

  @Test
  void hardChangesAreThoseWithLeastTime() {
    Arrangement a = plan(TestSongs.of("| C | G | Bbm | F#m7 | C | G |").withTempo(120));
    Drill first =
        Drills.ofSong(a, PracticeOrder.THUMB_FIRST).stream()
            .filter(d -> d.kind() == DrillKind.CHANGE)
            .findFirst()
            .orElseThrow();
    HardChanges.HardChange hardest = HardChanges.of(a).get(0);
    assertThat(first.title()).isEqualTo("Change " + hardest.pair());
    int beat = 5040;
    assertThat(first.fromTick()).isEqualTo(hardest.to().fromTick() - beat);
    assertThat(first.toTick()).isEqualTo(hardest.to().fromTick() + beat);
  }

  /** A drill keeps its history while the song is edited elsewhere. */
  @Test
  void aDrillIsKnownByItsOwnNotes() {
    Song song = TestSongs.of("| C | G | Am | F |", "| D | A | D | A |");
    Set<String> ids = ids(song);
    Song longer = TestSongs.of("| E7 | E7 |", "| C | G | Am | F |", "| D | A | D | A |");
    assertThat(ids(longer)).containsAll(sections(song));
    Song other = TestSongs.of("| C | G | Am | G |", "| D | A | D | A |");
    assertThat(ids(other)).doesNotContain(first(ids));
  }

  private static String first(Set<String> ids) {
    return ids.stream().filter(i -> i.startsWith("section")).findFirst().orElseThrow();
  }

  private static Set<String> ids(Song song) {
    return Drills.ofSong(plan(song), PracticeOrder.THUMB_FIRST).stream()
        .map(Drill::id)
        .collect(Collectors.toCollection(java.util.LinkedHashSet::new));
  }

  private static List<String> sections(Song song) {
    return ids(song).stream().filter(i -> i.startsWith("thumb")).limit(1).toList();
  }

  @Test
  void everyBarOfASectionIsLearntOnceHoweverOftenItIsRepeated() {
    Song song = TestSongs.of("|: C | G :|", "| Am | F |");
    Arrangement a = plan(song);
    Passage first = Passage.sections(a).get(0);
    assertThat(first.bars()).hasSize(4);
    assertThat(first.parts()).hasSize(1);
    assertThat(first.parts().get(0).bars())
        .extracting(b -> b.written())
        .containsExactlyElementsOf(song.sections().get(0).bars().stream().map(Bar::id).toList());
  }

  @Test
  void whatIsPlayedTwiceAlikeIsPractisedOnce() {
    List<DrillKind> once = kinds("| C | G | Am | F |");
    List<DrillKind> twice = kinds("| C | G | Am | F |", "| C | G | Am | F |");
    assertThat(twice)
        .filteredOn(k -> k != DrillKind.CHANGE && k != DrillKind.JOIN)
        .isEqualTo(
            once.stream().filter(k -> k != DrillKind.CHANGE && k != DrillKind.JOIN).toList());
  }

  private static List<DrillKind> kinds(String... lines) {
    return Drills.ofSong(plan(TestSongs.of(lines)), PracticeOrder.THUMB_FIRST).stream()
        .map(Drill::kind)
        .toList();
  }

  @Test
  void nothingToPlayGivesNothingToPractise() {
    assertThat(Drills.ofSong(plan(Song.untitled()), PracticeOrder.THUMB_FIRST)).isEmpty();
    assertThat(WarmUp.of(plan(Song.untitled()))).isEmpty();
  }

  @Test
  void motionsAreSaidAsPlayersSayThem() {
    Song song = TestSongs.singing(TestSongs.of("| C |"), "g4 . g .");
    Arrangement a = plan(song);
    String said = StrokeWords.motions(a.notesFrom(0, 5041));
    assertThat(said).startsWith("pinch");
    assertThat(StrokeWords.letters(a.timeline().bars().get(0), a.notes())).startsWith("1 p");
  }
}
