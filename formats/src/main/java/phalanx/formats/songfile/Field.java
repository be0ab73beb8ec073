package phalanx.formats.songfile;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * A value of a song file with its place, read with what was expected there.
 *
 * @param node the value
 * @param pointer where it stands, as a JSON pointer
 */
record Field(JsonNode node, String pointer) {

  /** A value that is not what was expected; the reader turns it into a problem with its place. */
  static final class Fault extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final String pointer;

    Fault(String pointer, String message) {
      super(message);
      this.pointer = pointer;
    }

    String pointer() {
      return pointer;
    }
  }

  Fault fault(String expected) {
    String found = node.isMissingNode() ? "nothing" : node.toString();
    String shown = found.length() > 40 ? found.substring(0, 40) + "…" : found;
    String name = pointer.substring(pointer.lastIndexOf('/') + 1);
    return new Fault(pointer, "expected %s for “%s”, found %s".formatted(expected, name, shown));
  }

  /** The field of an object; a missing one if it has none. */
  Field at(String name) {
    return new Field(node.path(name), pointer + "/" + name);
  }

  /** The field of an object, if it is there and not null. */
  Optional<Field> maybe(String name) {
    return node.hasNonNull(name) ? Optional.of(at(name)) : Optional.empty();
  }

  Field object() {
    if (!node.isObject()) {
      throw fault("an object {…}");
    }
    return this;
  }

  String text() {
    if (!node.isTextual()) {
      throw fault("a text");
    }
    return node.textValue();
  }

  boolean truth() {
    if (!node.isBoolean()) {
      throw fault("true or false");
    }
    return node.booleanValue();
  }

  int whole(int least, int most) {
    if (!node.isIntegralNumber() || !node.canConvertToInt()) {
      throw fault("a whole number from %d to %d".formatted(least, most));
    }
    if (node.intValue() < least || node.intValue() > most) {
      throw fault("a whole number from %d to %d".formatted(least, most));
    }
    return node.intValue();
  }

  double number(double least, double most) {
    boolean fits = node.isNumber() && node.doubleValue() >= least && node.doubleValue() <= most;
    if (!fits) {
      throw fault("a number from %s to %s".formatted(plain(least), plain(most)));
    }
    return node.doubleValue();
  }

  private static String plain(double value) {
    return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
  }

  <E extends Enum<E>> E word(Class<E> type) {
    return Words.read(type, node.asText())
        .orElseThrow(() -> fault("one of " + String.join(", ", Words.all(type))));
  }

  /** A text made into a value, or a fault that says what was expected. */
  <T> T parsed(Function<String, Optional<T>> read, String expected) {
    return read.apply(text()).orElseThrow(() -> fault(expected));
  }

  List<Field> list() {
    if (!node.isArray()) {
      throw fault("a list […]");
    }
    List<Field> fields = new ArrayList<>();
    for (int i = 0; i < node.size(); i++) {
      fields.add(new Field(node.get(i), pointer + "/" + i));
    }
    return fields;
  }
}
