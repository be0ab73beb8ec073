package phalanx.practicelog;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import phalanx.practice.PracticeEntry;
import phalanx.text.Phrase;

/** The log as comma-separated values (RFC 4180), a line an attempt, times where the player is. */
public final class LogCsv {

  private static final String HEAD =
      "time,song,drill,title,tempo,outcome,seconds,thumb late ms,thumb spread ms,note";

  private LogCsv() {}

  /** All entries, with a line of names first. */
  public static String of(List<PracticeEntry> entries, ZoneId zone) {
    StringBuilder text = new StringBuilder(HEAD).append("\r\n");
    for (PracticeEntry e : entries) {
      text.append(
          String.join(
              ",",
              DateTimeFormatter.ISO_OFFSET_DATE_TIME.format(e.at().atZone(zone)),
              quoted(e.song()),
              quoted(e.drill()),
              quoted(e.title()),
              number(e.tempo()),
              e.outcome().name().toLowerCase(Locale.ROOT),
              number(e.seconds()),
              millis(e.thumbLate()),
              millis(e.thumbSpread()),
              quoted(e.note())));
      text.append("\r\n");
    }
    return text.toString();
  }

  private static String number(double value) {
    return Phrase.of("%.1f", value);
  }

  private static String millis(OptionalDouble seconds) {
    return seconds.isPresent() ? number(1000 * seconds.getAsDouble()) : "";
  }

  private static String quoted(String text) {
    boolean plain = text.chars().noneMatch(c -> c == ',' || c == '"' || c == '\n' || c == '\r');
    return plain ? text : '"' + text.replace("\"", "\"\"") + '"';
  }
}
