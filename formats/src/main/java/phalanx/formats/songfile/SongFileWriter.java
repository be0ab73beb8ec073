package phalanx.formats.songfile;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import phalanx.formats.json.ShapeJson;
import phalanx.fretting.FretRow;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.StringSign;
import phalanx.melody.TuneWriter;
import phalanx.song.Bar;
import phalanx.song.BarLyrics;
import phalanx.song.ChordChange;
import phalanx.song.Feel;
import phalanx.song.FindingRef;
import phalanx.song.Harmony;
import phalanx.song.Lyrics;
import phalanx.song.NoteRef;
import phalanx.song.Pins;
import phalanx.song.Section;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.theory.Meter;
import phalanx.theory.Pitch;

/** Writes a song in the program's own format. The same song always gives the same text. */
public final class SongFileWriter {

  /** What the first field of the file says. */
  static final String FORMAT = "phalanx-song";

  /** The version that is written. */
  public static final int VERSION = 2;

  private static final ObjectMapper MAPPER =
      new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

  private SongFileWriter() {}

  /** A whole song as JSON. */
  public static String write(Song song) {
    ObjectNode root = MAPPER.createObjectNode();
    root.put("format", FORMAT);
    root.put("version", VERSION);
    song.id().ifPresent(id -> root.put("id", id.text()));
    root.put("title", song.title());
    if (!song.credits().composer().isEmpty()) {
      root.put("composer", song.credits().composer());
    }
    if (!song.credits().arranger().isEmpty()) {
      root.put("arranger", song.credits().arranger());
    }
    song.key()
        .ifPresent(
            k -> {
              ObjectNode key = root.putObject("key");
              key.put("tonic", k.tonic().ascii());
              key.put("mode", Words.of(k.mode()));
            });
    feel(root.putObject("feel"), song.feel());
    guitar(root.putObject("guitar"), song.guitar());
    HandFields.write(root.putObject("hand"), song.hand()).put("own", song.hasOwnHand());
    ObjectNode picking = root.putObject("picking");
    picking.put("school", Words.of(song.school()));
    picking.put("thumb", Words.of(song.thumb()));
    PickingField.write(picking, song.patterns());
    PickingField.write(picking, song.picking().densities());
    PickingField.write(picking, song.picking().thumb());
    ArrayNode sections = root.putArray("sections");
    song.sections().forEach(s -> section(sections.addObject(), s));
    tune(root.putArray("tune"), song);
    if (!song.tune().onTop()) {
      root.put("tuneOnTop", false);
    }
    if (!song.tune().ringing().isEmpty()) {
      ArrayNode ringing = root.putArray("tuneRings");
      new TreeSet<>(song.tune().ringing()).forEach(ringing::add);
    }
    ArrayNode lyrics = root.putArray("lyrics");
    song.lyrics().forEach(lyrics::add);
    if (!song.words().bars().isEmpty()) {
      words(root.putArray("words"), song.words());
    }
    pins(root.putObject("pins"), song.pins());
    try {
      return MAPPER.writeValueAsString(root) + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("a tree of plain values is always written", e);
    }
  }

  private static void words(ArrayNode array, Lyrics words) {
    new TreeMap<>(words.bars())
        .forEach(
            (bar, lyrics) -> {
              ArrayNode verses = array.addObject().put("bar", bar).putArray("verses");
              for (List<BarLyrics.Piece> verse : lyrics.verses()) {
                ArrayNode pieces = verses.addArray();
                verse.forEach(p -> pieces.addObject().put("tick", p.tick()).put("text", p.text()));
              }
            });
  }

  private static void feel(ObjectNode node, Feel feel) {
    node.put("meter", feel.meter().toString());
    node.put("tempo", feel.tempo());
    node.put("swingPercent", feel.swing().percent());
    node.put("pickupTicks", feel.pickupTicks());
    feel.ritard().ifPresent(r -> node.putObject("ritard").put("bars", r.bars()).put("to", r.to()));
  }

  private static void guitar(ObjectNode node, Guitar guitar) {
    ArrayNode tuning = node.putArray("tuning");
    guitar.tuning().strings().forEach(p -> tuning.add(pitch(p)));
    node.put("scaleLengthMm", guitar.scaleLength());
    node.put("frets", guitar.frets());
    node.put("nutSpanMm", guitar.nutSpan());
    node.put("bridgeSpanMm", guitar.bridgeSpan());
    node.put("bodyJoinFret", guitar.bodyJoin());
    node.put("cutaway", guitar.cutaway());
    ObjectNode capo = node.putObject("capo");
    capo.put("fret", guitar.capo());
    ArrayNode strings = capo.putArray("strings");
    new TreeSet<>(guitar.capoStrings()).forEach(s -> strings.add(StringSign.number(s)));
  }

  private static String pitch(Pitch pitch) {
    return pitch.name().ascii() + pitch.octave();
  }

  private static void section(ObjectNode node, Section section) {
    node.put("id", section.id());
    node.put("label", section.label());
    section.borrows().ifPresent(b -> node.put("like", b));
    ArrayNode bars = node.putArray("bars");
    section.bars().forEach(b -> bar(bars.addObject(), b));
  }

