package phalanx.desktop.neck;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import phalanx.desktop.drawing.ShapeWords;
import phalanx.desktop.texts.Texts;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.theory.NoteName;
import phalanx.theory.NoteNaming;
import phalanx.theory.Pitch;

/** What is held on the neck in words, for those who hear the screen instead of seeing it. */
final class NeckWords {

  /** As most charts for guitar spell them. */
  private static final List<String> NAMES =
      List.of("C", "C#", "D", "Eb", "E", "F", "F#", "G", "G#", "A", "Bb", "B");

  private NeckWords() {}

  /** {@code neck: finger 1 on string 2 fret 1, open 4 3 1, silent 6}. */
  static String of(Shape shape) {
    List<String> parts = new ArrayList<>(ShapeWords.held(shape));
    String silent =
        IntStream.range(0, Tuning.STRINGS)
            .filter(s -> !shape.sounds(s))
            .mapToObj(ShapeWords::number)
            .collect(Collectors.joining(" "));
    if (!silent.isEmpty()) {
      parts.add(Texts.of("neckWords.silent", silent));
    }
    return Texts.of("neckWords.neck", String.join(", ", parts));
  }

  /** The place under the cursor: {@code string 5 fret 2, B, held by finger 1}. */
  static String at(Guitar guitar, Shape shape, int string, int fret) {
    String note = name(guitar.midi(string, fret));
    String where =
        fret == 0
            ? Texts.of("neckWords.openAt", ShapeWords.number(string), note)
            : Texts.of("neckWords.at", ShapeWords.number(string), fret, note);
    return shape
        .finger(string)
        .filter(f -> shape.fret(string).orElse(Shape.SILENT) == fret)
        .map(f -> where + ", " + Texts.of("neckWords.heldBy", f.sign()))
        .orElse(where);
  }

  /** A pitch as it sounds; MIDI number. */
  static String name(int midi) {
    NoteName name = NoteName.parse(NAMES.get(midi % NAMES.size())).orElseThrow();
    return NoteNaming.ENGLISH.name(name) + Pitch.of(midi, name).octave();
  }
}
