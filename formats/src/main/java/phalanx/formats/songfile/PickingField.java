package phalanx.formats.songfile;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import phalanx.formats.Texts;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.Density;
import phalanx.picking.Pattern;
import phalanx.picking.PatternReader;
import phalanx.picking.PatternWriter;
import phalanx.picking.PickingStyle;
import phalanx.picking.StepText;
import phalanx.picking.ThumbRoute;
import phalanx.picking.WrittenPattern;
import phalanx.song.Densities;
import phalanx.song.Patterns;
import phalanx.song.SlotRef;
import phalanx.song.SongBounds;
import phalanx.song.ThumbRoutes;

/** What the picking hand plays where, as it stands in a song file. */
final class PickingField {

  private final Faults faults;
  private int patternsRead;

  PickingField(Faults faults) {
    this.faults = faults;
  }

  static void write(ObjectNode picking, Patterns patterns) {
    style(picking, patterns.song());
    picking.put("softEnding", patterns.softEnding());
    ArrayNode sections = picking.putArray("sectionPatterns");
    new TreeMap<>(patterns.sections())
        .forEach((id, style) -> style(sections.addObject().put("section", id), style));
    ArrayNode bars = picking.putArray("barPatterns");
    new TreeMap<>(patterns.bars())
        .forEach((id, style) -> style(bars.addObject().put("bar", id), style));
    ArrayNode chords = picking.putArray("chordPatterns");
    patterns.slots().entrySet().stream()
        .sorted(
            Map.Entry.comparingByKey(
                Comparator.comparingInt(SlotRef::bar).thenComparingInt(SlotRef::tick)))
        .forEach(
            e -> {
              ObjectNode chord = chords.addObject().put("bar", e.getKey().bar());
              style(chord.put("tick", e.getKey().tick()), e.getValue());
            });
    ArrayNode changes = picking.putArray("barChanges");
    new TreeMap<>(patterns.changed())
        .forEach((bar, steps) -> steps.forEach(s -> step(changes.addObject().put("bar", bar), s)));
  }

  /** Only where something is said, so that other files stay as they are. */
  static void write(ObjectNode picking, Densities densities) {
    if (densities.equals(Densities.NONE)) {
      return;
    }
    ObjectNode node = picking.putObject("densities");
    densities.song().ifPresent(d -> node.put("song", d.number()));
    ArrayNode sections = node.putArray("sections");
    new TreeMap<>(densities.sections())
        .forEach((id, d) -> sections.addObject().put("section", id).put("density", d.number()));
    ArrayNode bars = node.putArray("bars");
    new TreeMap<>(densities.bars())
        .forEach((id, d) -> bars.addObject().put("bar", id).put("density", d.number()));
  }

  /** Only where a section has its own. */
  static void write(ObjectNode picking, ThumbRoutes thumb) {
    if (thumb.sections().isEmpty()) {
      return;
    }
    ArrayNode sections = picking.putArray("sectionThumbs");
    new TreeMap<>(thumb.sections())
        .forEach((id, t) -> sections.addObject().put("section", id).put("thumb", Words.of(t)));
  }

  /** The sections in which the thumb goes another way than in the song. */
  ThumbRoutes thumbs(ThumbRoute song, Field picking) {
    ThumbRoutes thumbs = ThumbRoutes.of(song);
    for (Said said : said(picking, "sectionThumbs", SongBounds.MOST_PATTERNS)) {
      ThumbRoutes before = thumbs;
      Field f = said.field();
      thumbs =
          faults.or(
              before,
              () -> before.with(id(f.object(), "section"), f.at("thumb").word(ThumbRoute.class)));
    }
    return thumbs;
  }

  /** What of the densities can be read. */
  Densities densities(Field picking) {
    Optional<Field> field = picking.maybe("densities");
    if (field.isEmpty()) {
      return Densities.NONE;
    }
    Densities densities = Densities.NONE;
    Field all = field.get();
    if (all.maybe("song").isPresent()) {
      Densities before = densities;
      densities =
          faults.or(
              before, () -> before.with(new Patterns.Scope.WholeSong(), density(all, "song")));
    }
    densities =
        densities(
            densities,
            said(all, "sections", SongBounds.MOST_PATTERNS),
            f -> new Patterns.Scope.OfSection(id(f.object(), "section")));
    return densities(
        densities,
        said(all, "bars", SongBounds.MOST_CHANGED),
        f -> new Patterns.Scope.OfBar(id(f.object(), "bar")));
  }

