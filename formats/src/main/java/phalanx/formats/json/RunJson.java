package phalanx.formats.json;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import phalanx.advice.FillTry;
import phalanx.advice.FittedRun;
import phalanx.arrangement.Note;
import phalanx.instrument.StringSign;
import phalanx.picking.PickFinger;
import phalanx.theory.Ticks;

/** Runs of notes that were fitted into a bar, fills and walks, as JSON. */
public final class RunJson {

  private static final ObjectMapper MAPPER = new ObjectMapper();

  private RunJson() {}

  /** Fills as both hands play them. */
  public static String write(List<FillTry> fills) {
    ObjectNode root = MAPPER.createObjectNode();
    ArrayNode array = root.putArray("fills");
    fills.forEach(f -> f.fitted().ifPresent(t -> fill(array.addObject(), f, t)));
    return root.toString();
  }

  private static void fill(ObjectNode node, FillTry tried, FittedRun fitted) {
    node.put("name", tried.fill().name());
    node.put("about", tried.fill().about());
    node.put("colour", tried.colour().word());
    node.put("beats", tried.fill().beats());
    notes(node.putArray("notes"), fitted, fitted.notes());
    measures(node, fitted);
    node.put("position", fitted.position());
    node.put("fits", tried.fits());
    node.put("trouble", tried.why().orElse(null));
    node.put("meets", tried.landing().map(l -> l.chord().ascii()).orElse(null));
    node.put("landing", tried.landing().map(FillTry.Landing::words).orElse(null));
  }

  /**
   * A walk of double stops.
   *
   * @param in its intervals, in words
   */
  public record Walk(String in, FittedRun run) {}

  /** Walks as both hands play them, the pedal's notes with them. */
  public static String walks(List<Walk> walks) {
    ObjectNode root = MAPPER.createObjectNode();
    ArrayNode array = root.putArray("walks");
    for (Walk walk : walks) {
      ObjectNode node = array.addObject();
      node.put("in", walk.in());
      node.put("beats", walk.run().beats());
      notes(node.putArray("notes"), walk.run(), walk.run().allNotes());
      measures(node, walk.run());
      node.put(
          "trouble",
          walk.run().hard().stream().findFirst().map(f -> f.finding().message()).orElse(null));
    }
    return root.toString();
  }

  private static void measures(ObjectNode node, FittedRun run) {
    node.put("widestSpanMm", Math.round(run.widestSpan() * 10) / 10.0);
    node.put("findings", run.hard().size());
  }

  private static void notes(ArrayNode array, FittedRun run, List<Note> notes) {
    for (Note note : notes) {
      ObjectNode one = array.addObject();
      one.put("beat", (note.tick() - run.fromTick()) / (double) Ticks.PER_QUARTER);
      one.put("lengthBeats", note.lengthTicks() / (double) Ticks.PER_QUARTER);
      one.put("string", StringSign.number(note.string()));
      one.put("fret", note.fret());
      one.put("midi", note.midi());
      one.put("pick", note.pick().map(PickFinger::letter).orElse(null));
      one.put("fretFinger", note.fretFinger().map(f -> f.sign()).orElse(null));
      one.put("attack", note.attack().word());
    }
  }
}
