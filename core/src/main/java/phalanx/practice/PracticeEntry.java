package phalanx.practice;

import java.time.Instant;
import java.util.OptionalDouble;
import phalanx.song.Song;
import phalanx.song.SongId;

/**
 * An attempt as the log keeps it.
 *
 * @param at when it ended
 * @param song the id of the song
 * @param drill what the drill is known by
 * @param title what the drill was called
 * @param tempo quarter notes a minute
 * @param outcome how it went
 * @param seconds how long it took
 * @param thumbLate how late the thumb was on the whole, s; empty where nobody listened
 * @param thumbSpread its standard deviation, s
 * @param note a word of the player’s own
 */
public record PracticeEntry(
    Instant at,
    String song,
    String drill,
    String title,
    double tempo,
    Outcome outcome,
    double seconds,
    OptionalDouble thumbLate,
    OptionalDouble thumbSpread,
    String note) {

  /** A longer note is cut here. */
  public static final int LONGEST_NOTE = 500;

  /** An attempt takes at most a day, s. */
  private static final double LONGEST = 86_400;

  public PracticeEntry {
    note = note.length() > LONGEST_NOTE ? note.substring(0, LONGEST_NOTE) : note;
    if (!(tempo > 0 && tempo < 10_000) || !(seconds >= 0 && seconds <= LONGEST)) {
      throw new IllegalArgumentException("no attempt: tempo " + tempo + ", " + seconds + " s");
    }
  }

  /** What a song is known by in the log: its id, or its title as long as it was never saved. */
  public static String songKey(Song song) {
    return song.id().map(SongId::text).orElse("unsaved " + song.title());
  }
}
