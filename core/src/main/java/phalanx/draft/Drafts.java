package phalanx.draft;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import phalanx.advice.TuneSetting;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.tune.TuneOctave;
import phalanx.embellishment.Frame;
import phalanx.findings.Review;
import phalanx.findings.Tally;
import phalanx.level.PlanLevel;
import phalanx.performance.Performance;
import phalanx.picking.Density;
import phalanx.planning.Arranger;
import phalanx.review.MusicFigures;
import phalanx.song.Patterns.Scope;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.theory.Ticks;

/**
 * Arranges a song in several manners, as a teacher plays it three ways and says: choose. Every
 * manner that suits its metre and tempo is planned in full with as much of its pattern as it may
 * have, on all cores; what comes first is the same on every machine. Where there are several
 * sections the first with a tune is sparser (common practice, no source).
 */
public final class Drafts {

  /** Levels nearer than this are as near to what is asked for as one another. */
  private static final double NEAR = 0.25;

  /** Up to this level a song may be given other shapes that sound the same. */
  private static final double EASY = 2;

  private final Song song;
  private final Wish wish;
  private final BooleanSupplier cancelled;

  private Drafts(Song song, Wish wish, BooleanSupplier cancelled) {
    this.song = song;
    this.wish = wish;
    this.cancelled = cancelled;
  }

  /**
   * What is asked for.
   *
   * @param level how hard it is to be, 1 to 5; empty for any
   * @param manners those to choose from
   * @param limit so many drafts at most
   */
  public record Wish(OptionalDouble level, List<Manner> manners, int limit) {

    /** Three of any level. */
    public static Wish of(List<Manner> manners) {
      return new Wish(OptionalDouble.empty(), manners, 3);
    }

    public Wish {
      manners = List.copyOf(manners);
    }
  }

  /**
   * The drafts of a song, the best first.
   *
   * @param news hears of each as it is planned; from several threads
   * @param cancelled asked often; what is not planned by then is left out
   */
  public static List<Draft> of(
      Song song, Wish wish, Consumer<Draft> news, BooleanSupplier cancelled) {
    return new Drafts(song, wish, cancelled).all(news);
  }

  private List<Draft> all(Consumer<Draft> news) {
    List<Try> tries = new ArrayList<>();
    for (Song set : settings()) {
      for (Manner manner : manners(set)) {
        for (Density density : densities(manner)) {
          tries.add(new Try(set, manner, density));
        }
      }
    }
    List<Draft> drafts =
        tries.parallelStream()
            .filter(t -> !cancelled.getAsBoolean())
            .map(this::made)
            .filter(Objects::nonNull)
            .peek(news)
            .collect(Collectors.toCollection(ArrayList::new));
    drafts.sort(order());
    return varied(drafts);
  }

  /**
   * Those that suit a song; where none suits its tempo those of its metre, and in a rare metre the
   * plain ways that every metre has.
   */
  private List<Manner> manners(Song set) {
    List<Manner> suiting = wish.manners().stream().filter(m -> m.suits(set)).toList();
    if (!suiting.isEmpty()) {
      return suiting;
    }
    List<Manner> inMetre =
        wish.manners().stream().filter(m -> m.in(set.meter()).isPresent()).toList();
    return inMetre.isEmpty() ? Manner.plain(set.meter()) : inMetre;
  }

  private record Try(Song set, Manner manner, Density density) {}

  /** The song with its tune at hand; for beginners also in shapes that sound the same. */
  private List<Song> settings() {
    int octaves = TuneOctave.best(song);
    Song here = octaves == 0 ? song : song.withTune(song.tune().octaves(octaves));
    List<Song> settings = new ArrayList<>(List.of(here));
    if (wish.level().isPresent() && wish.level().getAsDouble() <= EASY) {
      TuneSetting.sameSound(here, cancelled).ifPresent(s -> settings.add(s.of(here)));
    }
    return settings;
  }

  private List<Density> densities(Manner manner) {
    List<Density> densities = new ArrayList<>();
    for (Density density : Density.values()) {
      boolean has = density.compareTo(manner.least()) >= 0 && density.compareTo(manner.most()) <= 0;
      // Without a tune less than the whole pattern is the thumb alone.
      boolean sings = !song.tune().isEmpty() || density == Density.FULL;
      if (has && sings) {
        densities.add(density);
      }
    }
    return densities.isEmpty() ? List.of(Density.FULL) : densities;
  }

  private Draft made(Try tried) {
    Song draft =
        tried
            .set()
            .withPattern(tried.manner().in(tried.set().meter()).orElseThrow())
            .withThumb(tried.manner().thumb());
    draft = sections(draft, tried.density());
    if (tried.manner().rings()) {
      Set<Integer> all = new HashSet<>();
      draft.sections().forEach(s -> all.add(s.id()));
      draft = draft.withTune(draft.tune().withRinging(all));
    }
    List<String> ends = new ArrayList<>();
    for (Frame frame : Frame.values()) {
      if (tried.manner().endings().contains(frame)) {
        Optional<Song> ended = frame.in(draft);
        ended.ifPresent(e -> ends.add(frame.words()));
        draft = ended.orElse(draft);
      }
    }
    Arrangement a = new Arranger().arrange(draft);
    return cancelled.getAsBoolean() ? null : judged(tried, draft, a, ends);
  }

