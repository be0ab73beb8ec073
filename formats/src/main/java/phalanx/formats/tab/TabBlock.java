package phalanx.formats.tab;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import phalanx.formats.Texts;
import phalanx.formats.imported.FrettedNote;
import phalanx.formats.imported.ImportedBar;
import phalanx.formats.text.ChordWord;
import phalanx.instrument.HarmonicNode;
import phalanx.instrument.Tuning;
import phalanx.melody.Slur;
import phalanx.melody.Want;
import phalanx.picking.PickFinger;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.technique.Technique;
import phalanx.technique.TechniqueText;
import phalanx.theory.Meter;

/** Six lines of a tablature with what stands above and below them. */
final class TabBlock {

  /** No bar that a hand plays has more strokes after each other. */
  private static final int MOST_COLUMNS = 256;

  private static final Pattern BEND =
      Pattern.compile("(?i)b(?:\\(?(\\d{1,2})\\)?)?(r(?:\\(?\\d{1,2}\\)?)?)?");

  private static final Pattern WORD = Pattern.compile("\\S+");
  private static final Pattern COUNT = Pattern.compile("[1-9]|1[0-2]|&|\\+|and|e|a|trip|let");
  private static final Pattern LETTERS = Pattern.compile("[pimac]{1,5}|[HPS]");
  private static final Pattern MUTED = Pattern.compile("(?i)P\\.?M\\.?[-.|]*");
  private static final Pattern REPEATS =
      Pattern.compile("(?i)\\(?x\\s?(\\d{1,2})\\)?|\\(?(\\d{1,2})\\s?x\\)?");

  private final Meter meter;
  private final List<ImportedBar> bars = new ArrayList<>();
  private final List<List<FrettedNote>> notes = new ArrayList<>();
  private final List<Strange> strange = new ArrayList<>();
  private final TreeMap<Integer, String> counts = new TreeMap<>();
  private int lead = 1;
  private final TreeMap<Integer, Harmony> chords = new TreeMap<>();
  private final TreeMap<Integer, String> letters = new TreeMap<>();
  private final List<int[]> muted = new ArrayList<>();
  private Optional<String> heading = Optional.empty();

  /** Something that was not understood, by line of the block and place in it. */
  record Strange(int row, int column, String words) {}

  /** A figure of a line. */
  private record Figure(
      int column, int string, int fret, Optional<Slur> slur, Set<Technique> techniques) {}

  TabBlock(List<String> strings, List<String> above, List<String> below, Meter meter) {
    this.meter = meter;
    above.forEach(this::above);
    below.forEach(this::below);
    List<Figure> figures = new ArrayList<>();
    for (int row = 0; row < Tuning.STRINGS; row++) {
      figures(row, strings.get(row), figures);
    }
    bars(strings, figures);
  }

  List<ImportedBar> bars() {
    return bars;
  }

  List<List<FrettedNote>> notes() {
    return notes;
  }

  List<Strange> strange() {
    return strange;
  }

  Optional<String> heading() {
    return heading;
  }

  boolean isCounted() {
    return counts.size() > 1;
  }

  /** The tuning that the names before the lines say, the highest string first. */
  static Optional<Tuning> tuning(List<String> strings) {
    List<String> names = new ArrayList<>();
    for (String line : strings) {
      Matcher name = Pattern.compile("([A-Ga-g][#b♯♭]?\\d?)[ |:-].*").matcher(line.strip());
      if (!name.matches()) {
        return Optional.empty();
      }
      String note = name.group(1);
      names.add(0, Character.toUpperCase(note.charAt(0)) + note.substring(1));
    }
    return Tuning.parse(String.join(" ", names));
  }

