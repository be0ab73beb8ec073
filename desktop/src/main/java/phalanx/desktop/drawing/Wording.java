package phalanx.desktop.drawing;

import java.util.function.Function;
import javafx.util.StringConverter;

/** Says the values of a choice in words; nothing is typed into it. */
public final class Wording<T> extends StringConverter<T> {

  private final Function<T, String> words;

  public Wording(Function<T, String> words) {
    this.words = words;
  }

  @Override
  public String toString(T value) {
    return value == null ? "" : words.apply(value);
  }

  @Override
  public T fromString(String text) {
    throw new UnsupportedOperationException("nothing is typed here");
  }
}
