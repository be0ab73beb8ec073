package phalanx.draft;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import phalanx.advice.PhraseFill;
import phalanx.advice.TuneSetting;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.tune.TuneOctave;
import phalanx.draft.DraftEdits.Extra;
import phalanx.embellishment.Fill;
import phalanx.findings.Review;
import phalanx.level.PlanLevel;
import phalanx.performance.Performance;
import phalanx.picking.Density;
import phalanx.picking.ThumbRoute;
import phalanx.planning.Arranger;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.text.Texts;

/**
 * Arranges a song in several manners, as a teacher plays it three ways and says: choose. Every
 * manner that suits its metre and tempo is planned in full with as much of its pattern as it may
 * have, on all cores; what comes first is the same on every machine.
 */
public final class Drafts {

  /** Up to this level a song may be given other shapes that sound the same. */
  private static final double EASY = 2;

  /** Up to this level slurs are plucked, and shapes are those of first position. */
  private static final double FIRST_MONTHS = 1.5;

  /** So many more than are wanted are planned in full at once. */
  private static final int SPARE = 1;

  /** Second voices and walking basses are tried with so many of the best manners. */
  private static final int ENRICHED = 4;

  /** From this level on second voices and walking basses are tried, too. */
  private static final double FULL = 3;

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
   * @param fills what may go into the end of a phrase
   * @param limit so many drafts at most
   */
  public record Wish(OptionalDouble level, List<Manner> manners, List<Fill> fills, int limit) {

    /** Three of any level. */
    public static Wish of(List<Manner> manners) {
      return new Wish(OptionalDouble.empty(), manners, List.of(), 3);
    }

    public Wish {
      manners = List.copyOf(manners);
      fills = List.copyOf(fills);
    }

    /** For samples of a song, which are easier than the whole. */
    Wish easier(double by) {
      return level.isEmpty()
          ? this
          : new Wish(OptionalDouble.of(level.getAsDouble() - by), manners, fills, limit);
    }

    boolean isAtMost(double most) {
      return level.isPresent() && level.getAsDouble() <= most;
    }

    boolean isAtLeast(double least) {
      return level.isPresent() && level.getAsDouble() >= least;
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
    List<Try> tries = tries();
    if (tries.isEmpty() || cancelled.getAsBoolean()) {
      return List.of();
    }
    // Something to hear at once, and a measure of what a sample says of the whole.
    CompletableFuture<Optional<Draft>> first =
        CompletableFuture.supplyAsync(
            () -> {
              Optional<Draft> draft = whole(tries.get(0));
              draft.ifPresent(news);
              return draft;
            });
    List<Try> ranked = sampled(tries, first);
    List<Draft> drafts = new ArrayList<>();
    int atOnce = isWhole(tries) ? ranked.size() : Math.min(ranked.size(), wish.limit() + SPARE);
    for (int from = 0; from < ranked.size(); from += atOnce) {
      List<Try> some = ranked.subList(from, Math.min(ranked.size(), from + atOnce));
      drafts.addAll(inParallel(some, t -> t == tries.get(0) ? first.join() : whole(t), news));
      if (isEnough(drafts)) {
        break;
      }
    }
    List<Draft> best = new DraftRanking(song, wish).best(drafts);
    return inParallel(best, d -> Optional.of(wish.isAtMost(EASY) ? d : filled(d)), d -> {});
  }

  private <T, R> List<R> inParallel(List<T> all, Function<T, Optional<R>> work, Consumer<R> news) {
    return all.parallelStream()
        .filter(t -> !cancelled.getAsBoolean())
        .map(work)
        .flatMap(Optional::stream)
        .peek(news)
        .toList();
  }

  /** Whether as many as are wanted can be played, and more would only be other ones. */
  private boolean isEnough(List<Draft> drafts) {
    return drafts.stream().filter(d -> d.tally().hard() == 0).count() >= wish.limit();
  }

