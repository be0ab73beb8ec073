package phalanx.desktop.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;
import phalanx.formats.SongFiles;
import phalanx.formats.WholeFile;
import phalanx.song.Song;

/**
 * Keeps the unsaved song of a running program in a file, and finds those that programs which ended
 * without saying so left behind. The file's name holds the number of the process.
 */
public final class Recovery {

  private static final String FOLDER = "recovery";
  private static final String ORIGIN = ".origin";
  private static final String RAW = ".raw.txt";

  private final PlayerFolder folder;
  private final long process;

  /**
   * For one process.
   *
   * @param process its number
   */
  public Recovery(PlayerFolder folder, long process) {
    this.folder = folder;
    this.process = process;
  }

  /**
   * A song that was not saved when its program ended.
   *
   * @param song the song as it was last kept
   * @param origin the file it belongs to, if it has one
   * @param kept where it lies now
   * @param raw where what could not be kept of it lies as text, if something could not
   */
  public record Left(Song song, Optional<Path> origin, Path kept, Optional<Path> raw) {}

  private Path own() throws IOException {
    return folder.file(FOLDER, process + SongFiles.ENDING);
  }

  /**
   * Keeps a song that lies in no file as it is. Of one that cannot be written its chart is kept,
   * and everything else as raw text.
   *
   * @return where the raw text lies, if there is some
   */
  public Optional<Path> keep(Song song, Optional<Path> origin) throws IOException {
    WholeFile.write(origin(own()), origin.map(Path::toString).orElse(""));
    try {
      SongFiles.save(song, own());
      Files.deleteIfExists(raw(own()));
      return Optional.empty();
    } catch (RuntimeException e) {
      LoggerFactory.getLogger(Recovery.class).error("a song cannot be written", e);
      WholeFile.write(raw(own()), song.toString());
      Song chart = Song.untitled().withTitle(song.title()).withKey(song.key());
      SongFiles.save(chart.withFeel(song.feel()).withChart(song.chart()), own());
      return Optional.of(raw(own()));
    }
  }

  private static Path raw(Path kept) {
    return kept.resolveSibling(kept.getFileName() + RAW);
  }

  private static Path origin(Path kept) {
    return kept.resolveSibling(kept.getFileName() + ORIGIN);
  }

  /** Lets go of what is kept for this process: it is saved, or not wanted. */
  public void forget() throws IOException {
    discard(own());
  }

  /** Lets go of a song that was left behind. */
  public static void discard(Path kept) throws IOException {
    Files.deleteIfExists(kept);
    Files.deleteIfExists(origin(kept));
    Files.deleteIfExists(raw(kept));
  }

  /** The songs of programs that are not running any more; what cannot be read is passed over. */
  public List<Left> left() throws IOException {
    List<Path> files;
    try (Stream<Path> all = Files.list(own().getParent())) {
      files = all.filter(f -> f.toString().endsWith(SongFiles.ENDING)).sorted().toList();
    }
    List<Left> left = new ArrayList<>();
    for (Path file : files) {
      if (!isRunning(file)) {
        Optional<Path> origin = readOrigin(file);
        Optional<Path> raw = Optional.of(raw(file)).filter(Files::exists);
        SongFiles.open(file).song().ifPresent(s -> left.add(new Left(s, origin, file, raw)));
      }
    }
    return left;
  }

  private static Optional<Path> readOrigin(Path kept) throws IOException {
    Path file = origin(kept);
    String text = Files.exists(file) ? Files.readString(file) : "";
    try {
      return text.isBlank() ? Optional.empty() : Optional.of(Path.of(text));
    } catch (InvalidPathException e) {
      // The song is offered all the same; where it is saved the player says.
      return Optional.empty();
    }
  }

  private boolean isRunning(Path file) {
    String number = file.getFileName().toString().replace(SongFiles.ENDING, "");
    if (!number.matches("\\d{1,18}")) {
      return true;
    }
    long other = Long.parseLong(number);
    return other == process || ProcessHandle.of(other).map(ProcessHandle::isAlive).orElse(false);
  }
}
