package phalanx.formats.musicxml;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.IntUnaryOperator;
import phalanx.formats.FileProblem;
import phalanx.formats.Texts;
import phalanx.melody.BarTune;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.Feel;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.Tune;
import phalanx.text.Phrase;
import phalanx.theory.Meter;

/**
 * Puts the bars of a score together as they are played: with repeat signs and endings where those
 * of a song come to the same, else with the bars written out that are played again.
 */
final class ScoreForm {

  /** Bars a song is written out to; with more the signs are kept as far as they go. */
  private static final int MOST_WRITTEN_OUT = 4000;

  private static final String WHOLE = "Song";

  private final List<MeasureFrame> frames;
  private final ScoreBars bars;
  private final List<FileProblem> remarks;
  private final IntUnaryOperator line;
  private final List<PlayOrder.Signs> signs;
  private final List<Integer> order;

  ScoreForm(
      List<MeasureFrame> frames, ScoreBars bars, List<FileProblem> remarks, IntUnaryOperator line) {
    this.frames = frames;
    this.bars = bars;
    this.remarks = remarks;
    this.line = line;
    signs = signs(frames);
    order = PlayOrder.of(signs);
  }

  /** Every measure with what stands on the bar lines around it, an ending up to where it stops. */
  private static List<PlayOrder.Signs> signs(List<MeasureFrame> frames) {
    // Of two coda signs without words the first sends the player to the second.
    List<Integer> codas = new ArrayList<>();
    for (int m = 0; m < frames.size(); m++) {
      if (frames.get(m).way().coda()) {
        codas.add(m);
      }
    }
    boolean sent = frames.stream().anyMatch(f -> f.way().toCoda());
    int sends = !sent && codas.size() > 1 ? codas.get(0) : -1;
    List<PlayOrder.Signs> signs = new ArrayList<>();
    Set<Integer> ending = Set.of();
    for (int m = 0; m < frames.size(); m++) {
      RepeatSigns here = frames.get(m).signs();
      boolean starts = here.starts() || m > 0 && frames.get(m - 1).signs().startsAfter();
      int next = m + 1 < frames.size() ? frames.get(m + 1).signs().endsBefore() : 1;
      ending = here.ending().isEmpty() ? ending : here.ending();
      Wayfinding way = frames.get(m).way();
      signs.add(
          new PlayOrder.Signs(
              starts,
              Math.max(here.plays(), next),
              ending,
              m == sends ? new Wayfinding(way.jump(), way.fine(), true, way.segno(), false) : way));
      ending = here.endingStops() || next > 1 ? Set.of() : ending;
    }
    return signs;
  }

  /** A song with these bars. */
  Song over(Song plain) {
    Song signed = song(plain, signed());
    if (plays(signed, order)) {
      return signed;
    }
    boolean jumps = frames.stream().anyMatch(f -> f.way().jump() != Wayfinding.Jump.NONE);
    String what = jumps ? Texts.of("scoreForm.itsJumps") : Texts.of("scoreForm.itsRepeats");
    if (order.size() > MOST_WRITTEN_OUT) {
      String words = Texts.of("scoreForm.cannotBeKeptThe");
      remarks.add(new FileProblem(line.applyAsInt(0), 1, Phrase.of(words, what)));
      return signed;
    }
    String words = Texts.of("scoreForm.areWrittenOutBars");
    remarks.add(
        new FileProblem(
            line.applyAsInt(0), 1, Phrase.of(words, what, frames.size(), order.size())));
    return song(plain, writtenOut());
  }

  private Song song(Song plain, List<Section> sections) {
    Map<Integer, BarTune> tunes = new HashMap<>();
    Set<Integer> there = new HashSet<>();
    sections.forEach(s -> s.bars().forEach(b -> there.add(b.id())));
    for (int m = 0; m < frames.size(); m++) {
      if (there.contains(m + 1) && !bars.at(m).tune().isSilent()) {
        tunes.put(m + 1, bars.at(m).tune());
      }
    }
    return plain.editChart(c -> new Chart(sections)).withTune(new Tune(tunes, true));
  }

  /** Whether a song plays the bars in an order, each at its length. */
  private boolean plays(Song song, List<Integer> wanted) {
    List<Timeline.PlayedBar> played = Timeline.of(song).bars();
    if (played.size() != wanted.size()) {
      return false;
    }
    for (int b = 0; b < played.size(); b++) {
      int place = wanted.get(b);
      if (played.get(b).written() != place + 1
          || played.get(b).lengthTicks() != bars.at(place).lengthTicks()) {
        return false;
      }
    }
    return true;
  }

