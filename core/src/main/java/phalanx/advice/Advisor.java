package phalanx.advice;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.DoubleSupplier;
import java.util.stream.Collectors;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.planning.Arranger;
import phalanx.planning.Attempt;
import phalanx.song.Song;
import phalanx.song.Timeline;

/**
 * Plans a song in other keys, with other capos and in other tunings, and says how hard each is. The
 * best ways are planned in full, as if the player had set them; others are given up as soon as they
 * are known to cost more. Ways run on the machine's cores in rounds, whose limit is what the rounds
 * before them found, so that the answer is the same on every machine.
 */
public final class Advisor {

  private static final int KEYS = 12;

  /** Ways of a round: enough for any machine's cores, few enough for the limit to fall soon. */
  private static final int ROUND = 24;

  /** Ways from which on looking at the easiest of their necks first pays. */
  private static final int WORTH_A_NECK = 3;

  private final Song song;
  private final Best best;
  private final int bars;
  private final Consumer<Ranked> news;
  private final BooleanSupplier cancelled;
  private final Map<Setting, Arranger> arrangers = new ConcurrentHashMap<>();

  private Advisor(Song song, int best, Consumer<Ranked> news, BooleanSupplier cancelled) {
    this.song = song;
    this.best = new Best(best);
    this.news = news;
    this.cancelled = cancelled;
    bars = Math.max(1, Timeline.of(song).bars().size());
  }

  /** Capo and tuning; ways of different keys share the shapes of chords there. */
  private record Setting(int capo, Tuning tuning) {}

  /**
   * The ways there are in which the neck has the whole tune, and the one it is played in.
   *
   * @param capos frets the capo may lie on, 0 for none
   * @param tunings how the strings may be tuned
   * @param keepSound whether it must go on to sound in its key
   */
  public static List<SettingSuggestion> ways(
      Song song, Collection<Integer> capos, Collection<Tuning> tunings, boolean keepSound) {
    List<SettingSuggestion> ways = new ArrayList<>();
    for (Tuning tuning : tunings) {
      for (int capo : capos) {
        for (int up = 0; up < KEYS; up++) {
          SettingSuggestion plain = new SettingSuggestion(up, capo, tuning, 0);
          SettingSuggestion way =
              plain.equals(SettingSuggestion.now(song))
                  ? plain
                  : SettingSuggestion.of(song, up, capo, tuning);
          boolean fits = way.equals(SettingSuggestion.now(song)) || way.hasTune(song);
          if (fits && (!keepSound || way.soundsAs(song))) {
            ways.add(way);
          }
        }
      }
    }
    return ways;
  }

  /**
   * Ranks ways, the easiest first.
   *
   * @param best so many of the easiest are planned in full, one or more
   * @param news hears of each as soon as it is planned or given up; from several threads
   * @param cancelled asked often, by several threads; what is not planned by then is left out
   */
  public static List<Ranked> rank(
      Song song,
      List<SettingSuggestion> ways,
      int best,
      Consumer<Ranked> news,
      BooleanSupplier cancelled) {
    return new Advisor(song, best, news, cancelled).rank(ways);
  }

  private List<Ranked> rank(List<SettingSuggestion> ways) {
    // What sounds as before is wanted most, and sets the limit for the others.
    Map<Boolean, List<SettingSuggestion>> bySound =
        ways.stream().collect(Collectors.partitioningBy(way -> way.soundsAs(song)));
    List<Ranked> ranked = new ArrayList<>();
    rounds(bySound.get(true), this::planned, ranked);
    Map<SettingSuggestion, Double> least = new ConcurrentHashMap<>();
    List<List<SettingSuggestion>> rows = List.copyOf(rows(bySound.get(false)));
    rounds(rows, (row, limit) -> onEasiestNeck(row, limit, least), ranked);
    List<SettingSuggestion> left = new ArrayList<>(least.keySet());
    left.sort(
        Comparator.comparing((SettingSuggestion way) -> least.get(way))
            .thenComparing(bySound.get(false)::indexOf));
    rounds(
        left,
        (way, limit) ->
            least.get(way) > limit ? outdone(List.of(way), least.get(way)) : planned(way, limit),
        ranked);
    ranked.sort(Ranked.EASIEST_FIRST);
    return List.copyOf(ranked);
  }

