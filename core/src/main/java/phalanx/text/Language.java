package phalanx.text;

import java.util.List;
import java.util.Locale;

/**
 * The language the program speaks to the player in. It is chosen once, before the first sentence,
 * and holds until the program ends: words that are worked out early and late agree.
 */
public enum Language {
  ENGLISH("English", Locale.ROOT),
  GERMAN("Deutsch", Locale.GERMAN);

  /** The system property that chooses it, by its code: {@code en} or {@code de}. */
  public static final String PROPERTY = "phalanx.language";

  /** Made when the first sentence is said, not when a language is first spoken of. */
  private static final class Spoken {
    static final Language LANGUAGE = of(System.getProperty(PROPERTY, ""));

    private Spoken() {}
  }

  private final String title;
  private final Locale locale;

  Language(String title, Locale locale) {
    this.title = title;
    this.locale = locale;
  }

  /** The language spoken; English unless {@value #PROPERTY} says otherwise. */
  public static Language spoken() {
    return Spoken.LANGUAGE;
  }

  /** The one with a code such as {@code de} or {@code de-CH}; English for one that is not known. */
  public static Language of(String code) {
    String language = Locale.forLanguageTag(code.replace('_', '-')).getLanguage();
    return List.of(values()).stream()
        .filter(l -> l.code().equals(language))
        .findFirst()
        .orElse(ENGLISH);
  }

  /** Its code (ISO 639-1). */
  public String code() {
    return this == ENGLISH ? "en" : locale.getLanguage();
  }

  /** Its own name for itself. */
  public String title() {
    return title;
  }

  /** How numbers are written, words sorted, and which bundle of texts is its own. */
  public Locale locale() {
    return locale;
  }

  /** How days and months are named. */
  public Locale dates() {
    return this == ENGLISH ? Locale.ENGLISH : locale;
  }
}
