package phalanx.formats.musicxml;

import java.io.IOException;
import java.io.StringReader;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import phalanx.formats.FileProblem;
import phalanx.formats.Texts;
import phalanx.text.Phrase;
import phalanx.theory.Quoted;

/**
 * The text of a score, unpacked if need be, with the lines its measures begin on. Document types
 * are taken off, so that nothing is ever fetched from elsewhere; what is larger than any score is
 * refused before it is taken apart.
 */
final class ScoreFile {

  /** Elements a score may have; a symphony's part has some fifty thousand. */
  private static final int MOST_ELEMENTS = 600_000;

  /** Measures of all parts together. */
  private static final int MOST_MEASURES = 40_000;

  private static final int MOST_NOTES = 60_000;
  private static final int DEEPEST = 60;

  /** Signs of a number; longer ones are damage, and take long to read. */
  private static final int LONGEST_NUMBER = 40;

  private static final String DOCTYPE = "<!DOCTYPE";
  private static final Pattern ENCODING =
      Pattern.compile("encoding=[\"']([A-Za-z0-9._-]{1,40})[\"']");

  /** Up to a million and with so many places as anybody writes. */
  private static final Pattern NUMBER_WRITTEN = Pattern.compile("\\+?\\d{1,7}(?:\\.\\d{0,20})?");

  /** Numbers in a row, as a list of measures has them, are no long number. */
  private static final Pattern LONG_NUMBER =
      Pattern.compile("\\s*+[-+\\d.eE]{" + (LONGEST_NUMBER + 1) + ",}+\\s*+");

  private final String text;
  private final List<FileProblem> remarks;
  private final List<Integer> measures = new ArrayList<>();
  private final Optional<FileProblem> fault;

  private ScoreFile(String text, List<FileProblem> remarks) {
    this.text = text;
    this.remarks = new ArrayList<>(remarks);
    fault = scan();
  }

  /**
   * A score from the bytes of a file, plain or packed.
   *
   * @throws IOException if a packed file cannot be unpacked; the message says why
   */
  static ScoreFile of(byte[] bytes) throws IOException {
    byte[] score = PackedScore.isPacked(bytes) ? PackedScore.unpacked(bytes) : bytes;
    List<FileProblem> remarks = new ArrayList<>();
    String plain = decoded(score, remarks);
    int start = Math.max(0, plain.indexOf('<'));
    // The text is read as such from here on, whatever its declaration said of bytes.
    return new ScoreFile(withoutType(withoutDeclaration(plain.substring(start))), remarks);
  }

  private static String withoutDeclaration(String body) {
    int end = body.startsWith("<?xml") ? body.indexOf('>') : -1;
    return body.substring(end + 1);
  }

  /** Without the document type in front of the score, what it declares itself included. */
  private static String withoutType(String body) {
    int from = body.indexOf(DOCTYPE);
    if (from < 0) {
      return body;
    }
    int end = body.indexOf('>', from);
    int own = body.indexOf('[', from);
    if (own >= 0 && own < end) {
      int closed = body.indexOf(']', own);
      end = closed < 0 ? -1 : body.indexOf('>', closed);
    }
    return end < 0 ? body : body.substring(0, from) + body.substring(end + 1);
  }

  /** The first bytes say how it is written; the declaration counts where they leave it open. */
  private static String decoded(byte[] bytes, List<FileProblem> remarks) {
    Optional<Charset> seen = seen(bytes);
    String head = new String(bytes, 0, Math.min(400, bytes.length), StandardCharsets.ISO_8859_1);
    Matcher named = ENCODING.matcher(head.replace("\0", ""));
    Optional<Charset> said = named.find() ? charset(named.group(1)) : Optional.empty();
    // Where a declaration can be read byte by byte, no sign has two bytes.
    boolean wide =
        said.filter(s -> s.name().startsWith("UTF-16") || s.name().startsWith("UTF-32"))
            .isPresent();
    Charset charset =
        seen.orElseGet(() -> wide ? StandardCharsets.UTF_8 : said.orElse(StandardCharsets.UTF_8));
    boolean contradicts =
        said.isPresent()
            && !charset.name().equals(said.get().name())
            && !(charset.name().startsWith("UTF-16") && said.get().name().startsWith("UTF-16"));
    if (contradicts) {
      String words = Texts.of("scoreFile.theFileSaysIt");
      remarks.add(new FileProblem(1, 1, Phrase.of(words, said.get().name(), charset.name())));
    }
    try {
      return charset.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
    } catch (CharacterCodingException e) {
      String words = Texts.of("scoreFile.theFileIsNot");
      remarks.add(new FileProblem(1, 1, Phrase.of(words, charset.name())));
      return new String(bytes, Charset.forName("windows-1252"));
    }
  }

  /** The encoding of a name; empty where the name is unknown or could be none. */
  private static Optional<Charset> charset(String name) {
    try {
      return Optional.of(Charset.forName(name));
    } catch (IllegalCharsetNameException | UnsupportedCharsetException none) {
      return Optional.empty();
    }
  }

