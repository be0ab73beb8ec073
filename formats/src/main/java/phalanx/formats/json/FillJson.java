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

/** Fills over a chord as JSON. */
public final class FillJson {

  private static final ObjectMapper MAPPER = new ObjectMapper();

  private FillJson() {}

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
    ArrayNode notes = node.putArray("notes");
    for (Note note : fitted.notes()) {
      ObjectNode one = notes.addObject();
      one.put("beat", (note.tick() - fitted.fromTick()) / (double) Ticks.PER_QUARTER);
      one.put("lengthBeats", note.lengthTicks() / (double) Ticks.PER_QUARTER);
      one.put("string", StringSign.number(note.string()));
      one.put("fret", note.fret());
      one.put("midi", note.midi());
      one.put("pick", note.pick().map(PickFinger::letter).orElse(null));
      one.put("attack", note.attack().word());
    }
    node.put("widestSpanMm", Math.round(fitted.widestSpan() * 10) / 10.0);
    node.put("findings", fitted.hard().size());
    node.put("position", fitted.position());
    node.put("fits", tried.fits());
    node.put("trouble", tried.why().orElse(null));
  }
}
