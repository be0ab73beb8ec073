package phalanx.formats.json;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import phalanx.embellishment.HarpRun;
import phalanx.instrument.StringSign;

/** A harp run as JSON. */
public final class HarpJson {

  private static final ObjectMapper MAPPER = new ObjectMapper();

  private HarpJson() {}

  /** The run of an order over a shape. */
  public static String write(HarpRun run, List<HarpRun.Step> order) {
    ObjectNode root = MAPPER.createObjectNode();
    root.put("order", HarpRun.text(order));
    ArrayNode notes = root.putArray("notes");
    for (HarpRun.HarpNote note : run.notes()) {
      ObjectNode node = notes.addObject();
      node.put("string", StringSign.number(note.string()));
      node.put("fret", note.fret());
      node.put("harmonic", note.touched());
      note.touchFret()
          .ifPresentOrElse(f -> node.put("touchFret", f), () -> node.putNull("touchFret"));
      node.put("midi", note.midi());
      node.put("name", note.name().ascii());
      note.pick().ifPresentOrElse(p -> node.put("pick", p.letter()), () -> node.putNull("pick"));
      node.put("pulledOff", note.pulled());
    }
    run.scale().ifPresentOrElse(s -> root.put("scale", s), () -> root.putNull("scale"));
    return root.toString();
  }
}
