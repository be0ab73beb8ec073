package phalanx.text;

import java.util.MissingResourceException;
import java.util.ResourceBundle;
import java.util.ResourceBundle.Control;

/**
 * The texts of a part of the program in the language spoken, by their keys: a properties file for
 * English and one beside it for every other language.
 */
public final class TextBundle {

  private final ResourceBundle texts;
  private final Language language;

  /**
   * The bundle of a name such as {@code phalanx.text.texts}.
   *
   * @param loader finds the files
   * @throws MissingResourceException if there is none
   */
  public TextBundle(String name, Language language, ClassLoader loader) {
    this.language = language;
    texts =
        ResourceBundle.getBundle(
            name,
            language.locale(),
            loader,
            Control.getNoFallbackControl(Control.FORMAT_PROPERTIES));
  }

  /**
   * A text with values put in, as in {@link String#format}; numbers as the language writes them.
   *
   * @throws MissingResourceException if there is no such text
   */
  public String of(String key, Object... values) {
    String words = texts.getString(key);
    return values.length == 0 ? words : String.format(language.locale(), words, values);
  }

  /** Whether there is a text of a key. */
  public boolean has(String key) {
    return texts.containsKey(key);
  }
}