  /** Some work for the limit there is. */
  private interface Task<T> {
    List<Ranked> of(T what, double limit);
  }

  private <T> void rounds(List<T> all, Task<T> task, List<Ranked> ranked) {
    for (int from = 0; from < all.size(); from += ROUND) {
      List<T> round = all.subList(from, Math.min(all.size(), from + ROUND));
      double limit = best.limit();
      List<Ranked> done =
          round.parallelStream()
              .filter(t -> !cancelled.getAsBoolean())
              .flatMap(t -> task.of(t, limit).stream())
              .toList();
      // Those far up the neck come last and limit nobody.
      done.stream()
          .filter(r -> r instanceof Advised && !r.isFarUp())
          .forEach(r -> best.add(r.costPerBar()));
      ranked.addAll(done);
    }
  }

  /** Ways that differ in their capo alone. */
  private Collection<List<SettingSuggestion>> rows(List<SettingSuggestion> ways) {
    Map<SettingSuggestion, List<SettingSuggestion>> rows = new LinkedHashMap<>();
    for (SettingSuggestion way : ways) {
      // A capo on some strings alone makes another guitar.
      boolean partial = way.of(song).guitar().hasPartialCapo();
      int at = partial ? way.capo() : 0;
      SettingSuggestion row =
          new SettingSuggestion(way.semitones(), at, way.tuning(), way.octaves());
      rows.computeIfAbsent(row, r -> new ArrayList<>()).add(way);
    }
    return rows.values();
  }

  /**
   * Of ways that differ in their capo alone those that cost more on the easiest of their necks
   * already.
   *
   * @param least takes the others with what they cost at least
   */
  private List<Ranked> onEasiestNeck(
      List<SettingSuggestion> row, double limit, Map<SettingSuggestion, Double> least) {
    Song first = row.get(0).of(song);
    Optional<Guitar> neck =
        row.size() < WORTH_A_NECK
            ? Optional.empty()
            : EasiestNeck.of(first.guitar(), row.stream().map(SettingSuggestion::capo).toList());
    double cost =
        neck.map(n -> new Arranger().cost(first.withGuitar(n), limit(limit)) / bars).orElse(0.0);
    if (cost <= limit) {
      row.forEach(way -> least.put(way, cost));
      return List.of();
    }
    return outdone(row, cost);
  }

  private List<Ranked> outdone(List<SettingSuggestion> ways, double atLeast) {
    return told(ways.stream().<Ranked>map(way -> new Pruned(way, way.of(song), atLeast)).toList());
  }

  private DoubleSupplier limit(double perBar) {
    return () -> cancelled.getAsBoolean() ? Double.NEGATIVE_INFINITY : perBar * bars;
  }

  private List<Ranked> planned(SettingSuggestion way, double limit) {
    Arranger arranger =
        arrangers.computeIfAbsent(new Setting(way.capo(), way.tuning()), s -> new Arranger());
    Song played = way.of(song);
    Attempt attempt = arranger.attempt(played, limit(limit));
    if (cancelled.getAsBoolean()) {
      return List.of();
    }
    return told(
        List.of(
            attempt instanceof Attempt.Planned p
                ? Advised.of(way, song, p.arrangement())
                : new Pruned(way, played, ((Attempt.GivenUp) attempt).atLeast() / bars)));
  }

  /** Tells of ways, unless the player has called the search off meanwhile. */
  private List<Ranked> told(List<Ranked> ranked) {
    if (cancelled.getAsBoolean()) {
      return List.of();
    }
    ranked.forEach(news);
    return ranked;
  }

  /** How hard the song is as it is. */
  public static Advised now(Song song) {
    return Advised.of(SettingSuggestion.now(song), song, new Arranger().arrange(song));
  }
}
