package phalanx.draft;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import phalanx.advice.TuneSetting;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.findings.Review;
import phalanx.findings.Tally;
import phalanx.level.PlanLevel;
import phalanx.melody.BarTune;
import phalanx.picking.Density;
import phalanx.picking.Pattern;
import phalanx.picking.PickingStyle;
import phalanx.picking.Stroke;
import phalanx.picking.ThumbRoute;
import phalanx.planning.Arranger;
import phalanx.song.Patterns.Scope;
import phalanx.song.Song;
import phalanx.text.Phrase;
import phalanx.theory.Meter;

/**
 * A selection made easier, or fuller, by one step at a time. Each step is an edit that the player
 * could have made; taken is the one that moves the level most for what it changes to the ear, and
 * only such as keep the tune and the bass of beat one and add nothing that is hard (common
 * practice, no source). Where there is none, the ladder is at its end.
 */
public final class LevelSteps {

  /** A level that moves less than this is not worth a step. */
  private static final double LEAST = 0.02;

  /** What the whole song may move the other way, as where a change before the bars is longer. */
  private static final double WRONG = 0.005;

  /** In longer selections single strokes are not looked at one by one. */
  private static final int FEW_BARS = 2;

  private final Arranger arranger = new Arranger();
  private final Song song;
  private final List<Integer> bars;
  private final boolean easier;
  private final BooleanSupplier cancelled;

  private LevelSteps(Song song, List<Integer> bars, boolean easier, BooleanSupplier cancelled) {
    this.song = song;
    this.bars = List.copyOf(bars);
    this.easier = easier;
    this.cancelled = cancelled;
  }

  private record Edit(String words, Song song) {}

  /**
   * The next step.
   *
   * @param bars identities of the bars it may change
   * @param easier whether it is to be easier, else fuller
   * @param cancelled asked often; nothing is found then
   * @return empty at the end of the ladder
   */
  public static Optional<LevelStep> next(
      Song song, List<Integer> bars, boolean easier, BooleanSupplier cancelled) {
    return new LevelSteps(song, bars, easier, cancelled).next();
  }

  private Optional<LevelStep> next() {
    Arrangement now = arranger.arrange(song);
    PlanLevel level = PlanLevel.of(now);
    Tally hard = Review.of(now).tally();
    double here = here(now, level);
    return (easier ? easier(level) : fuller())
        .stream()
            .filter(e -> !cancelled.getAsBoolean())
            .map(e -> tried(e, now, level, here, hard))
            .filter(Objects::nonNull)
            .max(Comparator.comparingDouble(s -> worth(s, now)));
  }

  /** How hard the bars are, on average: in a long song one bar hardly moves the whole. */
  private double here(Arrangement a, PlanLevel level) {
    return a.timeline().bars().stream()
        .filter(b -> bars.contains(b.written()))
        .mapToDouble(b -> level.bars().get(b.number()))
        .average()
        .orElse(level.level());
  }

  private LevelStep tried(Edit edit, Arrangement now, PlanLevel level, double here, Tally hard) {
    Arrangement then = arranger.arrange(edit.song());
    PlanLevel after = PlanLevel.of(then);
    int way = easier ? -1 : 1;
    double there = here(then, after);
    Tally tally = Review.of(then).tally();
    boolean holds =
        way * (there - here) >= LEAST
            && way * (after.level() - level.level()) >= -WRONG
            && tally.cannot() <= hard.cannot()
            && tally.heard() <= hard.heard()
            && tune(then).containsAll(tune(now))
            && downbeats(then).equals(downbeats(now));
    return holds ? new LevelStep(edit.words(), edit.song(), then, here, there) : null;
  }

  /** How far the level moves for each note that is there no more, or new. */
  private static double worth(LevelStep step, Arrangement now) {
    int changed = Math.abs(step.arrangement().notes().size() - now.notes().size());
    double moved = Math.abs(step.after() - step.before());
    return moved / (1 + changed);
  }

  /** What is sung: sounding pitches and their times, so that a capo changes nothing. */
  private static Set<List<Integer>> tune(Arrangement a) {
    Set<List<Integer>> tune = new HashSet<>();
    a.notes().stream()
        .filter(a::isOfTune)
        .filter(n -> !a.isGrace(n))
        .forEach(n -> tune.add(List.of(n.tick(), n.midi())));
    return tune;
  }

  /** The bass on the first beat of each bar, by its pitch class as it sounds. */
  private static Map<Integer, Integer> downbeats(Arrangement a) {
    Map<Integer, Integer> basses = new HashMap<>();
    a.timeline()
        .bars()
        .forEach(
            bar ->
                a.notesFrom(bar.startTick(), bar.startTick() + 1).stream()
                    .filter(n -> n.part() == Note.Part.BASS)
                    .findFirst()
                    .ifPresent(n -> basses.put(bar.number(), n.midi() % 12)));
    return basses;
  }

  private List<Edit> easier(PlanLevel level) {
    List<Edit> edits = new ArrayList<>();
    density(-1).ifPresent(edits::add);
    thumbOnStrongBeats().ifPresent(edits::add);
    plucked().ifPresent(edits::add);
    if (bars.size() <= FEW_BARS) {
      bars.forEach(b -> edits.addAll(withoutInner(b)));
    }
    boolean whole = bars.size() >= song.chart().bars().size();
    if (whole && level.level() > 2) {
      TuneSetting.sameSound(song, cancelled)
          .ifPresent(s -> edits.add(new Edit(s.words(song), s.of(song))));
    }
    return edits;
  }

  private List<Edit> fuller() {
    List<Edit> edits = new ArrayList<>();
    density(1).ifPresent(edits::add);
    asPattern().ifPresent(edits::add);
    walking().ifPresent(edits::add);
    return edits;
  }

