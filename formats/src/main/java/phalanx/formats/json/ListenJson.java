package phalanx.formats.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import phalanx.instrument.StringSign;
import phalanx.practice.Evenness;
import phalanx.practice.ExpectedStroke;
import phalanx.practice.MatchedStroke;
import phalanx.practice.Steadiness;
import phalanx.practice.StrokeReport;

/** What was heard of a song as JSON; times in milliseconds from the beginning of the recording. */
public final class ListenJson {

  private static final ObjectMapper MAPPER = new ObjectMapper();

  private ListenJson() {}

  /** A report, indented. */
  public static String write(StrokeReport report) {
    ObjectNode root = MAPPER.createObjectNode();
    root.put("offsetMs", millis(report.offset()));
    root.put("matched", report.matched().size());
    root.put("missed", report.missed().size());
    root.put("extra", report.extra().size());
    root.put("wrongString", report.wrong().size());
    root.put("tempoShare", Math.round(report.tempo() * 1e4) / 1e4);
    ObjectNode roles = root.putObject("roles");
    role(roles.putObject("thumb"), report.thumb());
    loudness(roles.withObject("/thumb"), report.evenness(ExpectedStroke::isThumbs));
    role(roles.putObject("fingers"), report.fingers());
    loudness(roles.withObject("/fingers"), report.evenness(s -> !s.isThumbs()));
    ObjectNode fingers = root.putObject("byFinger");
    report.byFinger().forEach((f, s) -> role(fingers.putObject(f.letter()), s));
    ObjectNode beats = root.putObject("byBeat");
    report.byBeat().forEach((b, s) -> role(beats.putObject(beat(b)), s));
    ObjectNode changes = root.putObject("byChange");
    report.byChange().forEach((c, s) -> role(changes.putObject(c), s));
    ArrayNode strokes = root.putArray("strokes");
    for (MatchedStroke stroke : report.matched()) {
      ObjectNode node = strokes.addObject();
      stroke(node, stroke.stroke());
      node.put("expectedMs", millis(stroke.expected()));
      node.put("heardMs", millis(stroke.heard()));
      stroke.level().ifPresent(l -> node.put("levelDb", Math.round(l * 10) / 10.0));
    }
    ArrayNode missed = root.putArray("missedStrokes");
    report.missed().forEach(s -> stroke(missed.addObject(), s));
    ArrayNode wrong = root.putArray("wrongStrings");
    for (StrokeReport.WrongString w : report.wrong()) {
      ObjectNode node = wrong.addObject();
      stroke(node, w.stroke());
      node.put("heardString", StringSign.number(w.string()));
      node.put("heardMs", millis(w.heard()));
    }
    ArrayNode extra = root.putArray("extraMs");
    report.extra().forEach(e -> extra.add(millis(e)));
    try {
      return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("a tree of plain nodes is always written", e);
    }
  }

  private static void stroke(ObjectNode node, ExpectedStroke stroke) {
    node.put("tick", stroke.note().tick());
    node.put("role", stroke.isThumbs() ? "thumb" : "fingers");
    node.put("part", stroke.note().part().name().toLowerCase(Locale.ROOT));
    node.put("finger", stroke.finger().letter());
    node.put("string", StringSign.number(stroke.note().string()));
    node.put("midi", stroke.note().midi());
    node.put("bar", stroke.bar());
    node.put("beat", Math.round(stroke.beat() * 1000) / 1000.0);
  }

  private static String beat(int beat) {
    return beat == StrokeReport.OFF_BEAT ? "between" : String.valueOf(beat);
  }

  /** The spread of strokes about others of the same note. */
  private static void loudness(ObjectNode node, Evenness of) {
    ObjectNode loudness = node.putObject("loudness");
    loudness.put("count", of.count());
    loudness.put("spreadDb", Math.round(of.spread() * 10) / 10.0);
  }

  private static void role(ObjectNode node, Steadiness of) {
    node.put("count", of.count());
    node.put("meanMs", millis(of.mean()));
    node.put("spreadMs", millis(of.spread()));
    node.put("driftBpm", Math.round(of.drift() * 100) / 100.0);
  }

  private static double millis(double seconds) {
    return Math.round(seconds * 1e4) / 10.0;
  }
}
