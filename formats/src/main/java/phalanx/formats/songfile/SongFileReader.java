package phalanx.formats.songfile;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import phalanx.formats.FileProblem;
import phalanx.fretting.Shape;
import phalanx.fretting.Stop;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.Tuning;
import phalanx.melody.TuneReader;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.HandSchool;
import phalanx.picking.Role;
import phalanx.picking.ThumbRoute;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.ChordChange;
import phalanx.song.Feel;
import phalanx.song.FindingRef;
import phalanx.song.Harmony;
import phalanx.song.NoteRef;
import phalanx.song.Patterns;
import phalanx.song.Pins;
import phalanx.song.Section;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.Swing;
import phalanx.song.Tune;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

/**
 * Reads songs in the program's own format. A file is read whole or refused with the place of the
 * first fault; it is never changed by reading.
 */
public final class SongFileReader {

  private static final int MOST_TICKS = 10_000_000;
  private static final int MOST_ID = 1_000_000_000;

  private SongFileReader() {}

  /** What came of reading: a song, or what is wrong with the file. */
  public sealed interface Result {

    /**
     * The song.
     *
     * @param song the song
     */
    record Read(Song song) implements Result {}

    /**
     * The file cannot be used.
     *
     * @param problem what is wrong, with its place
     */
    record Refused(FileProblem problem) implements Result {}
  }

  /** Reads a whole file. */
  public static Result read(String text) {
    LocatedJson json;
    try {
      json = LocatedJson.read(text);
    } catch (JsonProcessingException e) {
      String words = "this is not JSON: " + e.getOriginalMessage();
      return new Result.Refused(problem(e.getLocation(), words));
    } catch (IOException e) {
      return new Result.Refused(new FileProblem(1, 1, "cannot be read: " + e.getMessage()));
    }
    try {
      return new Result.Read(song(current(new Field(json.root(), ""))));
    } catch (Field.Fault e) {
      return new Result.Refused(problem(json.place(e.pointer()), e.getMessage()));
    }
  }

  private static FileProblem problem(JsonLocation at, String message) {
    int line = at == null ? 1 : Math.max(1, at.getLineNr());
    int column = at == null ? 1 : Math.max(1, at.getColumnNr());
    return new FileProblem(line, column, message);
  }

  private static Field current(Field root) {
    root.object();
    if (!root.at("format").node().asText().equals(SongFileWriter.FORMAT)) {
      throw root.at("format").fault("“" + SongFileWriter.FORMAT + "”");
    }
    int version = root.at("version").whole(1, Integer.MAX_VALUE);
    if (version > SongFileWriter.VERSION) {
      String words =
          "this song was written by a newer Phalanx (version %d, this one reads up to %d)"
              .formatted(version, SongFileWriter.VERSION);
      throw new Field.Fault("/version", words);
    }
    return new Field(Upgrades.upgrade((ObjectNode) root.node(), version), "");
  }

  private static Song song(Field root) {
    Field picking = root.at("picking").object();
    List<Section> sections =
        root.at("sections").list().stream().map(SongFileReader::section).toList();
    Song song =
        new Song(
            root.at("title").text(),
            root.maybe("key").map(SongFileReader::key),
            feel(root.at("feel").object()),
            guitar(root.at("guitar").object()),
            hand(root.at("hand").object()),
            picking.at("school").word(HandSchool.class),
            Patterns.of(AlternatingThumb.FINGERS_BETWEEN),
            picking
                .maybe("thumb")
                .map(f -> f.word(ThumbRoute.class))
                .orElse(ThumbRoute.ALTERNATING),
            Chart.EMPTY,
            Tune.NONE,
            root.maybe("lyrics")
                .map(l -> l.list().stream().map(Field::text).toList())
                .orElse(List.of()),
            root.maybe("pins").map(SongFileReader::pins).orElse(Pins.NONE));
    try {
      // Settling mends what was written by hand: a section that is like another one gets its bars.
      return song.withPins(Pins.NONE)
          .editChart(c -> new Chart(sections))
          .withPins(song.pins())
          .withTune(
              root.maybe("tune")
                  .map(f -> tune(f, sections, song))
                  .orElse(Tune.NONE)
                  .withOnTop(root.maybe("tuneOnTop").map(Field::truth).orElse(true)))
          .withPatterns(PickingField.read(picking, MOST_ID, MOST_TICKS));
    } catch (IllegalArgumentException e) {
      throw new Field.Fault("/sections", e.getMessage());
    }
  }

