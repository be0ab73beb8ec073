package phalanx.formats.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import phalanx.arrangement.Note;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.practice.Drill;
import phalanx.practice.Today;

/** A day’s practice as JSON: the drills in order, each with the notes that are played in it. */
public final class PracticeJson {

  private static final ObjectMapper MAPPER = new ObjectMapper();

  private PracticeJson() {}

  /** A day, indented. */
  public static String write(Today today) {
    ObjectNode root = MAPPER.createObjectNode();
    ArrayNode drills = root.putArray("drills");
    ObjectNode last = null;
    for (Today.Item item : today.items()) {
      if (item instanceof Today.DrillItem drill) {
        last = drills.addObject();
        drill(last, drill);
      } else if (last != null) {
        last.put("breakAfter", item.minutes());
      }
    }
    root.put("minutes", today.minutes());
    try {
      return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("a tree of plain nodes is always written", e);
    }
  }

  private static void drill(ObjectNode node, Today.DrillItem item) {
    Drill drill = item.drill();
    node.put("id", drill.id());
    node.put("title", drill.title());
    node.put("kind", drill.kind().word());
    ArrayNode bars = node.putArray("bars");
    for (int bar = drill.fromBar(); bar <= drill.toBar(); bar++) {
      bars.add(bar);
    }
    List<Sounded> sounded =
        Performance.of(drill.played()).notes().stream()
            .filter(n -> drill.fromTick() <= n.note().tick() && n.note().tick() < drill.toTick())
            .toList();
    Set<Note> added = new HashSet<>(drill.adds());
    ArrayNode adds = node.putArray("adds");
    sounded.stream()
        .filter(n -> added.contains(n.note()))
        .forEach(n -> ArrangementJson.note(adds.addObject(), n));
    node.put("startTempo", drill.tempo().start());
    node.put("goalTempo", drill.tempo().goal());
    node.put("limit", drill.tempo().limit().orElse(null));
    node.put("minutes", item.minutes());
    node.put("why", item.why());
    ArrayNode notes = node.putArray("notes");
    sounded.forEach(n -> ArrangementJson.note(notes.addObject(), n));
  }
}
