package phalanx.melody;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.instrument.Tuning;
import phalanx.technique.Technique;
import phalanx.technique.TechniqueText;
import phalanx.text.Phrase;
import phalanx.text.Texts;
import phalanx.theory.Letter;
import phalanx.theory.Meter;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;
import phalanx.theory.Quoted;

/**
 * Reads the tune of a bar: {@code g4 . [b d'] -}.
 *
 * <p>Cells share the bar evenly; {@code [ ]} cut a cell once more, and may stand in one another. A
 * dot goes on with the note before, at the start of a bar with that of the bar before; {@code -} is
 * a rest. A note is a letter with {@code #} or {@code b}, an octave number, or none for the nearest
 * to the note before, with {@code '} or {@code ,} for an octave higher or lower; {@code @2} puts it
 * on string 2. {@code 2:3} is string 2 at fret 3. {@code b+d} are two notes at once, {@code ^a},
 * {@code _g} and {@code /c} are hammered, pulled and slid to, {@code {b}c} has a short b before it,
 * {@code g4(v,pm)} is played with techniques ({@link TechniqueText}).
 */
public final class TuneReader {

  private static final Pattern SOUND =
      Pattern.compile("([A-Ga-g])(##|bb|[#b♯♭]?)(\\d?)('{0,20}|,{0,20})(?:@([1-6]))?");
  private static final Pattern PLACE = Pattern.compile("([1-6]):(\\d{1,2})");
  private static final Pattern NOTE =
      Pattern.compile("(?:\\{([^}]*)\\})?([\\^_/]?)([^(]+)(?:\\(([^()]*)\\))?");

  /** The first note without an octave is the nearest to this. */
  public static final Pitch MIDDLE = Pitch.parse("G4").orElseThrow();

  /** Cells of a bar, and of a cell in brackets. */
  static final int MOST_CELLS = 128;

  /** A cell may be cut again and again this often: every tick of a bar can be reached. */
  static final int DEEPEST = 16;

  /** Octaves a note may have; none of a guitar's lies outside. */
  private static final int LOWEST_OCTAVE = -9;

  private static final int HIGHEST_OCTAVE = 18;

  private final List<Problem> problems = new ArrayList<>();
  private final List<TuneNote> notes = new ArrayList<>();
  private Pitch last = MIDDLE;
  private int held;
  private boolean sounding = true;

  private TuneReader() {}

  /**
   * Something that could not be read.
   *
   * @param column from 1
   * @param message what is wrong and what was expected
   */
  public record Problem(int column, String message) {}

  /**
   * What came of reading.
   *
   * @param tune the bar; what could not be read is a rest in it
   * @param problems what could not be read, by place
   * @param last the last pitch, from which the next bar goes on
   */
  public record Result(BarTune tune, List<Problem> problems, Pitch last) {}

  private record Cell(String text, int column) {}

  /** Reads the tune of one bar of a metre on its own. */
  public static Result read(String text, Meter meter) {
    return read(text, meter, MIDDLE);
  }

  /**
   * Reads the tune of one bar of a metre.
   *
   * @param before the pitch that the first note is the nearest to
   */
  public static Result read(String text, Meter meter, Pitch before) {
    TuneReader reader = new TuneReader();
    reader.last = before;
    List<Cell> cells = reader.cells(text);
    if (cells.size() > MOST_CELLS) {
      reader.problem(1, Texts.of("tuneReader.aBarHasCells", MOST_CELLS));
    } else if (!cells.isEmpty() && meter.barTicks() % cells.size() != 0) {
      String words = Texts.of("tuneReader.cellsDoNotShare");
      reader.problem(1, Phrase.of(words, cells.size(), meter));
    } else {
      int tick = 0;
      for (Cell cell : cells) {
        int length = meter.barTicks() / cells.size();
        reader.cell(cell, tick, length, 0);
        tick += length;
      }
    }
    return new Result(
        new BarTune(reader.held, reader.notes), List.copyOf(reader.problems), reader.last);
  }

  private void problem(int column, String message) {
    problems.add(new Problem(column, message));
  }

  /** Words between blanks, and what stands in brackets as one cell. */
  private List<Cell> cells(String text) {
    List<Cell> cells = new ArrayList<>();
    int at = 0;
    while (at < text.length() && cells.size() <= MOST_CELLS) {
      char sign = text.charAt(at);
      int end = at + 1;
      if (sign == '[') {
        end = closing(text, at);
      } else if (!Character.isWhitespace(sign)) {
        end = wordEnd(text, at);
      }
      if (!Character.isWhitespace(sign)) {
        cells.add(new Cell(text.substring(at, end), at + 1));
      }
      at = end;
    }
    return cells;
  }

  /** Behind the bracket that closes what one opens. */
  private int closing(String text, int open) {
    int depth = 0;
    for (int at = open; at < text.length(); at++) {
      depth += text.charAt(at) == '[' ? 1 : text.charAt(at) == ']' ? -1 : 0;
      if (depth == 0) {
        return at + 1;
      }
    }
    problem(open + 1, Texts.of("tuneReader.expectedBehindWhatStands"));
    return text.length();
  }

  /** Behind a word; what stands in braces belongs to it, blanks and all. */
  private static int wordEnd(String text, int from) {
    boolean braced = false;
    int at = from;
    while (at < text.length()
        && (braced || !Character.isWhitespace(text.charAt(at)) && text.charAt(at) != '[')) {
      braced = text.charAt(at) == '{' || braced && text.charAt(at) != '}';
      at++;
    }
    return at;
  }