  private Densities densities(
      Densities start, List<Said> all, Function<Field, Patterns.Scope> scope) {
    Densities densities = start;
    for (Said said : all) {
      Densities before = densities;
      Field f = said.field();
      densities = faults.or(before, () -> before.with(scope.apply(f), density(f, "density")));
    }
    return densities;
  }

  private static Optional<Density> density(Field field, String name) {
    return Density.of(field.at(name).whole(0, Density.FULL.number()));
  }

  /** A style for every metre by its name; a written pattern goes along line by line. */
  private static void style(ObjectNode node, PickingStyle style) {
    if (style instanceof AlternatingThumb family) {
      node.put("pattern", Words.of(family));
    } else if (style instanceof WrittenPattern written) {
      ArrayNode lines = node.putArray("pattern");
      PatternWriter.write(written).lines().forEach(lines::add);
    }
  }

  private static void step(ObjectNode node, Pattern.Step step) {
    node.put("tick", step.tick());
    ObjectNode cells = node.putObject("cells");
    StepText.write(step).forEach(cells::put);
  }

  /** What of it can be read, place by place. */
  Patterns read(Field picking) {
    PickingStyle usual = AlternatingThumb.FINGERS_BETWEEN;
    Patterns patterns = Patterns.of(faults.or(usual, () -> style(picking.at("pattern"))));
    boolean soft = picking.maybe("softEnding").map(f -> faults.or(false, f::truth)).orElse(false);
    patterns = patterns.endingSoftly(soft);
    for (Said said : said(picking, "sectionPatterns")) {
      patterns =
          faults.or(
              patterns, said.in(patterns, f -> new Patterns.Scope.OfSection(id(f, "section"))));
    }
    for (Said said : said(picking, "barPatterns")) {
      patterns =
          faults.or(patterns, said.in(patterns, f -> new Patterns.Scope.OfBar(id(f, "bar"))));
    }
    for (Said said : said(picking, "chordPatterns")) {
      patterns =
          faults.or(
              patterns,
              said.in(
                  patterns, f -> new Patterns.Scope.OfChord(new SlotRef(id(f, "bar"), tick(f)))));
    }
    for (Said said : said(picking, "barChanges", SongBounds.MOST_CHANGED)) {
      Patterns before = patterns;
      Field f = said.field();
      patterns = faults.or(before, () -> before.changing(id(f.object(), "bar"), step(f, tick(f))));
    }
    return patterns;
  }

  /** A pattern for a part of the song. */
  private record Said(Field field) {
    Supplier<Patterns> in(Patterns patterns, Function<Field, Patterns.Scope> scope) {
      return () -> patterns.with(scope.apply(field.object()), style(field.at("pattern")));
    }
  }

  private static int id(Field field, String name) {
    return field.at(name).whole(1, Ids.MOST);
  }

  private static int tick(Field field) {
    return field.at("tick").whole(0, ChartField.MOST_TICKS);
  }

  private List<Said> said(Field picking, String name) {
    List<Said> said = said(picking, name, SongBounds.MOST_PATTERNS - patternsRead);
    patternsRead += said.size();
    return said;
  }

  private List<Said> said(Field picking, String name, int most) {
    return picking
        .maybe(name)
        .map(f -> faults.each(() -> f.list(most, faults), Said::new))
        .orElse(List.of());
  }

  private static Pattern.Step step(Field field, int tick) {
    Map<String, String> cells = new LinkedHashMap<>();
    Field rows = field.at("cells").object();
    rows.node().fieldNames().forEachRemaining(row -> cells.put(row, rows.at(row).text()));
    return StepText.read(tick, cells)
        .orElseThrow(() -> rows.fault(Texts.of("pickingField.theCellsOfOne")));
  }

  private static PickingStyle style(Field field) {
    if (!field.node().isArray()) {
      return field.word(AlternatingThumb.class);
    }
    List<Field> lines = field.list();
    String text = lines.stream().map(Field::text).collect(Collectors.joining("\n"));
    PatternReader.Result read = PatternReader.read(text);
    if (!read.problems().isEmpty()) {
      PatternReader.Problem problem = read.problems().get(0);
      int line = Math.min(problem.line(), lines.size());
      throw new Field.Fault(
          line > 0 ? lines.get(line - 1).pointer() : field.pointer(), problem.message());
    }
    if (read.patterns().size() != 1) {
      throw field.fault(Texts.of("pickingField.theLinesOfOne"));
    }
    return read.patterns().get(0);
  }
}
