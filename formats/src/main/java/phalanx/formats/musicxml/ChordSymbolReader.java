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
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;

/** Reads a chord symbol: its root, the kind MusicXML names, degrees added or altered, the bass. */
final class ChordSymbolReader {

  private static final Map<KindValue, String> SUFFIXES = suffixes();

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
      return new phalanx.song.Harmony.Unread(kind.map(Kind::getText).orElse("?"));
    }
    String name = name(root.get().getRootStep().getValue(), root.get().getRootAlter());
    String bass =
        first(harmony, Bass.class)
            .filter(b -> b.getBassStep() != null && b.getBassStep().getValue() != null)
            .map(b -> "/" + name(b.getBassStep().getValue(), b.getBassAlter()))
            .orElse("");
    String text = kind.map(Kind::getText).map(t -> t == null ? "" : t).orElse("");
    String suffix = kind.map(k -> SUFFIXES.getOrDefault(k.getValue(), text)).orElse(text);
    String degrees = degrees(harmony.getHarmonyChord());
    for (String symbol :
        List.of(name + suffix + degrees + bass, name + text + bass, name + suffix + bass)) {
      if (ChordReader.read(symbol) instanceof ChordReading.Read read) {
        return new phalanx.song.Harmony.Sounding(read.chord());
      }
    }
    return new phalanx.song.Harmony.Unread(name + text + bass);
  }

  private static <T> Optional<T> first(Harmony harmony, Class<T> type) {
    return harmony.getHarmonyChord().stream().filter(type::isInstance).map(type::cast).findFirst();
  }

  private static String name(Step step, HarmonyAlter alter) {
    int by = alter == null || alter.getValue() == null ? 0 : alter.getValue().intValue();
    by = Math.max(-2, Math.min(2, by));
    return step.name() + (by < 0 ? "b".repeat(-by) : "#".repeat(by));
  }

  /** The degrees in the order they stand: {@code b5}, {@code add9}, {@code no3}. */
  private static String degrees(List<Object> parts) {
    StringBuilder all = new StringBuilder();
    for (Object part : parts) {
      if (part instanceof Degree d && d.getDegreeValue() != null && d.getDegreeType() != null) {
        BigDecimal alter = d.getDegreeAlter() == null ? null : d.getDegreeAlter().getValue();
        int by = alter == null ? 0 : alter.intValue();
        DegreeTypeValue type = d.getDegreeType().getValue();
        String before =
            type == DegreeTypeValue.SUBTRACT ? "no" : by < 0 ? "b" : by > 0 ? "#" : "add";
        all.append(before).append(d.getDegreeValue().getValue());
      }
    }
    return all.toString();
  }
}
