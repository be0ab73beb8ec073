package phalanx.desktop;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.slf4j.LoggerFactory;

/** Starts this program once more, as it was started, with the song that is open. */
final class Relaunch {

  private Relaunch() {}

  /**
   * The words that start it again.
   *
   * @param words how it was started: the program, its options and what was given to it
   * @param given how many of the last words were given to it
   * @param song the file to open
   */
  static List<String> command(List<String> words, int given, Optional<Path> song) {
    List<String> again = new ArrayList<>(words.subList(0, words.size() - given));
    song.ifPresent(file -> again.add(file.toString()));
    return again;
  }

  /** How a process was started; empty where the system does not say. */
  static Optional<List<String>> words(ProcessHandle.Info process) {
    if (process.command().isEmpty() || process.arguments().isEmpty()) {
      return Optional.empty();
    }
    List<String> words = new ArrayList<>(List.of(process.command().get()));
    words.addAll(List.of(process.arguments().get()));
    return Optional.of(words);
  }

  /** Starts a program that goes on when this one has ended. */
  static void start(List<String> command) {
    try {
      new ProcessBuilder(command).inheritIO().start();
    } catch (IOException e) {
      LoggerFactory.getLogger(Relaunch.class).error("the program could not be started again", e);
    }
  }
}
