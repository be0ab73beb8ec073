package phalanx.formats.json;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.stream.Collectors;
import phalanx.advice.Advised;
import phalanx.theory.Key;
import phalanx.theory.Mode;
import phalanx.theory.Pitch;

/** Advice on key, capo and tuning as JSON. */
public final class AdviceJson {

  private static final ObjectMapper MAPPER = new ObjectMapper();

  private AdviceJson() {}

  /** How the song is now, and other ways, the easiest first. */
  public static String write(Advised now, List<Advised> ranked) {
    ObjectNode root = MAPPER.createObjectNode();
    way(root.putObject("now"), now);
    ArrayNode ways = root.putArray("ways");
    ranked.forEach(a -> way(ways.addObject(), a));
    return root.toString();
  }

  /** The key its shapes are in: {@code G}, {@code Am}; empty for a song without a key. */
  public static String key(Advised a) {
    return a.song().key().map(AdviceJson::key).orElse("");
  }

  private static String key(Key key) {
    return key.tonic().ascii() + (key.mode() == Mode.MINOR ? "m" : "");
  }

  private static void way(ObjectNode node, Advised a) {
    node.put("key", key(a));
    node.put("capo", a.way().capo());
    node.put(
        "tuning",
        a.way().tuning().strings().stream()
            .map(Pitch::name)
            .map(n -> n.ascii())
            .collect(Collectors.joining(" ")));
    node.put("cost", rounded(a.costPerBar(), 1000));
    node.put("hardestSpanMm", rounded(a.hardestSpan(), 10));
    node.put("findings", a.tally().hard());
    ObjectNode grades = node.putObject("grades");
    grades.put("cannot", a.tally().cannot());
    grades.put("heard", a.tally().heard());
    grades.put("note", a.tally().notes());
    a.ceiling()
        .ifPresentOrElse(
            t -> node.put("tempoCeiling", Math.floor(t)), () -> node.putNull("tempoCeiling"));
    node.put("openStrings", rounded(a.openStrings(), 100));
    node.put("sameSound", a.sameSound());
    // Every way was planned as if the player had set it.
    node.put("planned", true);
  }

  private static double rounded(double value, double unit) {
    return Math.round(value * unit) / unit;
  }
}
