package phalanx.formats.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Group;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.StringSign;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.picking.PickFinger;
import phalanx.song.Harmony;
import phalanx.technique.Technique;
import phalanx.theory.Ticks;

/** An arrangement as JSON. Strings are numbered as players do, 6 the lowest. */
public final class ArrangementJson {

  private static final ObjectMapper MAPPER = new ObjectMapper();

  private ArrangementJson() {}

  /** The whole arrangement, indented. */
  public static String write(Arrangement arrangement) {
    try {
      return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(node(arrangement)) + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("a tree of plain nodes is always written", e);
    }
  }

  private static ObjectNode node(Arrangement a) {
    ObjectNode root = MAPPER.createObjectNode();
    root.put("title", a.song().title());
    root.put("tempo", a.song().tempo());
    root.put("divisions", Ticks.PER_QUARTER);
    ArrayNode tuning = root.putArray("tuning");
    for (int midi : a.song().guitar().tuning().midi()) {
      tuning.add(midi);
    }
    root.put("capo", a.song().guitar().capo());
    ArrayNode bars = root.putArray("bars");
    a.timeline()
        .bars()
        .forEach(
            b ->
                bars.addObject()
                    .put("number", b.number())
                    .put("startTick", b.startTick())
                    .put("lengthTicks", b.lengthTicks())
                    .put("tempo", b.tempo()));
    ArrayNode slots = root.putArray("slots");
    a.slots().forEach(s -> slot(slots.addObject(), s));
    Performance performance = Performance.of(a);
    ArrayNode notes = root.putArray("notes");
    performance.notes().forEach(n -> note(notes.addObject(), n));
    ArrayNode holds = root.putArray("holds");
    a.holds().forEach(h -> hold(holds.addObject(), h));
    ArrayNode hits = root.putArray("hits");
    ArrayNode sweeps = root.putArray("sweeps");
    for (Gesture gesture : a.gestures()) {
      if (gesture instanceof Gesture.Hit hit) {
        hit(hits.addObject(), hit);
      } else {
        sweep(sweeps.addObject(), gesture);
      }
    }
    ArrayNode damps = root.putArray("damps");
    performance.damps().forEach(d -> damp(damps.addObject(), d));
    root.putObject("search").put("exact", a.plan().exact());
    return root;
  }

  private static void slot(ObjectNode node, Slot slot) {
    node.put("bar", slot.played().bar());
    node.put("tick", slot.played().tick());
    node.put("lengthTicks", slot.played().lengthTicks());
    Harmony harmony = slot.played().harmony();
    node.put("chord", harmony instanceof Harmony.Sounding s ? s.chord().ascii() : harmony.label());
    ShapeJson.frets(node.putArray("frets"), slot.shape().orElse(Shape.NOTHING).frets());
    ShapeJson.fingers(node.putArray("fingers"), slot.shape().orElse(Shape.NOTHING));
    ArrayNode resting = node.putArray("mayRest");
    slot.resting().stream().sorted().forEach(f -> resting.add(f.sign()));
  }

  /** A note with how long its string rings: until it is struck, pressed, left or stopped. */
  static void note(ObjectNode node, Sounded sounded) {
    Note note = sounded.note();
    node.put("tick", note.tick());
    node.put("lengthTicks", sounded.ringTicks());
    node.put("string", StringSign.number(note.string()));
    node.put("fret", note.fret());
    node.put("midi", note.midi());
    node.put("pick", note.pick().map(PickFinger::letter).orElse(null));
    note.fretFinger()
        .ifPresentOrElse(f -> finger(node, "fretFinger", f), () -> node.putNull("fretFinger"));
    node.put("role", note.part().name().toLowerCase(Locale.ROOT));
    node.put("technique", technique(note));
    node.put("attack", note.attack().word());
    node.put("group", note.group().word());
    ArrayNode techniques = node.putArray("techniques");
    note.techniques().stream().map(Technique::word).sorted().forEach(techniques::add);
    node.put("onsetSeconds", seconds(sounded.onset()));
    node.put("endSeconds", seconds(sounded.end()));
    node.put("ending", sounded.ending().name().toLowerCase(Locale.ROOT).replace('_', '-'));
    node.put("delayTicks", note.delayTicks());
    node.put("force", note.force().name().toLowerCase(Locale.ROOT));
  }

  /** How a note is made, in one word: strings of a roll or a brush say so. */
  private static String technique(Note note) {
    boolean swept = note.group() == Group.ROLL || note.group() == Group.BRUSH;
    return swept ? note.group().word() : note.attack().word();
  }

  /** To a microsecond. */
  private static double seconds(double exact) {
    return Math.round(exact * 1e6) / 1e6;
  }

  private static void damp(ObjectNode node, Performance.TimedDamp damp) {
    node.put("tick", damp.damp().tick());
    ArrayNode strings = node.putArray("strings");
    damp.damp().strings().forEach(s -> strings.add(StringSign.number(s)));
    node.put("by", damp.damp().by().word());
    node.put("planned", damp.damp().planned());
    node.put("atSeconds", seconds(damp.at()));
  }

  private static void hit(ObjectNode node, Gesture.Hit hit) {
    node.put("tick", hit.tick());
    node.put("kind", hit.kind().written());
    node.put("percussionKey", hit.kind().percussionKey());
    node.put("force", hit.force().name().toLowerCase(Locale.ROOT));
    ArrayNode fingers = node.putArray("fingers");
    hit.fingers().stream().sorted().forEach(f -> fingers.add(f.letter()));
  }

  /** A brush or a roll: its strings, 6 the lowest, in the order they sound. */
  private static void sweep(ObjectNode node, Gesture gesture) {
    node.put("tick", gesture.tick());
    if (gesture instanceof Gesture.Brush brush) {
      node.put("kind", "brush");
      node.put("fromString", StringSign.number(brush.from()));
      node.put("toString", StringSign.number(brush.to()));
      node.put("touch", brush.touch().name().toLowerCase(Locale.ROOT));
    } else if (gesture instanceof Gesture.Roll roll) {
      node.put("kind", "roll");
      node.put("fromString", StringSign.number(roll.from()));
      node.put("toString", StringSign.number(roll.to()));
      node.put("stepTicks", roll.stepTicks());
    }
  }

  /** A finger as its number, the thumb as T. */
  private static void finger(ObjectNode node, String field, Finger finger) {
    if (finger == Finger.THUMB) {
      node.put(field, finger.sign());
    } else {
      node.put(field, finger.ordinal());
    }
  }

  private static void hold(ObjectNode node, Hold hold) {
    finger(node, "finger", hold.finger());
    node.put("string", StringSign.number(hold.lowString()));
    if (hold.highString() > hold.lowString()) {
      node.put("toString", StringSign.number(hold.highString()));
    }
    node.put("fret", hold.fret());
    node.put("fromTick", hold.fromTick());
    node.put("toTick", hold.toTick());
  }
}