  private List<Section> signed() {
    int[] passes = PlayOrder.passes(signs);
    List<Section> sections = new ArrayList<>();
    List<Bar> row = new ArrayList<>();
    String label = WHOLE;
    Optional<Meter> before = Optional.empty();
    for (int m = 0; m < frames.size(); m++) {
      if (frames.get(m).label().isPresent() && isJoint(m)) {
        close(sections, row, label);
        label = frames.get(m).label().get();
      } else if (frames.get(m).label().isPresent()) {
        bars.remark(m, 0, Texts.of("scoreForm.theMarkInsideA", frames.get(m).label().get()));
      }
      PlayOrder.Signs here = signs.get(m);
      row.add(
          bar(m + 1, m, before)
              .startingRepeat(here.repeatStart())
              .endingRepeat(here.plays() > 1 ? Math.min(Bar.MOST_PLAYS, passes[m]) : 1)
              .inPasses(here.ending()));
      before = Optional.of(bars.meter(m));
    }
    close(sections, row, label);
    return sections;
  }

  private Bar bar(int id, int place, Optional<Meter> before) {
    ScoreBars.Written written = bars.at(place);
    return Bar.of(id, written.chords())
        .borrowing(written.like().map(l -> l + 1))
        .withMeter(changed(written.meter(), before))
        .withTempo(tempo(place));
  }

  /** The tempo that begins with a bar; the first is the song's. */
  private Optional<Double> tempo(int place) {
    OptionalDouble tempo = frames.get(place).tempo();
    if (place == 0 || tempo.isEmpty()) {
      return Optional.empty();
    }
    if (!Feel.isTempo(tempo.getAsDouble())) {
      bars.remark(place, 0, Texts.of("scoreForm.aTempoOfIs", tempo.getAsDouble()));
      return Optional.empty();
    }
    return Optional.of(tempo.getAsDouble());
  }

  /** The metre, where another one stood before; the first is the song's. */
  private static Optional<Meter> changed(Meter meter, Optional<Meter> before) {
    return before.filter(b -> !b.equals(meter)).map(b -> meter);
  }

  /** Whether the player only ever steps over the line before a measure, and never jumps it. */
  private boolean isJoint(int measure) {
    for (int i = 1; i < order.size(); i++) {
      int from = order.get(i - 1);
      int to = order.get(i);
      boolean step = from == measure - 1 && to == measure;
      boolean crosses = from < measure != to < measure;
      if (crosses && !step) {
        return false;
      }
    }
    return true;
  }

  private static void close(List<Section> sections, List<Bar> row, String label) {
    if (!row.isEmpty()) {
      sections.add(Section.of(100_000 + sections.size(), label, List.copyOf(row)));
      row.clear();
    }
  }

  /** Bars in the order they are played, those that come again as bars like the first. */
  private List<Section> writtenOut() {
    List<Section> sections = new ArrayList<>();
    List<Bar> row = new ArrayList<>();
    String label = WHOLE;
    Optional<Meter> before = Optional.empty();
    boolean[] there = new boolean[frames.size()];
    int fresh = frames.size() + 1;
    for (int i = 0; i < order.size(); i++) {
      int place = order.get(i);
      if (frames.get(place).label().isPresent()) {
        close(sections, row, label);
        label = frames.get(place).label().get();
      }
      Meter meter = i == 0 ? bars.meter(0) : whole(place);
      if (there[place]) {
        row.add(Bar.like(fresh++, place + 1).withMeter(changed(meter, before)));
      } else {
        row.add(bar(place + 1, place, Optional.empty()).withMeter(changed(meter, before)));
        there[place] = true;
      }
      before = Optional.of(meter);
    }
    close(sections, row, label);
    for (int m = 0; m < there.length; m++) {
      if (!there[m]) {
        bars.remark(m, 0, Texts.of("scoreForm.itIsNeverPlayed"));
      }
    }
    return sections;
  }

  /** The metre of a bar that is not the first; a pick-up that comes again is short there. */
  private Meter whole(int place) {
    ScoreBars.Written written = bars.at(place);
    return MeasureFrame.lasting(written.lengthTicks(), written.meter().unit())
        .filter(m -> written.lengthTicks() != written.meter().barTicks())
        .orElse(written.meter());
  }
}
