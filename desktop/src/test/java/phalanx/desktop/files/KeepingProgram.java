package phalanx.desktop.files;

import java.nio.file.Path;
import java.util.Optional;
import phalanx.song.Song;

/** Keeps a song for recovery and then does nothing until it is killed; started by a test. */
public final class KeepingProgram {

  private KeepingProgram() {}

  /** Keeps a song in the player's folder that is named first, and says so. */
  public static void main(String[] args) throws Exception {
    new Recovery(new PlayerFolder(Path.of(args[0])))
        .keep(Song.untitled().withTitle("Killed"), Optional.empty(), Optional.empty());
    System.out.println("kept");
    Thread.sleep(600_000);
  }
}
