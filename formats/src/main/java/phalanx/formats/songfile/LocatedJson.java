package phalanx.formats.songfile;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;

/** A JSON tree that remembers where in its text every value stands. */
final class LocatedJson {

  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private final Map<String, JsonLocation> places = new HashMap<>();
  private JsonNode root = NODES.nullNode();

  private LocatedJson() {}

  /** Reads a text that is one JSON value. */
  static LocatedJson read(String text) throws IOException {
    LocatedJson json = new LocatedJson();
    try (JsonParser parser = new JsonFactory().createParser(text)) {
      parser.nextToken();
      json.root = json.value(parser, "");
      if (parser.nextToken() != null) {
        throw new com.fasterxml.jackson.core.JsonParseException(
            parser, "expected the end of the file after the song");
      }
    }
    return json;
  }

  JsonNode root() {
    return root;
  }

  /** Where a value stands, by its JSON pointer; that of the nearest value around it otherwise. */
  JsonLocation place(String pointer) {
    String at = pointer;
    while (!places.containsKey(at) && !at.isEmpty()) {
      at = at.substring(0, at.lastIndexOf('/'));
    }
    return places.getOrDefault(at, JsonLocation.NA);
  }

  private JsonNode value(JsonParser parser, String pointer) throws IOException {
    places.put(pointer, parser.currentTokenLocation());
    JsonToken token = parser.currentToken();
    if (token == null) {
      return NODES.missingNode();
    }
    return switch (token) {
      case START_OBJECT -> object(parser, pointer);
      case START_ARRAY -> array(parser, pointer);
      case VALUE_STRING -> NODES.textNode(parser.getText());
      case VALUE_NUMBER_INT -> NODES.numberNode(parser.getBigIntegerValue());
      case VALUE_NUMBER_FLOAT -> NODES.numberNode(parser.getDoubleValue());
      case VALUE_TRUE -> NODES.booleanNode(true);
      case VALUE_FALSE -> NODES.booleanNode(false);
      default -> NODES.nullNode();
    };
  }

  private ObjectNode object(JsonParser parser, String pointer) throws IOException {
    ObjectNode node = NODES.objectNode();
    while (parser.nextToken() != JsonToken.END_OBJECT) {
      String name = parser.currentName();
      parser.nextToken();
      node.set(name, value(parser, pointer + "/" + name));
    }
    return node;
  }

  private ArrayNode array(JsonParser parser, String pointer) throws IOException {
    ArrayNode node = NODES.arrayNode();
    while (parser.nextToken() != JsonToken.END_ARRAY) {
      node.add(value(parser, pointer + "/" + node.size()));
    }
    return node;
  }
}
