package phalanx.desktop.share;

import java.nio.file.Path;
import java.util.Optional;
import phalanx.engraving.SheetOptions;
import phalanx.formats.FileFormat;

/** What the screen asks of the window: files are chosen, opened and written by it. */
public interface SongExchange {

  /** Asks where to write the plan in a format, as a page with these parts where it is one. */
  void exportAs(FileFormat format, SheetOptions sheet);

  /** Lets the player choose a file to look into; empty if they think better of it. */
  Optional<Path> chooseFile();

  /** Opens a file, its tune from one of its parts; asks first if that would lose changes. */
  void open(Path file, Optional<String> part);
}
