package phalanx.formats.musicxml;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.IntUnaryOperator;
import phalanx.formats.FileProblem;
import phalanx.formats.Texts;
import phalanx.melody.BarTune;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.text.Phrase;
import phalanx.theory.Meter;
import phalanx.theory.Ticks;

/**
 * The measures of a score as bars of a song, in the order they are written: metre, chords, tune.
 */
final class ScoreBars {

  /**
   * A bar.
   *
   * @param meter the metre it is counted in
   * @param lengthTicks how long it lasts
   * @param like the place of the bar that it plays again, if that sign stands in it
   */
  record Written(
      Meter meter,
      int lengthTicks,
      List<ChordChange> chords,
      BarTune tune,
      Optional<Integer> like) {}

  private final List<MeasureFrame> frames;
  private final IntUnaryOperator line;
  private final List<FileProblem> remarks;
  private final List<Written> all = new ArrayList<>();
  private final TuneBars tunes = new TuneBars();
  private Meter meter = Meter.FOUR_FOUR;
  private int repeats;
  private Optional<ChordChange> late = Optional.empty();

  /**
   * Before the first bar.
   *
   * @param line the line of the file on which a measure begins
   * @param remarks takes what is not as it was written
   */
  ScoreBars(List<MeasureFrame> frames, IntUnaryOperator line, List<FileProblem> remarks) {
    this.frames = frames;
    this.line = line;
    this.remarks = remarks;
  }

  /** Says something of a measure, with the beat where it is in it. */
  void remark(int measure, int tick, String words) {
    String beat =
        tick == 0
            ? ""
            : Texts.of("scoreBars.beat", beat(1 + (double) tick / Ticks.PER_WHOLE * meter.unit()));
    String where = Texts.of("scoreBars.bar", frames.get(measure).number(), beat);
    remarks.add(new FileProblem(line.applyAsInt(measure), 1, where + words));
  }

  private static String beat(double beat) {
    return beat == Math.rint(beat) ? Phrase.of("%.0f", beat) : Phrase.of("%.2f", beat);
  }

  /**
   * Adds the next measure.
   *
   * @param notes those of it that are the tune
   */
  void add(MeasureReader.Content content, List<ScoreNote> notes, List<ChordChange> chords) {
    int place = all.size();
    int contentTicks = content.lengthTicks();
    MeasureFrame frame = frames.get(place);
    if (frame.metre().isPresent() && frame.meter().isEmpty()) {
      String words = Texts.of("scoreBars.expectedAMetreSuch");
      remark(place, 0, Phrase.of(words, frame.metre().get()));
    }
    meter = frame.meter().orElse(meter);
    repeats = frame.repeatsNoMore() ? 0 : frame.repeats().orElse(repeats);
    content.lost().forEach(l -> remark(place, l.tick(), l.words()));
    BarTune tune = tunes.next(notes, contentTicks, (tick, words) -> remark(place, tick, words));
    Meter counted = counted(place, contentTicks);
    int length = isPickup(place, contentTicks) ? contentTicks : counted.barTicks();
    boolean again = repeats > 0 && repeats <= place && tune.isSilent();
    all.add(
        new Written(
            counted,
            length,
            chords(place, chords, length),
            tune,
            again ? Optional.of(place - repeats) : Optional.empty()));
    if (place == frames.size() - 1) {
      close(place);
    }
  }

  private void close(int place) {
    if (tunes.left() > 0) {
      remark(place, 0, Texts.of("scoreBars.shortNotesAtThe", tunes.left()));
    }
    late.ifPresent(
        c -> remark(place, 0, Texts.of("scoreBars.behindTheEndIs", c.harmony().label())));
  }

  private boolean isPickup(int place, int contentTicks) {
    return place == 0 && frames.size() > 1 && contentTicks > 0 && contentTicks < meter.barTicks();
  }

  /** A bar that is longer than its metre, or cut off on purpose, has a metre of its own. */
  private Meter counted(int place, int contentTicks) {
    boolean cut = contentTicks > 0 && contentTicks < meter.barTicks() && place > 0 && isCut(place);
    if (contentTicks <= meter.barTicks() && !cut) {
      return meter;
    }
    int sixteenth = Ticks.PER_WHOLE / 16;
    int half = Ticks.PER_WHOLE / 2;
    for (int part : new int[] {1, sixteenth, Ticks.PER_QUARTER, half}) {
      int up = (contentTicks + part - 1) / part * part;
      Optional<Meter> own = MeasureFrame.lasting(up, meter.unit());
      if (own.isPresent()) {
        return own.get();
      }
    }
    remark(place, 0, Texts.of("scoreBars.theBarIsLonger"));
    return new Meter(32, 2);
  }

  /** Bars may be short where they are not counted, at a repeat and at the end. */
  private boolean isCut(int place) {
    RepeatSigns signs = frames.get(place).signs();
    boolean last = place == frames.size() - 1;
    return frames.get(place).implicit()
        || last
        || signs.plays() > 1
        || signs.endingStops()
        || frames.get(place + 1).implicit()
        || frames.get(place + 1).signs().starts()
        || frames.get(place + 1).signs().endsBefore() > 1;
  }

  /** The chords that begin in a bar; one behind its end is the first of the next. */
  private List<ChordChange> chords(int place, List<ChordChange> chords, int length) {
    TreeMap<Integer, ChordChange> inside = new TreeMap<>();
    late.ifPresent(c -> inside.put(0, c));
    late = Optional.empty();
    for (ChordChange chord : chords) {
      if (chord.harmony() instanceof Harmony.Unread u) {
        remark(place, chord.tick(), Texts.of("scoreBars.expectedAChordFound", u.text()));
      }
      if (chord.tick() < length) {
        inside.put(chord.tick(), chord);
      } else {
        late = Optional.of(new ChordChange(0, chord.harmony()));
      }
    }
    return List.copyOf(inside.values());
  }

  /** A bar. */
  Written at(int place) {
    return all.get(place);
  }

  /** The metre of a bar. */
  Meter meter(int place) {
    return place < all.size() ? all.get(place).meter() : meter;
  }

  /** How long the first bar is where it is a pick-up; 0 otherwise. */
  int pickupTicks() {
    boolean pickup = !all.isEmpty() && all.get(0).lengthTicks() < all.get(0).meter().barTicks();
    return pickup ? all.get(0).lengthTicks() : 0;
  }
}
