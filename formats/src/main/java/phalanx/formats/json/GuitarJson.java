package phalanx.formats.json;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;
import phalanx.instrument.HarmonicNode;
import phalanx.instrument.StringPull;
import phalanx.instrument.StringSign;
import phalanx.instrument.TuningByEar;
import phalanx.instrument.TuningStep;

/** Answers about the guitar itself as JSON: tunings with their pull, harmonics. */
public final class GuitarJson {

  private static final ObjectMapper MAPPER = new ObjectMapper();

  private GuitarJson() {}

  /**
   * A tuning.
   *
   * @param pulls its strings, ⑥ to ①
   * @param byEar how it is reached
   */
  public static String tuning(List<StringPull> pulls, TuningByEar byEar) {
    ObjectNode root = MAPPER.createObjectNode();
    ArrayNode strings = root.putArray("strings");
    pulls.forEach(p -> string(strings.addObject(), p));
    root.put("totalN", rounded(StringPull.newtons(pulls), 1));
    root.put("standardTotalN", rounded(StringPull.standardNewtons(pulls), 1));
    ArrayNode order = root.putArray("order");
    byEar.order().forEach(s -> order.add(StringSign.number(s)));
    root.put("caution", StringPull.caution(pulls).orElse(null));
    ArrayNode steps = root.putArray("steps");
    byEar.steps().forEach(s -> step(steps.addObject(), s));
    return root.toString();
  }

  private static void string(ObjectNode node, StringPull pull) {
    node.put("string", StringSign.number(pull.string()));
    node.put("note", pull.note().name().ascii() + pull.note().octave());
    node.put("hz", rounded(pull.hz(), 3));
    node.put("semitones", pull.semitones());
    node.put("tensionN", rounded(pull.newtons(), 2));
    node.put("standardN", rounded(pull.standardNewtons(), 2));
    node.put("zone", pull.zone().words());
  }

  private static void step(ObjectNode node, TuningStep step) {
    node.put("string", StringSign.number(step.string()));
    node.put("against", StringSign.number(step.against()));
    node.put("how", step.how().name().toLowerCase(Locale.ROOT));
    if (step.fret() == 0) {
      node.putNull("fret");
    } else {
      node.put("fret", step.fret());
    }
    // All comparisons are exact in equal temperament.
    node.put("cents", 0.0);
    node.put("text", step.words());
    step.check().ifPresent(c -> check(node.putObject("check"), c));
  }

  private static void check(ObjectNode node, TuningStep.Check check) {
    ArrayNode strings = node.putArray("strings");
    strings.add(StringSign.number(check.lowString())).add(StringSign.number(check.highString()));
    node.putArray("frets").add(check.lowFret()).add(check.highFret());
    node.put("cents", rounded(check.cents(), 3));
    node.put("beatsPerSecond", rounded(check.beats(), 3));
  }

  /** Nodes of harmonics. */
  public static String harmonics(List<HarmonicNode> all) {
    ObjectNode root = MAPPER.createObjectNode();
    ArrayNode nodes = root.putArray("nodes");
    for (HarmonicNode one : all) {
      ObjectNode node = nodes.addObject();
      node.put("string", StringSign.number(one.string()));
      node.put("harmonic", one.harmonic());
      node.put("node", one.node());
      node.put("fret", rounded(one.fret(), 2));
      node.put("midi", one.midi());
      node.put("cents", rounded(one.cents(), 3));
    }
    return root.toString();
  }

  private static double rounded(double value, int places) {
    double unit = Math.pow(10, places);
    return Math.round(value * unit) / unit;
  }
}
