package phalanx.formats.musicxml;

import java.math.BigDecimal;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.audiveris.proxymusic.Bass;
import org.audiveris.proxymusic.Degree;
import org.audiveris.proxymusic.DegreeTypeValue;
import org.audiveris.proxymusic.Harmony;
import org.audiveris.proxymusic.HarmonyAlter;
import org.audiveris.proxymusic.Kind;
import org.audiveris.proxymusic.KindValue;
import org.audiveris.proxymusic.Root;
import org.audiveris.proxymusic.Step;
import phalanx.theory.Chord;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;

/** Reads a chord symbol: its root, the kind MusicXML names, degrees added or altered, the bass. */
final class ChordSymbolReader {

  private static final Map<KindValue, String> SUFFIXES = suffixes();

  private static final int SEVENTH = 7;

  /** Signs of something unread that a chart shows. */
  private static final int LONGEST_SHOWN = 60;

  private ChordSymbolReader() {}

  private static Map<KindValue, String> suffixes() {
    Map<KindValue, String> suffixes = new EnumMap<>(KindValue.class);
    ChordSymbolXml.KINDS.forEach((suffix, kind) -> suffixes.put(kind, suffix));
    suffixes.put(KindValue.AUGMENTED_SEVENTH, "7#5");
    suffixes.put(KindValue.MAJOR_11_TH, "maj11");
    suffixes.put(KindValue.MINOR_13_TH, "m13");
    return suffixes;
  }

  /** The chord, silence, or what could not be read as the file has it. */
  static phalanx.song.Harmony read(Harmony harmony) {
    Optional<Root> root = first(harmony, Root.class);
    Optional<Kind> kind = first(harmony, Kind.class);
    if (kind.map(Kind::getValue).filter(k -> k == KindValue.NONE).isPresent()) {
      return new phalanx.song.Harmony.NoChord();
    }
    if (root.isEmpty()
        || root.get().getRootStep() == null
        || root.get().getRootStep().getValue() == null) {
      return unread(kind.map(Kind::getText).orElse("?"));
    }
    String name = name(root.get().getRootStep().getValue(), root.get().getRootAlter());
    String bass =
        first(harmony, Bass.class)
            .filter(b -> b.getBassStep() != null && b.getBassStep().getValue() != null)
            .map(b -> "/" + name(b.getBassStep().getValue(), b.getBassAlter()))
            .orElse("");
    String text = kind.map(Kind::getText).map(t -> t == null ? "" : t.strip()).orElse("");
    Optional<String> suffix = kind.map(Kind::getValue).map(SUFFIXES::get);
    Optional<Chord> named =
        suffix.flatMap(s -> chord(name + withDegrees(s, harmony.getHarmonyChord()) + bass));
    Optional<Chord> shown = text.isEmpty() ? Optional.empty() : chord(name + text + bass);
    // What is shown may say more than the kind: 7sus4 where the file only knows a fourth.
    boolean more =
        shown.isPresent()
            && named.filter(n -> !shown.get().intervals().containsAll(n.intervals())).isEmpty();
    String words = text.isEmpty() ? kind.map(ChordSymbolReader::words).orElse("") : text;
    return (more ? shown : named.or(() -> shown))
        .<phalanx.song.Harmony>map(phalanx.song.Harmony.Sounding::new)
        .orElseGet(() -> unread(name + words + bass));
  }

  private static Optional<Chord> chord(String symbol) {
    return ChordReader.read(symbol) instanceof ChordReading.Read read
        ? Optional.of(read.chord())
        : Optional.empty();
  }

  private static phalanx.song.Harmony unread(String words) {
    int signs = Math.min(LONGEST_SHOWN, words.codePointCount(0, words.length()));
    return new phalanx.song.Harmony.Unread(words.substring(0, words.offsetByCodePoints(0, signs)));
  }

  /** A kind that is no chord symbol, by its name: the Neapolitan or an augmented sixth. */
  private static String words(Kind kind) {
    return kind.getValue() == null ? "?" : " " + kind.getValue().value();
  }

  private static <T> Optional<T> first(Harmony harmony, Class<T> type) {
    return harmony.getHarmonyChord().stream().filter(type::isInstance).map(type::cast).findFirst();
  }

  private static String name(Step step, HarmonyAlter alter) {
    double wanted = alter == null || alter.getValue() == null ? 0 : alter.getValue().doubleValue();
    int by = (int) Math.max(-2, Math.min(2, wanted));
    return step.name() + (by < 0 ? "b".repeat(-by) : "#".repeat(by));
  }

  /** A suffix with the degrees that are added, altered and left out: {@code 7sus4(b9)}. */
  private static String withDegrees(String suffix, List<Object> parts) {
    String head = suffix;
    StringBuilder rest = new StringBuilder();
    for (Object part : parts) {
      if (part instanceof Degree d
          && d.getDegreeValue() != null
          && d.getDegreeValue().getValue() != null
          && d.getDegreeType() != null) {
        BigDecimal alter = d.getDegreeAlter() == null ? null : d.getDegreeAlter().getValue();
        int by = alter == null ? 0 : (int) Math.signum(alter.doubleValue());
        DegreeTypeValue type = d.getDegreeType().getValue();
        if (type == DegreeTypeValue.ADD && d.getDegreeValue().getValue().intValue() == SEVENTH) {
          head = withSeventh(head, by);
        } else {
          String before =
              type == DegreeTypeValue.SUBTRACT ? "no" : by < 0 ? "b" : by > 0 ? "#" : "add";
          rest.append(before).append(d.getDegreeValue().getValue());
        }
      }
    }
    return rest.isEmpty() ? head : head + "(" + rest + ")";
  }

  /**
   * An added seventh is minor unless it is raised: added degrees count from a dominant chord
   * (MusicXML 4.0, degree-alter). Some files lower it once more and mean the same.
   */
  private static String withSeventh(String suffix, int by) {
    String seventh = by > 0 ? "maj7" : "7";
    return switch (suffix) {
      case "" -> seventh;
      case "m" -> by > 0 ? "mMaj7" : "m7";
      case "dim" -> by < 0 ? "dim7" : by > 0 ? "dimMaj7" : "m7b5";
      case "aug" -> seventh + "#5";
      case "sus2", "sus4" -> seventh + suffix;
      default -> suffix;
    };
  }
}
