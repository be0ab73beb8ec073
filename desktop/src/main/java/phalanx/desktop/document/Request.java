package phalanx.desktop.document;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import phalanx.formats.disk.FileStamp;
import phalanx.song.Song;

/** What the document asks of the disk and of the window. */
public sealed interface Request {

  /** Carried out by the disk, one after the other in the order asked. */
  sealed interface OfDisk extends Request {}

  /** Carried out by the window at once. */
  sealed interface OfWindow extends Request {}

  /** Reads a song, its tune from a part of the file if one was chosen. */
  record Read(long number, Path file, Optional<String> part) implements OfDisk {}

  /** Writes a song, whole or not at all. */
  record Write(Save save) implements OfDisk {}

  /** Looks whether a file has other contents than it had. */
  record Look(long number, Path file, FileStamp known) implements OfDisk {}

  /** Keeps a song for recovery in place of what this window kept before. */
  record Keep(long number, Song song, Optional<Path> home, Optional<FileStamp> stamp)
      implements OfDisk {}

  /** Lets go of what this window kept. */
  record Forget() implements OfDisk {}

  /** Lets go of a copy that was left behind. */
  record Discard(String left) implements OfDisk {}

  /** Shows another song; its history begins. */
  record Show(Song song, List<String> told) implements OfWindow {}

  /** A new song is shown: the keyboard goes to where it is typed. */
  record Begin() implements OfWindow {}

  /** The song is known by the id of what was saved from now on, in all it was before too. */
  record Identify(Song saved) implements OfWindow {}

  /** A file was opened or saved, and is among the recent ones. */
  record Remember(Path file) implements OfWindow {}

  /** Asks where to save the song. */
  record ChooseName(long document, Optional<Intent> then) implements OfWindow {}

  /** Tells the player. */
  record Tell(String words) implements OfWindow {}

  /** Closes the window. */
  record Close() implements OfWindow {}
}
