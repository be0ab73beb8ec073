package phalanx.theory;

import java.util.List;
import java.util.Optional;
import phalanx.text.Texts;

/**
 * How a player calls the notes. What is written into files is always English; this is what screens
 * show and what is typed into them.
 */
public enum NoteNaming {
  /** C D E F G A B, with B♭. */
  ENGLISH(Texts.of("noteNaming.english"), List.of("C", "D", "E", "F", "G", "A", "B")),
  /** As English, but B is H and B♭ is B; Fis, Es and the like are understood when typed. */
  GERMAN(Texts.of("noteNaming.german"), List.of("C", "D", "E", "F", "G", "A", "H")),
  /** Do Re Mi Fa Sol La Si, Do fixed on C; English names are understood when typed. */
  SOLFEGE(Texts.of("noteNaming.solfGe"), List.of("Do", "Re", "Mi", "Fa", "Sol", "La", "Si"));

  private final String words;
  private final List<String> letters;

  NoteNaming(String words, List<String> letters) {
    this.words = words;
    this.letters = letters;
  }

  /** What a player calls it. */
  public String words() {
    return words;
  }

  /** A note's name with music signs. */
  public String name(NoteName note) {
    if (this == GERMAN && note.letter() == Letter.B && note.alteration() < 0) {
      return "B" + NoteName.signs(note.alteration() + 1);
    }
    return letters.get(note.letter().ordinal()) + NoteName.signs(note.alteration());
  }

  /** A chord symbol with music signs. */
  public String name(Chord chord) {
    return chord.text(this::name);
  }

  /**
   * Reads a note name at the start of a text.
   *
   * @return the note and how many characters it took, or empty where no note stands
   */
  public Optional<NoteName.Prefix> atStartOf(String text) {
    return switch (this) {
      case ENGLISH -> NoteName.atStartOf(text);
      case GERMAN -> german(text);
      case SOLFEGE -> solfege(text).or(() -> NoteName.atStartOf(text));
    };
  }

  /** Reads a whole text as a note name; empty if anything else stands in it. */
  public Optional<NoteName> parse(String text) {
    return atStartOf(text).filter(p -> p.length() == text.length()).map(NoteName.Prefix::note);
  }

  private static Optional<NoteName.Prefix> german(String text) {
    if (text.startsWith("H")) {
      return NoteName.withAccidentals(Letter.B, 0, text, 1);
    }
    if (text.startsWith("B")) {
      // Some write the English Bb for the same note.
      int sign = text.startsWith("Bb") || text.startsWith("B♭") ? 2 : 1;
      return Optional.of(new NoteName.Prefix(new NoteName(Letter.B, -1), sign));
    }
    if (text.isEmpty() || "CDEFGA".indexOf(text.charAt(0)) < 0) {
      return Optional.empty();
    }
    Letter letter = Letter.valueOf(text.substring(0, 1));
    String rest = text.substring(1);
    if (rest.startsWith("is")) {
      return Optional.of(new NoteName.Prefix(new NoteName(letter, 1), 3));
    }
    if (rest.startsWith("es")) {
      return Optional.of(new NoteName.Prefix(new NoteName(letter, -1), 3));
    }
    // Es and As, but not the start of Esus4.
    boolean vowel = letter == Letter.E || letter == Letter.A;
    if (vowel && rest.startsWith("s") && !rest.startsWith("sus")) {
      return Optional.of(new NoteName.Prefix(new NoteName(letter, -1), 2));
    }
    return NoteName.atStartOf(text);
  }

  private static Optional<NoteName.Prefix> solfege(String text) {
    for (Letter letter : Letter.values()) {
      String name = SOLFEGE.letters.get(letter.ordinal());
      if (text.startsWith(name)) {
        return NoteName.withAccidentals(letter, 0, text, name.length());
      }
    }
    return text.startsWith("Ré")
        ? NoteName.withAccidentals(Letter.D, 0, text, 2)
        : Optional.empty();
  }
}