  private static Tune tune(Field field, List<Section> sections, Song song) {
    Map<Integer, Meter> meters = new Chart(sections).meters(song.meter());
    Tune tune = Tune.NONE;
    for (Field bar : field.list()) {
      int id = bar.object().at("bar").whole(1, MOST_ID);
      if (!meters.containsKey(id)) {
        throw bar.at("bar").fault("the id of a bar of this song");
      }
      Meter meter = bar.maybe("meter").map(SongFileReader::meter).orElse(meters.get(id));
      TuneReader.Result read = TuneReader.read(bar.at("notes").text(), meter);
      if (!read.problems().isEmpty()) {
        TuneReader.Problem problem = read.problems().get(0);
        String words = "at sign %d: %s".formatted(problem.column(), problem.message());
        throw new Field.Fault(bar.at("notes").pointer(), words);
      }
      tune = tune.with(id, read.tune());
    }
    return tune;
  }

  private static Key key(Field field) {
    NoteName tonic = field.object().at("tonic").parsed(NoteName::parse, "a note such as F#");
    return new Key(tonic, field.at("mode").word(Mode.class));
  }

  private static Feel feel(Field field) {
    return new Feel(
        meter(field.at("meter")),
        field.at("tempo").number(Feel.SLOWEST, Feel.FASTEST),
        new Swing(field.at("swingPercent").whole(50, 75)),
        field.at("pickupTicks").whole(0, MOST_TICKS));
  }

  private static Meter meter(Field field) {
    return field.parsed(Meter::parse, "a metre such as 4/4");
  }

  private static Guitar guitar(Field field) {
    List<Field> strings = field.at("tuning").list();
    if (strings.size() != Tuning.STRINGS) {
      throw field.at("tuning").fault("six pitches, low to high");
    }
    List<Pitch> tuning =
        strings.stream().map(s -> s.parsed(Pitch::parse, "a pitch such as E2")).toList();
    Field capo = field.at("capo").object();
    Set<Integer> capoStrings =
        capo.at("strings").list().stream()
            .map(s -> Tuning.STRINGS - s.whole(1, Tuning.STRINGS))
            .collect(Collectors.toSet());
    double nut = field.at("nutSpanMm").number(20, 80);
    return new Guitar(
        new Tuning(tuning),
        field.at("scaleLengthMm").number(300, 800),
        field.at("frets").whole(12, 24),
        nut,
        field.at("bridgeSpanMm").number(nut, 100),
        capo.at("fret").whole(0, Guitar.HIGHEST_CAPO),
        capoStrings,
        field.at("bodyJoinFret").whole(10, 16),
        field.at("cutaway").truth());
  }

  private static Hand hand(Field field) {
    Hand.Pace usual = Hand.Pace.USUAL;
    return new Hand(
        field.at("size").word(Hand.Size.class),
        field.at("scale").number(0.7, 1.4),
        field.maybe("thumbOver").map(Field::truth).orElse(true),
        field.maybe("stretches").map(Field::truth).orElse(false),
        field.maybe("leftHanded").map(Field::truth).orElse(false),
        new Hand.Pace(
            field.maybe("reactionMs").map(f -> f.number(0, 500)).orElse(usual.reactionMs()),
            field.maybe("doublingMs").map(f -> f.number(10, 500)).orElse(usual.doublingMs())));
  }

