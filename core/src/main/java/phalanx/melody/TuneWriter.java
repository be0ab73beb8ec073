package phalanx.melody;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import phalanx.instrument.Tuning;
import phalanx.technique.TechniqueText;
import phalanx.theory.Meter;
import phalanx.theory.Pitch;
import phalanx.theory.Ticks;

/** Writes the tune of a bar as the text that {@link TuneReader} reads back. */
public final class TuneWriter {

  private static final String HOLD = ".";
  private static final String REST = "-";

  /** A cell is cut into more parts than this step by step. */
  private static final int MOST_PARTS = 16;

  private static final int HIGHEST_DIGIT = 9;

  private Optional<Pitch> last = Optional.empty();

  private final Optional<Function<Want, String>> names;

  private TuneWriter(Optional<Function<Want, String>> names) {
    this.names = names;
  }

  /** A bar with as few cells as its notes need; empty where nothing sounds. */
  public static String write(BarTune tune, Meter meter) {
    return tune.isSilent() ? "" : new TuneWriter(Optional.empty()).bar(tune, meter);
  }

  /** The same with other words for what sounds, such as degrees of a chord. */
  public static String write(BarTune tune, Meter meter, Function<Want, String> names) {
    return tune.isSilent() ? "" : new TuneWriter(Optional.of(names)).bar(tune, meter);
  }

  /** The metre of a bar, or one of as many halves as the notes need where it has become short. */
  public static Meter roomFor(BarTune tune, Meter meter) {
    int end =
        tune.notes().isEmpty()
            ? tune.heldTicks()
            : tune.notes().get(tune.notes().size() - 1).endTick();
    int half = 2 * Ticks.PER_QUARTER;
    return end <= meter.barTicks() ? meter : new Meter((end + half - 1) / half, 2);
  }

  private String bar(BarTune tune, Meter meter) {
    TreeMap<Integer, String> words = new TreeMap<>();
    words.put(0, tune.heldTicks() > 0 ? HOLD : REST);
    int free = tune.heldTicks();
    for (TuneNote note : tune.notes()) {
      if (note.tick() > free) {
        words.put(free, REST);
      }
      words.put(note.tick(), word(note));
      free = note.endTick();
    }
    if (free < meter.barTicks()) {
      words.put(free, REST);
    }
    int bar = meter.barTicks();
    for (int cells : List.of(1, meter.beats(), meter.count(), 2 * meter.count())) {
      if (words.keySet().stream().allMatch(t -> t % (bar / cells) == 0)) {
        return String.join(" ", cut(words, 0, bar, cells));
      }
    }
    List<String> row = new ArrayList<>();
    for (int from = 0; from < bar; from += bar / meter.count()) {
      row.add(cell(words, from, bar / meter.count()));
    }
    return String.join(" ", row);
  }

  /** One cell, in brackets where it needs cutting, in brackets within them where it needs much. */
  private static String cell(TreeMap<Integer, String> words, int from, int length) {
    for (int parts = 1; parts <= MOST_PARTS; parts++) {
      int part = length / parts;
      boolean fits =
          length % parts == 0
              && words.subMap(from, from + length).keySet().stream()
                  .allMatch(t -> (t - from) % part == 0);
      if (fits) {
        String inside = String.join(" ", cut(words, from, length, parts));
        return parts == 1 ? inside : "[" + inside + "]";
      }
    }
    int parts =
        IntStream.rangeClosed(2, length).filter(p -> length % p == 0).findFirst().orElseThrow();
    return IntStream.range(0, parts)
        .mapToObj(p -> cell(words, from + p * (length / parts), length / parts))
        .collect(Collectors.joining(" ", "[", "]"));
  }

  private static List<String> cut(TreeMap<Integer, String> words, int from, int length, int parts) {
    return IntStream.range(0, parts)
        .mapToObj(p -> words.getOrDefault(from + p * length / parts, HOLD))
        .toList();
  }

  private String word(TuneNote note) {
    StringBuilder word = new StringBuilder();
    if (!note.graces().isEmpty()) {
      word.append('{')
          .append(String.join(" ", note.graces().stream().map(this::word).toList()))
          .append('}');
    }
    note.slur().ifPresent(s -> word.append(s.sign()));
    return word.append(String.join("+", note.wants().stream().map(this::word).toList()))
        .append(TechniqueText.write(note.techniques()))
        .toString();
  }

  private String word(Want want) {
    if (names.isPresent()) {
      return names.get().apply(want);
    }
    if (want instanceof Want.Place place) {
      return (Tuning.STRINGS - place.string()) + ":" + place.fret();
    }
    Want.Sound sound = (Want.Sound) want;
    Pitch pitch = sound.pitch();
    boolean near =
        last.filter(l -> TuneReader.nearest(l, pitch.name()) == pitch.octave()).isPresent();
    last = Optional.of(pitch);
    String name = pitch.name().ascii();
    String letter = name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
    String string = sound.string().map(s -> "@" + (Tuning.STRINGS - s)).orElse("");
    return letter + (near ? "" : octave(pitch.octave())) + string;
  }

  /** One digit, with signs for what lies beyond. */
  private static String octave(int octave) {
    int digit = Math.max(0, Math.min(HIGHEST_DIGIT, octave));
    return digit
        + "'".repeat(Math.max(0, octave - digit))
        + ",".repeat(Math.max(0, digit - octave));
  }
}
