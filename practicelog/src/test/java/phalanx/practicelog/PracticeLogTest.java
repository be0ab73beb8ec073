package phalanx.practicelog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import phalanx.practice.PracticeEntry;
import phalanx.text.Phrase;

/** Nothing that was kept is lost, whatever happens to the program or the file. */
class PracticeLogTest {

  /** {@code -Dphalanx.kills=1000}: a soak. */
  private static final int KILLS = Integer.getInteger("phalanx.kills", 12);

  @TempDir private Path folder;

  private Path file() {
    return folder.resolve("practice.sqlite");
  }

  private static List<PracticeEntry> read(Path file) throws Exception {
    try (PracticeLog log = PracticeLog.open(file).log()) {
      return log.entries();
    }
  }

  @Test
  void whatIsAddedIsThereAgain() throws Exception {
    List<PracticeEntry> entries = new ArrayList<>();
    try (PracticeLog log = PracticeLog.open(file()).log()) {
      for (int n = 0; n < 50; n++) {
        entries.add(Writer.entry("s", n));
      }
      log.add(entries.get(0));
      log.addAll(entries.subList(1, 50));
    }
    assertThat(read(file())).isEqualTo(entries);
  }

  private Process writer(String song, int from) throws Exception {
    return new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-XX:TieredStopAtLevel=1",
            "-Xshare:auto",
            "-cp",
            System.getProperty("java.class.path"),
            Writer.class.getName(),
            file().toString(),
            song,
            String.valueOf(from))
        .redirectError(ProcessBuilder.Redirect.DISCARD)
        .redirectOutput(said(song).toFile())
        .start();
  }

  private Path said(String song) {
    return folder.resolve(song + ".said");
  }

  /** The attempts a program said were kept; a line that was not finished does not count. */
  private List<Integer> numbers(String song) throws Exception {
    String all = Files.readString(said(song));
    return all.substring(0, all.lastIndexOf('\n') + 1).lines().map(Integer::valueOf).toList();
  }

  /** Two programs write one file; each is killed at a moment of chance, as by {@code kill -9}. */
  @Test
  void aKilledProgramLosesNothingItHadKept() throws Exception {
    Random chance = new Random(7);
    int[] next = {0, 0};
    for (int kill = 0; kill < KILLS; kill += 2) {
      Process[] both = {writer("a", next[0]), writer("b", next[1])};
      try {
        for (int p = 0; p < 2; p++) {
          String song = p == 0 ? "a" : "b";
          int lines = 1 + chance.nextInt(60);
          while (numbers(song).size() < lines) {
            assertThat(both[p].isAlive()).as("it writes until it is killed").isTrue();
            Thread.sleep(2);
          }
          both[p].destroyForcibly().waitFor();
          next[p] = numbers(song).stream().mapToInt(n -> n).max().orElseThrow() + 1;
        }
      } finally {
        // Whatever fails here, nobody goes on writing behind it.
        both[0].destroyForcibly();
        both[1].destroyForcibly();
      }
      for (int p = 0; p < 2; p++) {
        int there = count(p == 0 ? "a" : "b", next[p]);
        assertThat(there).as("kept before the kill %d", kill).isEqualTo(next[p]);
        // One may have been kept that could not be said any more.
        next[p] = count(p == 0 ? "a" : "b", Integer.MAX_VALUE);
      }
    }
    List<PracticeEntry> kept = read(file());
    for (int p = 0; p < 2; p++) {
      String song = p == 0 ? "a" : "b";
      assertThat(kept.stream().filter(e -> e.song().equals(song)).map(PracticeEntry::note))
          .containsExactlyInAnyOrderElementsOf(
              IntStream.range(0, next[p]).mapToObj(n -> "n" + n).toList());
    }
  }

  /** How many attempts of a song before a number there are; the file opens as it always does. */
  private int count(String song, int before) throws Exception {
    PracticeLog.open(file()).log().close();
    String words =
        "SELECT count(DISTINCT note) FROM attempt"
            + " WHERE song = '%s' AND CAST(substr(note, 2) AS INTEGER) < %d";
    try (Connection log = DriverManager.getConnection("jdbc:sqlite:" + file());
        Statement statement = log.createStatement();
        ResultSet rows = statement.executeQuery(Phrase.of(words, song, before))) {
      return rows.getInt(1);
    }
  }

  @Test
  void twoOpenAtOnceSeeEachOthersAttempts() throws Exception {
    try (PracticeLog one = PracticeLog.open(file()).log();
        PracticeLog other = PracticeLog.open(file()).log()) {
      one.add(Writer.entry("a", 1));
      other.add(Writer.entry("b", 2));
      one.add(Writer.entry("a", 3));
      assertThat(other.entries()).hasSize(3).isEqualTo(one.entries());
    }
  }

  @Test
  void aDamagedFileIsSetAsideAndKept() throws Exception {
    byte[] damage = "this is no database, but it is the player's".repeat(100).getBytes();
    Files.write(file(), damage);
    PracticeLog.Opened opened = PracticeLog.open(file());
    opened.log().add(Writer.entry("a", 1));
    opened.log().close();
    Path aside = folder.resolve("practice.sqlite.damaged-1");
    assertThat(opened.notice()).hasValueSatisfying(n -> assertThat(n).contains("damaged-1"));
    assertThat(Files.readAllBytes(aside)).isEqualTo(damage);
    assertThat(read(file())).hasSize(1);
    Files.write(file(), damage);
    assertThat(PracticeLog.open(file()).notice()).isPresent();
    assertThat(folder.resolve("practice.sqlite.damaged-2")).exists();
    assertThat(Files.readAllBytes(aside)).isEqualTo(damage);
  }

  @Test
  void aFileCutInTheMiddleIsSetAside() throws Exception {
    try (PracticeLog log = PracticeLog.open(file()).log()) {
      for (int n = 0; n < 400; n++) {
        log.add(Writer.entry("s", n));
      }
    }
    byte[] whole = Files.readAllBytes(file());
    Files.write(file(), java.util.Arrays.copyOf(whole, whole.length / 2));
    PracticeLog.Opened opened = PracticeLog.open(file());
    assertThat(opened.notice()).isPresent();
    assertThat(opened.log().entries()).isEmpty();
    opened.log().close();
  }

  /** Who only looks leaves a damaged file where it is. */
  @Test
  void lookingPutsNothingAside() throws Exception {
    byte[] damage = "no database at all".repeat(200).getBytes();
    Files.write(file(), damage);
    assertThatThrownBy(() -> PracticeLog.read(file())).hasMessageContaining("damaged");
    assertThat(Files.readAllBytes(file())).isEqualTo(damage);
    Path good = folder.resolve("good.sqlite");
    try (PracticeLog log = PracticeLog.open(good).log()) {
      log.add(Writer.entry("s", 1));
      assertThat(PracticeLog.read(good)).isEqualTo(log.entries()).hasSize(1);
    }
  }

  @Test
  void aFileOfANewerProgramIsLeftAsItIs() throws Exception {
    try (PracticeLog log = PracticeLog.open(file()).log()) {
      log.add(Writer.entry("s", 1));
    }
    try (Connection newer = DriverManager.getConnection("jdbc:sqlite:" + file());
        Statement statement = newer.createStatement()) {
      statement.execute("PRAGMA user_version = 99");
      statement.execute("PRAGMA wal_checkpoint(TRUNCATE)");
    }
    byte[] before = Files.readAllBytes(file());
    PracticeLog.Opened opened = PracticeLog.open(file());
    assertThat(opened.notice()).hasValueSatisfying(n -> assertThat(n).contains("newer"));
    opened.log().add(Writer.entry("s", 2));
    opened.log().close();
    assertThat(Files.readAllBytes(file())).isEqualTo(before);
    assertThat(PracticeLog.open(file()).log().entries()).hasSize(1);
  }

  @Test
  void anOlderFileIsLedOn() throws Exception {
    try (Connection old = DriverManager.getConnection("jdbc:sqlite:" + file());
        Statement statement = old.createStatement()) {
      LogSchema.create(old, 1);
      statement.execute(
          "INSERT INTO attempt (at_millis, song, drill, title, tempo, outcome, seconds, note)"
              + " VALUES (1000, 's', 'd', 'T', 60, 'CLEAN', 20, '')");
    }
    List<PracticeEntry> entries = read(file());
    assertThat(entries).hasSize(1);
    assertThat(entries.get(0).thumbSpread()).isEmpty();
  }

  /** RFC 4180: fields with commas, quotes or lines are quoted, quotes doubled. */
  @Test
  void theLogAsTextCanBeReadByOthers() {
    PracticeEntry entry = Writer.entry("a,b", 2);
    PracticeEntry odd =
        new PracticeEntry(
            entry.at(),
            entry.song(),
            "d",
            "say \"now\"",
            61.25,
            entry.outcome(),
            24,
            entry.thumbLate(),
            entry.thumbSpread(),
            "two\nlines");
    String csv = LogCsv.of(List.of(odd), ZoneId.of("Europe/Rome"));
    assertThat(csv)
        .isEqualTo(
            "time,song,drill,title,tempo,outcome,seconds,thumb late ms,thumb spread ms,note\r\n"
                + "2023-11-14T23:13:22+01:00,\"a,b\",d,\"say \"\"now\"\"\",61.3,rested,24.0,4.0,15.0,"
                + "\"two\nlines\"\r\n");
  }
}