  private static Section section(Field field) {
    return new Section(
        field.object().at("id").whole(1, MOST_ID),
        field.at("label").text(),
        field.maybe("like").map(f -> f.whole(1, MOST_ID)),
        field.at("bars").list().stream().map(SongFileReader::bar).toList());
  }

  private static Bar bar(Field field) {
    Set<Integer> passes =
        field
            .maybe("passes")
            .map(
                f ->
                    f.list().stream()
                        .map(p -> p.whole(1, Bar.MOST_PLAYS))
                        .collect(Collectors.toSet()))
            .orElse(Set.of());
    try {
      return new Bar(
          field.object().at("id").whole(1, MOST_ID),
          field.maybe("like").map(f -> f.whole(1, MOST_ID)),
          field.at("chords").list().stream().map(SongFileReader::change).toList(),
          field.maybe("meter").map(SongFileReader::meter),
          field.maybe("repeatStart").map(Field::truth).orElse(false),
          field.maybe("plays").map(f -> f.whole(1, Bar.MOST_PLAYS)).orElse(1),
          passes);
    } catch (IllegalArgumentException e) {
      throw new Field.Fault(field.pointer(), e.getMessage());
    }
  }

  private static ChordChange change(Field field) {
    return new ChordChange(field.object().at("tick").whole(0, MOST_TICKS), harmony(field));
  }

  private static Harmony harmony(Field field) {
    if (field.maybe("rest").map(Field::truth).orElse(false)) {
      return new Harmony.NoChord();
    }
    if (field.maybe("unread").isPresent()) {
      return new Harmony.Unread(field.at("unread").text());
    }
    ChordReading reading = ChordReader.read(field.at("chord").text());
    if (reading instanceof ChordReading.Read read) {
      return new Harmony.Sounding(read.chord());
    }
    throw field.at("chord").fault(((ChordReading.Unreadable) reading).expected());
  }

  private static Pins pins(Field field) {
    Map<SlotRef, Shape> shapes = new HashMap<>();
    for (Field pin : field.object().at("shapes").list()) {
      SlotRef at =
          new SlotRef(pin.at("bar").whole(1, MOST_ID), pin.at("tick").whole(0, MOST_TICKS));
      shapes.put(at, shape(pin));
    }
    Map<NoteRef, Integer> strings = new HashMap<>();
    for (Field pin : field.at("strings").list()) {
      NoteRef at =
          new NoteRef(
              pin.at("bar").whole(1, MOST_ID),
              pin.at("tick").whole(0, MOST_TICKS),
              pin.at("role").word(Role.class));
      strings.put(at, Tuning.STRINGS - pin.at("string").whole(1, Tuning.STRINGS));
    }
    Map<FindingRef, String> accepted = new HashMap<>();
    for (Field spot : field.maybe("accepted").map(Field::list).orElse(List.of())) {
      FindingRef at =
          new FindingRef(
              spot.at("bar").whole(1, MOST_ID),
              spot.at("tick").whole(0, MOST_TICKS),
              spot.at("rule").text());
      accepted.put(at, spot.at("note").text());
    }
    return new Pins(shapes, strings, accepted);
  }

  private static Shape shape(Field pin) {
    List<Field> frets = pin.at("frets").list();
    List<Field> fingers = pin.at("fingers").list();
    if (frets.size() != Tuning.STRINGS || fingers.size() != Tuning.STRINGS) {
      throw pin.at("frets").fault("six frets and six fingers, low to high");
    }
    List<Stop> stops =
        new ArrayList<>(
            IntStream.range(0, Tuning.STRINGS)
                .mapToObj(s -> stop(frets.get(s), fingers.get(s)))
                .toList());
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
    return new Stop.Pressed(number, holds.orElseThrow(() -> finger.fault("T, 1, 2, 3 or 4")));
  }
}
