package phalanx.formats.musicxml;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.audiveris.proxymusic.BackwardForward;
import org.audiveris.proxymusic.Barline;
import org.audiveris.proxymusic.Ending;
import org.audiveris.proxymusic.RightLeftMiddle;
import org.audiveris.proxymusic.StartStopDiscontinue;
import phalanx.song.Bar;

/**
 * The repeat signs and endings on the bar lines of a measure.
 *
 * @param starts whether a repeat starts with the measure
 * @param startsAfter whether one starts behind it
 * @param endsBefore how often what ends before it is played; 1 without such a sign
 * @param plays how often what ends with it is played; 1 without a repeat
 * @param ending the times through of an ending that starts here; empty if none does
 * @param endingStops whether an ending stops here
 */
record RepeatSigns(
    boolean starts,
    boolean startsAfter,
    int endsBefore,
    int plays,
    Set<Integer> ending,
    boolean endingStops) {

  static RepeatSigns of(List<Barline> lines) {
    List<Ending> endings = lines.stream().map(Barline::getEnding).filter(e -> e != null).toList();
    return new RepeatSigns(
        lines.stream().anyMatch(l -> repeats(l, BackwardForward.FORWARD) && !isRight(l)),
        lines.stream().anyMatch(l -> repeats(l, BackwardForward.FORWARD) && isRight(l)),
        lines.stream().filter(RepeatSigns::isLeft).mapToInt(RepeatSigns::plays).max().orElse(1),
        lines.stream().filter(l -> !isLeft(l)).mapToInt(RepeatSigns::plays).max().orElse(1),
        endings.stream()
            .filter(e -> e.getType() == StartStopDiscontinue.START)
            .findFirst()
            .map(e -> passes(e.getNumber() == null ? "" : e.getNumber()))
            .orElse(Set.of()),
        endings.stream().anyMatch(e -> e.getType() != StartStopDiscontinue.START));
  }

  /** A bar line without a place stands at the end: the default of MusicXML. */
  private static boolean isRight(Barline line) {
    return line.getLocation() == RightLeftMiddle.RIGHT;
  }

  private static boolean isLeft(Barline line) {
    return line.getLocation() == RightLeftMiddle.LEFT;
  }

  private static boolean repeats(Barline line, BackwardForward direction) {
    return line.getRepeat() != null && line.getRepeat().getDirection() == direction;
  }

  private static int plays(Barline line) {
    if (!repeats(line, BackwardForward.BACKWARD)) {
      return 1;
    }
    var times = line.getRepeat().getTimes();
    int plays = times == null || times.bitLength() > 8 ? 2 : times.intValue();
    return Math.max(2, Math.min(Bar.MOST_PLAYS, plays));
  }

  /** The times through of an ending: {@code 1}, {@code 1, 2}, {@code 1-3}. */
  private static Set<Integer> passes(String numbers) {
    Set<Integer> passes = new TreeSet<>();
    for (String part : numbers.split("[^0-9-]+")) {
      String[] ends = part.split("-");
      if (ends.length > 0 && ends[0].matches("\\d{1,2}")) {
        int from = Integer.parseInt(ends[0]);
        boolean range = ends.length > 1 && ends[1].matches("\\d{1,2}");
        int to = range ? Integer.parseInt(ends[1]) : from;
        for (int pass = Math.max(1, from); pass <= Math.min(Bar.MOST_PLAYS, to); pass++) {
          passes.add(pass);
        }
      }
    }
    return passes;
  }
}
