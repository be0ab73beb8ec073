package phalanx.formats.text;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Headings of parts as people write them: {@code [Verse 2]}, {@code Chorus:}, {@code Bridge}. */
public final class Heading {

  private static final Pattern BRACKETED = Pattern.compile("\\[([^\\]\\[]{1,60})\\]:?");
  private static final Pattern PART =
      Pattern.compile(
          "(?i)((?:intro|verse|chorus|bridge|pre-?chorus|refrain|outro|coda|solo|interlude|"
              + "instrumental|ending|tag|break|part|strain|strophe|turnaround|vamp|hook)\\b([^|:]{0,30}))(:?)");

  /** What follows the name of a part without a colon: a number or a letter; more are words. */
  private static final int SHORT = 3;

  private static final int LONGEST = 80;

  private Heading() {}

  /** What a line calls the part that begins behind it; empty where it is no heading. */
  public static Optional<String> of(String line) {
    if (line.length() > LONGEST) {
      return Optional.empty();
    }
    Matcher bracketed = BRACKETED.matcher(line);
    if (bracketed.matches() && ChordWord.symbol(bracketed.group(1)).isEmpty()) {
      return Optional.of(bracketed.group(1).strip());
    }
    Matcher part = PART.matcher(line);
    boolean named =
        part.matches() && (!part.group(3).isEmpty() || part.group(2).strip().length() <= SHORT);
    return named ? Optional.of(part.group(1).strip()) : Optional.empty();
  }
}
