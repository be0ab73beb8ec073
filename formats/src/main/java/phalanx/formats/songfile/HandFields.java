package phalanx.formats.songfile;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;
import phalanx.instrument.Hand;

/** A fretting hand as it stands in song files and wherever else a player's hand is kept. */
public final class HandFields {

  private HandFields() {}

  /** Writes a hand into an object and gives that back. */
  public static ObjectNode write(ObjectNode node, Hand hand) {
    node.put("size", Words.of(hand.size()));
    node.put("scale", hand.scale());
    node.put("comfort", hand.comfort());
    node.put("thumbOver", hand.thumbOver());
    node.put("stretches", hand.stretches());
    node.put("reactionMs", hand.pace().reactionMs());
    node.put("doublingMs", hand.pace().doublingMs());
    if (!hand.missing().isEmpty()) {
      ArrayNode missing = node.putArray("missing");
      hand.missing().stream().sorted().forEach(f -> missing.add(f.ordinal()));
    }
    return node;
  }

  /** Reads a hand; empty if there is none or anything of it cannot be read. */
  public static Optional<Hand> read(JsonNode node) {
    if (!node.isObject()) {
      return Optional.empty();
    }
    Faults faults = new Faults(false);
    Hand hand = new PlayerField(faults).hand(new Field(node, ""));
    return faults.all().isEmpty() ? Optional.of(hand) : Optional.empty();
  }
}
