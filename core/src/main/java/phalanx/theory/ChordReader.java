package phalanx.theory;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import phalanx.text.Texts;

/**
 * Reads chord symbols in every common spelling: {@code C}, {@code C-7}, {@code CΔ}, {@code Cø},
 * {@code C°7}, {@code C7(b9,#11)}, {@code C6/9}, {@code F♯m/C♯}.
 *
 * <p>The text after the root is a row of marks, each of which changes a {@link ChordRecipe}; the
 * recipe then says which tones the chord has and how its canonical suffix is written.
 */
public final class ChordReader {

  /** What each mark does, longest first within a first letter so that {@code maj7} is not an m. */
  private static final List<Map.Entry<String, Consumer<ChordRecipe>>> MARKS =
      List.of(
          mark(
              "madd",
              r -> {
                r.minor();
                r.add();
              }),
          mark("major", ChordRecipe::major),
          mark("maj", ChordRecipe::major),
          mark("Maj", ChordRecipe::major),
          mark("MAJ", ChordRecipe::major),
          mark("minor", ChordRecipe::minor),
          mark("min", ChordRecipe::minor),
          mark("Min", ChordRecipe::minor),
          mark("MIN", ChordRecipe::minor),
          mark("ma", ChordRecipe::major),
          mark("Ma", ChordRecipe::major),
          mark("mi", ChordRecipe::minor),
          mark("Mi", ChordRecipe::minor),
          mark("M", ChordRecipe::major),
          mark("Δ", ChordRecipe::majorSeventh),
          mark("△", ChordRecipe::majorSeventh),
          mark("m", ChordRecipe::minor),
          mark("−", ChordRecipe::minorOrFlat),
          mark("-", ChordRecipe::minorOrFlat),
          mark("dim", ChordRecipe::diminished),
          mark("°", ChordRecipe::diminished),
          mark("o", ChordRecipe::diminished),
          mark("ø", ChordRecipe::halfDiminished),
          mark("Ø", ChordRecipe::halfDiminished),
          mark("aug", ChordRecipe::augmented),
          mark("alt", ChordRecipe::altered),
          mark("sus2", r -> r.suspended(2)),
          mark("sus4", r -> r.suspended(4)),
          mark("sus", r -> r.suspended(4)),
          mark("add", ChordRecipe::add),
          mark("no", ChordRecipe::omit),
          mark("omit", ChordRecipe::omit),
          mark("6/9", r -> r.number(69)),
          mark("69", r -> r.number(69)),
          mark("13", r -> r.number(13)),
          mark("11", r -> r.number(11)),
          mark("9", r -> r.number(9)),
          mark("7", r -> r.number(7)),
          mark("6", r -> r.number(6)),
          mark("5", r -> r.number(5)),
          mark("4", r -> r.number(4)),
          mark("3", r -> r.number(3)),
          mark("2", r -> r.number(2)),
          mark("b", r -> r.alter(-1)),
          mark("♭", r -> r.alter(-1)),
          mark("#", r -> r.alter(1)),
          mark("♯", r -> r.alter(1)),
          mark("+", ChordRecipe::augmentedOrSharp),
          mark("(", r -> {}),
          mark(")", r -> {}),
          mark(",", r -> {}),
          mark(" ", r -> {}));

  /** Signs of the longest symbol that is read; the longest in use have about twenty. */
  private static final int LONGEST = 64;

  private ChordReader() {}

  private static Map.Entry<String, Consumer<ChordRecipe>> mark(
      String text, Consumer<ChordRecipe> effect) {
    return Map.entry(text, effect);
  }

  /** What a root may be called. */
  private static String roots(NoteNaming naming) {
    return switch (naming) {
      case ENGLISH -> Texts.of("chordReader.aToG");
      case GERMAN -> Texts.of("chordReader.aToH");
      case SOLFEGE -> Texts.of("chordReader.doToSi");
    };
  }

  /**
   * Reads one chord symbol.
   *
   * @param symbol the text, without surrounding space
   * @return the chord, or the place in the text where reading stopped
   */
  public static ChordReading read(String symbol) {
    return read(symbol, NoteNaming.ENGLISH);
  }

  /**
   * Reads one chord symbol whose notes have the names a player uses. Marks that do not go together
   * are refused: what is printed of a chord is always read back as the same tones.
   */
  public static ChordReading read(String symbol, NoteNaming naming) {
    if (symbol.length() > LONGEST) {
      return new ChordReading.Unreadable(LONGEST, Texts.of("chordReader.aChordSymbolOf", LONGEST));
    }
    ChordReading reading = once(symbol, naming);
    if (reading instanceof ChordReading.Read read) {
      String printed = read.chord().ascii();
      boolean asTyped = naming == NoteNaming.ENGLISH && printed.equals(symbol);
      if (!asTyped && !once(printed, NoteNaming.ENGLISH).equals(reading)) {
        return new ChordReading.Unreadable(0, Texts.of("chordReader.marksThatGoTogether"));
      }
    }
    return reading;
  }

  private static ChordReading once(String symbol, NoteNaming naming) {
    Optional<NoteName.Prefix> root = naming.atStartOf(symbol);
    if (root.isEmpty()) {
      return new ChordReading.Unreadable(0, Texts.of("chordReader.aRootNote", roots(naming)));
    }
    ChordRecipe recipe = new ChordRecipe();
    int at = root.get().length();
    while (at < symbol.length()) {
      String rest = symbol.substring(at);
      if (rest.startsWith("/") && !(rest.startsWith("/9") && recipe.hasSixth())) {
        return withSlash(symbol, at + 1, root.get().note(), recipe, naming);
      }
      if (rest.startsWith("/9")) {
        recipe.number(69);
        at += 2;
        continue;
      }
      Optional<Map.Entry<String, Consumer<ChordRecipe>>> found =
          MARKS.stream().filter(m -> rest.startsWith(m.getKey())).findFirst();
      if (found.isEmpty()) {
        return new ChordReading.Unreadable(at, Texts.of("chordReader.aChordQualitySuch"));
      }
      found.get().getValue().accept(recipe);
      Optional<String> fault = recipe.fault();
      if (fault.isPresent()) {
        return new ChordReading.Unreadable(at, fault.get());
      }
      at += found.get().getKey().length();
    }
    return finish(symbol.length(), root.get().note(), recipe, Optional.empty());
  }

  private static ChordReading withSlash(
      String symbol, int at, NoteName root, ChordRecipe recipe, NoteNaming naming) {
    Optional<NoteName> bass = naming.parse(symbol.substring(at));
    if (bass.isEmpty()) {
      String notes = roots(naming);
      return new ChordReading.Unreadable(at, Texts.of("chordReader.aBassNoteAfter", notes));
    }
    return finish(at - 1, root, recipe, bass);
  }

  private static ChordReading finish(
      int at, NoteName root, ChordRecipe recipe, Optional<NoteName> bass) {
    Optional<String> missing = recipe.close();
    if (missing.isPresent()) {
      return new ChordReading.Unreadable(at, missing.get());
    }
    Optional<NoteName> slash = bass.filter(b -> !b.equals(root));
    return new ChordReading.Read(new Chord(root, recipe.suffix(), recipe.tones(), slash));
  }
}
