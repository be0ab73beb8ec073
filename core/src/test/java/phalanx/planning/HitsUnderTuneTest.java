package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.findings.BusyFingers;
import phalanx.findings.Found;
import phalanx.findings.Grade;
import phalanx.findings.Review;
import phalanx.performance.Performance;
import phalanx.picking.HandSchool;
import phalanx.picking.PatternReader;
import phalanx.picking.PickFinger;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Ticks;

/** A backbeat goes on under a tune: the hand makes both, as players do (common practice). */
class HitsUnderTuneTest {

  private static final String CLICKS =
      "name: x\nmetre: 4/4\nthumb | o | o | o | o |\nhits | . | click | . | click |\n";

  private static final String PALMS =
      "name: x\nmetre: 4/4\nthumb | . | o | . | o |\nhits | palm | . | palm | . |\n";

  private static Arrangement sung(String pattern, HandSchool school, String... tune) {
    return sung(pattern, school, 92, tune);
  }

  private static Arrangement sung(String pattern, HandSchool school, double tempo, String... tune) {
    Song song =
        TestSongs.singing(TestSongs.of("| C | Am |"), tune)
            .withPattern(PatternReader.read(pattern).patterns().get(0))
            .withSchool(school)
            .withTempo(tempo);
    return new Arranger().arrange(song);
  }

  private static List<Gesture.Hit> hits(Arrangement a) {
    return a.gestures().stream()
        .filter(Gesture.Hit.class::isInstance)
        .map(Gesture.Hit.class::cast)
        .toList();
  }

  private static List<Found> busy(Arrangement a) {
    return Review.of(a).findings().stream()
        .filter(f -> f.finding().rule().equals(BusyFingers.NAME))
        .toList();
  }

  private static Stream<Note> at(Arrangement a, int tick) {
    return a.notes().stream().filter(n -> n.tick() == tick);
  }

  /** A tune on every beat, a click on two and four: every school makes them with what is free. */
  @ParameterizedTest
  @EnumSource(HandSchool.class)
  void clicksSoundWithTheTune(HandSchool school) {
    Arrangement a = sung(CLICKS, school, "c4 e g e", "e4 a4 e4 c5");
    assertThat(hits(a)).extracting(Gesture.Hit::tick).containsExactly(5040, 15120, 25200, 35280);
    for (Gesture.Hit hit : hits(a)) {
      assertThat(hit.fingers()).hasSizeGreaterThan(1);
      assertThat(at(a, hit.tick()).filter(n -> n.part() == Note.Part.TUNE)).hasSize(1);
      assertThat(at(a, hit.tick()).flatMap(n -> n.pick().stream()))
          .doesNotContainAnyElementsOf(hit.fingers());
    }
    assertThat(busy(a)).noneMatch(f -> f.finding().grade() == Grade.CANNOT);
  }

  /** Half notes over the clicks: the finger above the string of the tune does not drop on it. */
  @Test
  void aClickLetsAHeldNoteOfTheTuneRing() {
    Arrangement a = sung(CLICKS, HandSchool.THUMB_AND_THREE, "e4 . g .", "a4 . e4 .");
    assertThat(hits(a)).hasSize(4).allMatch(h -> h.fingers().size() == 2);
    Performance played = Performance.of(a);
    double half = 2 * 60 / 92.0;
    assertThat(played.notes().stream().filter(n -> n.note().part() == Note.Part.TUNE))
        .hasSize(4)
        .allMatch(n -> n.end() - n.onset() > 0.95 * half);
    for (Gesture.Hit hit : hits(a)) {
      Note held =
          a.notes().stream()
              .filter(n -> n.part() == Note.Part.TUNE && n.tick() < hit.tick())
              .reduce((x, y) -> y)
              .orElseThrow();
      assertThat(hit.damped()).hasSize(2).doesNotContain(held.string());
    }
  }

  /** The palm takes the whole hand; under a note of the tune its heel knocks alone. */
  @Test
  void theHeelKnocksUnderANoteOfTheTune() {
    Arrangement a = sung(PALMS, HandSchool.THUMB_AND_THREE, "e4 g . g", "e4 a4 . c5");
    assertThat(hits(a)).hasSize(4);
    for (Gesture.Hit hit : hits(a)) {
      boolean sung = at(a, hit.tick()).anyMatch(n -> n.part() == Note.Part.TUNE);
      assertThat(sung).isEqualTo(hit.tick() % Ticks.PER_WHOLE == 0);
      assertThat(hit.fingers()).hasSize(sung ? 0 : PickFinger.values().length);
    }
  }

  /** What the hand makes lighter is said once, and what it cannot make is said as that. */
  @Test
  void whatIsMadeLighterIsSaid() {
    Arrangement a = sung(CLICKS, HandSchool.THUMB_AND_THREE, "c4 e g e", "e4 a4 e4 c5");
    assertThat(busy(a)).allMatch(f -> f.finding().grade() == Grade.NOTE).isNotEmpty();
    String inner = CLICKS.replace("hits", "middle | . | o | . | o |\nhits");
    Arrangement full = sung(inner, HandSchool.THUMB_AND_THREE, "c4 e g e", "e4 a4 e4 c5");
    assertThat(busy(full)).anyMatch(f -> f.finding().grade() == Grade.CANNOT);
  }
}
