package phalanx.formats.chordpro;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.formats.text.ChordWord;
import phalanx.fretting.FretRow;
import phalanx.fretting.Shape;
import phalanx.fretting.Stop;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.song.Timeline;

/** Shapes that a chart defines: they are pinned wherever their chord stands. */
final class Definitions {

  private static final Pattern DEFINE =
      Pattern.compile(
          "(\\S{1,60})(?:\\s+base-fret\\s+(\\d{1,2}))?\\s+frets((?:\\s+[-xXN\\d]{1,2}){6})(?:\\s+fingers((?:\\s+[-xXN0T\\d]){6}))?.*");
  private static final int HIGHEST_BASE = 24;

  /** A shape with its fingers, or its frets alone. */
  private record Defined(FretRow frets, Optional<Shape> shape) {}

  private final Map<Harmony, Defined> all = new LinkedHashMap<>();

  /** Reads a definition; false where it is none of six strings. */
  boolean read(String value) {
    Matcher m = DEFINE.matcher(value.strip());
    if (!m.matches()) {
      return false;
    }
    Optional<Harmony> harmony = ChordWord.symbol(m.group(1));
    int base = m.group(2) == null ? 1 : Integer.parseInt(m.group(2));
    if (harmony.isEmpty() || base < 1 || base > HIGHEST_BASE) {
      return false;
    }
    List<Integer> frets = new ArrayList<>();
    for (String fret : m.group(3).strip().split("\\s+")) {
      boolean silent = !fret.matches("\\d+");
      int written = silent ? -1 : Integer.parseInt(fret);
      int at = silent ? Shape.SILENT : written == 0 ? 0 : written + base - 1;
      if (at > HIGHEST_BASE) {
        return false;
      }
      frets.add(at);
    }
    if (frets.stream().allMatch(f -> f == Shape.SILENT)) {
      return false;
    }
    all.put(harmony.get(), new Defined(new FretRow(frets), shape(frets, m.group(4))));
    return true;
  }

  private static Optional<Shape> shape(List<Integer> frets, String fingers) {
    if (fingers == null) {
      return Optional.empty();
    }
    String[] signs = fingers.strip().split("\\s+");
    List<Stop> stops = new ArrayList<>();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      int fret = frets.get(s);
      Optional<Finger> finger = finger(signs[s]);
      if (fret > 0 && finger.isEmpty()) {
        return Optional.empty();
      }
      stops.add(
          fret == Shape.SILENT
              ? new Stop.Silent()
              : fret == 0 ? new Stop.Open() : new Stop.Pressed(fret, finger.get()));
    }
    try {
      return Optional.of(new Shape(stops));
    } catch (IllegalArgumentException e) {
      // A finger on two frets: the frets are kept and fingered anew.
      return Optional.empty();
    }
  }

  private static Optional<Finger> finger(String sign) {
    if (sign.equals("T")) {
      return Optional.of(Finger.THUMB);
    }
    return sign.matches("[1-4]")
        ? Optional.of(Finger.numbered(Integer.parseInt(sign)))
        : Optional.empty();
  }

  /** A song with the shapes pinned. */
  Song pinned(Song song) {
    Song now = song;
    for (Timeline.PlayedSlot slot : Timeline.of(song).slots()) {
      Defined defined = all.get(slot.harmony());
      if (defined != null) {
        now =
            defined.shape().isPresent()
                ? now.pin(slot.ref(), defined.shape().get())
                : now.pin(slot.ref(), defined.frets());
      }
    }
    return now;
  }
}