  /**
   * The ways to try, the best first, by what is planned of a few bars of each; all of a short song
   * and where all are wanted.
   */
  private List<Try> sampled(List<Try> tries, CompletableFuture<Optional<Draft>> first) {
    if (isWhole(tries)) {
      return enriched(tries);
    }
    List<Sampled> samples = samples(tries);
    Optional<Draft> whole = first.join();
    if (samples.size() < tries.size() || whole.isEmpty()) {
      return List.of();
    }
    double shorter = whole.get().level().level() - samples.get(0).draft().level().level();
    List<Try> best = inOrder(samples, shorter);
    List<Sampled> more = new ArrayList<>(samples);
    List<Try> enriched = enriched(best.subList(0, Math.min(ENRICHED, best.size())));
    more.addAll(samples(enriched.stream().filter(t -> !best.contains(t)).toList()));
    return inOrder(more, shorter);
  }

  /** Whether all are planned in full: where the song is short, or all are wanted. */
  private boolean isWhole(List<Try> tries) {
    return wish.limit() >= tries.size() || song.chart().bars().size() <= DraftSample.BARS;
  }

  private record Sampled(Try tried, Draft draft) {}

  private List<Sampled> samples(List<Try> tries) {
    return inParallel(tries, t -> Optional.of(new Sampled(t, sample(t))), s -> {});
  }

  private List<Try> inOrder(List<Sampled> samples, double shorter) {
    Map<Draft, Try> tried = new IdentityHashMap<>();
    samples.forEach(s -> tried.put(s.draft(), s.tried()));
    List<Draft> drafts = samples.stream().map(Sampled::draft).toList();
    return new DraftRanking(song, wish.easier(shorter))
        .inOrder(drafts).stream().map(tried::get).toList();
  }

  /** With what makes the fullest of them fuller, where a level is asked for that wants it. */
  private List<Try> enriched(List<Try> tries) {
    List<Try> more = new ArrayList<>(tries);
    for (Try tried : tries) {
      boolean full = tried.density() == Density.FULL && tried.extras().isEmpty();
      if (full && wish.isAtLeast(FULL)) {
        more.add(tried.with(EnumSet.of(Extra.WALKING)));
        if (!song.tune().isEmpty()) {
          more.add(tried.with(EnumSet.of(Extra.WALKING, Extra.THIRDS)));
        }
      }
    }
    return more;
  }

  private Draft sample(Try tried) {
    DraftEdits.Edited edited = edited(tried);
    DraftEdits.Edited few = new DraftEdits.Edited(DraftSample.of(edited.song()), edited.did());
    return judged(tried.manner(), few, new Arranger().arrange(few.song()));
  }

  /** Second voices are not easy, and under a drone the basses are not those of another level. */
  private boolean isOfLevel(Manner manner) {
    boolean asked = wish.manners().size() == 1;
    boolean drone = wish.level().isPresent() && manner.thumb() == ThumbRoute.PEDAL;
    return asked || !drone && !(manner.thirds() && wish.isAtMost(EASY));
  }

  private record Try(Song set, Manner manner, Density density, Set<Extra> extras) {
    Try with(Set<Extra> others) {
      return new Try(set, manner, density, others);
    }
  }

  private List<Try> tries() {
    Set<Extra> simplified =
        wish.isAtMost(FIRST_MONTHS)
            ? EnumSet.of(Extra.PLUCKED, Extra.SAME)
            : EnumSet.noneOf(Extra.class);
    List<Try> tries = new ArrayList<>();
    for (Song set : settings()) {
      for (Manner manner : manners(set)) {
        for (Density density : densities(manner)) {
          tries.add(new Try(set, manner, density, simplified));
        }
      }
    }
    return tries;
  }

  /**
   * Those that suit a song; where none suits its tempo those of its metre, and in a rare metre the
   * plain ways that every metre has.
   */
  private List<Manner> manners(Song set) {
    List<Manner> suiting =
        wish.manners().stream().filter(m -> m.suits(set)).filter(this::isOfLevel).toList();
    if (!suiting.isEmpty()) {
      return suiting;
    }
    List<Manner> inMetre =
        wish.manners().stream().filter(m -> m.in(set.meter()).isPresent()).toList();
    return inMetre.isEmpty() ? Manner.plain(set.meter()) : inMetre;
  }