  /** Counts, chords, palm mutes or a heading. */
  private void above(String line) {
    if (line.isBlank()) {
      return;
    }
    TreeMap<Integer, String> words = words(line);
    if (words.values().stream().allMatch(w -> COUNT.matcher(w).matches()) && words.size() > 1) {
      counts.clear();
      counts.putAll(words);
    } else if (words.values().stream().allMatch(w -> MUTED.matcher(w).matches())) {
      words.forEach((column, w) -> muted.add(new int[] {column, column + w.length()}));
    } else if (words.values().stream()
        .allMatch(w -> ChordWord.symbol(w).isPresent() || REPEATS.matcher(w).matches())) {
      chords.clear();
      words.forEach((column, w) -> ChordWord.symbol(w).ifPresent(h -> chords.put(column, h)));
    } else {
      String text = line.strip().replaceAll("^\\[|\\]:?$|:$", "");
      heading = text.length() <= 60 ? Optional.of(text) : heading;
    }
  }

  private void below(String line) {
    TreeMap<Integer, String> words = words(line);
    if (words.isEmpty()) {
      return;
    }
    if (words.values().stream().allMatch(w -> LETTERS.matcher(w).matches())) {
      letters.putAll(words);
    } else if (words.values().stream().allMatch(w -> COUNT.matcher(w).matches())
        && words.size() > 1) {
      counts.clear();
      counts.putAll(words);
    }
  }

  private static TreeMap<Integer, String> words(String line) {
    TreeMap<Integer, String> words = new TreeMap<>();
    Matcher word = WORD.matcher(line);
    while (word.find()) {
      words.put(word.start(), word.group());
    }
    return words;
  }

  /** The figures of one line, highest string first, with what stands between them. */
  private void figures(int row, String line, List<Figure> figures) {
    int string = Tuning.STRINGS - 1 - row;
    int start = Math.max(0, line.indexOf('|') < 0 ? line.indexOf('-') : line.indexOf('|'));
    Optional<Slur> slur = Optional.empty();
    boolean touched = false;
    Figure last = null;
    for (int at = start; at < line.length(); at++) {
      char sign = line.charAt(at);
      if (Character.isDigit(sign)) {
        int end =
            at + 1 < line.length() && Character.isDigit(line.charAt(at + 1)) ? at + 2 : at + 1;
        int fret = Integer.parseInt(line.substring(at, end));
        Set<Technique> techniques = new HashSet<>();
        if (touched) {
          touched(fret).ifPresent(techniques::add);
        }
        if (fret > Want.HIGHEST_FRET) {
          strange.add(new Strange(row, at, Texts.of("tabBlock.noNeckHasA", fret)));
        } else {
          last =
              new Figure(touched ? at - 1 : at, string, fret, slur.filter(s -> true), techniques);
          figures.add(last);
        }
        slur = Optional.empty();
        at = end - 1;
      } else if ((sign == 'b' || sign == 'B') && last != null) {
        Matcher bend = BEND.matcher(line).region(at, line.length());
        bend.lookingAt();
        with(figures, last, bend(last, bend));
        last = figures.get(figures.size() - 1);
        // The figures of a bend are pitches that it goes to; nothing is struck there.
        at = bend.end() - 1;
      } else if (sign == '<') {
        touched = true;
      } else if (sign == '>') {
        touched = false;
      } else if ((sign == 'x' || sign == 'X') && last != null) {
        strange.add(new Strange(row, at, Texts.of("tabBlock.aStruckStringWithout")));
      } else {
        slur = between(sign, last, figures, slur, line, at);
        last = figures.isEmpty() || last == null ? last : figures.get(figures.size() - 1);
      }
    }
  }

  private Optional<Slur> between(
      char sign, Figure last, List<Figure> figures, Optional<Slur> slur, String line, int at) {
    if (last == null) {
      return slur;
    }
    switch (sign) {
      case 'h', 'H', '^' -> {
        return Optional.of(Slur.HAMMER_ON);
      }
      case 'p', 'P' -> {
        return Optional.of(Slur.PULL_OFF);
      }
      case '/', '\\', 's' -> {
        return Optional.of(Slur.SLIDE);
      }
      case '~', 'v' -> with(figures, last, new Technique.Vibrato(false));
      default -> {
        // Dashes, bar lines, brackets: what stands between figures without joining them.
      }
    }
    return slur;
  }

