package phalanx.desktop.files;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import phalanx.formats.NamedTexts;
import phalanx.formats.patterns.OwnPatterns;
import phalanx.picking.WrittenPattern;

/** The player's own patterns as files. */
final class KeptPatterns implements OwnShelf.Kept<OwnPatterns, WrittenPattern> {

  @Override
  public String name() {
    return "patterns";
  }

  @Override
  public OwnPatterns none() {
    return OwnPatterns.NONE;
  }

  @Override
  public OwnPatterns read(Path folder) {
    return OwnPatterns.read(folder);
  }

  @Override
  public List<NamedTexts.Fault> problems(OwnPatterns things) {
    return things.problems();
  }

  @Override
  public void save(Path folder, WrittenPattern thing) throws IOException {
    OwnPatterns.save(folder, thing);
  }

  @Override
  public void remove(Path folder, String name) throws IOException {
    OwnPatterns.remove(folder, name);
  }
}