  /** What a byte order mark says, or zero bytes among the first signs. */
  private static Optional<Charset> seen(byte[] b) {
    if (starts(b, 0xEF, 0xBB, 0xBF)) {
      return Optional.of(StandardCharsets.UTF_8);
    } else if (starts(b, 0xFE, 0xFF) || starts(b, 0xFF, 0xFE)) {
      return Optional.of(StandardCharsets.UTF_16);
    } else if (starts(b, 0, '<')) {
      return Optional.of(StandardCharsets.UTF_16BE);
    }
    return starts(b, '<', 0) ? Optional.of(StandardCharsets.UTF_16LE) : Optional.empty();
  }

  private static boolean starts(byte[] bytes, int... first) {
    for (int i = 0; i < first.length; i++) {
      if (bytes.length <= i || (bytes[i] & 0xFF) != first[i]) {
        return false;
      }
    }
    return true;
  }

  /** Notes where measures begin; what is no XML, or too much of it, is a problem with its place. */
  private Optional<FileProblem> scan() {
    XMLInputFactory factory = XMLInputFactory.newInstance();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    int line = 1;
    int column = 1;
    try {
      XMLStreamReader reader = factory.createXMLStreamReader(new StringReader(text));
      Count count = new Count();
      while (reader.hasNext()) {
        int event = reader.next();
        line = Math.max(1, reader.getLocation().getLineNumber());
        column = Math.max(1, reader.getLocation().getColumnNumber());
        if (event == XMLStreamConstants.START_ELEMENT && reader.getLocalName().equals("measure")) {
          measures.add(line);
        }
        int at = line;
        int sign = column;
        count
            .nonsense(reader, event)
            .ifPresent(words -> remarks.add(new FileProblem(at, sign, words)));
        Optional<String> tooMuch = count.next(reader, event);
        if (tooMuch.isPresent()) {
          return Optional.of(new FileProblem(line, column, tooMuch.get()));
        }
      }
      return Optional.empty();
    } catch (XMLStreamException e) {
      int atLine = e.getLocation() == null ? line : Math.max(1, e.getLocation().getLineNumber());
      int at = e.getLocation() == null ? column : Math.max(1, e.getLocation().getColumnNumber());
      return Optional.of(new FileProblem(atLine, at, Texts.of("scoreFile.thisIsNotXml")));
    }
  }

  /** How much of everything has been seen. */
  private static final class Count {
    private int elements;
    private int measures;
    private int notes;
    private int depth;
    private boolean divisions;

    /** What is written as a number and can be none of its kind. */
    Optional<String> nonsense(XMLStreamReader reader, int event) {
      if (event == XMLStreamConstants.START_ELEMENT) {
        divisions = reader.getLocalName().equals("divisions");
        String tempo =
            reader.getLocalName().equals("sound") ? reader.getAttributeValue(null, "tempo") : null;
        return tempo == null || NUMBER_WRITTEN.matcher(tempo.strip()).matches()
            ? Optional.empty()
            : Optional.of(Texts.of("scoreFile.thisIsNoTempo", Quoted.of(tempo)));
      } else if (divisions && reader.isCharacters() && !reader.getText().isBlank()) {
        divisions = false;
        return NUMBER_WRITTEN.matcher(reader.getText().strip()).matches()
            ? Optional.empty()
            : Optional.of(Texts.of("scoreFile.aQuarterCannotBe", Quoted.of(reader.getText())));
      }
      return Optional.empty();
    }

    /** What there is too much of. */
    Optional<String> next(XMLStreamReader reader, int event) {
      if (event == XMLStreamConstants.START_ELEMENT) {
        depth++;
        elements++;
        measures += reader.getLocalName().equals("measure") ? 1 : 0;
        notes += reader.getLocalName().equals("note") ? 1 : 0;
        for (int a = 0; a < reader.getAttributeCount(); a++) {
          if (isLongNumber(reader.getAttributeValue(a))) {
            return Optional.of(Texts.of("scoreFile.aNumberHereHas", LONGEST_NUMBER));
          }
        }
      } else if (event == XMLStreamConstants.END_ELEMENT) {
        depth--;
      } else if (reader.isCharacters()
          && reader.getTextLength() > LONGEST_NUMBER
          && isLongNumber(reader.getText())) {
        return Optional.of(Texts.of("scoreFile.aNumberHereHas", LONGEST_NUMBER));
      }
      return tooMany();
    }

    private static boolean isLongNumber(String value) {
      return value.length() > LONGEST_NUMBER && LONG_NUMBER.matcher(value).matches();
    }

    private Optional<String> tooMany() {
      if (measures > MOST_MEASURES) {
        return Optional.of(Texts.of("scoreFile.aScoreHasMeasures", MOST_MEASURES));
      } else if (notes > MOST_NOTES) {
        return Optional.of(Texts.of("scoreFile.aScoreHasNotes", MOST_NOTES));
      } else if (elements > MOST_ELEMENTS) {
        return Optional.of(Texts.of("scoreFile.aScoreHasElements", MOST_ELEMENTS));
      }
      return depth > DEEPEST
          ? Optional.of(Texts.of("scoreFile.itsElementsStandIn", DEEPEST))
          : Optional.empty();
    }
  }

  /** What makes the text unusable. */
  Optional<FileProblem> fault() {
    return fault;
  }

  /** What was read otherwise than the file says. */
  List<FileProblem> remarks() {
    return List.copyOf(remarks);
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
