package phalanx.desktop.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Supplier;
import phalanx.desktop.model.PracticeRecords;
import phalanx.desktop.texts.Texts;
import phalanx.formats.SongFiles;
import phalanx.practice.PracticeEntry;
import phalanx.practicelog.PracticeLog;
import phalanx.song.Song;

/** The player’s log in the player’s folder, read and written in the disk’s turn. */
final class PracticeStore implements PracticeRecords {

  private static final String FILE = "practice.sqlite";

  /** What is practised of the demo songs is not the player’s log. */
  private static final String DEMO = "practice-of-demo.sqlite";

  /** So many other songs are looked through for what is due. */
  private static final int MOST_SONGS = 5;

  private final PlayerFolder folder;
  private final DiskTasks tasks;
  private final BooleanSupplier demo;
  private final Supplier<List<Path>> recent;
  private final Map<String, PracticeLog> logs = new HashMap<>();

  /**
   * A store.
   *
   * @param demo whether a demo song is open that was never saved
   * @param recent the files the player used last
   */
  PracticeStore(
      PlayerFolder folder, DiskTasks tasks, BooleanSupplier demo, Supplier<List<Path>> recent) {
    this.recent = recent;
    this.folder = folder;
    this.tasks = tasks;
    this.demo = demo;
  }

  @Override
  public boolean isDemo() {
    return demo.getAsBoolean();
  }

  private String name() {
    return isDemo() ? DEMO : FILE;
  }

  /** On the disk’s thread alone. */
  private PracticeLog log(String name) throws IOException {
    PracticeLog log = logs.get(name);
    if (log == null) {
      Path file = folder.file(name);
      PracticeLog.Opened opened = PracticeLog.open(file);
      log = opened.log();
      logs.put(name, log);
      opened.notice().ifPresent(n -> tasks.answer(() -> tasks.tell(n)));
    }
    return log;
  }

  @Override
  public void otherSongs(Consumer<List<Song>> answer) {
    List<Path> files = isDemo() ? DemoSongs.files() : recent.get();
    tasks.run(
        Texts.of("practiceStore.otherSongsCouldNot"),
        () -> {
          List<Song> songs = new ArrayList<>();
          files.stream()
              .filter(SongFiles::isOwn)
              .filter(Files::isReadable)
              .limit(MOST_SONGS)
              .forEach(f -> SongFiles.open(f, Optional.empty()).song().ifPresent(songs::add));
          tasks.answer(() -> answer.accept(songs));
        });
  }

  @Override
  public void read(Consumer<List<PracticeEntry>> answer) {
    String name = name();
    tasks.run(
        Texts.of("practiceStore.thePracticeLogCould"),
        () -> {
          List<PracticeEntry> entries = log(name).entries();
          tasks.answer(() -> answer.accept(entries));
        });
  }

  @Override
  public void addAll(List<PracticeEntry> entries) {
    String name = name();
    tasks.run(Texts.of("practiceStore.theAttemptCouldNot"), () -> log(name).addAll(entries));
  }

  /** The program ends. */
  void close() {
    tasks.run(
        Texts.of("practiceStore.thePracticeLogWas"),
        () -> {
          logs.values().forEach(PracticeLog::close);
          logs.clear();
        });
  }
}
