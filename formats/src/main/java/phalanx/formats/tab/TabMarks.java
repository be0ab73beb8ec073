package phalanx.formats.tab;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.formats.Texts;
import phalanx.instrument.StringSign;
import phalanx.picking.Force;
import phalanx.picking.HitKind;
import phalanx.picking.Touch;
import phalanx.technique.Technique;

/** The signs under the letters of a text tablature, and what they mean. */
final class TabMarks {

  private static final Map<HitKind, String> HITS =
      Map.of(
          HitKind.CLICK, "x",
          HitKind.PALM, "P",
          HitKind.NAIL_TAP, "N",
          HitKind.FINGERTIP_TAP, "T",
          HitKind.THUMB_SLAP, "S",
          HitKind.HEEL_MUTE, "H");

  private TabMarks() {}

  /** A fret as tablature writes it: in angle brackets where the string is touched. */
  static String fret(Note note) {
    return note.harmonic().isPresent() ? "<" + note.fret() + ">" : String.valueOf(note.fret());
  }

  /** The signs of one instant; empty for plain strokes. */
  static String at(List<Gesture> gestures, List<Note> notes, List<Damp> damps) {
    boolean accent =
        notes.stream().anyMatch(n -> n.force() == Force.ACCENTED)
            || gestures.stream().anyMatch(g -> force(g) == Force.ACCENTED);
    String signs = gestures.stream().map(TabMarks::sign).collect(Collectors.joining());
    String stopped = damps.stream().map(TabMarks::sign).collect(Collectors.joining());
    String techniques =
        notes.stream()
            .flatMap(n -> n.techniques().stream())
            .map(Technique::sign)
            .distinct()
            .sorted()
            .collect(Collectors.joining());
    return (accent ? ">" : "") + techniques + signs + stopped;
  }

  private static Force force(Gesture gesture) {
    if (gesture instanceof Gesture.Hit h) {
      return h.force();
    }
    return gesture instanceof Gesture.Brush b ? b.force() : Force.PLAIN;
  }

  private static String sign(Gesture gesture) {
    if (gesture instanceof Gesture.Hit h) {
      return HITS.get(h.kind());
    } else if (gesture instanceof Gesture.Brush b) {
      return (b.towardsTreble() ? "^" : "v") + (b.touch() == Touch.NAILS ? "n" : "");
    }
    return ((Gesture.Roll) gesture).towardsTreble() ? "/" : "\\";
  }

  /** Strings that are stopped, by what: {@code x6p} for ⑥ by the thumb. */
  private static String sign(Damp damp) {
    return "x"
        + damp.strings().stream()
            .map(s -> String.valueOf(StringSign.number(s)))
            .collect(Collectors.joining())
        + damp.by().word();
  }

  /** The signs that are used, each with its meaning; nothing where none is. */
  static String legend(Arrangement a) {
    List<Note> notes = a.notes();
    Map<String, String> meanings = new LinkedHashMap<>();
    if (notes.stream().anyMatch(n -> n.force() == Force.ACCENTED)) {
      meanings.put(">", "accent");
    }
    notes.stream()
        .flatMap(n -> n.techniques().stream())
        .forEach(t -> meanings.put(t.sign(), t.meaning()));
    Set<Gesture> kinds = new LinkedHashSet<>(a.gestures());
    for (Gesture gesture : kinds) {
      meanings.put(sign(gesture), words(gesture));
    }
    for (Damp damp : a.damps()) {
      String strings =
          damp.strings().size() > 1
              ? Texts.of("tabMarks.stringsAre")
              : Texts.of("tabMarks.stringIs");
      meanings.put(sign(damp), strings + " stopped: " + damp.by().words());
    }
    if (meanings.isEmpty()) {
      return "";
    }
    return meanings.entrySet().stream()
        .map(e -> e.getKey() + "  " + e.getValue() + "\n")
        .collect(Collectors.joining("", Texts.of("tabMarks.signsUnderTheLetters"), ""));
  }

  private static String words(Gesture gesture) {
    if (gesture instanceof Gesture.Hit h) {
      return h.kind().words();
    } else if (gesture instanceof Gesture.Brush b) {
      String way =
          b.towardsTreble()
              ? Texts.of("tabMarks.towardsTheHighStrings")
              : Texts.of("tabMarks.towardsTheLowStrings");
      return Texts.of("tabMarks.brush", way, b.touch().words().toLowerCase(Locale.ROOT));
    }
    return ((Gesture.Roll) gesture).towardsTreble()
        ? Texts.of("tabMarks.rollFromTheLow")
        : Texts.of("tabMarks.rollFromTheHigh");
  }
}
