package phalanx.advice;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import phalanx.arrangement.tune.TuneOctave;
import phalanx.findings.TuneAway;
import phalanx.song.Bar;
import phalanx.song.Song;
import phalanx.text.Texts;
import phalanx.theory.Key;

/**
 * Where a tune could lie better: octave, key and capo compared at once over its first bars, before
 * anything else is decided (common practice, no source).
 *
 * @param way the way
 * @param now how hard those bars are as they are
 * @param then how hard they are then
 */
public record TuneSetting(SettingSuggestion way, Advised now, Advised then) {

  /** So many bars of the tune are compared: a strain, so that the answer comes while one looks. */
  private static final int BARS = 12;

  /** At most this share of what it costs now, or it is not worth a word. */
  private static final double WORTH = 0.85;

  /** A capo higher up is for what is easier by more than this share. */
  private static final double NEARLY = 1.25;

  /** So many ways of a kind are planned to the end. */
  private static final int PLANNED = 3;

  /** What a bar with its tune costs at most where everything lies in open shapes; measured. */
  private static final double EASY = 5;

  /** Frets a capo may lie on without making the guitar another instrument. */
  private static final int HIGHEST_CAPO = 5;

  /** Further up or down another singer is needed, semitones. */
  private static final int SINGABLE = 3;

  private static final int OCTAVE = 12;

  /**
   * The best of each kind that is clearly better than what is there: in another octave, in other
   * shapes that sound as now, in a key nearby.
   *
   * @param cancelled asked often, by several threads; nothing is offered then
   */
  public static List<TuneSetting> better(Song song, BooleanSupplier cancelled) {
    if (song.tune().isEmpty()) {
      return List.of();
    }
    Song strain = strain(song);
    Advised now = Advisor.now(strain);
    if (now.tally().hard() == 0 && now.costPerBar() < EASY && TuneOctave.best(song) == 0) {
      return List.of();
    }
    List<TuneSetting> better = new ArrayList<>();
    for (Collection<SettingSuggestion> kind : kinds(song)) {
      List<SettingSuggestion> ways = kind.stream().filter(w -> w.hasTune(song)).toList();
      List<Advised> planned =
          Advisor.rank(strain, ways, PLANNED, r -> {}, cancelled).stream()
              .filter(Advised.class::isInstance)
              .map(Advised.class::cast)
              .filter(a -> a.costPerBar() < WORTH * now.costPerBar())
              .filter(a -> a.tally().hard() <= now.tally().hard())
              .toList();
      handiest(planned).map(a -> new TuneSetting(a.way(), now, a)).ifPresent(better::add);
    }
    better.sort(
        Comparator.<TuneSetting, Boolean>comparing(s -> !s.isOctaveAlone(song))
            .thenComparing(s -> s.then().costPerBar()));
    return cancelled.getAsBoolean() ? List.of() : List.copyOf(better);
  }

  /**
   * Other shapes that sound the same and are clearly easier; empty where there are none.
   *
   * @param cancelled asked often; nothing is found then
   */
  public static Optional<TuneSetting> sameSound(Song song, BooleanSupplier cancelled) {
    return better(song, cancelled).stream()
        .filter(s -> s.way().soundsAs(song) && s.way().tuneHigher(song) == 0)
        .filter(s -> s.way().semitones() != 0)
        .findFirst();
  }

  /** The lowest capo of those that are nearly as easy as the easiest. */
  private static Optional<Advised> handiest(List<Advised> planned) {
    double least = planned.stream().mapToDouble(Advised::costPerBar).min().orElse(0);
    return planned.stream()
        .filter(a -> a.costPerBar() <= least * NEARLY)
        .min(
            Comparator.comparingInt((Advised a) -> a.way().capo())
                .thenComparing(Ranked.EASIEST_FIRST));
  }

  /** The first bars of the tune, each once. */
  private static Song strain(Song song) {
    List<Integer> ids = song.chart().bars().stream().map(Bar::id).toList();
    int first =
        IntStream.range(0, ids.size())
            .filter(i -> !song.tune().at(ids.get(i), song.chart()).isSilent())
            .findFirst()
            .orElse(0);
    Set<Integer> kept = new LinkedHashSet<>(ids.subList(first, Math.min(ids.size(), first + BARS)));
    return Excerpt.around(song, kept);
  }

  private static List<List<SettingSuggestion>> kinds(Song song) {
    SettingSuggestion now = SettingSuggestion.now(song);
    List<SettingSuggestion> octave = new ArrayList<>();
    int octaves = TuneOctave.best(song);
    if (octaves != 0) {
      octave.add(new SettingSuggestion(0, now.capo(), now.tuning(), octaves));
    }
    List<SettingSuggestion> sameSound = new ArrayList<>();
    List<SettingSuggestion> nearby = new ArrayList<>();
    for (int capo = 0; capo <= HIGHEST_CAPO; capo++) {
      int up = Math.floorMod(now.capo() - capo, OCTAVE);
      if (capo != now.capo()) {
        sameSound.add(SettingSuggestion.of(song, up, capo, now.tuning()));
      }
    }
    for (int by = -SINGABLE; by <= SINGABLE; by++) {
      if (by != 0) {
        int up = Math.floorMod(by, OCTAVE);
        nearby.add(SettingSuggestion.of(song, up, now.capo(), now.tuning()));
      }
    }
    return List.of(octave, sameSound, nearby);
  }

  /** The song played so. */
  public Song of(Song song) {
    return way.of(song);
  }

  private boolean isOctaveAlone(Song song) {
    return way.semitones() == 0 && way.capo() == song.guitar().capo();
  }

  /** What would be done: {@code an octave lower}, {@code in G with the capo on 3}. */
  public String words(Song song) {
    if (isOctaveAlone(song)) {
      return Texts.of("tuneSetting.theWholeTune", TuneAway.moved(way.octaves()));
    }
    String key =
        of(song)
            .key()
            .map(Key::toString)
            .map(k -> Texts.of("tuneSetting.in", k))
            .orElse(Texts.of("tuneSetting.inOtherShapes"));
    String capo =
        way.capo() == song.guitar().capo()
            ? ""
            : way.capo() == 0
                ? Texts.of("tuneSetting.withoutTheCapo")
                : Texts.of("tuneSetting.withTheCapoOn", way.capo());
    return Texts.of("tuneSetting.all", key, capo);
  }

  /** What comes of it: how it sounds, what stays hard, what the hands hold to. */
  public String effect() {
    List<String> parts = new ArrayList<>();
    if (!then.sameSound()) {
      boolean up = way.semitones() <= SINGABLE;
      int by = up ? way.semitones() : OCTAVE - way.semitones();
      String unit = by == 1 ? Texts.of("tuneSetting.semitone") : Texts.of("tuneSetting.semitones");
      parts.add(
          Texts.of(
              "tuneSetting.sounds",
              by,
              unit,
              up ? Texts.of("tuneSetting.higher") : Texts.of("tuneSetting.lower")));
    } else if (way.octaves() == 0 || way.semitones() != 0) {
      parts.add(
          then.tuneWords().isEmpty() ? Texts.of("tuneSetting.soundsAsNow") : then.tuneWords());
    }
    if (then.tally().hard() < now.tally().hard()) {
      parts.add(then.tally().words());
    }
    then.ceiling()
        .filter(c -> now.ceiling().filter(n -> n < c).isPresent())
        .ifPresent(c -> parts.add(Texts.of("tuneSetting.handsHoldTo", Math.round(c))));
    return String.join("; ", parts);
  }
}
