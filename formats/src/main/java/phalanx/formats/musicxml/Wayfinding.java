package phalanx.formats.musicxml;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.audiveris.proxymusic.Barline;
import org.audiveris.proxymusic.Direction;
import org.audiveris.proxymusic.DirectionType;
import org.audiveris.proxymusic.FormattedTextId;
import org.audiveris.proxymusic.Sound;
import org.audiveris.proxymusic.YesNo;

/**
 * Where the player is sent from a measure, and the marks that others are sent to: by what the file
 * says of its sound, else by its words and signs.
 *
 * @param jump back to the start or to the sign, once
 * @param fine whether the piece ends here after a jump
 * @param toCoda whether the player goes on at the coda from here after a jump
 * @param segno whether the sign stands here
 * @param coda whether the coda begins here
 */
record Wayfinding(Jump jump, boolean fine, boolean toCoda, boolean segno, boolean coda) {

  /** A way back. */
  enum Jump {
    NONE,
    DA_CAPO,
    DAL_SEGNO
  }

  static Wayfinding of(List<Sound> sounds, List<Direction> directions, List<Barline> lines) {
    List<DirectionType> types =
        directions.stream().flatMap(d -> d.getDirectionType().stream()).toList();
    List<String> words = types.stream().flatMap(Wayfinding::words).toList();
    boolean toCoda = sounds.stream().anyMatch(s -> s.getTocoda() != null) || says(words, "tocoda");
    boolean codaSign =
        types.stream().anyMatch(t -> !t.getCoda().isEmpty())
            || lines.stream().anyMatch(l -> l.getCoda() != null);
    return new Wayfinding(
        jump(sounds, words),
        sounds.stream().anyMatch(s -> s.getFine() != null) || says(words, "fine"),
        toCoda,
        sounds.stream().anyMatch(s -> s.getSegno() != null)
            || types.stream().anyMatch(t -> !t.getSegno().isEmpty())
            || lines.stream().anyMatch(l -> l.getSegno() != null),
        sounds.stream().anyMatch(s -> s.getCoda() != null)
            || says(words, "coda")
            || codaSign && !toCoda);
  }

  private static Jump jump(List<Sound> sounds, List<String> words) {
    if (sounds.stream().anyMatch(s -> s.getDalsegno() != null) || starts(words, "ds", "dalsegno")) {
      return Jump.DAL_SEGNO;
    }
    boolean capo = sounds.stream().anyMatch(s -> s.getDacapo() == YesNo.YES);
    return capo || starts(words, "dc", "dacapo") ? Jump.DA_CAPO : Jump.NONE;
  }

  /** The letters of what is written, so that D.C., D. C. and DC are one. */
  private static Stream<String> words(DirectionType type) {
    return type.getWordsOrSymbol().stream()
        .filter(FormattedTextId.class::isInstance)
        .map(w -> ((FormattedTextId) w).getValue())
        .filter(w -> w != null && w.length() < 60)
        .map(w -> w.toLowerCase(Locale.ROOT).replaceAll("[^a-z]", ""));
  }

  private static boolean says(List<String> words, String... wanted) {
    return Stream.of(wanted).anyMatch(words::contains);
  }

  /** D.C., alone or with what is to be done then: al Fine, al Coda. */
  private static boolean starts(List<String> words, String... wanted) {
    return words.stream()
        .anyMatch(
            w ->
                Stream.of(wanted)
                    .anyMatch(
                        s -> w.equals(s) || w.startsWith(s + "al") || w.startsWith(s + "senza")));
  }
}