  /**
   * {@code 7b9} is bent to the pitch of fret 9, {@code 7b9r7} let back as well; a bend without a
   * figure is by a whole tone.
   */
  private static Technique bend(Figure last, Matcher bend) {
    String to = bend.group(1);
    int semitones = to == null ? 2 : Integer.parseInt(to) - last.fret();
    int quarters = Math.max(1, Math.min(Technique.Bend.MOST, 2 * semitones));
    return new Technique.Bend(quarters, false, bend.group(2) != null);
  }

  private static void with(List<Figure> figures, Figure last, Technique technique) {
    Set<Technique> more = new HashSet<>(last.techniques());
    more.add(technique);
    int place = figures.indexOf(last);
    if (place >= 0 && TechniqueText.areTogether(more)) {
      figures.set(place, new Figure(last.column(), last.string(), last.fret(), last.slur(), more));
    }
  }

  /** The harmonic over a fret; the nearest of those that speak. */
  private static Optional<Technique> touched(int fret) {
    return Technique.NaturalHarmonic.ALL.stream()
        .min(
            Comparator.comparingDouble(
                h -> Math.abs(HarmonicNode.fret(h.harmonic(), h.node()) - fret)))
        .filter(h -> Math.abs(HarmonicNode.fret(h.harmonic(), h.node()) - fret) < 0.6)
        .map(h -> h);
  }

  /** Cuts at the bar lines of the highest string, or of the line that has most of them. */
  private void bars(List<String> strings, List<Figure> figures) {
    String ruler =
        strings.stream().max(Comparator.comparingLong(TabBlock::lines)).orElse(strings.get(0));
    List<Integer> lines = new ArrayList<>();
    int from = Math.max(0, ruler.indexOf('|'));
    for (int at = from; at < ruler.length(); at++) {
      if (ruler.charAt(at) == '|') {
        lines.add(at);
      }
    }
    if (lines.isEmpty() || lines.get(0) > ruler.indexOf('-')) {
      lines.add(0, Math.max(0, ruler.indexOf('-') - 1));
    }
    boolean open =
        ruler.substring(lines.get(lines.size() - 1)).chars().filter(c -> c == '-').count() > 2;
    if (open) {
      lines.add(ruler.length());
    }
    TreeMap<Integer, List<Figure>> byColumn = new TreeMap<>();
    figures.forEach(f -> byColumn.computeIfAbsent(f.column(), c -> new ArrayList<>()).add(f));
    lead = lead(ruler, lines, byColumn);
    for (int b = 0; b + 1 < lines.size(); b++) {
      int left = lines.get(b);
      int right = lines.get(b + 1);
      if (right - left > 2) {
        bar(ruler, left, right, byColumn);
      }
    }
  }

  private static long lines(String line) {
    return line.chars().filter(c -> c == '|').count();
  }

  /** How far behind its line the earliest bar of the system begins, repeat signs aside. */
  private static int lead(
      String ruler, List<Integer> lines, TreeMap<Integer, List<Figure>> figures) {
    int lead = Integer.MAX_VALUE;
    for (int b = 0; b + 1 < lines.size(); b++) {
      int left = lines.get(b);
      int right = lines.get(b + 1);
      int sign = left + 1 < ruler.length() && ":*o".indexOf(ruler.charAt(left + 1)) >= 0 ? 1 : 0;
      Integer first = figures.higherKey(left);
      if (first != null && first < right) {
        lead = Math.min(lead, first - left - sign);
      }
    }
    return lead;
  }

