package phalanx.chart;

import java.util.List;
import phalanx.song.Bar;

/**
 * A line of a chart as it was read. Bars have the identities 1, 2, 3 …; whoever puts them into a
 * chart gives them their own.
 *
 * @param bars everything that could be read
 * @param problems what could not, by place
 */
public record ChartLine(List<Bar> bars, List<ChartProblem> problems) {

  public ChartLine {
    bars = List.copyOf(bars);
    problems = List.copyOf(problems);
  }
}