  private static void bar(ObjectNode node, Bar bar) {
    node.put("id", bar.id());
    bar.borrows().ifPresent(b -> node.put("like", b));
    bar.meter().ifPresent(m -> node.put("meter", m.toString()));
    bar.tempo().ifPresent(t -> node.put("tempo", t));
    if (bar.repeatStart()) {
      node.put("repeatStart", true);
    }
    if (bar.plays() > 1) {
      node.put("plays", bar.plays());
    }
    if (!bar.passes().isEmpty()) {
      ArrayNode passes = node.putArray("passes");
      new TreeSet<>(bar.passes()).forEach(passes::add);
    }
    bar.phrase().ifPresent(begins -> node.put("phrase", begins));
    ArrayNode chords = node.putArray("chords");
    bar.changes().forEach(c -> chord(chords.addObject(), c));
  }

  private static void chord(ObjectNode node, ChordChange change) {
    node.put("tick", change.tick());
    if (change.harmony() instanceof Harmony.Sounding s) {
      node.put("chord", s.chord().ascii());
    } else if (change.harmony() instanceof Harmony.Unread u) {
      node.put("unread", u.text());
    } else {
      node.put("rest", true);
    }
  }

  /**
   * Bar by bar in the words of docs/tune.md, which need a metre: the bar's, or a longer one where
   * notes wait beyond a bar that became shorter.
   */
  private static void tune(ArrayNode array, Song song) {
    Map<Integer, Meter> meters = song.chart().meters(song.meter());
    Map<Integer, Meter> shared = song.meters();
    new TreeMap<>(song.tune().bars())
        .forEach(
            (bar, tune) -> {
              ObjectNode node = array.addObject().put("bar", bar);
              // A pick-up always says how much its cells share.
              Meter meter = TuneWriter.roomFor(tune, shared.get(bar));
              if (!meter.equals(meters.get(bar))) {
                node.put("meter", meter.toString());
              }
              node.put("notes", TuneWriter.write(tune, meter));
            });
  }

  private static <V> Stream<Map.Entry<SlotRef, V>> inOrder(Map<SlotRef, V> pins) {
    return pins.entrySet().stream()
        .sorted(
            Map.Entry.comparingByKey(
                Comparator.comparingInt(SlotRef::bar).thenComparingInt(SlotRef::tick)));
  }

  private static void strings(ArrayNode list, Map<SlotRef, Set<Integer>> all) {
    inOrder(all)
        .forEach(
            e -> {
              ObjectNode at = list.addObject();
              at.put("bar", e.getKey().bar());
              at.put("tick", e.getKey().tick());
              ArrayNode strings = at.putArray("strings");
              new TreeSet<>(e.getValue()).forEach(s -> strings.add(StringSign.number(s)));
            });
  }

  private static void pins(ObjectNode node, Pins pins) {
    ArrayNode shapes = node.putArray("shapes");
    inOrder(pins.shapes()).forEach(e -> shape(shapes.addObject(), e.getKey(), e.getValue()));
    inOrder(pins.frets()).forEach(e -> frets(shapes.addObject(), e.getKey(), e.getValue()));
    strings(node.putArray("damps"), pins.damps());
    strings(node.putArray("ringing"), pins.ringing());
    ArrayNode strings = node.putArray("strings");
    pins.strings().entrySet().stream()
        .sorted(
            Map.Entry.comparingByKey(
                Comparator.comparingInt(NoteRef::bar)
                    .thenComparingInt(NoteRef::tick)
                    .thenComparing(NoteRef::role)))
        .forEach(
            e -> {
              ObjectNode pin = strings.addObject();
              pin.put("bar", e.getKey().bar());
              pin.put("tick", e.getKey().tick());
              pin.put("role", Words.of(e.getKey().role()));
              pin.put("string", StringSign.number(e.getValue()));
            });
    ArrayNode accepted = node.putArray("accepted");
    pins.accepted().entrySet().stream()
        .sorted(
            Map.Entry.comparingByKey(
                Comparator.comparingInt(FindingRef::bar)
                    .thenComparingInt(FindingRef::tick)
                    .thenComparing(FindingRef::rule)))
        .forEach(
            e -> {
              ObjectNode spot = accepted.addObject();
              spot.put("bar", e.getKey().bar());
              spot.put("tick", e.getKey().tick());
              spot.put("rule", e.getKey().rule());
              spot.put("note", e.getValue());
            });
  }

  private static void frets(ObjectNode node, SlotRef at, FretRow row) {
    node.put("bar", at.bar());
    node.put("tick", at.tick());
    ShapeJson.frets(node.putArray("frets"), row.frets());
  }

  private static void shape(ObjectNode node, SlotRef at, Shape shape) {
    node.put("bar", at.bar());
    node.put("tick", at.tick());
    ShapeJson.frets(node.putArray("frets"), shape.frets());
    ShapeJson.fingers(node.putArray("fingers"), shape);
  }
}
