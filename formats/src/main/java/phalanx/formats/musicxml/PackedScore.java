package phalanx.formats.musicxml;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import phalanx.formats.Texts;
import phalanx.formats.disk.DiskTrouble;
import phalanx.text.Phrase;

/** Unpacks a packed score: the root file that its container names, else the first score in it. */
final class PackedScore {

  private static final String CONTAINER = "META-INF/container.xml";

  /** Files in a packed score: the score, its container, a few pictures. */
  private static final int MOST_ENTRIES = 200;

  /** Text grows when unpacked, but no score grows this much. */
  private static final int HIGHEST_RATIO = 200;

  /** Below this many bytes no ratio is too high. */
  private static final int SMALL = 1_000_000;

  private static final Pattern ROOT_FILE = Pattern.compile("full-path=[\"']([^\"']+)[\"']");

  private PackedScore() {}

  /** Whether the first bytes are those of a zip file. */
  static boolean isPacked(byte[] bytes) {
    return bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K';
  }

  /**
   * The score in a packed file.
   *
   * @throws IOException if there is none or it cannot be unpacked; the message says why
   */
  static byte[] unpacked(byte[] bytes) throws IOException {
    Map<String, byte[]> files = files(bytes);
    byte[] container = files.getOrDefault(CONTAINER, new byte[0]);
    Matcher root = ROOT_FILE.matcher(new String(container, StandardCharsets.UTF_8));
    if (root.find() && files.containsKey(root.group(1))) {
      return files.get(root.group(1));
    }
    return files.entrySet().stream()
        .filter(f -> !f.getKey().startsWith("META-INF/"))
        .filter(f -> f.getKey().endsWith(".xml") || f.getKey().endsWith(".musicxml"))
        .findFirst()
        .map(Map.Entry::getValue)
        .orElseThrow(() -> new DiskTrouble(Texts.of("packedScore.thereIsNoScore")));
  }

  private static Map<String, byte[]> files(byte[] bytes) throws IOException {
    Map<String, byte[]> files = new LinkedHashMap<>();
    int size = 0;
    // Names need not be in UTF-8, as the format has it: Latin-1 takes whatever bytes there are.
    try (ZipInputStream zip =
        new ZipInputStream(new ByteArrayInputStream(bytes), StandardCharsets.ISO_8859_1)) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        if (files.size() == MOST_ENTRIES) {
          throw new DiskTrouble(Texts.of("packedScore.thePackedScoreHas", MOST_ENTRIES));
        }
        byte[] content = zip.readNBytes(MusicXmlReader.MOST_BYTES - size + 1);
        size += content.length;
        if (size > MusicXmlReader.MOST_BYTES) {
          String words = Texts.of("packedScore.thePackedScoreIs");
          throw new DiskTrouble(Phrase.of(words, MusicXmlReader.MOST_BYTES / 1_000_000));
        } else if (size > SMALL && size / HIGHEST_RATIO > bytes.length) {
          String words = Texts.of("packedScore.thePackedScoreGrows");
          throw new DiskTrouble(Phrase.of(words, HIGHEST_RATIO));
        }
        files.put(e.getName(), content);
      }
    } catch (DiskTrouble e) {
      throw e;
    } catch (IOException | IllegalArgumentException e) {
      throw new DiskTrouble(Texts.of("packedScore.thePackedScoreIs2"));
    }
    return files;
  }
}
