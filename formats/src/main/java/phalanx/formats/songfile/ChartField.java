package phalanx.formats.songfile;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import phalanx.formats.Texts;
import phalanx.melody.BarTune;
import phalanx.melody.TuneReader;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.ChordChange;
import phalanx.song.Feel;
import phalanx.song.Harmony;
import phalanx.song.Section;
import phalanx.song.SongBounds;
import phalanx.song.Tune;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.Meter;

/**
 * Sections, bars and the tune as they stand in a song file. A fault costs the value it is in: a
 * chord that cannot be read stands in its bar as it was written.
 */
final class ChartField {

  /** A place in a bar, ticks: far beyond the longest bar, within what an int holds. */
  static final int MOST_TICKS = 10_000_000;

  private final Faults faults;
  private final Ids ids;
  private int barsRead;
  private int chordsRead;

  ChartField(Field sections, Faults faults) {
    this.faults = faults;
    ids = new Ids(sections);
  }

  /** Every section, in order. */
  List<Section> sections(Field list) {
    List<Section> sections = new ArrayList<>();
    for (Field field : faults.or(List.<Field>of(), () -> list.list(SongBounds.MOST_BARS, faults))) {
      faults.maybe(field::object).ifPresent(f -> sections.add(section(f)));
    }
    return sections;
  }

  private Section section(Field field) {
    int id = ids.of(field.at("id"), faults);
    String label = faults.or("", () -> field.at("label").text(SongBounds.LONGEST_NAME));
    List<Bar> bars = new ArrayList<>();
    int room = SongBounds.MOST_BARS - barsRead;
    for (Field bar : faults.or(List.<Field>of(), () -> field.at("bars").list(room, faults))) {
      bars.add(bar(bar));
    }
    barsRead += bars.size();
    return new Section(id, label, like(field), bars);
  }

  private Optional<Integer> like(Field field) {
    return field.maybe("like").flatMap(f -> faults.maybe(() -> f.whole(1, Ids.MOST)));
  }

  private Bar bar(Field field) {
    int id = ids.of(field.at("id"), faults);
    if (!field.node().isObject()) {
      return Bar.of(id, List.of(new ChordChange(0, new Harmony.Unread(field.written()))));
    }
    Set<Integer> passes =
        new TreeSet<>(
            field
                .maybe("passes")
                .map(f -> faults.each(f::list, p -> p.whole(1, Bar.MOST_PLAYS)))
                .orElse(List.of()));
    return new Bar(
        id,
        like(field),
        changes(field.at("chords")),
        field.maybe("meter").flatMap(f -> faults.maybe(() -> meter(f))),
        field.maybe("tempo").flatMap(f -> faults.maybe(() -> f.number(Feel.SLOWEST, Feel.FASTEST))),
        field.maybe("repeatStart").map(f -> faults.or(false, f::truth)).orElse(false),
        field.maybe("plays").map(f -> faults.or(1, () -> f.whole(1, Bar.MOST_PLAYS))).orElse(1),
        passes,
        field.maybe("phrase").flatMap(f -> faults.maybe(f::truth)));
  }

  private List<ChordChange> changes(Field chords) {
    TreeMap<Integer, ChordChange> changes = new TreeMap<>();
    int room = SongBounds.MOST_CHORDS - chordsRead;
    for (Field field : faults.or(List.<Field>of(), () -> chords.list(room, faults))) {
      int after = changes.isEmpty() ? 0 : changes.lastKey() + 1;
      int tick = faults.or(after, () -> field.object().at("tick").whole(0, MOST_TICKS));
      if (tick < after) {
        faults.note(new Field.Fault(field.pointer(), Texts.of("chartField.chordsOutOfOrder")));
        tick = changes.containsKey(tick) ? after : tick;
      }
      changes.put(tick, new ChordChange(tick, harmony(field)));
    }
    chordsRead += changes.size();
    return List.copyOf(changes.values());
  }

  private Harmony harmony(Field field) {
    if (!field.node().isObject()) {
      return new Harmony.Unread(field.written());
    }
    if (field.maybe("rest").map(f -> faults.or(false, f::truth)).orElse(false)) {
      return new Harmony.NoChord();
    }
    Field chord = field.at(field.maybe("unread").isPresent() ? "unread" : "chord");
    Optional<String> text = faults.maybe(() -> chord.text(SongBounds.LONGEST_NAME));
    if (text.isEmpty() || chord.pointer().endsWith("unread")) {
      return new Harmony.Unread(text.orElseGet(field::written));
    }
    ChordReading reading = ChordReader.read(text.get());
    if (reading instanceof ChordReading.Read read) {
      return new Harmony.Sounding(read.chord());
    }
    faults.note(chord.fault(((ChordReading.Unreadable) reading).expected()));
    return new Harmony.Unread(text.get());
  }

  /** The tune of every bar that is there. */
  Tune tune(Field list, Chart chart, Feel feel) {
    Map<Integer, Meter> meters = chart.meters(feel.meter());
    Optional<Integer> pickup = chart.bars().stream().findFirst().map(Bar::id);
    TreeMap<Integer, BarTune> bars = new TreeMap<>();
    for (Field bar : faults.or(List.<Field>of(), list::list)) {
      Optional<Integer> id = faults.maybe(() -> bar.object().at("bar").whole(1, Ids.MOST));
      if (id.isPresent() && !meters.containsKey(id.get())) {
        faults.note(bar.at("bar").fault(Texts.of("chartField.theIdOfA")));
      } else if (id.isPresent()) {
        Meter own = meters.get(id.get());
        Meter meter = bar.maybe("meter").map(f -> faults.or(own, () -> meter(f))).orElse(own);
        String notes = faults.or("", () -> bar.at("notes").text());
        TuneReader.Result read = TuneReader.read(notes, meter);
        boolean leads = pickup.equals(id) && bar.maybe("meter").isEmpty();
        if (leads && overflows(read.tune(), feel)) {
          read = TuneReader.read(notes, feel.pickupMeter().orElse(meter));
        }
        read.problems().stream().findFirst().ifPresent(p -> faults.note(fault(bar, p)));
        bars.put(id.get(), read.tune());
      }
    }
    return new Tune(bars, true);
  }

  /** Whether cells of a pick-up that share a whole bar would be lost: they share the pick-up. */
  private static boolean overflows(BarTune tune, Feel feel) {
    return feel.pickupTicks() > 0
        && tune.notes().stream().anyMatch(n -> n.endTick() > feel.pickupTicks());
  }

  private static Field.Fault fault(Field bar, TuneReader.Problem problem) {
    String words = Texts.of("chartField.atSign", problem.column(), problem.message());
    return new Field.Fault(bar.at("notes").pointer(), words);
  }

  /** A metre as a text. */
  static Meter meter(Field field) {
    return field.parsed(Meter::parse, Texts.of("chartField.aMetreSuchAs"));
  }
}
