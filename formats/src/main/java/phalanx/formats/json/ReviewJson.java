package phalanx.formats.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.function.Function;
import phalanx.arrangement.Arrangement;
import phalanx.findings.Found;
import phalanx.findings.Review;
import phalanx.instrument.StringSign;
import phalanx.song.Timeline.PlayedBar;
import phalanx.suggestion.Suggestion;
import phalanx.theory.Ticks;

/** What is hard in an arrangement, as JSON. */
public final class ReviewJson {

  private static final ObjectMapper MAPPER = new ObjectMapper();

  private ReviewJson() {}

  /**
   * The findings, those the player accepted, and the tempo ceiling, indented; the ceiling is null
   * where nothing limits it.
   *
   * @param fixes finds the ways out of a finding
   */
  public static String write(
      Arrangement arrangement, Review review, Function<Found, List<Suggestion>> fixes) {
    ObjectNode root = MAPPER.createObjectNode();
    review
        .ceiling()
        .song()
        .ifPresentOrElse(
            t -> root.put("tempoCeiling", Math.floor(t)), () -> root.putNull("tempoCeiling"));
    review
        .ceiling()
        .bar()
        .ifPresentOrElse(b -> root.put("ceilingBar", b), () -> root.putNull("ceilingBar"));
    ArrayNode findings = root.putArray("findings");
    for (Found found : review.findings()) {
      ObjectNode node = findings.addObject();
      finding(node, found, arrangement);
      ArrayNode ways = node.putArray("fixes");
      fixes.apply(found).forEach(r -> fix(ways.addObject(), r));
    }
    ArrayNode accepted = root.putArray("accepted");
    for (Found found : review.accepted()) {
      ObjectNode node = accepted.addObject();
      finding(node, found, arrangement);
      node.put("note", found.accepted(arrangement).orElseThrow());
    }
    try {
      return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("a tree of plain nodes is always written", e);
    }
  }

  private static void finding(ObjectNode node, Found found, Arrangement arrangement) {
    node.put("rule", found.finding().rule());
    node.put("grade", found.finding().grade().word());
    node.put("bar", found.bar());
    ArrayNode bars = node.putArray("bars");
    found.bars().forEach(bars::add);
    node.put("beat", beat(found, arrangement));
    found
        .string()
        .ifPresentOrElse(
            s -> node.put("string", StringSign.number(s)), () -> node.putNull("string"));
    node.put("message", found.finding().message());
    node.put("measured", found.finding().measured());
    node.put("limit", found.finding().limit());
    node.put("unit", found.finding().unit());
  }

  private static void fix(ObjectNode node, Suggestion suggestion) {
    node.put("words", suggestion.words());
    node.put("findings", suggestion.left().all());
    node.put("extraCost", Math.round(suggestion.extraCost() * 100) / 100.0);
    suggestion
        .ceiling()
        .ifPresentOrElse(
            t -> node.put("tempoCeiling", Math.floor(t)), () -> node.putNull("tempoCeiling"));
  }

  /** The beat, counted from 1 in quarter notes. */
  private static double beat(Found found, Arrangement arrangement) {
    PlayedBar bar =
        arrangement.timeline().bars().stream()
            .filter(b -> b.number() == found.bar())
            .findFirst()
            .orElseThrow();
    return 1 + (double) bar.inMetre(found.tick()) / Ticks.PER_QUARTER;
  }
}
