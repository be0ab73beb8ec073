package phalanx.suggestion;

import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.chart.Transposition;
import phalanx.findings.Review;
import phalanx.findings.TuneReach;
import phalanx.instrument.Guitar;
import phalanx.song.Song;
import phalanx.text.Texts;

/** The whole song in other shapes, so that every note of its tune is in reach: nearest first. */
final class KeySuggestions {

  /** Furthest move, semitones. */
  private static final int FURTHEST = 5;

  private KeySuggestions() {}

  static Stream<PossibleEdit> of(Arrangement a) {
    return IntStream.rangeClosed(1, FURTHEST)
        .boxed()
        .flatMap(n -> Stream.of(n, -n))
        .flatMap(by -> Stream.concat(capo(a.song(), by), key(a.song(), by)));
  }

  private static final Predicate<Review> ALL_IN_REACH =
      r -> r.findings().stream().noneMatch(f -> f.finding().rule().equals(TuneReach.NAME));

  /** Shapes moved one way and the capo the other: it sounds as before. */
  private static Stream<PossibleEdit> capo(Song song, int by) {
    int capo = song.guitar().capo() - by;
    if (capo < 0 || capo > Guitar.HIGHEST_CAPO) {
      return Stream.empty();
    }
    String words =
        (capo == 0 ? Texts.of("keySuggestions.noCapo") : Texts.of("keySuggestions.capo", capo))
            + Texts.of(
                "keySuggestions.shapesSoundsAsBefore",
                Math.abs(by),
                by > 0 ? Texts.of("keySuggestions.higher") : Texts.of("keySuggestions.lower"));
    return Stream.of(
        new PossibleEdit(
            words,
            s -> Transposition.bySemitones(s, by).withGuitar(s.guitar().withCapo(capo)),
            ALL_IN_REACH));
  }

  private static Stream<PossibleEdit> key(Song song, int by) {
    Song moved = Transposition.bySemitones(song, by);
    String where = moved.key().map(k -> Texts.of("keySuggestions.in", k.tonic())).orElse("");
    String words =
        Texts.of(
            "keySuggestions.theSong",
            where,
            Math.abs(by),
            by > 0 ? Texts.of("keySuggestions.higher") : Texts.of("keySuggestions.lower"));
    return Stream.of(new PossibleEdit(words, s -> Transposition.bySemitones(s, by), ALL_IN_REACH));
  }
}
