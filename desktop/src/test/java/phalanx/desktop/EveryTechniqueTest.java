package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.desktop.drawing.TechniqueSigns;
import phalanx.formats.FileFormat;
import phalanx.melody.TuneReader;
import phalanx.performance.Performance;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.Tune;
import phalanx.sound.sequence.EventSequence;
import phalanx.technique.Technique;
import phalanx.technique.TechniqueText;
import phalanx.theory.Meter;

/**
 * A technique is there all the way: in the tune's text, under the tablature with its meaning, in
 * the score, in the sound, on the screens and in their legend. One that lacks any of it fails here.
 */
class EveryTechniqueTest {

  private static final Arrangement PLAIN = new Arranger().arrange(singing("[2:8 . . .]"));

  private static Song singing(String bar) {
    TuneReader.Result read = TuneReader.read(bar, Meter.FOUR_FOUR);
    assertThat(read.problems()).isEmpty();
    return Demo.song().withTune(Tune.NONE.with(1, read.tune()));
  }

  static Stream<Technique> all() {
    return TechniqueText.all().stream().map(w -> TechniqueText.of(w).orElseThrow()).distinct();
  }

  /** On a note of a plan a harmonic has its node. */
  static Stream<Technique> onNotes() {
    return all().filter(t -> t != Technique.NaturalHarmonic.ANYWHERE);
  }

  private static Note tune(Arrangement a) {
    return a.notes().stream().filter(n -> n.part() == Note.Part.TUNE).findFirst().orElseThrow();
  }

  /** The plain plan with its first note of the tune played so. */
  private static Arrangement played(Technique technique) {
    Note plain = tune(PLAIN);
    List<Note> notes = new ArrayList<>(PLAIN.notes());
    int midi = plain.midi() + (int) Math.round(technique.higher());
    notes.set(notes.indexOf(plain), plain.played(Set.of(technique), plain.fret(), midi));
    return new Arrangement(
        PLAIN.song(),
        PLAIN.timeline(),
        PLAIN.slots(),
        notes,
        PLAIN.gestures(),
        PLAIN.damps(),
        PLAIN.holds(),
        PLAIN.plan());
  }

  private static String written(FileFormat format, Arrangement a) {
    return new String(format.write(a), StandardCharsets.UTF_8);
  }

  @ParameterizedTest
  @MethodSource("all")
  void itIsReadFromTheTunesText(Technique technique) {
    TuneReader.Result read = TuneReader.read("g4(" + technique.text() + ")", Meter.FOUR_FOUR);
    assertThat(read.problems()).isEmpty();
    assertThat(read.tune().notes().get(0).techniques()).containsExactly(technique);
  }

  @ParameterizedTest
  @MethodSource("onNotes")
  void itStandsUnderTheTablatureWithItsMeaning(Technique technique) {
    String tab = written(FileFormat.TEXT_TAB, played(technique));
    assertThat(tab).contains(technique.sign()).contains(technique.meaning());
    assertThat(written(FileFormat.TEXT_TAB, PLAIN)).doesNotContain(technique.meaning());
  }

  @ParameterizedTest
  @MethodSource("onNotes")
  void itIsInTheScore(Technique technique) {
    assertThat(written(FileFormat.MUSICXML, played(technique)))
        .isNotEqualTo(written(FileFormat.MUSICXML, PLAIN));
  }

  @ParameterizedTest
  @MethodSource("onNotes")
  void itIsHeard(Technique technique) {
    assertThat(EventSequence.of(Performance.of(played(technique))).events())
        .isNotEqualTo(EventSequence.of(Performance.of(PLAIN)).events());
  }

  @ParameterizedTest
  @MethodSource("all")
  void itHasItsLineInTheLegend(Technique technique) {
    assertThat(TechniqueSigns.LEGEND).filteredOn(l -> l.covers().test(technique)).hasSize(1);
  }

  @Test
  void everyKindOfTechniqueIsAmongThem() {
    Set<Class<?>> kinds = Set.of(Technique.class.getPermittedSubclasses());
    assertThat(all().map(Object::getClass).distinct().toList()).hasSize(kinds.size());
  }
}
