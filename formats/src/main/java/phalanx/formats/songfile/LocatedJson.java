package phalanx.formats.songfile;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.exc.StreamConstraintsException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import phalanx.formats.FileProblem;
import phalanx.formats.Texts;

/**
 * A JSON tree read as far as its text is JSON, and the places of its values. The places are looked
 * up by reading once more, so that they cost nothing where nothing is wrong.
 */
final class LocatedJson {

  /**
   * Values a song file may have; a song of a thousand bars has some forty thousand, and the largest
   * that can be made fewer than this.
   */
  private static final int MOST_VALUES = 800_000;

  private static final int DEEPEST = 64;
  private static final int LONGEST_NAME = 256;
  private static final int LONGEST_NUMBER = 100;

  private static final JsonFactory FACTORY =
      JsonFactory.builder()
          .streamReadConstraints(
              StreamReadConstraints.builder()
                  .maxNestingDepth(DEEPEST)
                  .maxNameLength(LONGEST_NAME)
                  .maxNumberLength(LONGEST_NUMBER)
                  .build())
          .build();

  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private final String text;
  private final ArrayNode holder = NODES.arrayNode();
  private Optional<FileProblem> end = Optional.empty();
  private final List<FileProblem> twice = new ArrayList<>();
  private int values;

  private LocatedJson(String text) {
    this.text = text;
  }

  /** Reads a text that should be one JSON value. */
  static LocatedJson read(String text) {
    LocatedJson json = new LocatedJson(text);
    try (JsonParser parser = FACTORY.createParser(text)) {
      parser.nextToken();
      json.value(parser, json.holder::add);
      if (json.end.isEmpty() && parser.nextToken() != null) {
        json.end =
            Optional.of(
                problem(parser.currentTokenLocation(), Texts.of("locatedJson.expectedTheEndOf")));
      }
    } catch (StreamConstraintsException e) {
      json.end = Optional.of(problem(e.getLocation(), Texts.of("locatedJson.thisIsWrittenDeeper")));
    } catch (JsonProcessingException e) {
      json.end = Optional.of(problem(e.getLocation(), Texts.of("locatedJson.thisIsNotJson")));
    } catch (IOException e) {
      throw new IllegalStateException("a text in memory can always be read", e);
    }
    return json;
  }

  /** What could be read; a missing node where nothing could. */
  JsonNode root() {
    return holder.isEmpty() ? NODES.missingNode() : holder.get(0);
  }

  /** Where an object names something once more. */
  List<FileProblem> twice() {
    return List.copyOf(twice);
  }

  /** Where the text stops being JSON, if it does. */
  Optional<FileProblem> end() {
    return end;
  }

  private interface Holder {
    void put(JsonNode node);
  }

  /** A container is put into its parent before it is filled, so that half of it is kept as well. */
  private void value(JsonParser parser, Holder parent) throws IOException {
    if (++values > MOST_VALUES) {
      end =
          Optional.of(
              problem(
                  parser.currentTokenLocation(),
                  Texts.of("locatedJson.aSongHasValues", MOST_VALUES)));
      return;
    }
    JsonToken token = parser.currentToken();
    if (token == null) {
      return;
    }
    switch (token) {
      case START_OBJECT -> object(parser, parent);
      case START_ARRAY -> array(parser, parent);
      case VALUE_STRING -> parent.put(NODES.textNode(parser.getText()));
      case VALUE_NUMBER_INT -> parent.put(NODES.numberNode(parser.getBigIntegerValue()));
      case VALUE_NUMBER_FLOAT -> parent.put(NODES.numberNode(parser.getDoubleValue()));
      case VALUE_TRUE -> parent.put(NODES.booleanNode(true));
      case VALUE_FALSE -> parent.put(NODES.booleanNode(false));
      default -> parent.put(NODES.nullNode());
    }
  }

  private void object(JsonParser parser, Holder parent) throws IOException {
    ObjectNode node = NODES.objectNode();
    parent.put(node);
    while (end.isEmpty() && parser.nextToken() != JsonToken.END_OBJECT) {
      String name = parser.currentName();
      if (node.has(name)) {
        String words = Texts.of("locatedJson.standsHereASecond", name);
        twice.add(problem(parser.currentTokenLocation(), words));
      }
      parser.nextToken();
      value(parser, v -> node.set(name, v));
    }
  }

  private void array(JsonParser parser, Holder parent) throws IOException {
    ArrayNode node = NODES.arrayNode();
    parent.put(node);
    while (end.isEmpty() && parser.nextToken() != JsonToken.END_ARRAY) {
      value(parser, node::add);
    }
  }

  private static FileProblem problem(JsonLocation at, String message) {
    int line = at == null ? 1 : Math.max(1, at.getLineNr());
    int column = at == null ? 1 : Math.max(1, at.getColumnNr());
    return new FileProblem(line, column, message);
  }

  /** A value that is looked for, and those looked for inside it. */
  private static final class Sought {
    private final Map<String, Sought> inside = new HashMap<>();
    private JsonLocation found = JsonLocation.NA;
  }

  /**
   * What is wrong with some values, each with the place of the value, or of the nearest around it.
   *
   * @param faults each with its JSON pointer
   */
  Map<Field.Fault, FileProblem> located(Collection<Field.Fault> faults) {
    Sought root = new Sought();
    for (Field.Fault fault : faults) {
      Sought at = root;
      for (String name : names(fault)) {
        at = at.inside.computeIfAbsent(name, n -> new Sought());
      }
    }
    if (!faults.isEmpty()) {
      find(root);
    }
    Map<Field.Fault, FileProblem> located = new HashMap<>();
    for (Field.Fault fault : faults) {
      Sought at = root;
      JsonLocation place = root.found;
      for (String name : names(fault)) {
        at = at.inside.get(name);
        place = at.found == JsonLocation.NA ? place : at.found;
      }
      located.put(fault, problem(place, fault.getMessage()));
    }
    return located;
  }

  private static String[] names(Field.Fault fault) {
    return fault.pointer().isEmpty() ? new String[0] : fault.pointer().substring(1).split("/");
  }

  private void find(Sought root) {
    try (JsonParser parser = FACTORY.createParser(text)) {
      parser.nextToken();
      find(parser, root);
    } catch (JsonProcessingException e) {
      // The text ends being JSON here, which is told already; what was found before stays.
      return;
    } catch (IOException e) {
      throw new IllegalStateException("a text in memory can always be read", e);
    }
  }

  private static void find(JsonParser parser, Sought sought) throws IOException {
    sought.found = parser.currentTokenLocation();
    JsonToken start = parser.currentToken();
    if (sought.inside.isEmpty() || start == null || !start.isStructStart()) {
      parser.skipChildren();
      return;
    }
    int place = 0;
    for (JsonToken t = parser.nextToken(); t != null && !t.isStructEnd(); t = parser.nextToken()) {
      String name = String.valueOf(place++);
      if (start == JsonToken.START_OBJECT) {
        name = parser.currentName();
        parser.nextToken();
      }
      Sought inside = sought.inside.get(name);
      if (inside == null) {
        parser.skipChildren();
      } else {
        find(parser, inside);
      }
    }
  }
}
