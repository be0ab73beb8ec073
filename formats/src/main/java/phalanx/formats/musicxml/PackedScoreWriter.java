package phalanx.formats.musicxml;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import phalanx.arrangement.Arrangement;

/** Packs a score as MusicXML 4.0 has it: a zip file with a container that names the score. */
public final class PackedScoreWriter {

  private static final String CONTAINER =
      """
      <?xml version="1.0" encoding="UTF-8"?>
      <container>
        <rootfiles>
          <rootfile full-path="score.musicxml" media-type="application/vnd.recordare.musicxml+xml"/>
        </rootfiles>
      </container>
      """;

  /** The same song always gives the same bytes. */
  private static final LocalDateTime NO_TIME = LocalDateTime.of(1980, 1, 1, 0, 0);

  private PackedScoreWriter() {}

  /** The whole arrangement as a packed score. */
  public static byte[] write(Arrangement arrangement) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      entry(zip, "META-INF/container.xml", CONTAINER);
      entry(zip, "score.musicxml", MusicXmlWriter.write(arrangement));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  private static void entry(ZipOutputStream zip, String name, String text) throws IOException {
    ZipEntry entry = new ZipEntry(name);
    entry.setTimeLocal(NO_TIME);
    zip.putNextEntry(entry);
    zip.write(text.getBytes(StandardCharsets.UTF_8));
    zip.closeEntry();
  }
}
