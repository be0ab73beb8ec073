package phalanx.formats.disk;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import phalanx.formats.Texts;

/** What exports never write over: the file a song was read from, and any song file. */
public final class SafeTarget {

  /** What names of song files end in. */
  public static final String SONG_ENDING = ".phalanx.json";

  /** How far into a file its first field is looked for, bytes. */
  private static final int HEAD = 512;

  private static final Pattern FIRST_FIELD =
      Pattern.compile("\\A\\uFEFF?\\s*+\\{\\s*+\"format\"\\s*+:\\s*+\"phalanx-song\"");

  private SafeTarget() {}

  /** Whether a name is that of a song file, however its letters are written. */
  public static boolean isSongName(Path file) {
    return file.toString().toLowerCase(Locale.ROOT).endsWith(SONG_ENDING);
  }

  /**
   * Refuses a file that an export or a plan must not replace.
   *
   * @param target where it is to be written
   * @param readFrom the file the song was read from, if it was
   * @throws DiskTrouble if it is that file, also by a link or another spelling of its path, or if
   *     it has the name or the contents of a song file
   */
  public static void check(Path target, Optional<Path> readFrom) throws DiskTrouble {
    if (isSongName(target)) {
      throw new DiskTrouble(Texts.of("safeTarget.cannotBeWrittenNames", SONG_ENDING));
    }
    checkSongStays(target, readFrom);
  }

  /**
   * Refuses a file that a converted song must not replace.
   *
   * @throws DiskTrouble if the song was read from it, or if it is a song file that is there already
   */
  public static void checkSong(Path target, Optional<Path> readFrom) throws DiskTrouble {
    if (Files.exists(target) && isSongName(target)) {
      throw new DiskTrouble(Texts.of("safeTarget.cannotBeWrittenThere"));
    }
    checkSongStays(target, readFrom);
  }

  private static void checkSongStays(Path target, Optional<Path> readFrom) throws DiskTrouble {
    if (readFrom.filter(f -> isSame(f, target)).isPresent()) {
      throw new DiskTrouble(Texts.of("safeTarget.cannotBeWrittenThe"));
    } else if (Files.isRegularFile(target) && hasSong(target)) {
      throw new DiskTrouble(Texts.of("safeTarget.cannotBeWrittenThere2"));
    }
  }

  private static boolean isSame(Path one, Path other) {
    try {
      return Files.isSameFile(one, other);
    } catch (IOException e) {
      // One of the two is not there: then they are the same only if they are called the same.
      return one.toAbsolutePath().normalize().equals(other.toAbsolutePath().normalize());
    }
  }

  private static boolean hasSong(Path file) {
    try (InputStream in = Files.newInputStream(file)) {
      String head = new String(in.readNBytes(HEAD), StandardCharsets.UTF_8);
      return FIRST_FIELD.matcher(head).find();
    } catch (IOException e) {
      // What cannot be looked into is not written over unseen.
      return true;
    }
  }
}
