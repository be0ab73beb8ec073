package phalanx.formats.json;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Map;
import phalanx.fretting.Grip;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.StringSign;
import phalanx.theory.Chord;
import phalanx.theory.ChordName;
import phalanx.theory.Interval;

/** Answers about chords, shapes and names as JSON, one object an answer in one line. */
public final class AnswerJson {

  private static final ObjectMapper MAPPER = new ObjectMapper();

  private AnswerJson() {}

  /** The tones of a chord, asked for by the symbol as it was typed. */
  public static String chord(String symbol, Chord chord) {
    ObjectNode root = MAPPER.createObjectNode();
    root.put("symbol", symbol);
    root.put("canonical", chord.ascii());
    ArrayNode notes = root.putArray("notes");
    chord.notes().forEach(n -> notes.add(n.ascii()));
    ArrayNode intervals = root.putArray("intervals");
    chord.intervals().forEach(i -> intervals.add(i.toString()));
    return root.toString();
  }

  /**
   * Shapes of a chord.
   *
   * @param chord the chord
   * @param count how many there are in all
   * @param shown the ones to show
   * @param reach the guitar and hand they are for
   */
  public static String shapes(Chord chord, int count, List<RatedShape> shown, Reach reach) {
    ObjectNode root = MAPPER.createObjectNode();
    root.put("chord", chord.ascii());
    root.put("count", count);
    ArrayNode shapes = root.putArray("shapes");
    shown.forEach(s -> shape(shapes.addObject(), s, reach));
    return root.toString();
  }

  private static void shape(ObjectNode node, RatedShape rated, Reach reach) {
    Shape shape = rated.shape();
    ShapeJson.frets(node.putArray("frets"), shape.frets());
    ShapeJson.fingers(node.putArray("fingers"), shape);
    ArrayNode midi = node.putArray("midi");
    shape.midi(reach.guitar()).forEach(midi::add);
    node.put("cost", Math.round(rated.cost() * 1000) / 1000.0);
    double span = reach.widestSpan(shape).map(Reach.Span::millimetres).orElse(0.0);
    node.put("widestSpanMm", Math.round(span * 10) / 10.0);
    shape.grips().entrySet().stream()
        .filter(g -> g.getValue().isBarre())
        .findFirst()
        .ifPresentOrElse(g -> barre(node.putObject("barre"), g), () -> node.putNull("barre"));
  }

  private static void barre(ObjectNode node, Map.Entry<Finger, Grip> barre) {
    node.put("finger", barre.getKey().ordinal());
    node.put("fret", barre.getValue().fret());
    node.put("from", StringSign.number(barre.getValue().lowString()));
    node.put("to", StringSign.number(barre.getValue().highString()));
  }

  /** The names of a shape given as frets, {@link Shape#SILENT} for a string not struck. */
  public static String names(List<Integer> frets, List<ChordName> ranked) {
    ObjectNode root = MAPPER.createObjectNode();
    ArrayNode shape = root.putArray("frets");
    for (int fret : frets) {
      if (fret == Shape.SILENT) {
        shape.add("x");
      } else {
        shape.add(fret);
      }
    }
    ArrayNode names = root.putArray("names");
    for (ChordName name : ranked) {
      ObjectNode node = names.addObject();
      node.put("symbol", name.chord().ascii());
      ArrayNode missing = node.putArray("missing");
      name.missing().stream().map(Interval::toString).forEach(missing::add);
      node.put("rootless", name.rootless());
    }
    return root.toString();
  }

  /** An error as the answer to one query of a batch. */
  public static String error(String message) {
    return MAPPER.createObjectNode().put("error", message).toString();
  }
}
