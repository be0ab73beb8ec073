package phalanx.song;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.HandSchool;

/**
 * A song as the player decided it. What both hands do with it is derived, never kept here.
 *
 * @param title its title
 * @param key the key the chart is written in, if it says so
 * @param meter its metre
 * @param tempo quarter notes a minute, 20 to 400
 * @param guitar the guitar with tuning and capo; chords are counted from the capo
 * @param hand the fretting hand
 * @param school how the picking hand shares the strings
 * @param pattern the picking pattern
 * @param sections the chart
 * @param lyrics the words, line by line as they were written
 * @param pins shapes the player insists on, by where the chord is written
 */
public record Song(
    String title,
    Optional<Key> key,
    Meter meter,
    double tempo,
    Guitar guitar,
    Hand hand,
    HandSchool school,
    AlternatingThumb pattern,
    List<Section> sections,
    List<String> lyrics,
    Map<SlotRef, Shape> pins) {

  public static final double SLOWEST = 20;
  public static final double FASTEST = 400;

  /** Tempo of a chart that names none, quarter notes a minute. */
  public static final double USUAL_TEMPO = 90;

  public Song {
    if (!(tempo >= SLOWEST && tempo <= FASTEST)) {
      throw new IllegalArgumentException("tempo out of range: " + tempo);
    }
    sections = List.copyOf(sections);
    lyrics = List.copyOf(lyrics);
    pins = Map.copyOf(pins);
  }

  /** An empty song with the usual settings: steel-string guitar, medium hand, thumb and three. */
  public static Song untitled() {
    return new Song(
        "Untitled",
        Optional.empty(),
        Meter.FOUR_FOUR,
        USUAL_TEMPO,
        Guitar.STEEL,
        Hand.MEDIUM,
        HandSchool.THUMB_AND_THREE,
        AlternatingThumb.FINGERS_BETWEEN,
        List.of(),
        List.of(),
        Map.of());
  }

  /** With a shape pinned where a chord is written. */
  public Song pin(SlotRef at, Shape shape) {
    Map<SlotRef, Shape> more = new HashMap<>(pins);
    more.put(at, shape);
    return withPins(more);
  }

  /** Without the pin at a place. */
  public Song unpin(SlotRef at) {
    Map<SlotRef, Shape> fewer = new HashMap<>(pins);
    fewer.remove(at);
    return withPins(fewer);
  }

  private Song withPins(Map<SlotRef, Shape> other) {
    return new Song(
        title, key, meter, tempo, guitar, hand, school, pattern, sections, lyrics, other);
  }

  /** At another tempo. */
  public Song withTempo(double other) {
    return new Song(
        title, key, meter, other, guitar, hand, school, pattern, sections, lyrics, pins);
  }

  /** On another guitar, or the same with another tuning or capo. */
  public Song withGuitar(Guitar other) {
    return new Song(title, key, meter, tempo, other, hand, school, pattern, sections, lyrics, pins);
  }

  /** For another hand. */
  public Song withHand(Hand other) {
    return new Song(
        title, key, meter, tempo, guitar, other, school, pattern, sections, lyrics, pins);
  }

  /** For another way of sharing the strings. */
  public Song withSchool(HandSchool other) {
    return new Song(title, key, meter, tempo, guitar, hand, other, pattern, sections, lyrics, pins);
  }

  /** With another pattern. */
  public Song withPattern(AlternatingThumb other) {
    return new Song(title, key, meter, tempo, guitar, hand, school, other, sections, lyrics, pins);
  }
}