  /** Less in the first of several sections, unless the player has said something for it. */
  private static Song sections(Song song, Density most) {
    Song set =
        song.withDensities(
            song.picking().densities().with(new Scope.WholeSong(), Optional.of(most)));
    if (set.sections().size() < 2 || most.number() <= Density.TUNE.number()) {
      return set;
    }
    Scope first = new Scope.OfSection(firstWithTune(set).id());
    return set.picking().densities().own(first).isPresent()
        ? set
        : set.withDensities(set.picking().densities().with(first, Density.of(most.number() - 1)));
  }

  private static Section firstWithTune(Song song) {
    return song.sections().stream()
        .filter(
            s -> s.bars().stream().anyMatch(b -> !song.tune().at(b.id(), song.chart()).isSilent()))
        .findFirst()
        .orElse(song.sections().get(0));
  }

  private Draft judged(Try tried, Song draft, Arrangement a, List<String> ends) {
    Performance performance = Performance.of(a);
    Review review = Review.of(performance);
    double beats = Math.max(1, a.timeline().lengthTicks() / (double) Ticks.PER_QUARTER);
    List<Draft.Section> sections = new ArrayList<>();
    for (Section section : draft.sections()) {
      sections.add(new Draft.Section(section.label(), did(draft, section, tried, ends)));
    }
    return new Draft(
        tried.manner(),
        draft,
        a,
        PlanLevel.of(performance),
        review.ceiling().song(),
        review.tally(),
        a.notes().size() / beats,
        heard(MusicFigures.of(a)),
        sections);
  }

  private String did(Song draft, Section section, Try tried, List<String> ends) {
    Density density =
        draft
            .picking()
            .densities()
            .at(section.bars().isEmpty() ? 0 : section.bars().get(0).id(), draft.chart())
            .orElse(tried.density());
    boolean own = draft.patterns().has(new Scope.OfSection(section.id()));
    List<String> parts = new ArrayList<>();
    boolean first = section.equals(draft.sections().get(0));
    if (own) {
      parts.add("its own pattern, as it was");
    } else if (first || draft.tune().isEmpty()) {
      parts.add(tried.manner().about());
    }
    if (!draft.tune().isEmpty()) {
      parts.add(density.words());
    }
    boolean last = section.equals(draft.sections().get(draft.sections().size() - 1));
    if (last) {
      parts.addAll(ends);
    }
    return String.join("; ", parts);
  }

  /** Thirds, sevenths and basses that are heard, and a bass without leaps, in equal parts. */
  private static double heard(MusicFigures figures) {
    double thirds = share(figures.thirds());
    double sevenths = share(figures.sevenths());
    double basses = share(figures.basses());
    double leaps = figures.leaps().of() == 0 ? 1 : 1 - figures.leaps().percent() / 100;
    return (thirds + sevenths + basses + leaps) / 4;
  }

  private static double share(MusicFigures.Share share) {
    return share.of() == 0 ? 1 : share.percent() / 100;
  }

  /**
   * Nothing that cannot be played, fewest that will be heard, nearest to the level asked for, then
   * how it sounds; at the lowest levels nothing worth knowing and a tempo that holds come first.
   */
  private Comparator<Draft> order() {
    Comparator<Draft> order =
        Comparator.comparingInt((Draft d) -> d.tally().cannot())
            .thenComparingInt(d -> d.tally().heard());
    if (wish.level().isPresent()) {
      double wanted = wish.level().getAsDouble();
      order =
          order
              .thenComparingLong(d -> Math.round(Math.abs(d.level().level() - wanted) / NEAR))
              .thenComparing(d -> d.ceiling().filter(c -> c < song.tempo()).isPresent())
              .thenComparingInt(d -> d.tally().notes());
    }
    return order
        .thenComparingDouble(d -> -d.heard())
        .thenComparingInt(d -> d.tally().notes())
        .thenComparingInt(d -> wish.manners().indexOf(d.manner()))
        .thenComparingDouble(d -> d.level().level());
  }

  /** What is heard of it: two that strike the same are one. */
  private static List<List<Integer>> struck(Draft draft) {
    return draft.arrangement().notes().stream()
        .map(n -> List.of(n.tick(), n.string(), n.fret()))
        .toList();
  }

  /** Each manner once, as long as there are others as playable. */
  private List<Draft> varied(List<Draft> drafts) {
    List<Draft> chosen = new ArrayList<>();
    Set<List<List<Integer>>> heard = new HashSet<>();
    Map<String, Integer> often =
        drafts.stream().collect(Collectors.toMap(d -> d.manner().name(), d -> 0, (a, b) -> a));
    for (int round = 0; round < Density.values().length; round++) {
      for (Draft draft : drafts) {
        boolean free = often.get(draft.manner().name()) == round;
        if (chosen.size() < wish.limit() && free && heard.add(struck(draft))) {
          chosen.add(draft);
          often.merge(draft.manner().name(), 1, Integer::sum);
        }
      }
    }
    Tally least = drafts.isEmpty() ? new Tally(0, 0, 0) : drafts.get(0).tally();
    // A variety that cannot be played is none.
    chosen.removeIf(d -> d.tally().cannot() > least.cannot());
    return List.copyOf(chosen);
  }
}