  private void bar(String ruler, int left, int right, TreeMap<Integer, List<Figure>> figures) {
    ImportedBar bar = new ImportedBar(meter);
    bar.repeatStart = left + 1 < ruler.length() && ":*o".indexOf(ruler.charAt(left + 1)) >= 0;
    bar.plays = ":*o".indexOf(ruler.charAt(right - 1)) >= 0 ? 2 : 1;
    TreeSet<Integer> columns =
        figures.subMap(left, false, right, false).keySet().stream()
            .limit(MOST_COLUMNS)
            .collect(Collectors.toCollection(TreeSet::new));
    if (columns.size() < figures.subMap(left, false, right, false).size()) {
      strange.add(new Strange(0, left, Texts.of("tabBlock.aBarHasToo")));
    }
    List<Figure> here =
        columns.stream()
            .flatMap(c -> figures.get(c).stream())
            .sorted(Comparator.comparingInt(Figure::column).thenComparingInt(Figure::string))
            .toList();
    TreeMap<Integer, String> counted = new TreeMap<>(counts.subMap(left, true, right, false));
    bar.meter = counted(counted).orElse(meter);
    int from = left + (bar.repeatStart ? 1 : 0);
    int to = right - (bar.plays > 1 ? 1 : 0);
    TabTimes times = TabTimes.of(columns, counted, from, to, lead, bar.meter);
    bar.lengthTicks = bar.meter.barTicks() - times.first();
    chords
        .subMap(left, true, right, false)
        .forEach(
            (column, harmony) ->
                bar.chord(
                    new ChordChange(Math.max(0, times.nearest(column) - times.first()), harmony)));
    List<TreeSet<Integer>> struck = new ArrayList<>();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      struck.add(new TreeSet<>());
    }
    here.forEach(f -> struck.get(f.string()).add(times.at(f.column()) - times.first()));
    List<FrettedNote> played = new ArrayList<>();
    for (Figure figure : here) {
      int tick = times.at(figure.column()) - times.first();
      Integer next = struck.get(figure.string()).higher(tick);
      played.add(note(figure, tick, next == null ? bar.lengthTicks : next));
    }
    played.sort(Comparator.comparingInt(FrettedNote::tick).thenComparingInt(FrettedNote::string));
    bars.add(bar);
    notes.add(played);
  }

  /** The metre that a bar is counted in, where its count does not end where the others do. */
  private Optional<Meter> counted(TreeMap<Integer, String> words) {
    int highest =
        words.values().stream()
            .filter(w -> w.matches("\\d{1,2}"))
            .mapToInt(Integer::parseInt)
            .max()
            .orElse(0);
    return highest < 2 || highest == meter.count()
        ? Optional.empty()
        : Meter.parse(highest + "/" + meter.unit());
  }

  private FrettedNote note(Figure figure, int tick, int end) {
    Map.Entry<Integer, String> letter = letters.floorEntry(figure.column() + 1);
    boolean there = letter != null && Math.abs(letter.getKey() - figure.column()) <= 1;
    Optional<Slur> slur = figure.slur();
    Optional<PickFinger> pick = Optional.empty();
    if (there && letter.getValue().length() == 1) {
      slur =
          switch (letter.getValue()) {
            case "H" -> Optional.of(Slur.HAMMER_ON);
            case "P" -> Optional.of(Slur.PULL_OFF);
            case "S" -> Optional.of(Slur.SLIDE);
            default -> slur;
          };
      pick = slur.isPresent() ? pick : PickFinger.lettered(letter.getValue());
    }
    Set<Technique> techniques = new HashSet<>(figure.techniques());
    boolean mutes = muted.stream().anyMatch(m -> m[0] <= figure.column() && figure.column() < m[1]);
    if (mutes && techniques.isEmpty()) {
      techniques.add(Technique.Plain.PALM_MUTE);
    }
    return new FrettedNote(
        tick,
        Math.max(1, end - tick),
        figure.string(),
        figure.fret(),
        Optional.empty(),
        pick,
        slur,
        techniques,
        false,
        false,
        List.of(),
        Optional.empty());
  }
}
