package phalanx.chart;

import java.util.List;
import java.util.Optional;
import phalanx.song.Bar;
import phalanx.theory.Meter;

/**
 * Reads a grid of bars line by line. What stands before the first bar line of a line is a margin
 * note, and a bar must be closed by a bar line. One instance reads one grid.
 */
public final class GridReader {

  private final ChartReader reader;
  private Meter meter;
  private Meter written;
  private Optional<Double> tempo = Optional.empty();

  /**
   * At the start of a grid.
   *
   * @param meter the metre in force
   * @param written the metre that the bars before the grid stand in
   * @param room how many bars the chart has room for
   */
  public GridReader(Meter meter, Meter written, int room) {
    this.meter = meter;
    this.written = written;
    reader = new ChartReader(Notation.in(meter), Notation.Numbers.NONE, room);
  }

  /** Another metre from the next line on. */
  public void turn(Meter next) {
    meter = next;
  }

  /** Another tempo from the next bar on, quarter notes a minute. */
  public void hurry(double next) {
    tempo = Optional.of(next);
  }

  /** The tempo that was set and begins with no bar yet. */
  public Optional<Double> tempo() {
    return tempo;
  }

  /**
   * Reads one more line.
   *
   * @return what of it could not be read
   */
  public List<ChartProblem> line(String text) {
    int before = bars().size();
    List<ChartProblem> problems = reader.line(text, Notation.in(meter));
    if (bars().size() > before && !meter.equals(written)) {
      Bar first = bars().get(before);
      reader.replace(before, first.withMeter(first.meter().or(() -> Optional.of(meter))));
    }
    if (bars().size() > before && tempo.isPresent()) {
      Bar first = bars().get(before);
      reader.replace(before, first.withTempo(first.tempo().or(this::tempo)));
      tempo = Optional.empty();
    }
    for (Bar bar : bars().subList(before, bars().size())) {
      meter = bar.meter().orElse(meter);
      written = meter;
    }
    return problems;
  }

  /** The bars so far, with the identities 1, 2, 3 …. */
  public List<Bar> bars() {
    return reader.bars();
  }

  /** The metre that the last bar stands in. */
  public Meter written() {
    return written;
  }

  /** The metre in force behind the last line. */
  public Meter meter() {
    return meter;
  }
}