  /** The song with its tune at hand; for beginners also in shapes that sound the same. */
  private List<Song> settings() {
    int octaves = TuneOctave.best(song);
    Song here = octaves == 0 ? song : song.withTune(song.tune().octaves(octaves));
    List<Song> settings = new ArrayList<>(List.of(here));
    if (wish.isAtMost(EASY)) {
      TuneSetting.sameSound(here, cancelled).ifPresent(s -> settings.add(s.of(here)));
    }
    return settings;
  }

  /** Without a tune less than the whole pattern is the thumb alone. */
  private List<Density> densities(Manner manner) {
    List<Density> densities = new ArrayList<>();
    for (Density density : Density.values()) {
      boolean has = density.compareTo(manner.least()) >= 0 && density.compareTo(manner.most()) <= 0;
      boolean sings = !song.tune().isEmpty() || density == Density.FULL;
      if (has && sings) {
        densities.add(density);
      }
    }
    return densities.isEmpty() ? List.of(Density.FULL) : densities;
  }

  private static DraftEdits.Edited edited(Try tried) {
    return DraftEdits.of(tried.set(), tried.manner(), tried.density(), tried.extras());
  }

  /** The whole song planned so; empty where it was cancelled meanwhile. */
  private Optional<Draft> whole(Try tried) {
    DraftEdits.Edited edited = edited(tried);
    Arrangement a = new Arranger().arrange(edited.song());
    if (cancelled.getAsBoolean()) {
      return Optional.empty();
    }
    Draft draft = judged(tried.manner(), edited, a);
    return Optional.of(wish.isAtMost(FIRST_MONTHS) ? inFirstPosition(tried, edited, draft) : draft);
  }

  /** In shapes for the first months where that makes nothing harder. */
  private Draft inFirstPosition(Try tried, DraftEdits.Edited edited, Draft draft) {
    return OpenShapes.in(draft.arrangement())
        .map(open -> new DraftEdits.Edited(open, edited.did()))
        .map(e -> judged(tried.manner(), e, new Arranger().arrange(e.song())))
        .filter(d -> d.tally().hard() <= draft.tally().hard())
        .filter(d -> d.level().level() <= draft.level().level())
        .filter(d -> KeptNotes.of(draft.arrangement()).areIn(d.arrangement()))
        .orElse(draft);
  }

  private Draft judged(Manner manner, DraftEdits.Edited edited, Arrangement a) {
    Performance performance = Performance.of(a);
    Review review = Review.of(performance);
    PlanLevel level = PlanLevel.of(performance);
    List<Draft.Section> sections = new ArrayList<>();
    for (Section section : edited.song().sections()) {
      List<String> did =
          edited.did().getOrDefault(section.id(), List.of(Texts.of("drafts.asBeforeIt")));
      sections.add(new Draft.Section(section.label(), String.join("; ", did)));
    }
    return Draft.of(manner, edited.song(), performance, review, level, sections)
        .asked(wish.level());
  }

  /** With a fill where the last phrase before the end leaves room, if nothing else changes. */
  private Draft filled(Draft draft) {
    int sections = draft.song().sections().size();
    boolean wanted = draft.manner().repeats().contains(Manner.Repeat.FILL) && sections > 1;
    return wanted ? filled(draft, sections - 2).orElse(draft) : draft;
  }

  private Optional<Draft> filled(Draft draft, int section) {
    return new PhraseFill(
            new Arranger(),
            draft.song(),
            draft.song().sections().get(section),
            wish.fills(),
            cancelled)
        .best()
        .map(
            f -> {
              Map<Integer, List<String>> did = draft.did();
              int id = draft.song().sections().get(section).id();
              List<String> more = new ArrayList<>(did.getOrDefault(id, List.of()));
              more.add(f.words());
              did.put(id, more);
              DraftEdits.Edited edited = new DraftEdits.Edited(f.song(), did);
              return judged(draft.manner(), edited, new Arranger().arrange(f.song()));
            })
        .filter(d -> d.tally().cannot() <= draft.tally().cannot())
        .filter(d -> d.tally().hard() <= draft.tally().hard())
        .filter(d -> KeptNotes.of(draft.arrangement()).areIn(d.arrangement()));
  }
}
