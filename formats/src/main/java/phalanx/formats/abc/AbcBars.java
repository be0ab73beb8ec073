package phalanx.formats.abc;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.formats.FileProblem;
import phalanx.formats.Texts;
import phalanx.formats.imported.ImportedBar;
import phalanx.song.Bar;
import phalanx.song.SongBounds;
import phalanx.theory.Meter;
import phalanx.theory.Ticks;

/** The bars of one voice, the one at hand included: their lines, repeats, endings and metres. */
final class AbcBars {

  private static final Pattern NUMBER =
      Pattern.compile("\\s*(\\d[\\d,\\-]{0,12})(?=[\\s\\[\"a-gA-Gz({^_=|])");

  private final List<FileProblem> problems;
  private final List<ImportedBar> bars = new ArrayList<>();
  private Meter meter;
  private ImportedBar bar;
  private int tick;
  private Set<Integer> ending = Set.of();
  private boolean full;

  /** With no bar yet. */
  AbcBars(Meter meter, List<FileProblem> problems) {
    this.meter = meter;
    this.problems = problems;
    bar = new ImportedBar(meter);
  }

  Meter meter() {
    return meter;
  }

  void meter(Meter other) {
    meter = other;
    if (tick == 0) {
      bar.meter = other;
    }
  }

  void tempo(Optional<Double> tempo) {
    bar.tempo = tempo.or(() -> bar.tempo);
  }

  void label(String label) {
    bar.label = Optional.of(label);
  }

  /** The bar at hand. */
  ImportedBar now() {
    return bar;
  }

  /** How far in the bar at hand, ticks. */
  int tick() {
    return tick;
  }

  void tick(int other) {
    tick = other;
  }

  /** Whether a song has no more bars, which was said. */
  boolean isFull() {
    return full;
  }

  /**
   * A bar line.
   *
   * @param line its parts
   * @param rest the text from it on
   * @return how many signs it takes
   */
  int line(Matcher line, String rest) {
    boolean doubled = line.group(4) != null;
    boolean ends = doubled || !line.group(1).isEmpty();
    boolean starts = doubled || !line.group(3).isEmpty();
    close(ends);
    if (starts) {
      bar.repeatStart = true;
    }
    int end = line.end();
    Matcher number = NUMBER.matcher(rest.substring(end));
    boolean thick =
        "|]".equals(line.group(2)) || "||".equals(line.group(2)) || "[|".equals(line.group(2));
    if (ends || thick) {
      ending = Set.of();
      bar.passes.clear();
    }
    if (number.lookingAt()) {
      opens(number.group(1));
      return end + number.end();
    }
    return end;
  }

  /** An ending begins, for the passes that are named. */
  void opens(String numbers) {
    Set<Integer> passes = new TreeSet<>();
    for (String part : numbers.split(",")) {
      String[] range = part.split("-");
      if (range.length > 0 && range[0].matches("\\d{1,2}")) {
        int from = Integer.parseInt(range[0]);
        int to =
            range.length > 1 && range[1].matches("\\d{1,2}") ? Integer.parseInt(range[1]) : from;
        for (int p = from; p <= Math.min(to, Bar.MOST_PLAYS); p++) {
          passes.add(Math.max(1, p));
        }
      }
    }
    ending = passes;
    bar.passes.clear();
    bar.passes.addAll(passes);
  }

  /** Ends a bar; a line at the very start of a tune or behind another ends none. */
  void close(boolean repeats) {
    if (tick == 0 && bar.tune.isEmpty() && bar.chords.isEmpty()) {
      if (repeats && !bars.isEmpty()) {
        plays(bars.get(bars.size() - 1));
      }
      return;
    }
    bar.lengthTicks = tick;
    boolean first = bars.isEmpty();
    if (tick >= bar.meter.barTicks() || !first) {
      fit(bar);
    }
    if (repeats) {
      plays(bar);
    }
    add();
  }

  /**
   * A bar that is longer or shorter than its metre, in the middle of a tune, has one of its own.
   */
  private void fit(ImportedBar done) {
    boolean off = done.lengthTicks != done.meter.barTicks();
    done.lengthTicks = 0;
    if (off && tick > done.meter.barTicks()) {
      for (int unitOf : new int[] {4, 8, 16}) {
        int part = Ticks.PER_WHOLE / unitOf;
        if (tick % part == 0) {
          Meter.parse(tick / part + "/" + unitOf).ifPresent(m -> done.meter = m);
          return;
        }
      }
    }
  }

  private void plays(ImportedBar last) {
    last.plays = Math.max(2, last.passes.stream().mapToInt(p -> p).max().orElse(1) + 1);
  }

  private void add() {
    if (bars.size() < SongBounds.MOST_BARS) {
      bars.add(bar);
    } else if (!full) {
      full = true;
      problems.add(new FileProblem(1, 1, Texts.of("abcVoice.aSongHasBars", SongBounds.MOST_BARS)));
    }
    bar = new ImportedBar(meter);
    bar.passes.addAll(ending);
    tick = 0;
  }

  /** All of them, what was begun included. */
  List<ImportedBar> all() {
    if (tick > 0 || !bar.tune.isEmpty()) {
      close(false);
    }
    return bars;
  }
}