  private void cell(Cell cell, int tick, int length, int depth) {
    if (!cell.text().startsWith("[")) {
      word(cell, tick, length);
      return;
    }
    boolean closed = cell.text().endsWith("]");
    String inside = cell.text().substring(1, cell.text().length() - (closed ? 1 : 0));
    List<Cell> parts = depth < DEEPEST ? cells(inside) : List.of();
    if (parts.isEmpty() || parts.size() > MOST_CELLS || length % parts.size() != 0) {
      problem(cell.column(), Texts.of("tuneReader.expectedNotesInThat"));
      sounding = false;
      return;
    }
    int at = tick;
    for (Cell part : parts) {
      Cell placed = new Cell(part.text(), cell.column() + part.column());
      cell(placed, at, length / parts.size(), depth + 1);
      at += length / parts.size();
    }
  }

  private void word(Cell cell, int tick, int length) {
    switch (cell.text()) {
      case "-" -> sounding = false;
      case "." -> goOn(length);
      default -> {
        sounding = false;
        note(cell, tick, length)
            .ifPresent(
                n -> {
                  notes.add(n);
                  sounding = true;
                });
      }
    }
  }

  private void goOn(int length) {
    if (!sounding) {
      return;
    }
    if (notes.isEmpty()) {
      held += length;
    } else {
      TuneNote n = notes.remove(notes.size() - 1);
      notes.add(n.lasting(n.lengthTicks() + length));
    }
  }

  private Optional<TuneNote> note(Cell cell, int tick, int length) {
    Matcher m = NOTE.matcher(cell.text());
    if (!m.matches()) {
      problem(cell.column(), Texts.of("tuneReader.expectedANoteA", Quoted.of(cell.text())));
      return Optional.empty();
    }
    int before = problems.size();
    List<Want> graces = new ArrayList<>();
    if (m.group(1) != null) {
      for (String grace : m.group(1).strip().split("\\s+")) {
        want(grace, cell.column() + 1).ifPresent(graces::add);
      }
    }
    List<Want> wants = new ArrayList<>();
    int column = cell.column() + m.start(3);
    for (String word : m.group(3).split("\\+")) {
      want(word, column).ifPresent(wants::add);
      column += word.length() + 1;
    }
    if (wants.size() > TuneNote.MOST_TOGETHER || graces.size() > TuneNote.MOST_GRACES) {
      String words = Texts.of("tuneReader.expectedNotesAtOnce");
      problem(cell.column(), Phrase.of(words, TuneNote.MOST_TOGETHER, TuneNote.MOST_GRACES));
    }
    Optional<Set<Technique>> techniques =
        m.group(4) == null ? Optional.of(Set.of()) : TechniqueText.read(m.group(4));
    if (techniques.isEmpty()) {
      String words = Texts.of("tuneReader.expectedTechniquesThatGo");
      problem(cell.column() + m.start(4), Phrase.of(words, String.join(" ", TechniqueText.all())));
    }
    boolean touched =
        techniques.isPresent() && techniques.get().stream().anyMatch(TechniqueText::isHarmonic);
    if (touched && !m.group(2).isEmpty()) {
      problem(cell.column(), Texts.of("tuneReader.aHarmonicIsPlucked", m.group(2)));
    }
    Optional<Slur> slur = m.group(2).isEmpty() ? Optional.empty() : Slur.of(m.group(2).charAt(0));
    return problems.size() > before || wants.isEmpty()
        ? Optional.empty()
        : Optional.of(new TuneNote(tick, length, wants, slur, graces, techniques.orElseThrow()));
  }

  private Optional<Want> want(String word, int column) {
    Matcher place = PLACE.matcher(word);
    if (place.matches()) {
      int fret = Integer.parseInt(place.group(2));
      if (fret <= Want.HIGHEST_FRET) {
        int string = Tuning.STRINGS - Integer.parseInt(place.group(1));
        return Optional.of(new Want.Place(string, fret));
      }
    }
    Matcher sound = SOUND.matcher(word);
    if (!sound.matches()) {
      problem(column, Texts.of("tuneReader.expectedANoteSuch", Quoted.of(word)));
      return Optional.empty();
    }
    NoteName name =
        NoteName.parse(sound.group(1).toUpperCase(Locale.ROOT) + sound.group(2)).orElseThrow();
    int octave = sound.group(3).isEmpty() ? nearest(name) : Integer.parseInt(sound.group(3));
    String shift = sound.group(4);
    octave += shift.startsWith("'") ? shift.length() : -shift.length();
    if (octave < LOWEST_OCTAVE || octave > HIGHEST_OCTAVE) {
      problem(column, Texts.of("tuneReader.expectedANoteThat", Quoted.of(word)));
      return Optional.empty();
    }
    last = new Pitch(name, octave);
    Optional<Integer> string =
        Optional.ofNullable(sound.group(5)).map(s -> Tuning.STRINGS - Integer.parseInt(s));
    return Optional.of(new Want.Sound(last, string));
  }

  /** The octave in which a note is nearest to the one before, counted in steps of the scale. */
  private int nearest(NoteName name) {
    return nearest(last, name);
  }

  static int nearest(Pitch last, NoteName name) {
    int steps = Letter.values().length;
    int from = last.octave() * steps + last.name().letter().ordinal();
    int octave = last.octave() - 1;
    int best = octave;
    for (int o = octave; o <= last.octave() + 1; o++) {
      int way = Math.abs(o * steps + name.letter().ordinal() - from);
      best = way < Math.abs(best * steps + name.letter().ordinal() - from) ? o : best;
    }
    return best;
  }
}
