package phalanx.practicelog;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;

/**
 * The tables of the log, version by version; the file keeps its version as SQLite’s user version.
 */
final class LogSchema {

  /** What leads from each version to the next. Never changed once it has shipped, only added to. */
  private static final List<List<String>> STEPS =
      List.of(
          List.of(
              """
              CREATE TABLE attempt (
                id INTEGER PRIMARY KEY AUTOINCREMENT,
                at_millis INTEGER NOT NULL,
                song TEXT NOT NULL,
                drill TEXT NOT NULL,
                title TEXT NOT NULL,
                tempo REAL NOT NULL,
                outcome TEXT NOT NULL CHECK (outcome IN ('CLEAN', 'MISSED', 'RESTED')),
                seconds REAL NOT NULL,
                note TEXT NOT NULL
              )
              """,
              "CREATE INDEX attempt_by_drill ON attempt (song, drill, at_millis)"),
          List.of(
              "ALTER TABLE attempt ADD COLUMN thumb_late REAL",
              "ALTER TABLE attempt ADD COLUMN thumb_spread REAL"));

  /** The version that this program writes. */
  static final int VERSION = STEPS.size();

  private LogSchema() {}

  /** The version of a file; 0 for an empty one. */
  static int version(Connection file) throws SQLException {
    try (Statement statement = file.createStatement();
        var row = statement.executeQuery("PRAGMA user_version")) {
      return row.next() ? row.getInt(1) : 0;
    }
  }

  /** Brings a file to this program’s version, all of it or nothing. */
  static void migrate(Connection file) throws SQLException {
    try (Statement statement = file.createStatement()) {
      statement.execute("BEGIN IMMEDIATE");
      try {
        for (int v = version(file); v < VERSION; v++) {
          for (String step : STEPS.get(v)) {
            statement.execute(step);
          }
        }
        statement.execute("PRAGMA user_version = " + VERSION);
        statement.execute("COMMIT");
      } catch (SQLException e) {
        statement.execute("ROLLBACK");
        throw e;
      }
    }
  }

  /** As an older program left a file; for tests of what leads on from there. */
  static void create(Connection file, int version) throws SQLException {
    try (Statement statement = file.createStatement()) {
      for (int v = 0; v < version; v++) {
        for (String step : STEPS.get(v)) {
          statement.execute(step);
        }
      }
      statement.execute("PRAGMA user_version = " + version);
    }
  }
}
