package phalanx.practicelog;

import java.nio.file.Path;
import java.time.Instant;
import java.util.OptionalDouble;
import phalanx.practice.Outcome;
import phalanx.practice.PracticeEntry;

/** A program that adds attempts until it is killed, and says each that was kept. */
final class Writer {

  private Writer() {}

  static PracticeEntry entry(String song, int number) {
    return new PracticeEntry(
        Instant.ofEpochSecond(1_700_000_000L + number),
        song,
        "thumb-1",
        "Thumb alone",
        60 + number % 40,
        Outcome.values()[number % 3],
        24,
        OptionalDouble.of(0.004),
        number % 2 == 0 ? OptionalDouble.of(0.015) : OptionalDouble.empty(),
        "n" + number);
  }

  /** Writes as the song that is named, from a number on. */
  public static void main(String[] args) throws Exception {
    try (PracticeLog log = PracticeLog.open(Path.of(args[0])).log()) {
      for (int n = Integer.parseInt(args[2]); n < Integer.MAX_VALUE; n++) {
        log.add(entry(args[1], n));
        System.out.println(n);
        System.out.flush();
      }
    }
  }
}
