package phalanx.formats.songfile;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.function.UnaryOperator;
import phalanx.instrument.Tuning;

/**
 * The way up from older versions of the format, one step a version: each changes the tree of a
 * version into that of the next.
 */
final class Upgrades {

  /** The step from version i + 1. */
  private static final List<UnaryOperator<ObjectNode>> STEPS = List.of(Upgrades::fromFirst);

  private Upgrades() {}

  /** The tree as the newest version has it. */
  static ObjectNode upgrade(ObjectNode root, int version) {
    ObjectNode now = root;
    for (int v = version; v < SongFileWriter.VERSION; v++) {
      now = STEPS.get(v - 1).apply(now);
    }
    return now;
  }

  /**
   * Version 1 had metre and tempo beside the title, a capo across all strings as a number, and the
   * hand as a word.
   */
  private static ObjectNode fromFirst(ObjectNode root) {
    ObjectNode feel = root.putObject("feel");
    feel.set("meter", root.remove("meter"));
    feel.set("tempo", root.remove("tempo"));
    feel.put("swingPercent", 50);
    feel.put("pickupTicks", 0);
    if (root.path("guitar") instanceof ObjectNode guitar) {
      ObjectNode capo = guitar.objectNode();
      capo.set("fret", guitar.path("capo"));
      ArrayNode strings = capo.putArray("strings");
      for (int number = Tuning.STRINGS; number >= 1; number--) {
        strings.add(number);
      }
      guitar.set("capo", capo);
      guitar.put("bodyJoinFret", 14);
      guitar.put("cutaway", false);
    }
    String size = root.path("hand").asText();
    ObjectNode hand = root.putObject("hand");
    hand.put("size", size);
    hand.put("scale", size.equals("small") ? 0.9 : size.equals("large") ? 1.1 : 1.0);
    return root;
  }
}
