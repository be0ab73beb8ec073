package phalanx.formats.json;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.stream.Collectors;
import phalanx.advice.Advised;
import phalanx.advice.Ranked;
import phalanx.theory.Key;
import phalanx.theory.Mode;
import phalanx.theory.Pitch;

/** Advice on key, capo and tuning as JSON. */
public final class AdviceJson {

  private static final ObjectMapper MAPPER = new ObjectMapper();

  private AdviceJson() {}

  /**
   * How the song is now; other ways that were planned, the easiest first; then, by what they cost
   * at least, those given up before their plan was whole, since others are easier.
   */
  public static String write(Advised now, List<Ranked> ranked) {
    ObjectNode root = MAPPER.createObjectNode();
    way(root.putObject("now"), now);
    ArrayNode ways = root.putArray("ways");
    ArrayNode outdone = root.putArray("outdone");
    for (Ranked r : ranked) {
      if (r instanceof Advised a) {
        way(ways.addObject(), a);
      } else {
        ObjectNode node = outdone.addObject();
        setting(node, r);
        node.put("costAtLeast", rounded(r.costPerBar(), 1000));
        node.put("planned", false);
      }
    }
    return root.toString();
  }

  /** The key its shapes are in: {@code G}, {@code Am}; empty for a song without a key. */
  public static String key(Ranked r) {
    return r.song().key().map(AdviceJson::key).orElse("");
  }

  private static String key(Key key) {
    return key.tonic().ascii() + (key.mode() == Mode.MINOR ? "m" : "");
  }

  private static void setting(ObjectNode node, Ranked r) {
    node.put("key", key(r));
    node.put("capo", r.way().capo());
    node.put(
        "tuning",
        r.way().tuning().strings().stream()
            .map(Pitch::name)
            .map(n -> n.ascii())
            .collect(Collectors.joining(" ")));
    node.put("tuneOctave", r.way().octaves());
  }

  private static void way(ObjectNode node, Advised a) {
    setting(node, a);
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
    node.put("tuneHigher", a.tuneHigher());
    node.put("planned", true);
  }

  private static double rounded(double value, double unit) {
    return Math.round(value * unit) / unit;
  }
}
