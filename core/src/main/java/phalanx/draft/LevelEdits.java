package phalanx.draft;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import phalanx.advice.PhraseFill;
import phalanx.advice.TuneSetting;
import phalanx.arrangement.Arrangement;
import phalanx.embellishment.Fill;
import phalanx.embellishment.TuneInThirds;
import phalanx.findings.Review;
import phalanx.level.PlanLevel;
import phalanx.melody.BarTune;
import phalanx.picking.Density;
import phalanx.picking.Pattern;
import phalanx.picking.PickingStyle;
import phalanx.picking.Stroke;
import phalanx.picking.ThumbRoute;
import phalanx.planning.Arranger;
import phalanx.song.Bar;
import phalanx.song.Patterns.Scope;
import phalanx.song.Song;
import phalanx.text.Texts;
import phalanx.theory.Meter;

/**
 * The single edits that make bars easier or fuller, each such as the player could have made; which
 * of them is worth taking is another matter ({@link LevelSteps}).
 */
final class LevelEdits {

  /** In longer selections single strokes are not looked at one by one. */
  private static final int FEW_BARS = 2;

  /** Bars that a second voice makes hard are left out so many times. */
  private static final int THIRDS_TRIED = 3;

  private final Arranger arranger = new Arranger();
  private final Song song;
  private final List<Integer> bars;
  private final List<Fill> fills;
  private final BooleanSupplier cancelled;

  LevelEdits(Song song, List<Integer> bars, List<Fill> fills, BooleanSupplier cancelled) {
    this.song = song;
    this.bars = bars;
    this.fills = fills;
    this.cancelled = cancelled;
  }

  /**
   * One edit.
   *
   * @param words what it does
   */
  record Edit(String words, Song song) {}

  List<Edit> easier(Arrangement now, PlanLevel level) {
    List<Edit> edits = new ArrayList<>();
    density(-1).ifPresent(edits::add);
    thumbOnStrongBeats().ifPresent(edits::add);
    plucked().ifPresent(edits::add);
    OpenShapes.in(now, bars)
        .ifPresent(
            s -> edits.add(new Edit(Texts.of("levelEdits.simplerShapesWithoutA", where()), s)));
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

  List<Edit> fuller() {
    List<Edit> edits = new ArrayList<>();
    density(1).ifPresent(edits::add);
    asPattern().ifPresent(edits::add);
    thumb(ThumbRoute.STEADY, ThumbRoute.ALTERNATING, Texts.of("levelEdits.theThumbAlternates"))
        .ifPresent(edits::add);
    thumb(ThumbRoute.ALTERNATING, ThumbRoute.WALKING, Texts.of("levelEdits.theThumbWalksInto"))
        .ifPresent(edits::add);
    fill().ifPresent(edits::add);
    thirds().ifPresent(edits::add);
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
    return first == last
        ? Texts.of("levelEdits.bar", first)
        : Texts.of("levelEdits.barsTo", first, last);
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
        Optional<Stroke> thumb = step.strokes().stream().filter(LevelEdits::isThumb).findFirst();
        if (step.tick() % strong != 0 && thumb.isPresent()) {
          set = set.withPatterns(set.patterns().changing(bar, without(step, thumb.get())));
        }
      }
    }
    return set.equals(song)
        ? Optional.empty()
        : Optional.of(new Edit(Texts.of("levelEdits.theThumbOnThe", where()), set));
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
              Texts.of("levelEdits.leavesTheInnerNote", count(meter, tick), song.barNumber(bar));
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
        : Optional.of(new Edit(Texts.of("levelEdits.slursPlucked", where()), set));
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
        : Optional.of(new Edit(Texts.of("levelEdits.thePatternSOwn", where()), set));
  }

  /** The thumb goes another way in the sections of the bars. */
  private Optional<Edit> thumb(ThumbRoute now, ThumbRoute then, String words) {
    Song set = song;
    for (int bar : bars) {
      if (song.thumbAt(bar) == now) {
        int section = song.chart().sectionOf(bar).orElseThrow().id();
        set = set.withThumb(set.picking().thumb().with(section, then));
      }
    }
    return set.equals(song) ? Optional.empty() : Optional.of(new Edit(words, set));
  }

  /** A second voice under the tune, but in bars that it makes hard. */
  private Optional<Edit> thirds() {
    Set<Integer> left = new TreeSet<>(bars);
    for (int tries = 0; tries < THIRDS_TRIED && !left.isEmpty(); tries++) {
      Optional<Song> two = TuneInThirds.in(song, left);
      Set<Integer> hard = two.map(this::hardBars).orElse(Set.of());
      if (two.isEmpty() || hard.stream().noneMatch(left::contains)) {
        return two.map(s -> new Edit(Texts.of("levelEdits.thirdsAndSixthsUnder", where()), s));
      }
      left.removeAll(hard);
    }
    return Optional.empty();
  }

  /**
   * The written bars of a song with something hard, and those beside them that may be the cause.
   */
  private Set<Integer> hardBars(Song other) {
    Arrangement a = arranger.arrange(other);
    Set<Integer> hard = new HashSet<>();
    Review.of(a).findings().stream()
        .filter(f -> f.finding().grade().isHard())
        .flatMap(f -> f.places().stream())
        .forEach(
            p ->
                a.timeline().bars().stream()
                    .filter(b -> Math.abs(b.number() - p.bar()) <= 1)
                    .forEach(b -> hard.add(b.written())));
    return hard;
  }

  /** A fill where a phrase ends, if whole sections are selected. */
  private Optional<Edit> fill() {
    return song.sections().stream()
        .filter(s -> bars.containsAll(s.bars().stream().map(Bar::id).toList()))
        .flatMap(s -> new PhraseFill(arranger, song, s, fills, cancelled).best().stream())
        .findFirst()
        .map(f -> new Edit(f.words(), f.song()));
  }
}
