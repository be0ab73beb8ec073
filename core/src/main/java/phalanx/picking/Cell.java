package phalanx.picking;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import phalanx.instrument.Tuning;
import phalanx.technique.Technique;
import phalanx.technique.TechniqueText;
import phalanx.text.Texts;

/** The words of a written pattern, one in a cell: reads and writes what stands in a row. */
final class Cell {

  /** The row of hits. */
  static final String HITS = "hits";

  /** The row of brushes. */
  static final String BRUSH = "brush";

  /** The row that says that the strokes above and below roll. */
  static final String ROLL = "roll";

  /** The row that says that the next chord comes early. */
  static final String NEXT = "next";

  /** The sign for nothing. */
  static final String NOTHING = ".";

  private static final Pattern ON_ROLE =
      Pattern.compile("([opimac])(?:~([2-8])(?:/([2-8]))?)?(?::([a-z0-9,]+))?");
  private static final Pattern SWEEP = Pattern.compile("([1-6])-([1-6])(n?)");
  private static final Pattern ROLLING = Pattern.compile("([/\\\\])([1-8]?)");
  private static final Pattern FORCED = Pattern.compile("\\((.+)\\)|(.+)!");

  /** A tremolo in sixteenths unless it says otherwise. */
  private static final int USUAL_PARTS = 4;

  private Cell() {}

  /** Every row a pattern may have, from top to bottom. */
  static List<String> rows() {
    List<String> rows = new ArrayList<>();
    for (int r = Role.values().length - 1; r >= 0; r--) {
      rows.add(Role.values()[r].written());
    }
    rows.addAll(List.of(HITS, BRUSH, ROLL, NEXT));
    return rows;
  }

  /** The place of a stroke's row. */
  static int place(Stroke stroke) {
    if (stroke instanceof Stroke.OnRole r) {
      return Role.values().length - 1 - r.role().ordinal();
    }
    return Role.values().length + (stroke instanceof Stroke.Brush ? 1 : 0);
  }

  /** Puts what a cell says into a step; empty if the row does not know the word. */
  static Optional<Written> read(String row, String cell, Written step) {
    if (cell.equals(NOTHING)) {
      return Optional.of(step);
    }
    return switch (row) {
      case NEXT -> cell.equals(">") ? Optional.of(step.comingEarly()) : Optional.empty();
      case ROLL -> roll(cell).map(step::rolled);
      default -> stroke(row, cell).map(step::with);
    };
  }

  /** A step while it is being read. */
  record Written(List<Stroke> strokes, Optional<Roll> roll, boolean early) {

    static final Written EMPTY = new Written(List.of(), Optional.empty(), false);

    Written with(Stroke stroke) {
      return new Written(Stream.concat(strokes.stream(), Stream.of(stroke)).toList(), roll, early);
    }

    Written rolled(Roll how) {
      return new Written(strokes, Optional.of(how), early);
    }

    Written comingEarly() {
      return new Written(strokes, roll, true);
    }

    phalanx.picking.Pattern.Step at(int tick) {
      return new phalanx.picking.Pattern.Step(tick, strokes, roll, early);
    }
  }

  private static Optional<Roll> roll(String cell) {
    Matcher m = ROLLING.matcher(cell);
    if (!m.matches()) {
      return Optional.empty();
    }
    int speed = m.group(2).isEmpty() ? 1 : Integer.parseInt(m.group(2));
    return Optional.of(new Roll(m.group(1).equals("/"), speed));
  }

  /** The stroke a cell of a row stands for. */
  static Optional<Stroke> stroke(String row, String cell) {
    Matcher forced = FORCED.matcher(cell);
    boolean plain = !forced.matches();
    Force force = plain ? Force.PLAIN : forced.group(1) != null ? Force.SOFT : Force.ACCENTED;
    String word = plain ? cell : forced.group(1) != null ? forced.group(1) : forced.group(2);
    return switch (row) {
      case HITS -> HitKind.written(word).map(h -> new Stroke.Knock(h, force));
      case BRUSH -> brush(word, force);
      default -> Role.written(row).flatMap(role -> onRole(role, word, force));
    };
  }

