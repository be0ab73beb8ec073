package phalanx.formats.songfile;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import phalanx.formats.Texts;
import phalanx.fretting.FretRow;
import phalanx.fretting.Shape;
import phalanx.fretting.Stop;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.picking.Role;
import phalanx.song.FindingRef;
import phalanx.song.NoteRef;
import phalanx.song.Pins;
import phalanx.song.SlotRef;
import phalanx.song.SongBounds;

/** What the player insists on, as it stands in a song file, pin by pin. */
final class PinsField {

  private final Faults faults;
  private int read;

  PinsField(Faults faults) {
    this.faults = faults;
  }

  Pins pins(Field field) {
    Map<SlotRef, Shape> shapes = new HashMap<>();
    Map<SlotRef, FretRow> frets = new HashMap<>();
    each(
        field,
        "shapes",
        pin -> {
          SlotRef at = new SlotRef(bar(pin), tick(pin));
          if (pin.maybe("fingers").isPresent()) {
            shapes.put(at, shape(pin));
          } else {
            frets.put(at, row(pin));
          }
        });
    Map<SlotRef, Set<Integer>> damps = strings(field, "damps");
    Map<SlotRef, Set<Integer>> ringing = strings(field, "ringing");
    Map<NoteRef, Integer> strings = new HashMap<>();
    each(
        field,
        "strings",
        pin -> {
          NoteRef at = new NoteRef(bar(pin), tick(pin), pin.at("role").word(Role.class));
          strings.put(at, Tuning.STRINGS - pin.at("string").whole(1, Tuning.STRINGS));
        });
    Map<FindingRef, String> accepted = new HashMap<>();
    each(
        field,
        "accepted",
        spot -> {
          FindingRef at = new FindingRef(bar(spot), tick(spot), spot.at("rule").text());
          accepted.put(at, spot.at("note").text(SongBounds.LONGEST_NAME));
        });
    return new Pins(shapes, frets, strings, damps, ringing, accepted);
  }

  /** Strings by the chord at which something is wanted of them. */
  private Map<SlotRef, Set<Integer>> strings(Field field, String name) {
    Map<SlotRef, Set<Integer>> all = new HashMap<>();
    each(
        field,
        name,
        pin -> {
          Set<Integer> strings = new TreeSet<>();
          pin.at("strings").list().stream()
              .map(s -> Tuning.STRINGS - s.whole(1, Tuning.STRINGS))
              .forEach(strings::add);
          all.put(new SlotRef(bar(pin), tick(pin)), strings);
        });
    return all;
  }

  private interface Pin {
    void read(Field field);
  }

  private void each(Field field, String name, Pin pin) {
    for (Field item :
        field
            .maybe(name)
            .map(
                f -> faults.or(List.<Field>of(), () -> f.list(SongBounds.MOST_PINS - read, faults)))
            .orElse(List.of())) {
      read++;
      faults.maybe(
          () -> {
            pin.read(item.object());
            return item;
          });
    }
  }

  private static int bar(Field pin) {
    return pin.at("bar").whole(1, Ids.MOST);
  }

  private static int tick(Field pin) {
    return pin.at("tick").whole(0, ChartField.MOST_TICKS);
  }

  /** Frets whose fingers the plan chooses. */
  private static FretRow row(Field pin) {
    List<Field> frets = pin.at("frets").list();
    if (frets.size() != Tuning.STRINGS) {
      throw pin.at("frets").fault(Texts.of("pinsField.sixFretsLowTo"));
    }
    List<Integer> row = new ArrayList<>();
    for (Field fret : frets) {
      row.add(fret.node().asText().equals("x") ? Shape.SILENT : fret.whole(0, 24));
    }
    try {
      return new FretRow(row);
    } catch (IllegalArgumentException e) {
      throw new Field.Fault(pin.pointer(), e.getMessage());
    }
  }

  private static Shape shape(Field pin) {
    List<Field> frets = pin.at("frets").list();
    List<Field> fingers = pin.at("fingers").list();
    if (frets.size() != Tuning.STRINGS || fingers.size() != Tuning.STRINGS) {
      throw pin.at("frets").fault(Texts.of("pinsField.sixFretsAndSix"));
    }
    List<Stop> stops = new ArrayList<>();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      stops.add(stop(frets.get(s), fingers.get(s)));
    }
    try {
      return new Shape(stops);
    } catch (IllegalArgumentException e) {
      throw new Field.Fault(pin.pointer(), e.getMessage());
    }
  }

  private static Stop stop(Field fret, Field finger) {
    if (fret.node().asText().equals("x")) {
      return new Stop.Silent();
    }
    int number = fret.whole(0, 24);
    if (number == 0) {
      return new Stop.Open();
    }
    Optional<Finger> holds =
        finger.text().isEmpty()
            ? Optional.empty()
            : Arrays.stream(Finger.values())
                .filter(f -> f.sign().equals(finger.text()))
                .findFirst();
    return new Stop.Pressed(
        number, holds.orElseThrow(() -> finger.fault(Texts.of("pinsField.tOr"))));
  }
}
