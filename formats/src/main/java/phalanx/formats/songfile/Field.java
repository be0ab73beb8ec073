package phalanx.formats.songfile;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import phalanx.formats.Texts;
import phalanx.text.Phrase;

/**
 * A value of a song file with its place, read with what was expected there.
 *
 * @param node the value
 * @param pointer where it stands, as a JSON pointer
 */
record Field(JsonNode node, String pointer) {

  private static final int MOST_SHOWN = 40;

  /** Stands for a sign that could not be read: U+FFFD of the Unicode standard. */
  private static final int REPLACEMENT = 0xFFFD;

  /** A value that is not what was expected; the reader turns it into a problem with its place. */
  static final class Fault extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final String pointer;
    private final boolean ofNothing;

    Fault(String pointer, String message) {
      this(pointer, message, false);
    }

    private Fault(String pointer, String message, boolean ofNothing) {
      super(message);
      this.pointer = pointer;
      this.ofNothing = ofNothing;
    }

    /** Whether something is missing, not wrong. */
    boolean isOfNothing() {
      return ofNothing;
    }

    String pointer() {
      return pointer;
    }
  }

  Fault fault(String expected) {
    String shown = written();
    String name = pointer.substring(pointer.lastIndexOf('/') + 1);
    String words = Texts.of("field.expectedForFound", expected, name, shown);
    return new Fault(pointer, words, node.isMissingNode());
  }

  /** What stands there, short enough for a message or a bar. */
  String written() {
    if (node.isMissingNode()) {
      return "nothing";
    }
    if (node.isContainerNode() && node.size() > MOST_SHOWN) {
      return node.isArray() ? Texts.of("field.aListOf", node.size()) : Texts.of("field.anObject");
    }
    String found = whole(node.toString());
    int signs = found.codePointCount(0, found.length());
    return signs > MOST_SHOWN
        ? found.substring(0, found.offsetByCodePoints(0, MOST_SHOWN)) + "…"
        : found;
  }

  /** A text without halves of signs, which no file can hold. */
  private static String whole(String text) {
    return text.codePoints().noneMatch(Field::isHalf)
        ? text
        : text.codePoints()
            .map(c -> isHalf(c) ? REPLACEMENT : c)
            .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
            .toString();
  }

  private static boolean isHalf(int sign) {
    return sign >= Character.MIN_SURROGATE && sign <= Character.MAX_SURROGATE;
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
      throw fault(Texts.of("field.anObject2"));
    }
    return this;
  }

  String text() {
    if (!node.isTextual()) {
      throw fault(Texts.of("field.aText"));
    }
    return whole(node.textValue());
  }

  /** A text that is no longer than so many signs. */
  String text(int most) {
    String text = text();
    if (text.length() > most) {
      throw new Fault(pointer, Texts.of("field.expectedSignsAtMost", most, text.length()));
    }
    return text;
  }

  /** The first items of a list, and a fault noted where there are more than so many. */
  List<Field> list(int most, Faults faults) {
    List<Field> all = list();
    if (all.size() > most) {
      String words = Texts.of("field.expectedAtMostHere");
      faults.note(new Fault(all.get(most).pointer(), Phrase.of(words, most, all.size())));
    }
    return all.subList(0, Math.min(most, all.size()));
  }

  boolean truth() {
    if (!node.isBoolean()) {
      throw fault(Texts.of("field.trueOrFalse"));
    }
    return node.booleanValue();
  }

  int whole(int least, int most) {
    if (!node.isIntegralNumber() || !node.canConvertToInt()) {
      throw fault(Texts.of("field.aWholeNumberFrom", least, most));
    }
    if (node.intValue() < least || node.intValue() > most) {
      throw fault(Texts.of("field.aWholeNumberFrom", least, most));
    }
    return node.intValue();
  }

  double number(double least, double most) {
    boolean fits = node.isNumber() && node.doubleValue() >= least && node.doubleValue() <= most;
    if (!fits) {
      throw fault(Texts.of("field.aNumberFromTo", plain(least), plain(most)));
    }
    return node.doubleValue();
  }

  private static String plain(double value) {
    return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
  }

  <E extends Enum<E>> E word(Class<E> type) {
    return Words.read(type, node.isTextual() ? node.textValue() : "")
        .orElseThrow(() -> fault(Texts.of("field.oneOf", String.join(", ", Words.all(type)))));
  }

  /** A text made into a value, or a fault that says what was expected. */
  <T> T parsed(Function<String, Optional<T>> read, String expected) {
    return read.apply(text()).orElseThrow(() -> fault(expected));
  }

  List<Field> list() {
    if (!node.isArray()) {
      throw fault(Texts.of("field.aList"));
    }
    List<Field> fields = new ArrayList<>();
    for (int i = 0; i < node.size(); i++) {
      fields.add(new Field(node.get(i), pointer + "/" + i));
    }
    return fields;
  }
}
