package phalanx.practicelog;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Types;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import phalanx.practice.Outcome;
import phalanx.practice.PracticeEntry;
import phalanx.text.Phrase;

/**
 * The log of all attempts in one file. Each attempt is kept as soon as it is added (a write-ahead
 * log); several programs may add to one file. Not for several threads at once.
 */
public final class PracticeLog implements AutoCloseable {

  /** Another program that writes is waited for this long, ms. */
  private static final int PATIENCE = 10_000;

  private static final String ADD =
      """
      INSERT INTO attempt
        (at_millis, song, drill, title, tempo, outcome, seconds, note, thumb_late, thumb_spread)
      VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
      """;

  private final Connection connection;
  private final Path file;

  private PracticeLog(Connection connection, Path file) {
    this.connection = connection;
    this.file = file;
  }

  /**
   * A log that was opened.
   *
   * @param log the log
   * @param notice what the player should know of it: another file that was set aside
   */
  public record Opened(PracticeLog log, Optional<String> notice) {}

  /**
   * Opens the log in a file, which comes into being where it is not. One that is damaged is put
   * aside under another name and a new one begun; one that a newer program wrote is left as it is
   * and a file beside it used.
   *
   * @throws IOException if no log can be kept there
   */
  public static Opened open(Path file) throws IOException {
    Files.createDirectories(file.toAbsolutePath().getParent());
    try {
      return openOrLeave(file);
    } catch (SQLException damaged) {
      log().warn("the practice log {} is damaged", file, damaged);
      Path aside = setAside(file);
      String words = Texts.of("practiceLog.thePracticeLogCould");
      try {
        return new Opened(connected(file), Optional.of(Phrase.of(words, aside)));
      } catch (SQLException e) {
        throw new IOException("no practice log can be kept in " + file, e);
      }
    }
  }

  /**
   * What a log holds, for those who only look: nothing is put aside.
   *
   * @throws IOException if it is damaged, or a newer program wrote it
   */
  public static List<PracticeEntry> read(Path file) throws IOException {
    try (PracticeLog log = connected(file)) {
      if (LogSchema.version(log.connection) > LogSchema.VERSION) {
        throw new IOException("it is of a newer version");
      }
      return log.entries();
    } catch (SQLException e) {
      throw new IOException("it is no practice log, or damaged", e);
    }
  }

  private static Opened openOrLeave(Path file) throws SQLException {
    PracticeLog log = connected(file);
    if (LogSchema.version(log.connection) <= LogSchema.VERSION) {
      return new Opened(log, Optional.empty());
    }
    log.close();
    Path beside = file.resolveSibling("v" + LogSchema.VERSION + "-" + file.getFileName());
    String words = Texts.of("practiceLog.thePracticeLogIs");
    return new Opened(connected(beside), Optional.of(Phrase.of(words, file, beside)));
  }

  private static PracticeLog connected(Path file) throws SQLException {
    Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file.toAbsolutePath());
    try (Statement statement = connection.createStatement()) {
      statement.execute("PRAGMA busy_timeout = " + PATIENCE);
      int version = LogSchema.version(connection);
      if (version <= LogSchema.VERSION) {
        statement.execute("PRAGMA journal_mode = WAL");
        statement.execute("PRAGMA synchronous = NORMAL");
        check(statement);
        if (version < LogSchema.VERSION) {
          LogSchema.migrate(connection);
        }
        // Where a table is missing or is another one, that is known now.
        statement.executeQuery("SELECT count(thumb_spread) FROM attempt").close();
      }
      return new PracticeLog(connection, file);
    } catch (SQLException e) {
      connection.close();
      throw e;
    }
  }

  private static void check(Statement statement) throws SQLException {
    try (ResultSet row = statement.executeQuery("PRAGMA quick_check(1)")) {
      if (row.next() && !"ok".equals(row.getString(1))) {
        throw new SQLException("quick_check: " + row.getString(1));
      }
    }
  }

  private static Path setAside(Path file) throws IOException {
    for (int n = 1; ; n++) {
      Path aside = file.resolveSibling(file.getFileName() + ".damaged-" + n);
      if (Files.notExists(aside)) {
        Files.move(file, aside);
        for (String companion : List.of("-wal", "-shm")) {
          Path beside = file.resolveSibling(file.getFileName() + companion);
          if (Files.exists(beside)) {
            Files.move(beside, file.resolveSibling(aside.getFileName() + companion));
          }
        }
        return aside;
      }
    }
  }

  /** Where it is. */
  public Path file() {
    return file;
  }

  /**
   * Adds an attempt; it is kept when this returns.
   *
   * @throws IOException if it cannot be kept
   */
  public void add(PracticeEntry entry) throws IOException {
    addAll(List.of(entry));
  }

  /** Adds attempts, all or none. */
  public void addAll(List<PracticeEntry> entries) throws IOException {
    try {
      connection.setAutoCommit(false);
      try (PreparedStatement add = connection.prepareStatement(ADD)) {
        for (PracticeEntry entry : entries) {
          fill(add, entry);
          add.executeUpdate();
        }
        connection.commit();
      } catch (SQLException e) {
        connection.rollback();
        throw e;
      } finally {
        connection.setAutoCommit(true);
      }
    } catch (SQLException e) {
      throw new IOException("the attempt could not be kept in " + file, e);
    }
  }

  private static void fill(PreparedStatement add, PracticeEntry entry) throws SQLException {
    add.setLong(1, entry.at().toEpochMilli());
    add.setString(2, entry.song());
    add.setString(3, entry.drill());
    add.setString(4, entry.title());
    add.setDouble(5, entry.tempo());
    add.setString(6, entry.outcome().name());
    add.setDouble(7, entry.seconds());
    add.setString(8, entry.note());
    set(add, 9, entry.thumbLate());
    set(add, 10, entry.thumbSpread());
  }

  private static void set(PreparedStatement add, int at, OptionalDouble value) throws SQLException {
    if (value.isPresent()) {
      add.setDouble(at, value.getAsDouble());
    } else {
      add.setNull(at, Types.REAL);
    }
  }

  /**
   * Every attempt, by time.
   *
   * @throws IOException if they cannot be read
   */
  public List<PracticeEntry> entries() throws IOException {
    List<PracticeEntry> entries = new ArrayList<>();
    try (Statement statement = connection.createStatement();
        ResultSet row = statement.executeQuery("SELECT * FROM attempt ORDER BY at_millis, id")) {
      while (row.next()) {
        entries.add(
            new PracticeEntry(
                Instant.ofEpochMilli(row.getLong("at_millis")),
                row.getString("song"),
                row.getString("drill"),
                row.getString("title"),
                row.getDouble("tempo"),
                Outcome.valueOf(row.getString("outcome")),
                row.getDouble("seconds"),
                optional(row, "thumb_late"),
                optional(row, "thumb_spread"),
                row.getString("note")));
      }
      return entries;
    } catch (SQLException | IllegalArgumentException e) {
      throw new IOException("the practice log " + file + " cannot be read", e);
    }
  }

  private static OptionalDouble optional(ResultSet row, String column) throws SQLException {
    double value = row.getDouble(column);
    return row.wasNull() ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  @Override
  public void close() {
    try {
      connection.close();
    } catch (SQLException e) {
      log().warn("the practice log {} was not closed", file, e);
    }
  }

  private static Logger log() {
    return LoggerFactory.getLogger(PracticeLog.class);
  }
}
