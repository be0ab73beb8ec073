package phalanx.desktop.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import phalanx.desktop.texts.Texts;
import phalanx.song.Bar;
import phalanx.song.ChordChange;
import phalanx.song.Song;
import phalanx.theory.Meter;
import phalanx.theory.NoteNaming;

/** A bar of the chart in words, for those who hear the screen instead of seeing it. */
final class ChartWords {

  private ChartWords() {}

  /** {@code bar 5, Verse, a repeat begins, G on beat 1, D/F♯ on beat 3}. */
  static String of(Song song, Bar bar, NoteNaming naming, int selected) {
    List<String> parts = new ArrayList<>();
    parts.add(Texts.of("chartWords.bar", song.barNumber(bar.id())));
    song.chart()
        .sectionOf(bar.id())
        .map(s -> s.label())
        .filter(l -> !l.isBlank())
        .ifPresent(parts::add);
    if (selected > 1) {
      parts.add(Texts.of("chartWords.selected", selected));
    }
    Meter meter = song.chart().meters(song.meter()).getOrDefault(bar.id(), song.meter());
    bar.meter().ifPresent(m -> parts.add(Texts.of("chartWords.metre", m)));
    if (bar.repeatStart()) {
      parts.add(Texts.of("chartWords.repeatBegins"));
    }
    if (!bar.passes().isEmpty()) {
      String times =
          bar.passes().stream().sorted().map(p -> "" + p).collect(Collectors.joining(" "));
      parts.add(Texts.of("chartWords.ending", times));
    }
    bar.borrows().ifPresent(b -> parts.add(Texts.of("chartWords.asBar", song.barNumber(b))));
    List<ChordChange> changes = song.chart().changes(bar);
    if (changes.isEmpty()) {
      parts.add(Texts.of("chartWords.noChord"));
    }
    for (ChordChange change : changes) {
      int beat = 1 + change.tick() / meter.beatTicks();
      parts.add(Texts.of("chartWords.beat", change.harmony().label(naming), beat));
    }
    if (bar.plays() > 1) {
      parts.add(Texts.of("chartWords.repeatEnds", bar.plays()));
    }
    return String.join(", ", parts);
  }
}