  /** Less or more in all bars that have something to give. */
  private Optional<Edit> density(int by) {
    Density now =
        bars.stream()
            .map(b -> song.picking().densities().at(b, song.chart()).orElse(Density.FULL))
            .max(Comparator.naturalOrder())
            .orElse(Density.FULL);
    Optional<Density> other =
        Density.of(now.number() + by).filter(d -> d != Density.THUMB && !song.tune().isEmpty());
    return other.map(
        d -> {
          Song set = song;
          for (int bar : bars) {
            set =
                set.withDensities(
                    set.picking().densities().with(new Scope.OfBar(bar), Optional.of(d)));
          }
          return new Edit(where() + d.words(), set);
        });
  }

  private String where() {
    int first = song.barNumber(bars.get(0));
    int last = song.barNumber(bars.get(bars.size() - 1));
    return first == last ? Phrase.of("bar %d: ", first) : Phrase.of("bars %d to %d: ", first, last);
  }

  /** The steps that a bar plays now, its pattern’s and its own. */
  private Map<Integer, Pattern.Step> steps(int bar) {
    Meter meter = song.chart().meters(song.meter()).get(bar);
    PickingStyle style = song.patterns().at(bar, song.chart());
    Map<Integer, Pattern.Step> steps = new HashMap<>();
    // A pattern of several bars is left to whoever wrote it.
    if (style.in(meter).lengthTicks() == meter.barTicks()) {
      style.in(meter).steps().forEach(s -> steps.put(s.tick(), s));
      song.patterns().changes(bar, song.chart()).forEach(s -> steps.put(s.tick(), s));
    }
    return steps;
  }

  private static boolean isThumb(Stroke stroke) {
    return stroke instanceof Stroke.Pluck p && p.role().isThumb();
  }

  private static Pattern.Step without(Pattern.Step step, Stroke stroke) {
    List<Stroke> rest = step.strokes().stream().filter(s -> s != stroke).toList();
    return new Pattern.Step(
        step.tick(), rest, rest.size() > 1 ? step.roll() : Optional.empty(), step.early());
  }

  /** The thumb only where a bar is strong: on one, and in the middle of four or six. */
  private Optional<Edit> thumbOnStrongBeats() {
    Song set = song;
    for (int bar : bars) {
      Meter meter = song.chart().meters(song.meter()).get(bar);
      int strong = meter.beats() % 2 == 0 ? 2 * meter.beatTicks() : meter.barTicks();
      for (Pattern.Step step : steps(bar).values()) {
        Optional<Stroke> thumb = step.strokes().stream().filter(LevelSteps::isThumb).findFirst();
        if (step.tick() % strong != 0 && thumb.isPresent()) {
          set = set.withPatterns(set.patterns().changing(bar, without(step, thumb.get())));
        }
      }
    }
    return set.equals(song)
        ? Optional.empty()
        : Optional.of(new Edit(where() + "the thumb on the strong beats only", set));
  }

  /** Single inner notes left out. */
  private List<Edit> withoutInner(int bar) {
    List<Edit> edits = new ArrayList<>();
    Meter meter = song.chart().meters(song.meter()).get(bar);
    Map<Integer, Pattern.Step> steps = steps(bar);
    for (int tick : new TreeSet<>(steps.keySet())) {
      Pattern.Step step = steps.get(tick);
      for (Stroke stroke : step.strokes()) {
        if (stroke instanceof Stroke.Pluck && !isThumb(stroke)) {
          Song set = song.withPatterns(song.patterns().changing(bar, without(step, stroke)));
          String words =
              Phrase.of(
                  "leaves the inner note on %s in bar %d", count(meter, tick), song.barNumber(bar));
          edits.add(new Edit(words, set));
        }
      }
    }
    return edits;
  }

  private static String count(Meter meter, int tick) {
    String words = "";
    OptionalInt beat = OptionalInt.empty();
    for (Meter.Syllable syllable : meter.syllables()) {
      if (syllable.tick() <= tick) {
        if (syllable.onBeat()) {
          beat = OptionalInt.of(syllable.tick());
          words = syllable.word();
        } else if (syllable.tick() == tick) {
          words = words + syllable.word();
        }
      }
    }
    return beat.isPresent() ? words : "1";
  }

  /** Slurs of the tune plucked. */
  private Optional<Edit> plucked() {
    Song set = song;
    for (int bar : bars) {
      BarTune tune = song.tune().at(bar, song.chart());
      if (!tune.plucked().equals(tune)) {
        set = set.withTune(set.tune().with(bar, tune.plucked()));
      }
    }
    return set.equals(song)
        ? Optional.empty()
        : Optional.of(new Edit(where() + "slurs plucked", set));
  }

  /** Single strokes that were left out are played again. */
  private Optional<Edit> asPattern() {
    Song set = song;
    for (int bar : bars) {
      if (song.patterns().changed().containsKey(bar)) {
        set = set.withPatterns(set.patterns().without(new Scope.OfBar(bar)));
      }
    }
    return set.equals(song)
        ? Optional.empty()
        : Optional.of(new Edit(where() + "the pattern’s own strokes again", set));
  }

  /** The thumb walks in the sections of the bars. */
  private Optional<Edit> walking() {
    Song set = song;
    for (int bar : bars) {
      if (song.thumbAt(bar) == ThumbRoute.ALTERNATING) {
        int section = song.chart().sectionOf(bar).orElseThrow().id();
        set = set.withThumb(set.picking().thumb().with(section, ThumbRoute.WALKING));
      }
    }
    return set.equals(song)
        ? Optional.empty()
        : Optional.of(new Edit("the thumb walks into phrases", set));
  }
}
