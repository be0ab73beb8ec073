package phalanx.formats.songfile;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.Pattern;
import phalanx.picking.PatternReader;
import phalanx.picking.PatternWriter;
import phalanx.picking.PickingStyle;
import phalanx.picking.StepText;
import phalanx.picking.WrittenPattern;
import phalanx.song.Patterns;
import phalanx.song.SlotRef;

/** What the picking hand plays where, as it stands in a song file. */
final class PickingField {

  private PickingField() {}

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

  static Patterns read(Field picking, int mostId, int mostTicks) {
    Patterns patterns = Patterns.of(style(picking.at("pattern")));
    patterns = patterns.endingSoftly(picking.maybe("softEnding").map(Field::truth).orElse(false));
    for (Field f : list(picking, "sectionPatterns")) {
      int id = f.object().at("section").whole(1, mostId);
      patterns = patterns.with(new Patterns.Scope.OfSection(id), style(f.at("pattern")));
    }
    for (Field f : list(picking, "barPatterns")) {
      int id = f.object().at("bar").whole(1, mostId);
      patterns = patterns.with(new Patterns.Scope.OfBar(id), style(f.at("pattern")));
    }
    for (Field f : list(picking, "chordPatterns")) {
      SlotRef at =
          new SlotRef(f.object().at("bar").whole(1, mostId), f.at("tick").whole(0, mostTicks));
      patterns = patterns.with(new Patterns.Scope.OfChord(at), style(f.at("pattern")));
    }
    for (Field f : list(picking, "barChanges")) {
      Pattern.Step step = step(f, f.object().at("tick").whole(0, mostTicks));
      patterns = patterns.changing(f.at("bar").whole(1, mostId), step);
    }
    return patterns;
  }

  private static List<Field> list(Field picking, String name) {
    return picking.maybe(name).map(Field::list).orElse(List.of());
  }

  private static Pattern.Step step(Field field, int tick) {
    Map<String, String> cells = new LinkedHashMap<>();
    Field rows = field.at("cells").object();
    rows.node().fieldNames().forEachRemaining(row -> cells.put(row, rows.at(row).text()));
    return StepText.read(tick, cells)
        .orElseThrow(() -> rows.fault("the cells of one step of a pattern"));
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
      throw new Field.Fault(lines.get(problem.line() - 1).pointer(), problem.message());
    }
    if (read.patterns().size() != 1) {
      throw field.fault("the lines of one pattern");
    }
    return read.patterns().get(0);
  }
}
