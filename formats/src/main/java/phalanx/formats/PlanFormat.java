package phalanx.formats;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.engraving.Engraver;
import phalanx.engraving.SheetOptions;
import phalanx.formats.disk.SafeTarget;
import phalanx.formats.json.ArrangementJson;
import phalanx.formats.musicxml.MusicXmlWriter;
import phalanx.formats.page.PageFiles;
import phalanx.formats.tab.TextTab;

/**
 * What a plan can be taken away as: the one list that command line and window share. A new format
 * is a writer and a line here. Sound is among them; it is made elsewhere, for it is written while
 * it is rendered.
 */
public enum PlanFormat {
  PDF("PDF pages", List.of(".pdf"), (a, o) -> PageFiles.pdf(Engraver.engrave(a, o))),
  MUSICXML("MusicXML score", List.of(".musicxml", ".xml"), text(MusicXmlWriter::write)),
  TEXT_TAB("Text tablature", List.of(".txt"), text(TextTab::write)),
  SVG(
      "SVG drawing, first page",
      List.of(".svg"),
      (a, o) -> PageFiles.svg(Engraver.engrave(a, o), 1)),
  PNG(
      "PNG picture, first page",
      List.of(".png"),
      (a, o) -> PageFiles.png(Engraver.engrave(a, o), 1)),
  JSON("Plan as data", List.of(".json"), text(ArrangementJson::write)),
  WAVE("Sound (WAVE)", List.of(".wav"));

  private final String words;
  private final List<String> endings;
  private final Optional<BiFunction<Arrangement, SheetOptions, byte[]>> writer;

  PlanFormat(
      String words, List<String> endings, BiFunction<Arrangement, SheetOptions, byte[]> writer) {
    this.words = words;
    this.endings = endings;
    this.writer = Optional.of(writer);
  }

  /** A format of sound. */
  PlanFormat(String words, List<String> endings) {
    this.words = words;
    this.endings = endings;
    writer = Optional.empty();
  }

  private static BiFunction<Arrangement, SheetOptions, byte[]> text(
      Function<Arrangement, String> writer) {
    return (a, o) -> writer.apply(a).getBytes(StandardCharsets.UTF_8);
  }

  /** What players call it. */
  public String words() {
    return words;
  }

  /** The endings of its files, the usual one first. */
  public List<String> endings() {
    return endings;
  }

  /** Whether it is sound, which is rendered and not written from here. */
  public boolean isSound() {
    return writer.isEmpty();
  }

  /** Whether a file is to be one of this format. */
  public boolean isOf(Path file) {
    String name = file.toString().toLowerCase(Locale.ROOT);
    return endings.stream().anyMatch(name::endsWith);
  }

  /**
   * A plan in this format, as the bytes of a file.
   *
   * @throws IllegalStateException if the format is one of sound
   */
  public byte[] write(Arrangement arrangement) {
    return write(arrangement, SheetOptions.USUAL);
  }

  /**
   * The same, where it is a page on this paper and with these parts.
   *
   * @throws IllegalStateException if the format is one of sound
   */
  public byte[] write(Arrangement arrangement, SheetOptions sheet) {
    return writer.orElseThrow(() -> new IllegalStateException(words)).apply(arrangement, sheet);
  }

  /** The format of a file, from the ending of its name; none for the name of a song file. */
  public static Optional<PlanFormat> of(Path file) {
    return SafeTarget.isSongName(file)
        ? Optional.empty()
        : Stream.of(values()).filter(f -> f.isOf(file)).findFirst();
  }

  /**
   * Every ending there is, as a sentence has them: {@code .musicxml, .xml, .txt, .json or .wav}.
   */
  public static String allEndings() {
    List<String> all = Stream.of(values()).flatMap(f -> f.endings.stream()).toList();
    return all.subList(0, all.size() - 1).stream().collect(Collectors.joining(", "))
        + " or "
        + all.get(all.size() - 1);
  }
}
