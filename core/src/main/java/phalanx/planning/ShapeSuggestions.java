package phalanx.planning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import phalanx.arrangement.ShapeSuggestion;
import phalanx.chart.Transposition;
import phalanx.fretting.RankedShapes;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.Tuning;
import phalanx.song.Song;
import phalanx.text.Texts;
import phalanx.theory.Chord;
import phalanx.theory.ChordTone;
import phalanx.theory.Interval;

/**
 * Ways out for a chord of which no shape can be held: each is searched for before it is offered, so
 * that taking it gives a shape.
 */
final class ShapeSuggestions {

  private static final int MOST_OFFERED = 8;
  private static final int FURTHEST_CAPO = 5;

  private final Song song;
  private final ShapeQuery query;
  private final List<ShapeSuggestion> ways = new ArrayList<>();

  private ShapeSuggestions(Song song, Chord chord) {
    this.song = song;
    query = Arranger.query(song, chord);
  }

  static List<ShapeSuggestion> of(Song song, Chord chord) {
    ShapeSuggestions search = new ShapeSuggestions(song, chord);
    List<Interval> tones = search.sparable();
    tones.forEach(t -> search.leaveOut(List.of(t)));
    search.pinned(
        Texts.of("shapeSuggestions.leaveOutTheRoot"),
        search.query.withRootless().withBass(Optional.empty()));
    search.pinned(
        Texts.of("shapeSuggestions.anotherBass"), search.query.withBass(Optional.empty()));
    search.changeHand();
    search.moveCapo();
    for (int t = 0; t < tones.size() && search.ways.isEmpty(); t++) {
      for (Interval other : tones.subList(t + 1, tones.size())) {
        search.leaveOut(List.of(tones.get(t), other));
      }
    }
    search.tuneAsUsual();
    return search.ways.stream().limit(MOST_OFFERED).toList();
  }

  /** Why no shape can be held, in a sentence. */
  static String reason(Song song, Chord chord) {
    Hand hand = song.hand();
    Hand giant = hand.sizedAs(Hand.measured(Hand.MOST_SPREAD)).withStretches(true);
    RankedShapes wide = ShapeSearch.find(query(chord, song.guitar(), giant));
    String start = Texts.of("shapeSuggestions.noShapeIsWithin");
    return wide.isEmpty()
        ? Texts.of("shapeSuggestions.itsTonesLieToo", start)
        : start
            + new Reach(song.guitar(), hand)
                .widestSpan(wide.get(0).shape())
                .map(
                    s ->
                        Texts.of(
                            "shapeSuggestions.theEasiestWantsMm",
                            wide.get(0).shape().fretText(),
                            s.millimetres(),
                            s.from().sign(),
                            s.to().sign(),
                            s.limit()))
                .orElse(Texts.of("shapeSuggestions.theFingersWouldBe"));
  }

  /** The tones that must sound and that a player could do without, the colours first. */
  private List<Interval> sparable() {
    List<Interval> tones =
        new ArrayList<>(
            query.chord().tones().stream()
                .filter(t -> t.essential() && !t.interval().isUnison())
                .map(ChordTone::interval)
                .toList());
    tones.sort(Comparator.reverseOrder());
    return tones;
  }

  private void leaveOut(List<Interval> tones) {
    Chord eased = query.chord();
    for (Interval tone : tones) {
      eased = eased.easing(tone);
    }
    String words =
        tones.stream()
            .map(ShapeSuggestions::toneWords)
            .collect(Collectors.joining(Texts.of("shapeSuggestions.andThe")));
    pinned(Texts.of("shapeSuggestions.leaveOutThe", words), query(eased));
  }

  private void tuneAsUsual() {
    Guitar usual = song.guitar().withTuning(Tuning.STANDARD);
    boolean found = !ShapeSearch.find(query(query.chord(), usual, song.hand())).isEmpty();
    if (!usual.equals(song.guitar()) && found) {
      ways.add(
          new ShapeSuggestion(
              Texts.of("shapeSuggestions.tuneTheGuitarAs"), (s, at) -> s.withGuitar(usual)));
    }
  }

  private ShapeQuery query(Chord chord) {
    return Arranger.query(song, chord);
  }

  private static String toneWords(Interval interval) {
    String sign = interval.alteration() < 0 ? "♭" : interval.alteration() > 0 ? "♯" : "";
    return sign + interval.number();
  }

  private void pinned(String words, ShapeQuery easier) {
    RankedShapes found = ShapeSearch.find(easier);
    if (!found.isEmpty()) {
      Shape shape = found.get(0).shape();
      ways.add(new ShapeSuggestion(words + ": " + shape.fretText(), (s, at) -> s.pin(at, shape)));
    }
  }

  private void changeHand() {
    Hand hand = song.hand();
    offerHand(Texts.of("shapeSuggestions.bringTheThumbOver"), hand.withThumbOver(true));
    offerHand(Texts.of("shapeSuggestions.allowStretchesBeyondThe"), hand.withStretches(true));
  }

  private void offerHand(String words, Hand other) {
    boolean found = !ShapeSearch.find(query(query.chord(), song.guitar(), other)).isEmpty();
    if (!other.equals(song.hand()) && found) {
      ways.add(new ShapeSuggestion(words, (s, at) -> s.withHand(other)));
    }
  }

  private static ShapeQuery query(Chord chord, Guitar guitar, Hand hand) {
    return ShapeQuery.of(chord, guitar, hand);
  }

  /** A capo further up with lower shapes: the song sounds as before. */
  private void moveCapo() {
    int capo = song.guitar().capo();
    for (int up = 1; up <= FURTHEST_CAPO && capo + up <= Guitar.HIGHEST_CAPO; up++) {
      Guitar guitar = song.guitar().withCapo(capo + up);
      int down = -up;
      Chord lower = query.chord().up(Transposition.interval(song.key(), down));
      if (!ShapeSearch.find(query(lower, guitar, song.hand())).isEmpty()) {
        ways.add(
            new ShapeSuggestion(
                Texts.of("shapeSuggestions.capoTheWholeSong", capo + up, up),
                (s, at) -> Transposition.bySemitones(s, down).withGuitar(guitar)));
        return;
      }
    }
  }
}
