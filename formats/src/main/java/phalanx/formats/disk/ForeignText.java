package phalanx.formats.disk;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import phalanx.formats.Texts;

/**
 * The text of a file that came from anywhere: UTF-8 as a rule, UTF-16 where a byte order mark says
 * so, else the Western European letters that older programs wrote.
 *
 * @param text the text without its mark
 * @param letters what it was written in, in words; empty for UTF-8
 */
public record ForeignText(String text, Optional<String> letters) {

  private static final Charset WESTERN = Charset.forName("windows-1252");

  /** The text of some bytes; empty where they are no text. */
  public static Optional<ForeignText> of(byte[] bytes) {
    Optional<String> utf8 = decoded(bytes, StandardCharsets.UTF_8);
    if (utf8.isPresent()) {
      return utf8.map(t -> new ForeignText(withoutMark(t), Optional.empty()));
    }
    boolean marked =
        bytes.length > 1
            && ((bytes[0] & 0xFF) == 0xFF && (bytes[1] & 0xFF) == 0xFE
                || (bytes[0] & 0xFF) == 0xFE && (bytes[1] & 0xFF) == 0xFF);
    Charset charset = marked ? StandardCharsets.UTF_16 : WESTERN;
    String words =
        marked ? Texts.of("foreignText.itIsWrittenIn") : Texts.of("foreignText.itIsNotWritten");
    return decoded(bytes, charset)
        .filter(ForeignText::isText)
        .map(t -> new ForeignText(withoutMark(t), Optional.of(words)));
  }

  private static Optional<String> decoded(byte[] bytes, Charset charset) {
    try {
      return Optional.of(charset.newDecoder().decode(ByteBuffer.wrap(bytes)).toString());
    } catch (CharacterCodingException e) {
      return Optional.empty();
    }
  }

  /** Whether there are words and no signs that only machines read. */
  private static boolean isText(String text) {
    boolean words = text.chars().anyMatch(c -> c < 128 && Character.isLetter(c));
    return words && text.chars().noneMatch(c -> c < ' ' && "\t\n\r\f".indexOf(c) < 0);
  }

  private static String withoutMark(String text) {
    return text.startsWith("\uFEFF") ? text.substring(1) : text;
  }
}
