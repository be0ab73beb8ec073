package phalanx.song;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.arrangement.board.PatternView;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.Force;
import phalanx.picking.Pattern;
import phalanx.picking.PatternEdits;
import phalanx.picking.Role;
import phalanx.picking.Stroke;
import phalanx.picking.Touch;
import phalanx.picking.WrittenPattern;
import phalanx.planning.Arranger;
import phalanx.song.Patterns.Scope;

class PatternsTest {

  private static final Arranger ARRANGER = new Arranger();
  private static final int BAR = 20160;

  private static int strokes(Arrangement a, int bar) {
    return (int)
        a.notesFrom((bar - 1) * BAR, bar * BAR).stream().map(Note::tick).distinct().count();
  }

  /** What the second chord of a song is shown with. */
  private static WrittenPattern shown(Arrangement a, Scope scope) {
    return PatternView.shown(a.song(), a.timeline(), a.slots().get(1).played(), scope);
  }

  @Test
  void theNarrowestWordCounts() {
    Song song = TestSongs.of("C | G | C . G .", "F | C");
    int second = song.sections().get(1).id();
    Patterns patterns =
        Patterns.of(AlternatingThumb.FINGERS_BETWEEN)
            .with(new Scope.OfSection(second), AlternatingThumb.THUMB_ALONE)
            .with(new Scope.OfBar(2), AlternatingThumb.THUMB_ALONE)
            .with(new Scope.OfChord(new SlotRef(3, 10080)), AlternatingThumb.THUMB_ALONE);
    Arrangement a = ARRANGER.arrange(song.withPatterns(patterns));
    assertThat(List.of(strokes(a, 1), strokes(a, 2), strokes(a, 3), strokes(a, 4), strokes(a, 5)))
        .containsExactly(8, 4, 6, 4, 4);
    Song less = song.withPatterns(patterns).editChart(c -> ChartEdits.delete(c, List.of(2, 4, 5)));
    assertThat(less.patterns().bars()).isEmpty();
    assertThat(less.patterns().sections()).isEmpty();
    assertThat(less.patterns().slots()).hasSize(1);
    assertThat(patterns.without(new Scope.OfBar(2)).has(new Scope.OfBar(2))).isFalse();
  }

  @Test
  void aBarChangesOneStrokeAndFollowsItsPatternInTheRest() {
    Song song = TestSongs.of("C | G");
    Arrangement before = ARRANGER.arrange(song);
    Scope bar = new Scope.OfBar(2);
    WrittenPattern shown = shown(before, bar);
    PatternEdits.Result result = PatternEdits.toggle(shown, Stroke.Pluck.of(Role.TUNE), 0);
    WrittenPattern next = ((PatternEdits.Result.Done) result).pattern();
    Song changed = PatternView.changed(song, bar, shown, next);
    assertThat(changed.patterns().changed().get(2)).hasSize(1);
    Arrangement after = ARRANGER.arrange(changed);
    assertThat(after.notesFrom(0, BAR)).isEqualTo(before.notesFrom(0, BAR));
    assertThat(after.notesFrom(BAR, BAR + 1)).hasSize(2);
    Arrangement alone = ARRANGER.arrange(changed.withPattern(AlternatingThumb.THUMB_ALONE));
    assertThat(strokes(alone, 2)).isEqualTo(4);
    assertThat(alone.notesFrom(BAR, BAR + 1)).hasSize(2);
    // A stroke taken out again leaves the bar as its pattern has it.
    WrittenPattern again = shown(after, bar);
    assertThat(again.pattern().steps().get(0).roles()).contains(Role.TUNE);
  }

  @Test
  void aSectionThatIsLikeAnotherTakesItsPatternAndItsChangedStrokes() {
    Song song =
        TestSongs.of("C | G").editChart(c -> ChartEdits.sectionLike(c, 1000, 1000, "Again"));
    Pattern.Step pinch = Pattern.Step.of(0, Role.THUMB, Role.TUNE);
    Patterns patterns =
        Patterns.of(AlternatingThumb.FINGERS_BETWEEN)
            .with(new Scope.OfSection(1000), AlternatingThumb.THUMB_ALONE)
            .changing(1, pinch);
    Arrangement a = ARRANGER.arrange(song.withPatterns(patterns));
    assertThat(strokes(a, 3)).isEqualTo(4);
    assertThat(a.notesFrom(2 * BAR, 2 * BAR + 1)).hasSize(2);
  }

  @Test
  void theLastChordIsBrushedSoftlyIfThePlayerWantsIt() {
    Song song = TestSongs.of("C | G . C .");
    Arrangement a = ARRANGER.arrange(song.withPatterns(song.patterns().endingSoftly(true)));
    int at = BAR + BAR / 2;
    assertThat(a.gestures()).containsExactly(new Gesture.Brush(at, 1, 5, Touch.FLESH, Force.SOFT));
    assertThat(a.notesFrom(at + 1, 3 * BAR)).isEmpty();
    assertThat(a.notesFrom(BAR, at)).isNotEmpty();
  }
}
