package phalanx.instrument;

import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import phalanx.text.Texts;

/**
 * A six-string guitar as it lies on the player's knee.
 *
 * @param tuning pitches of the open strings without capo
 * @param scaleLength from nut to bridge, mm, 300 to 800
 * @param frets frets on the neck, 12 to 24
 * @param nutSpan from string ⑥ to string ① at the nut, centre to centre, mm
 * @param bridgeSpan the same at the bridge, mm
 * @param capo fret the capo lies on, 0 for none, at most 11
 * @param capoStrings the strings the capo stops, 0 for ⑥ to 5 for ①; all of them unless it is a
 *     partial one. A string it leaves free rings from the nut.
 * @param bodyJoin fret at which neck and body meet, 10 to 16
 * @param cutaway whether the body leaves room for the hand beyond
 * @throws IllegalArgumentException if a measure is out of range
 */
public record Guitar(
    Tuning tuning,
    double scaleLength,
    int frets,
    double nutSpan,
    double bridgeSpan,
    int capo,
    Set<Integer> capoStrings,
    int bodyJoin,
    boolean cutaway) {

  /** A capo across all six strings. */
  public static final Set<Integer> ALL_STRINGS =
      IntStream.range(0, Tuning.STRINGS).boxed().collect(Collectors.toUnmodifiableSet());

  /** No neck leaves the body later. */
  public static final int HIGHEST_BODY_JOIN = 16;

  /** Highest capo fret that leaves a neck worth playing. */
  public static final int HIGHEST_CAPO = 11;

  /** A steel-string in standard tuning; usual building sizes (common practice, no source). */
  public static final Guitar STEEL =
      new Guitar(Tuning.STANDARD, 645, 20, 36, 54, 0, ALL_STRINGS, 14, false);

  /** A nylon-string in standard tuning; usual building sizes (common practice, no source). */
  public static final Guitar NYLON =
      new Guitar(Tuning.STANDARD, 650, 19, 43, 58, 0, ALL_STRINGS, 12, false);

  public Guitar {
    require(scaleLength >= 300 && scaleLength <= 800, Texts.of("guitar.scaleLength"), scaleLength);
    require(frets >= 12 && frets <= 24, "frets", frets);
    require(nutSpan > 0 && bridgeSpan >= nutSpan, Texts.of("guitar.nutSpan"), nutSpan);
    require(capo >= 0 && capo <= HIGHEST_CAPO, "capo", capo);
    require(bodyJoin >= 10 && bodyJoin <= HIGHEST_BODY_JOIN, Texts.of("guitar.bodyJoin"), bodyJoin);
    require(
        ALL_STRINGS.containsAll(capoStrings), Texts.of("guitar.capoStrings"), capoStrings.size());
    // Without a fret there is nothing to be partial about.
    capoStrings = capo == 0 ? ALL_STRINGS : Set.copyOf(capoStrings);
  }

  private static void require(boolean holds, String what, double value) {
    if (!holds) {
      throw new IllegalArgumentException(what + " out of range: " + value);
    }
  }

  /** The same guitar with the capo on another fret, across all strings. */
  public Guitar withCapo(int fret) {
    return withCapo(fret, ALL_STRINGS);
  }

  /** The same guitar with a capo that stops some strings only. */
  public Guitar withCapo(int fret, Set<Integer> strings) {
    return new Guitar(
        tuning, scaleLength, frets, nutSpan, bridgeSpan, fret, strings, bodyJoin, cutaway);
  }

  /** The same guitar with another scale length, mm. */
  public Guitar withScale(double length) {
    return new Guitar(
        tuning, length, frets, nutSpan, bridgeSpan, capo, capoStrings, bodyJoin, cutaway);
  }

  /** The same guitar with its strings further apart at the nut, mm, and at the bridge as far. */
  public Guitar withNut(double span) {
    double bridge = bridgeSpan + span - nutSpan;
    return new Guitar(
        tuning, scaleLength, frets, span, bridge, capo, capoStrings, bodyJoin, cutaway);
  }

  /** The same guitar with more or fewer frets. */
  public Guitar withFrets(int number) {
    return new Guitar(
        tuning, scaleLength, number, nutSpan, bridgeSpan, capo, capoStrings, bodyJoin, cutaway);
  }

  /** The same guitar tuned otherwise. */
  public Guitar withTuning(Tuning other) {
    return new Guitar(
        other, scaleLength, frets, nutSpan, bridgeSpan, capo, capoStrings, bodyJoin, cutaway);
  }

  /** The same guitar with another body. */
  public Guitar withBody(int join, boolean cut) {
    return new Guitar(
        tuning, scaleLength, frets, nutSpan, bridgeSpan, capo, capoStrings, join, cut);
  }

  /** Another instrument with this one's tuning and capo. */
  public Guitar builtAs(Guitar other) {
    return other.withTuning(tuning).withCapo(capo, capoStrings);
  }

  /** The one of {@link #STEEL} and {@link #NYLON} that it is built as, by the width of its nut. */
  public Guitar build() {
    return nutSpan < (STEEL.nutSpan + NYLON.nutSpan) / 2 ? STEEL : NYLON;
  }

  /** What it is in words: its strings and its scale. */
  public String buildWords() {
    String strings = build().equals(STEEL) ? "steel" : "nylon";
    return Texts.of("guitar.stringsMm", strings, scaleLength);
  }

  /** Whether the capo leaves strings free. */
  public boolean hasPartialCapo() {
    return capoStrings.size() < Tuning.STRINGS;
  }

  /**
   * MIDI note of a string (0 for ⑥ to 5 for ①) at a fret, as if the capo were the nut: the note a
   * chart with capo means. A string that a partial capo leaves free rings lower when open.
   */
  public int shapeMidi(int string, int fret) {
    return midi(string, fret) - capo;
  }

  /**
   * How many frets a fret counted from the capo lies beyond where neck and body meet, 0 or more.
   */
  public int pastBody(int fret) {
    return Math.max(0, fret + capo - bodyJoin);
  }

  /** Sounding MIDI note of a string (0 for ⑥ to 5 for ①) at a fret counted from the capo. */
  public int midi(int string, int fret) {
    boolean fromNut = fret == 0 && capo > 0 && !capoStrings.contains(string);
    return tuning.midi(string) + (fromNut ? 0 : capo + fret);
  }

  /** The capo in words: {@code none}, {@code 2}, {@code 2 on ⑤④③}. */
  public String capoWords() {
    String strings =
        new TreeSet<>(capoStrings).stream().map(StringSign::of).collect(Collectors.joining());
    return capo == 0
        ? Texts.of("guitar.none")
        : capo + (hasPartialCapo() ? Texts.of("guitar.on", strings) : "");
  }
}
