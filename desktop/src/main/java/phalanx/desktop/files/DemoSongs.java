package phalanx.desktop.files;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import phalanx.formats.SongFiles;

/** The demo songs, where the start script says they lie. */
public final class DemoSongs {

  /** The system property that names their folder. */
  public static final String FOLDER = "phalanx.demo";

  private static final List<String> NAMES =
      List.of("harbour-lamp", "slate-roof-rain", "low-tide-reel");

  private DemoSongs() {}

  /** Their folder; empty where the program was started without them. */
  public static Optional<Path> folder() {
    return Optional.ofNullable(System.getProperty(FOLDER)).filter(f -> !f.isEmpty()).map(Path::of);
  }

  /** Their files. */
  public static List<Path> files() {
    return folder().stream()
        .flatMap(f -> NAMES.stream().map(n -> f.resolve(n + SongFiles.ENDING)))
        .toList();
  }

  /** What a file is called in a menu. */
  public static String name(Path file) {
    String name = String.valueOf(file.getFileName());
    return Stream.of(name)
        .map(n -> n.substring(0, n.length() - SongFiles.ENDING.length()))
        .map(n -> n.replace('-', ' '))
        .findFirst()
        .orElse(name);
  }
}
