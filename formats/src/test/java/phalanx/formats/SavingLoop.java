package phalanx.formats;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import phalanx.formats.disk.AtomicFile;
import phalanx.song.Song;

/** Saves two texts in turn into one file until it is killed; started by {@link KilledSaveTest}. */
public final class SavingLoop {

  private SavingLoop() {}

  /** The songs, large enough that writing takes a while. */
  static Song song(int which) {
    String words = (which == 0 ? "low tide " : "slate roof ").repeat(80);
    return Song.untitled()
        .withTitle(which == 0 ? "Ebb" : "Flood")
        .withLyrics(Collections.nCopies(480, words));
  }

  /** Saves the texts of two files into the file named first, and says so once it has begun. */
  public static void main(String[] args) throws Exception {
    Path file = Path.of(args[0]);
    String[] texts = {Files.readString(Path.of(args[1])), Files.readString(Path.of(args[2]))};
    for (long turn = 0; ; turn++) {
      AtomicFile.write(file, texts[(int) (turn % 2)]);
      if (turn == 1) {
        System.out.println("saving");
      }
    }
  }
}
