package phalanx.desktop.document;

import java.nio.file.Path;
import java.util.Optional;
import phalanx.formats.disk.FileStamp;
import phalanx.song.Song;

/**
 * A song that was not saved when its program ended.
 *
 * @param name what the copy is known by
 * @param song the song as it was last kept
 * @param home the file it belongs to, if it has one
 * @param stamp what that file was like when the song was last read from or saved into it
 * @param raw where what could not be kept of it lies as text, if something could not
 */
public record LeftCopy(
    String name, Song song, Optional<Path> home, Optional<FileStamp> stamp, Optional<Path> raw) {}
