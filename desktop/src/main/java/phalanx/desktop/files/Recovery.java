package phalanx.desktop.files;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;
import phalanx.desktop.document.LeftCopy;
import phalanx.formats.SongFiles;
import phalanx.formats.disk.AtomicFile;
import phalanx.formats.disk.FileStamp;
import phalanx.song.Song;

/**
 * Keeps the unsaved song of a window in a file, and finds those that windows left behind that ended
 * without saying so. A copy has a name drawn at random and a file beside it that its window holds
 * locked: the system lets go of the lock whenever and however the program ends, so a copy whose
 * lock is free is nobody's.
 */
public final class Recovery {

  private static final String FOLDER = "recovery";
  private static final String ORIGIN = ".origin";
  private static final String RAW = ".raw.txt";
  private static final String LOCK = ".lock";

  /** Copies of this program's own windows: asking the system for their locks would free them. */
  private static final Set<String> HELD_HERE = ConcurrentHashMap.newKeySet();

  private final PlayerFolder folder;
  private final String name = UUID.randomUUID().toString();
  private FileChannel held;

  public Recovery(PlayerFolder folder) {
    this.folder = folder;
  }

  private Path copy(String of) throws IOException {
    return folder.file(FOLDER, of + SongFiles.ENDING);
  }

  private static Path beside(Path copy, String ending) {
    return copy.resolveSibling(copy.getFileName() + ending);
  }

  /**
   * Keeps a song that lies in no file as it is. Of one that cannot be written its chart is kept,
   * and everything else as raw text.
   *
   * @param home the file it belongs to
   * @param stamp what that was like when the song was last read from or saved into it
   * @return where the raw text lies, if there is some
   */
  public Optional<Path> keep(Song song, Optional<Path> home, Optional<FileStamp> stamp)
      throws IOException {
    hold();
    Path copy = copy(name);
    AtomicFile.write(beside(copy, ORIGIN), written(home, stamp));
    Path raw = beside(copy, RAW);
    try {
      SongFiles.save(song, copy);
      Files.deleteIfExists(raw);
      return Optional.empty();
    } catch (RuntimeException e) {
      LoggerFactory.getLogger(Recovery.class).error("a song cannot be written", e);
      AtomicFile.write(raw, song.toString());
      Song chart = Song.untitled().withTitle(song.title()).withKey(song.key());
      SongFiles.save(chart.withFeel(song.feel()).withChart(song.chart()), copy);
      return Optional.of(raw);
    }
  }

  /** Before anything is kept, so that no other window ever takes it for left behind. */
  private void hold() throws IOException {
    if (held == null) {
      HELD_HERE.add(name);
      held =
          FileChannel.open(
              beside(copy(name), LOCK), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
      held.tryLock();
    }
  }

  /** Lets go of what is kept for this window: it is saved, or not wanted. */
  public void forget() throws IOException {
    if (held != null) {
      Path copy = copy(name);
      remove(copy);
      held.close();
      held = null;
      Files.deleteIfExists(beside(copy, LOCK));
      HELD_HERE.remove(name);
    }
  }

  /** Leaves what is kept where it is, as a program does that ends without saying so; for tests. */
  void leave() throws IOException {
    if (held != null) {
      held.close();
      held = null;
      HELD_HERE.remove(name);
    }
  }

  private static void remove(Path copy) throws IOException {
    Files.deleteIfExists(copy);
    Files.deleteIfExists(beside(copy, ORIGIN));
    Files.deleteIfExists(beside(copy, RAW));
  }

  /** Lets go of a song that was left behind. */
  public void discard(String left) throws IOException {
    Path copy = copy(left);
    if (isFree(copy, left)) {
      remove(copy);
      Files.deleteIfExists(beside(copy, LOCK));
    }
  }

  /** The songs of windows that are no more; what cannot be read is passed over and stays. */
  public List<LeftCopy> left() throws IOException {
    List<Path> copies;
    try (Stream<Path> all = Files.list(copy(name).getParent())) {
      copies = all.filter(f -> f.toString().endsWith(SongFiles.ENDING)).sorted().toList();
    }
    List<LeftCopy> left = new ArrayList<>();
    for (Path copy : copies) {
      String of = copy.getFileName().toString().replace(SongFiles.ENDING, "");
      if (isFree(copy, of)) {
        JsonNode origin = origin(copy);
        Optional<Path> raw = Optional.of(beside(copy, RAW)).filter(Files::exists);
        SongFiles.open(copy)
            .song()
            .ifPresent(s -> left.add(new LeftCopy(of, s, home(origin), stamp(origin), raw)));
      }
    }
    return left;
  }

  /** Whether no window that runs holds a copy. */
  private static boolean isFree(Path copy, String of) throws IOException {
    Path lock = beside(copy, LOCK);
    if (HELD_HERE.contains(of)) {
      return false;
    } else if (!Files.exists(lock)) {
      return true;
    }
    try (FileChannel channel = FileChannel.open(lock, StandardOpenOption.WRITE);
        FileLock free = channel.tryLock()) {
      return free != null;
    } catch (OverlappingFileLockException e) {
      return false;
    }
  }

  private static String written(Optional<Path> home, Optional<FileStamp> stamp) {
    ObjectNode root = JsonNodeFactory.instance.objectNode();
    home.ifPresent(h -> root.put("file", h.toString()));
    stamp.ifPresent(
        s -> {
          root.put("size", s.size());
          root.put("changed", s.changed().toMillis());
          root.put("key", s.key());
          root.put("sum", s.sum());
        });
    return root.toString();
  }

  private static JsonNode origin(Path copy) {
    try {
      return new ObjectMapper().readTree(Files.readString(beside(copy, ORIGIN)));
    } catch (IOException e) {
      // The song is offered all the same; where it is saved the player says.
      return JsonNodeFactory.instance.objectNode();
    }
  }

  private static Optional<Path> home(JsonNode origin) {
    try {
      return origin.hasNonNull("file")
          ? Optional.of(Path.of(origin.get("file").asText()))
          : Optional.empty();
    } catch (InvalidPathException e) {
      return Optional.empty();
    }
  }

  private static Optional<FileStamp> stamp(JsonNode origin) {
    return origin.hasNonNull("sum")
        ? Optional.of(
            new FileStamp(
                origin.path("size").asLong(),
                FileTime.fromMillis(origin.path("changed").asLong()),
                origin.path("key").asText(),
                origin.path("sum").asLong()))
        : Optional.empty();
  }
}