  private static Optional<Stroke> brush(String word, Force force) {
    Matcher m = SWEEP.matcher(word);
    if (!m.matches() || m.group(1).equals(m.group(2))) {
      return Optional.empty();
    }
    int from = Tuning.STRINGS - Integer.parseInt(m.group(1));
    int to = Tuning.STRINGS - Integer.parseInt(m.group(2));
    Touch touch = m.group(3).isEmpty() ? Touch.FLESH : Touch.NAILS;
    return Optional.of(new Stroke.Brush(from, to, touch, force));
  }

  private static Optional<Stroke> onRole(Role role, String word, Force force) {
    if (word.equals("=")) {
      return Optional.of(new Stroke.Stop(role));
    }
    Matcher m = ON_ROLE.matcher(word);
    if (!m.matches()) {
      return Optional.empty();
    }
    if (m.group(2) != null && m.group(4) == null) {
      int parts = m.group(3) == null ? USUAL_PARTS : Integer.parseInt(m.group(3));
      return Optional.of(new Stroke.Tremolo(role, force, Integer.parseInt(m.group(2)), parts));
    }
    return techniques(m)
        .map(t -> new Stroke.Pluck(role, force, PickFinger.lettered(m.group(1)), t));
  }

  /** What is special about a stroke; empty for a word that is none or not for strokes. */
  private static Optional<Set<Technique>> techniques(Matcher m) {
    if (m.group(4) == null) {
      return Optional.of(Set.of());
    }
    return m.group(2) != null
        ? Optional.empty()
        : TechniqueText.read(m.group(4))
            .filter(all -> all.stream().allMatch(TechniqueText::isOfStrokes));
  }

  /** The row a stroke stands in. */
  static String row(Stroke stroke) {
    if (stroke instanceof Stroke.OnRole r) {
      return r.role().written();
    }
    return stroke instanceof Stroke.Brush ? BRUSH : HITS;
  }

  /** What a cell of a row says of a step. */
  static String write(String row, phalanx.picking.Pattern.Step step) {
    if (row.equals(NEXT)) {
      return step.early() ? ">" : NOTHING;
    }
    if (row.equals(ROLL)) {
      return step.roll().map(Cell::write).orElse(NOTHING);
    }
    return step.strokes().stream()
        .filter(s -> row(s).equals(row))
        .map(Cell::write)
        .findFirst()
        .orElse(NOTHING);
  }

  private static String write(Roll roll) {
    return (roll.towardsTreble() ? "/" : "\\") + (roll.speed() == 1 ? "" : roll.speed());
  }

  /** A stroke as its cell. */
  static String write(Stroke stroke) {
    String word = word(stroke);
    return switch (stroke.force()) {
      case SOFT -> "(" + word + ")";
      case PLAIN -> word;
      case ACCENTED -> word + "!";
    };
  }

  private static String word(Stroke stroke) {
    if (stroke instanceof Stroke.Pluck p) {
      String words =
          p.techniques().stream().map(Technique::text).sorted().collect(Collectors.joining(","));
      String letter = p.finger().map(PickFinger::letter).orElse("o");
      return words.isEmpty() ? letter : letter + ":" + words;
    } else if (stroke instanceof Stroke.Tremolo t) {
      return "o~" + t.strokes() + (t.parts() == USUAL_PARTS ? "" : "/" + t.parts());
    } else if (stroke instanceof Stroke.Brush b) {
      String nails = b.touch() == Touch.NAILS ? "n" : "";
      return (Tuning.STRINGS - b.from()) + "-" + (Tuning.STRINGS - b.to()) + nails;
    } else if (stroke instanceof Stroke.Knock k) {
      return k.hit().written();
    }
    return "=";
  }

  /** What a row expects, for a message. */
  static String expected(String row) {
    return switch (row) {
      case HITS ->
          Texts.of(
              "cell.aHitOrA",
              String.join(", ", Stream.of(HitKind.values()).map(HitKind::written).toList()));
      case BRUSH -> Texts.of("cell.aBrushSuchAs");
      case ROLL -> Texts.of("cell.orWithASpeed");
      case NEXT -> Texts.of("cell.whereTheNextChord");
      default -> Texts.of("cell.oForAStroke");
    };
  }
}
