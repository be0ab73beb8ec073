package phalanx.formats.musicxml;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import phalanx.formats.FileProblem;

/**
 * The text of a score, unpacked if need be, with the lines its measures begin on. Document types
 * are taken off, so that nothing is ever fetched from elsewhere.
 */
final class ScoreFile {

  /** Largest score that is unpacked, bytes. */
  private static final int MOST_BYTES = 64_000_000;

  private static final Pattern DOCTYPE =
      Pattern.compile("<!DOCTYPE[^>\\[]*(\\[.*?\\]\\s*)?>", Pattern.DOTALL);
  private static final Pattern ENCODING = Pattern.compile("encoding=[\"']([A-Za-z0-9._-]+)[\"']");
  private static final Pattern ROOT_FILE = Pattern.compile("full-path=[\"']([^\"']+)[\"']");

  private final String text;
  private final List<Integer> measures = new ArrayList<>();
  private final Optional<FileProblem> fault;

  private ScoreFile(String text) {
    this.text = text;
    fault = scan();
  }

  /**
   * A score from the bytes of a file, plain or packed.
   *
   * @throws IOException if a packed file cannot be unpacked; the message says why
   */
  static ScoreFile of(byte[] bytes) throws IOException {
    boolean packed = bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K';
    byte[] score = packed ? unpacked(bytes) : bytes;
    String plain = new String(score, charset(score));
    int start = plain.indexOf('<');
    // The text is read as such from here on, whatever its declaration said of bytes.
    String body = plain.substring(Math.max(0, start)).replaceFirst("<\\?xml[^>]*\\?>", "");
    return new ScoreFile(DOCTYPE.matcher(body).replaceFirst(""));
  }

  private static Charset charset(byte[] bytes) {
    if (bytes.length > 1 && (bytes[0] & 0xFF) == 0xFE && (bytes[1] & 0xFF) == 0xFF
        || bytes.length > 1 && (bytes[0] & 0xFF) == 0xFF && (bytes[1] & 0xFF) == 0xFE) {
      return StandardCharsets.UTF_16;
    }
    String head = new String(bytes, 0, Math.min(200, bytes.length), StandardCharsets.ISO_8859_1);
    Matcher named = ENCODING.matcher(head);
    return named.find() && Charset.isSupported(named.group(1))
        ? Charset.forName(named.group(1))
        : StandardCharsets.UTF_8;
  }

  /** The root file that the container names, else the first score in it. */
  private static byte[] unpacked(byte[] bytes) throws IOException {
    Map<String, byte[]> files = new HashMap<>();
    List<String> names = new ArrayList<>();
    int size = 0;
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        byte[] content = zip.readNBytes(MOST_BYTES - size + 1);
        size += content.length;
        if (size > MOST_BYTES) {
          throw new IOException("the packed score is larger than 64 MB");
        }
        files.put(e.getName(), content);
        names.add(e.getName());
      }
    }
    byte[] container = files.getOrDefault("META-INF/container.xml", new byte[0]);
    Matcher root = ROOT_FILE.matcher(new String(container, StandardCharsets.UTF_8));
    if (root.find() && files.containsKey(root.group(1))) {
      return files.get(root.group(1));
    }
    return names.stream()
        .filter(n -> !n.startsWith("META-INF/"))
        .filter(n -> n.endsWith(".xml") || n.endsWith(".musicxml"))
        .findFirst()
        .map(files::get)
        .orElseThrow(() -> new IOException("there is no score in the packed file"));
  }

  /** Notes where measures begin; what is no XML is a problem with its place. */
  private Optional<FileProblem> scan() {
    XMLInputFactory factory = XMLInputFactory.newInstance();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    try {
      XMLStreamReader reader = factory.createXMLStreamReader(new java.io.StringReader(text));
      while (reader.hasNext()) {
        boolean starts = reader.next() == XMLStreamConstants.START_ELEMENT;
        if (starts && reader.getLocalName().equals("measure")) {
          measures.add(reader.getLocation().getLineNumber());
        }
      }
      return Optional.empty();
    } catch (XMLStreamException e) {
      int line = e.getLocation() == null ? 1 : Math.max(1, e.getLocation().getLineNumber());
      int column = e.getLocation() == null ? 1 : Math.max(1, e.getLocation().getColumnNumber());
      String first = e.getMessage().lines().reduce((a, b) -> b).orElse("").replace("Message: ", "");
      return Optional.of(new FileProblem(line, column, "this is not XML: " + first));
    }
  }

  /** What makes the text unusable. */
  Optional<FileProblem> fault() {
    return fault;
  }

  /** The text without its document type. */
  String text() {
    return text;
  }

  /** The line on which a measure begins, counted over all parts from 0. */
  int line(int measure) {
    return measure < measures.size() ? measures.get(measure) : 1;
  }
}
