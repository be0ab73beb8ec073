package phalanx.formats.musicxml;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.audiveris.proxymusic.Attributes;
import org.audiveris.proxymusic.Barline;
import org.audiveris.proxymusic.Direction;
import org.audiveris.proxymusic.DirectionType;
import org.audiveris.proxymusic.MeasureRepeat;
import org.audiveris.proxymusic.MeasureStyle;
import org.audiveris.proxymusic.Metronome;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.Sound;
import org.audiveris.proxymusic.StartStop;
import org.audiveris.proxymusic.Time;
import org.audiveris.proxymusic.YesNo;
import phalanx.theory.Key;
import phalanx.theory.Letter;
import phalanx.theory.Meter;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;
import phalanx.theory.Ticks;

/**
 * What stands around the notes of a measure.
 *
 * @param number what the measure is called
 * @param metre a metre that begins here, as written
 * @param key a key that begins here
 * @param tempo a tempo that begins here, quarter notes a minute
 * @param label a rehearsal mark
 * @param implicit whether it is not counted
 * @param signs repeats and endings
 * @param way where the player is sent from here, and where one is sent to
 * @param repeats how many measures before it are played again in its place, where that sign stands
 * @param repeatsNoMore whether such a sign ends here
 */
record MeasureFrame(
    String number,
    Optional<String> metre,
    Optional<Key> key,
    OptionalDouble tempo,
    Optional<String> label,
    boolean implicit,
    RepeatSigns signs,
    Wayfinding way,
    OptionalInt repeats,
    boolean repeatsNoMore) {

  private static final Pattern PAIR =
      Pattern.compile("(\\d{1,3}(?: ?\\+ ?\\d{1,3}){0,9})/(\\d{1,3})");

  /** More measures are not repeated by one sign: MusicXML knows one, two and four. */
  private static final int MOST_REPEATED = 16;

  /** Reads the frame of a measure. */
  static MeasureFrame of(ScorePartwise.Part.Measure measure) {
    List<Object> all = measure.getNoteOrBackupOrForward();
    List<Attributes> attributes = only(all, Attributes.class).toList();
    List<Direction> directions = only(all, Direction.class).toList();
    List<Sound> sounds = new ArrayList<>(only(all, Sound.class).toList());
    directions.stream().map(Direction::getSound).filter(s -> s != null).forEach(sounds::add);
    List<Barline> lines = only(all, Barline.class).toList();
    List<MeasureRepeat> repeats =
        attributes.stream()
            .flatMap(a -> a.getMeasureStyle().stream())
            .map(MeasureStyle::getMeasureRepeat)
            .filter(r -> r != null)
            .toList();
    return new MeasureFrame(
        measure.getNumber() == null ? "?" : measure.getNumber(),
        attributes.stream().flatMap(a -> a.getTime().stream()).map(MeasureFrame::metre).findFirst(),
        attributes.stream()
            .flatMap(a -> a.getKey().stream())
            .flatMap(k -> key(k).stream())
            .findFirst(),
        tempo(sounds, directions),
        directions.stream()
            .flatMap(d -> d.getDirectionType().stream())
            .flatMap(t -> t.getRehearsal().stream())
            .filter(r -> r.getValue() != null)
            .map(r -> r.getValue().strip())
            .filter(r -> !r.isEmpty())
            .findFirst(),
        measure.getImplicit() == YesNo.YES,
        RepeatSigns.of(lines),
        Wayfinding.of(sounds, directions, lines),
        repeats.stream()
            .filter(r -> r.getType() == StartStop.START)
            .mapToInt(MeasureFrame::measures)
            .findFirst(),
        repeats.stream().anyMatch(r -> r.getType() == StartStop.STOP));
  }

  private static int measures(MeasureRepeat repeat) {
    String value = repeat.getValue() == null ? "" : repeat.getValue().strip();
    int measures = value.matches("\\d{1,3}") ? Integer.parseInt(value) : 1;
    return Math.max(1, Math.min(MOST_REPEATED, measures));
  }

  private static <T> Stream<T> only(List<Object> all, Class<T> type) {
    return all.stream().filter(type::isInstance).map(type::cast);
  }

  /** Beats may be a sum, as in 3+2/8, and there may be several pairs, as in 2/4 + 3/8. */
  private static String metre(Time time) {
    List<String> parts = new ArrayList<>();
    time.getTimeSignature().forEach(p -> parts.add(String.valueOf(p.getValue()).strip()));
    List<String> pairs = new ArrayList<>();
    for (int p = 0; p + 1 < parts.size(); p += 2) {
      pairs.add(parts.get(p) + "/" + parts.get(p + 1));
    }
    return pairs.isEmpty() ? "none" : String.join(" ", pairs);
  }

  private static Optional<Key> key(org.audiveris.proxymusic.Key key) {
    if (key.getFifths() == null || key.getFifths().bitLength() > 8) {
      return Optional.empty();
    }
    Mode mode =
        Stream.of(Mode.values())
            .filter(m -> m.words().equalsIgnoreCase(key.getMode()))
            .findFirst()
            .orElse(Mode.MAJOR);
    return Stream.of(0, -1, 1)
        .flatMap(a -> Stream.of(Letter.values()).map(l -> new NoteName(l, a)))
        .map(tonic -> new Key(tonic, mode))
        .filter(k -> k.fifths() == key.getFifths().intValue())
        .findFirst();
  }

  private static OptionalDouble tempo(List<Sound> sounds, List<Direction> directions) {
    Optional<Double> said =
        sounds.stream()
            .map(Sound::getTempo)
            .filter(t -> t != null)
            .map(BigDecimal::doubleValue)
            .findFirst();
    return said.or(
            () ->
                directions.stream()
                    .flatMap(d -> d.getDirectionType().stream())
                    .map(DirectionType::getMetronome)
                    .filter(m -> m != null)
                    .flatMap(m -> quarters(m).stream())
                    .findFirst())
        .map(OptionalDouble::of)
        .orElse(OptionalDouble.empty());
  }

  /** A metronome mark in quarter notes a minute. */
  private static Optional<Double> quarters(Metronome mark) {
    if (mark.getPerMinute() == null
        || mark.getPerMinute().getValue() == null
        || mark.getBeatUnit() == null) {
      return Optional.empty();
    }
    double unit =
        switch (mark.getBeatUnit()) {
          case "whole" -> 4;
          case "half" -> 2;
          case "eighth" -> 0.5;
          case "16th" -> 0.25;
          default -> 1;
        };
    double dotted = mark.getBeatUnitDot().isEmpty() ? 1 : 1.5;
    try {
      return Optional.of(
          Double.parseDouble(mark.getPerMinute().getValue().strip()) * unit * dotted);
    } catch (NumberFormatException e) {
      return Optional.empty();
    }
  }

  /** The metre, if bars can be counted in it; a composite one is counted as a whole. */
  Optional<Meter> meter() {
    int ticks = 0;
    int finest = 2;
    for (String pair : metre.orElse("").split(" ")) {
      Matcher m = PAIR.matcher(pair);
      if (!m.matches()) {
        return Optional.empty();
      }
      int unit = Integer.parseInt(m.group(2));
      if (unit < 1 || Ticks.PER_WHOLE % unit != 0) {
        return Optional.empty();
      }
      finest = Math.max(finest, unit);
      for (String beats : m.group(1).split("\\+")) {
        ticks += Integer.parseInt(beats.strip()) * (Ticks.PER_WHOLE / unit);
      }
    }
    return lasting(ticks, finest);
  }

  /** A metre of this length, counted in a unit or a finer one. */
  static Optional<Meter> lasting(int ticks, int unit) {
    for (int finer : new int[] {unit, 4, 8, 16, 2}) {
      int part = Ticks.PER_WHOLE / finer;
      if (finer >= 2 && finer <= 16 && ticks > 0 && ticks % part == 0) {
        Optional<Meter> meter = Meter.parse(ticks / part + "/" + finer);
        if (meter.isPresent()) {
          return meter;
        }
      }
    }
    return Optional.empty();
  }
}
