package phalanx.formats.musicxml;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.audiveris.proxymusic.Attributes;
import org.audiveris.proxymusic.BackwardForward;
import org.audiveris.proxymusic.Barline;
import org.audiveris.proxymusic.Direction;
import org.audiveris.proxymusic.DirectionType;
import org.audiveris.proxymusic.Ending;
import org.audiveris.proxymusic.Metronome;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.Sound;
import org.audiveris.proxymusic.StartStopDiscontinue;
import org.audiveris.proxymusic.Time;
import org.audiveris.proxymusic.YesNo;
import phalanx.song.Bar;
import phalanx.theory.Key;
import phalanx.theory.Letter;
import phalanx.theory.Meter;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;

/**
 * What stands around the notes of a measure.
 *
 * @param metre a metre that begins here, as written
 * @param key a key that begins here
 * @param tempo a tempo that begins here, quarter notes a minute
 * @param label a rehearsal mark
 * @param implicit whether it is not counted
 * @param repeatStart whether a repeat starts here
 * @param plays how often what ends here is played; 1 without a repeat
 * @param ending the times through of an ending that starts here; empty if none does
 * @param endingStops whether an ending stops here
 * @param jumps whether the player is sent elsewhere (D.C., D.S., coda)
 */
record MeasureFrame(
    Optional<String> metre,
    Optional<Key> key,
    OptionalDouble tempo,
    Optional<String> label,
    boolean implicit,
    boolean repeatStart,
    int plays,
    Set<Integer> ending,
    boolean endingStops,
    boolean jumps) {

  /** Reads the frame of a measure. */
  static MeasureFrame of(ScorePartwise.Part.Measure measure) {
    List<Object> all = measure.getNoteOrBackupOrForward();
    List<Attributes> attributes = only(all, Attributes.class).toList();
    List<Barline> lines = only(all, Barline.class).toList();
    List<Direction> directions = only(all, Direction.class).toList();
    List<Ending> endings = lines.stream().map(Barline::getEnding).filter(e -> e != null).toList();
    List<Sound> sounds = new ArrayList<>(only(all, Sound.class).toList());
    directions.stream().map(Direction::getSound).filter(s -> s != null).forEach(sounds::add);
    return new MeasureFrame(
        attributes.stream().flatMap(a -> a.getTime().stream()).map(MeasureFrame::metre).findFirst(),
        attributes.stream()
            .flatMap(a -> a.getKey().stream())
            .flatMap(k -> key(k).stream())
            .findFirst(),
        tempo(sounds, directions),
        directions.stream()
            .flatMap(d -> d.getDirectionType().stream())
            .flatMap(t -> t.getRehearsal().stream())
            .map(r -> r.getValue().strip())
            .filter(r -> !r.isEmpty())
            .findFirst(),
        measure.getImplicit() == YesNo.YES,
        lines.stream().anyMatch(l -> repeats(l, BackwardForward.FORWARD)),
        lines.stream().mapToInt(MeasureFrame::plays).max().orElse(1),
        endings.stream()
            .filter(e -> e.getType() == StartStopDiscontinue.START)
            .findFirst()
            .map(e -> passes(e.getNumber() == null ? "" : e.getNumber()))
            .orElse(Set.of()),
        endings.stream().anyMatch(e -> e.getType() != StartStopDiscontinue.START),
        sounds.stream().anyMatch(MeasureFrame::isJump));
  }

  private static <T> Stream<T> only(List<Object> all, Class<T> type) {
    return all.stream().filter(type::isInstance).map(type::cast);
  }

  private static String metre(Time time) {
    return time.getTimeSignature().size() < 2
        ? "none"
        : time.getTimeSignature().get(0).getValue()
            + "/"
            + time.getTimeSignature().get(1).getValue();
  }

  private static Optional<Key> key(org.audiveris.proxymusic.Key key) {
    if (key.getFifths() == null) {
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

  private static boolean repeats(Barline line, BackwardForward direction) {
    return line.getRepeat() != null && line.getRepeat().getDirection() == direction;
  }

  private static int plays(Barline line) {
    if (!repeats(line, BackwardForward.BACKWARD)) {
      return 1;
    }
    int times = line.getRepeat().getTimes() == null ? 2 : line.getRepeat().getTimes().intValue();
    return Math.max(2, Math.min(Bar.MOST_PLAYS, times));
  }

  /** The times through of an ending: {@code 1}, {@code 1, 2}. */
  private static Set<Integer> passes(String numbers) {
    Set<Integer> passes = new HashSet<>();
    for (String number : numbers.split("[^0-9]+")) {
      if (!number.isEmpty() && number.length() < 3) {
        int pass = Integer.parseInt(number);
        if (pass >= 1 && pass <= Bar.MOST_PLAYS) {
          passes.add(pass);
        }
      }
    }
    return passes;
  }

  private static boolean isJump(Sound sound) {
    return sound.getDacapo() == YesNo.YES
        || sound.getDalsegno() != null
        || sound.getTocoda() != null;
  }

  /** The metre, if it is one that bars are counted in. */
  Optional<Meter> meter() {
    return metre.flatMap(Meter::parse);
  }
}
