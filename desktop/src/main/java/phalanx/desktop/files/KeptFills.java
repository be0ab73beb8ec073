package phalanx.desktop.files;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import phalanx.colour.Fill;
import phalanx.formats.NamedTexts;
import phalanx.formats.fills.OwnFills;

/** The player's own fills as files. */
final class KeptFills implements OwnShelf.Kept<OwnFills, Fill> {

  @Override
  public String name() {
    return "fills";
  }

  @Override
  public OwnFills none() {
    return OwnFills.NONE;
  }

  @Override
  public OwnFills read(Path folder) {
    return OwnFills.read(folder);
  }

  @Override
  public List<NamedTexts.Fault> problems(OwnFills things) {
    return things.problems();
  }

  @Override
  public void save(Path folder, Fill thing) throws IOException {
    OwnFills.save(folder, thing);
  }

  @Override
  public void remove(Path folder, String name) throws IOException {
    OwnFills.remove(folder, name);
  }
}
