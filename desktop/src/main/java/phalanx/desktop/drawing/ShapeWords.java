package phalanx.desktop.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import phalanx.desktop.texts.Texts;
import phalanx.fretting.Grip;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.StringSign;

/** What a hand holds in words, for those who hear the screen instead of seeing it. */
public final class ShapeWords {

  private ShapeWords() {}

  /** A shape, finger by finger, then its open strings. */
  public static List<String> held(Shape shape) {
    List<String> parts =
        shape.grips().entrySet().stream()
            .sorted(Map.Entry.comparingByKey())
            .map(e -> grip(e.getKey(), e.getValue()))
            .collect(Collectors.toCollection(ArrayList::new));
    List<String> open = new ArrayList<>();
    for (int s = 0; s < shape.frets().size(); s++) {
      if (shape.frets().get(s) == 0) {
        open.add(number(s));
      }
    }
    if (!open.isEmpty()) {
      parts.add(Texts.of("shapeWords.open", String.join(" ", open)));
    }
    return parts;
  }

  private static String grip(Finger finger, Grip grip) {
    return grip.isBarre()
        ? Texts.of(
            "shapeWords.fingerAcrossStringsTo",
            finger.sign(),
            number(grip.lowString()),
            number(grip.highString()),
            grip.fret())
        : on(Optional.of(finger), grip.lowString(), grip.fret());
  }

  /** A finger on a place. */
  public static String on(Optional<Finger> finger, int string, int fret) {
    String who =
        finger
            .map(
                f ->
                    f == Finger.THUMB
                        ? Texts.of("shapeWords.thumbOfTheFretting")
                        : Texts.of("shapeWords.finger", f.sign()))
            .orElse(Texts.of("shapeWords.aFinger"));
    return Texts.of("shapeWords.onStringFret", who, number(string), fret);
  }

  /** The number players give a string (0 for ⑥ to 5 for ①). */
  public static String number(int string) {
    return String.valueOf(StringSign.number(string));
  }
}
