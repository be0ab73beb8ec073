package phalanx.formats.musicxml;

import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.audiveris.proxymusic.BackwardForward;
import org.audiveris.proxymusic.BarStyle;
import org.audiveris.proxymusic.BarStyleColor;
import org.audiveris.proxymusic.Barline;
import org.audiveris.proxymusic.Ending;
import org.audiveris.proxymusic.ObjectFactory;
import org.audiveris.proxymusic.Repeat;
import org.audiveris.proxymusic.RightLeftMiddle;
import org.audiveris.proxymusic.StartStopDiscontinue;
import phalanx.notation.WrittenForm.WrittenBar;

/** Repeats, endings and the last line as bar lines. */
final class BarLines {

  private static final ObjectFactory FACTORY = new ObjectFactory();

  private BarLines() {}

  /** The line before a bar, where it says anything. */
  static Optional<Barline> left(WrittenBar bar) {
    if (!bar.repeatStart() && !bar.endingOpens()) {
      return Optional.empty();
    }
    Barline line = line(RightLeftMiddle.LEFT);
    if (bar.repeatStart()) {
      style(line, BarStyle.HEAVY_LIGHT);
    }
    if (bar.endingOpens()) {
      line.setEnding(ending(bar, StartStopDiscontinue.START));
    }
    if (bar.repeatStart()) {
      Repeat repeat = FACTORY.createRepeat();
      repeat.setDirection(BackwardForward.FORWARD);
      line.setRepeat(repeat);
    }
    return Optional.of(line);
  }

  /** The line behind a bar, where it says anything. */
  static Optional<Barline> right(WrittenBar bar, boolean last) {
    boolean repeats = bar.plays() > 1;
    if (!repeats && !bar.endingCloses() && !last) {
      return Optional.empty();
    }
    Barline line = line(RightLeftMiddle.RIGHT);
    if (repeats || last) {
      style(line, BarStyle.LIGHT_HEAVY);
    }
    if (bar.endingCloses()) {
      line.setEnding(
          ending(bar, repeats ? StartStopDiscontinue.STOP : StartStopDiscontinue.DISCONTINUE));
    }
    if (repeats) {
      Repeat repeat = FACTORY.createRepeat();
      repeat.setDirection(BackwardForward.BACKWARD);
      if (bar.plays() > 2) {
        repeat.setTimes(MusicXmlWriter.whole(bar.plays()));
      }
      line.setRepeat(repeat);
    }
    return Optional.of(line);
  }

  private static Barline line(RightLeftMiddle where) {
    Barline line = FACTORY.createBarline();
    line.setLocation(where);
    return line;
  }

  private static void style(Barline line, BarStyle style) {
    BarStyleColor colored = FACTORY.createBarStyleColor();
    colored.setValue(style);
    line.setBarStyle(colored);
  }

  private static Ending ending(WrittenBar bar, StartStopDiscontinue type) {
    String numbers =
        new TreeSet<>(bar.passes()).stream().map(String::valueOf).collect(Collectors.joining(","));
    Ending ending = FACTORY.createEnding();
    ending.setNumber(numbers);
    ending.setType(type);
    return ending;
  }
}
