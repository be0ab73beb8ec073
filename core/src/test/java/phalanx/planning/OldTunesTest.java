package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.MelodyNote;
import phalanx.arrangement.Note;
import phalanx.arrangement.tune.TuneLine;
import phalanx.findings.Review;
import phalanx.melody.TuneReader;
import phalanx.picking.AlternatingThumb;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Timeline;
import phalanx.song.Tune;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.Pitch;

/**
 * Opening phrases of tunes that were printed before 1900, with chords of our own. Each must be
 * played whole: every note at its time, as long as it is written, above what accompanies it.
 */
public class OldTunesTest {

  /**
   * A tune by its name and first print.
   *
   * @param bars the bars as docs/tune.md has them, divided by a bar line
   */
  public record Old(
      String name, String source, String meter, String key, String chords, String bars) {
    @Override
    public String toString() {
      return name;
    }
  }

  /** Written down from memory. */
  public static List<Old> tunes() {
    return List.of(
        new Old(
            "Ode to Joy",
            "Ludwig van Beethoven, Symphony No. 9, 1824",
            "4/4",
            "C",
            "C | G7 | C | G7 | C | G7 | C | C",
            "e4 e f g | g f e d | c c d e | [e . . d] d . . | e e f g | g f e d | c c d e | [d . . c] c . ."),
        new Old(
            "Ah! vous dirai-je, maman",
            "French song, printed 1761",
            "4/4",
            "C",
            "C | F C | F C | G7 C | C F | C G7 | C F | C G7",
            "c4 c g4 g | a a g . | f f e e | d d c . | g4 g f f | e e d . | g g f f | e e d ."),
        new Old(
            "Au clair de la lune",
            "French song, 18th century",
            "4/4",
            "G",
            "G | D7 | G D7 | G | G | D7 | G D7 | G",
            "g4 g g a | b . a . | g b a a | g . . . | g g g a | b . a . | g b a a | g . . ."),
        new Old(
            "Greensleeves",
            "English tune, registered 1580",
            "6/8",
            "Am",
            "Am | G | Am | E7 | Am | G | E7 | Am",
            "a4 . . c . d | e . f# e d . | b . g a . b | c . a a . g# | a . . c . d | e . f# e d . | b . g# e . f# | a . . a . ."),
        new Old(
            "Amazing Grace (New Britain)",
            "Columbian Harmony, 1829",
            "3/4",
            "G",
            "G | G | C | G | G | G | D7 | D7",
            "g4 . [b g] | b . a | g . e | d . d | g . [b g] | b . a | d . . | d . ."),
        new Old(
            "Long, Long Ago",
            "Thomas Haynes Bayly, 1833",
            "4/4",
            "C",
            "C | C | G7 | C | C | C | G7 | C",
            "c4 . c d e . e f | g . a g e . . . | g . f e d . . . | f . e d c . . . | c . c d e . e f | g . a g e . . . | g . f e d . e d | c . . . . . . ."));
  }

  private static final List<String> WORTH_KNOWING =
      List.of(
          // In G and Am the tune is easier an octave lower, which is said.
          "Greensleeves 1: 16 of 28 notes of the tune lie at fret 7 of ① or above;"
              + " an octave lower all are at hand",
          "Amazing Grace (New Britain) 1: 6 of 16 notes of the tune lie at fret 7 of ① or above;"
              + " an octave lower all are at hand");

  public static Song song(Old old) {
    Meter meter = Meter.parse(old.meter()).orElseThrow();
    Song song = TestSongs.of(old.chords()).withKey(Key.parse(old.key()));
    song =
        song.withFeel(song.feel().withMeter(meter).withTempo(72))
            .withPattern(AlternatingThumb.FINGERS_BETWEEN);
    Tune tune = Tune.NONE;
    Pitch last = TuneReader.MIDDLE;
    String[] bars = old.bars().split("\\|");
    for (int bar = 0; bar < bars.length; bar++) {
      TuneReader.Result read = TuneReader.read(bars[bar].strip(), meter, last);
      last = read.last();
      assertThat(read.problems()).as("%s bar %d", old, bar + 1).isEmpty();
      tune = tune.with(bar + 1, read.tune());
    }
    return song.withTune(tune);
  }

  @ParameterizedTest
  @MethodSource("tunes")
  void everyNoteSoundsItsFullLengthOnTop(Old old) {
    Song song = song(old);
    Arrangement a = new Arranger().arrange(song);
    List<MelodyNote> line = TuneLine.of(song, Timeline.of(song));
    assertThat(line).isNotEmpty();
    List<String> lost = new ArrayList<>();
    for (MelodyNote sung : line) {
      Optional<Note> note =
          a.notesFrom(sung.tick(), sung.tick() + 1).stream()
              .filter(n -> n.part() == Note.Part.TUNE && n.midi() == sung.midi())
              .findFirst();
      if (note.isEmpty() || note.get().tick() + note.get().lengthTicks() < sung.endTick()) {
        lost.add(sung.label() + " at " + sung.tick());
      }
    }
    assertThat(lost).isEmpty();
    List<String> hard =
        Review.of(a).findings().stream()
            // A stroke of the pattern on another string than usual is no matter of comfort.
            .filter(f -> !f.finding().rule().equals("dead string"))
            .filter(f -> !f.finding().rule().equals("tone unheard"))
            .map(f -> old.name() + " " + f.bar() + ": " + f.finding().message())
            .distinct()
            .toList();
    assertThat(hard)
        .containsExactlyInAnyOrderElementsOf(
            WORTH_KNOWING.stream().filter(f -> f.startsWith(old.name() + " ")).toList());
    assertThat(a.slots())
        .allMatch(s -> s.remarks().stream().noneMatch(r -> r.contains("out of reach")));
  }
}
