package phalanx.suggestion;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.arrangement.board.PatternView;
import phalanx.findings.Found;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.HandSchool;
import phalanx.picking.Pattern;
import phalanx.picking.PatternEdits;
import phalanx.picking.Stroke;
import phalanx.picking.WrittenPattern;
import phalanx.song.Patterns;
import phalanx.song.Song;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.Texts;

/** Changes of what the picking hand plays where a finding is. */
final class PatternSuggestions {

  private final Arrangement a;
  private final int slot;
  private final PlayedBar bar;
  private final int tick;

  PatternSuggestions(Arrangement a, Found found) {
    this.a = a;
    slot = a.slotAt(found.tick());
    bar = a.timeline().barAt(found.tick());
    tick = bar.inMetre(found.tick());
  }

  private Pattern.Step step() {
    Slot at = a.slots().get(slot);
    WrittenPattern shown =
        PatternView.shown(
            a.song(), a.timeline(), at.played(), new Patterns.Scope.OfBar(bar.written()));
    return PatternEdits.step(shown.pattern(), tick);
  }

  private Song changing(Song song, List<Stroke> strokes) {
    Pattern.Step other = step().withStrokes(strokes);
    return song.withPatterns(song.patterns().changing(bar.written(), other));
  }

  /** One of the strokes of this instant left out of the bar, the fingers' before the thumb's. */
  Stream<PossibleEdit> leaveOut() {
    List<Stroke> strokes = step().strokes();
    return strokes.stream()
        .map(
            left -> {
              List<Stroke> rest = new ArrayList<>(strokes);
              rest.remove(left);
              String words = Texts.of("patternSuggestions.leaveOutOfThis", name(left));
              return new PossibleEdit(words, song -> changing(song, rest));
            });
  }

  private static String name(Stroke stroke) {
    if (stroke instanceof Stroke.OnRole r) {
      return Texts.of(
          "patternSuggestions.theStroke",
          r.role().name().toLowerCase(Locale.ROOT).replace('_', ' '));
    }
    return stroke instanceof Stroke.Knock k
        ? Texts.of("patternSuggestions.the", k.hit().words())
        : Texts.of("patternSuggestions.theBrush");
  }

  /** With no finger asked for at this instant. */
  Stream<PossibleEdit> anyFinger() {
    List<Stroke> free =
        step().strokes().stream()
            .map(
                s ->
                    s instanceof Stroke.Pluck p
                        ? new Stroke.Pluck(p.role(), p.force(), Optional.empty(), p.techniques())
                        : s)
            .toList();
    return Stream.of(
        new PossibleEdit(
            Texts.of("patternSuggestions.anyFingerHere"), song -> changing(song, free)));
  }

  /** Other ways of sharing the strings. */
  Stream<PossibleEdit> otherSchools() {
    return Stream.of(HandSchool.THUMB_AND_THREE, HandSchool.THUMB_AND_FOUR)
        .map(
            s ->
                new PossibleEdit(
                    Texts.of("patternSuggestions.pickWith", s.words()),
                    song -> song.withSchool(s)));
  }

  /** Nothing but the thumb over the chord before, so that the hand is free sooner. */
  Stream<PossibleEdit> thumbAloneBefore() {
    if (slot == 0) {
      return Stream.empty();
    }
    Patterns.Scope chord = new Patterns.Scope.OfChord(a.slots().get(slot - 1).played().ref());
    return Stream.of(
        new PossibleEdit(
            Texts.of("patternSuggestions.theThumbAloneOver"),
            s -> s.withPatterns(s.patterns().with(chord, AlternatingThumb.THUMB_ALONE))));
  }
}
