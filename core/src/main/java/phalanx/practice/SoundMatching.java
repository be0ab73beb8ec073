package phalanx.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.fretting.Shape;
import phalanx.instrument.Tuning;
import phalanx.performance.Performance;

/**
 * What was heard against what is written: moments are matched by their times and by the pitches
 * that are expected, then every stroke to the sound that explains it best. It may be given sound
 * after sound, and follows a player who slows down, stops or goes back. Not for several threads at
 * once.
 */
public final class SoundMatching {

  /** A stroke further off than this from where its moment was heard, s, is another one. */
  private static final double FURTHEST = 0.07;

  /** So far off counts as much as a pitch that is not there, s. */
  private static final double FAR = 0.06;

  /**
   * A pitch that explains less than this of a sound is not in it, where others were expected too.
   */
  private static final double ABSENT = 0.2;

  /** Where a stroke was expected alone and something was heard it is taken for that stroke. */
  private static final double ABSENT_ALONE = 0.12;

  /** With this much it is there, whatever else is. */
  private static final double SURE = 0.5;

  /** So many times more changes at a peak of noise than before it. */
  private static final double NOISE = 1.6;

  /** A run that fits less than this on the whole is another sound. */
  private static final double POOR = 0.3;

  /** So many harmonics carry most of a stroke. */
  private static final int LOWER = 5;

  /** One that explains this much is, where another was expected. */
  private static final double PRESENT = 0.62;

  private final Performance performance;
  private final List<ExpectedStroke> expected;
  private final List<Moment> moments;
  private final List<HeardSound> sounds = new ArrayList<>();
  private final double slowness;
  private final MomentAlignment alignment;

  /**
   * Nothing was heard yet of what is written between two ticks.
   *
   * @param slowness seconds asked for a second of the performance
   */
  public SoundMatching(Performance performance, int fromTick, int toTick, double slowness) {
    this.slowness = slowness;
    this.performance = performance;
    expected = ExpectedStroke.all(performance, fromTick, toTick);
    moments = Moment.of(expected);
    alignment =
        new MomentAlignment(
            Moment.seconds(moments), Moment.entries(moments), this::alike, slowness);
  }

  /**
   * A recording against what is written between two ticks.
   *
   * @param sounds by time
   */
  public static StrokeReport of(
      Performance performance, int fromTick, int toTick, List<HeardSound> sounds) {
    SoundMatching matching = new SoundMatching(performance, fromTick, toTick, 1);
    matching.hear(sounds);
    return matching.report();
  }

  /** Goes on with sounds that begin later than all before. */
  public void hear(List<HeardSound> more) {
    for (HeardSound sound : more) {
      sounds.add(sound);
      alignment.hear(sound.seconds());
    }
  }

  /** Where the player is: the stroke that was heard last; empty before the first. */
  public Optional<ExpectedStroke> place() {
    List<MomentAlignment.Pair> pairs = alignment.pairs();
    return pairs.isEmpty()
        ? Optional.empty()
        : Optional.of(moments.get(pairs.get(pairs.size() - 1).moment()).strokes().get(0));
  }

  /** How all went that was heard. */
  public StrokeReport report() {
    double[] heard = sounds.stream().mapToDouble(HeardSound::seconds).toArray();
    List<MomentAlignment.Pair> pairs = alignment.pairs();
    List<AlignedRun> runs = AlignedRun.of(moments, pairs, heard, slowness);
    Result result = new Result();
    double best = runs.stream().mapToDouble(this::fit).max().orElse(0);
    int most = runs.stream().mapToInt(r -> r.pairs().size()).max().orElse(0);
    // A few sounds that fit by chance, such as clicks before, are no way through the music.
    List<AlignedRun> played =
        runs.stream()
            .filter(r -> r.pairs().size() >= Math.min(3, most) && fit(r) >= Math.min(POOR, best))
            .toList();
    played.forEach(r -> assign(r, result));
    List<Double> extra = new ArrayList<>();
    for (int j = 0; j < sounds.size(); j++) {
      if (!result.used.contains(j) && clear(sounds.get(j)) >= 0.5) {
        extra.add(heard[j]);
      }
    }
    result.matched.sort(Comparator.comparingDouble(MatchedStroke::heard));
    result.wrong.removeIf(w -> result.found.contains(w.stroke()));
    List<ExpectedStroke> missed =
        expected.stream()
            .filter(ExpectedStroke::isPlucked)
            .filter(s -> !result.found.contains(s))
            .filter(s -> result.wrong.stream().noneMatch(w -> w.stroke().equals(s)))
            .toList();
    return new StrokeReport(
        played.stream()
            .filter(r -> 4 * r.pairs().size() >= most)
            .findFirst()
            .map(r -> r.line().at(0))
            .orElse(0.0),
        result.matched,
        missed,
        result.wrong,
        extra,
        AlignedRun.tempo(played),
        AlignedRun.drift(played, performance.arrangement().song().tempo()));
  }

  /** Hiss hardly begins more clearly than it goes on. */
  private double clear(HeardSound sound) {
    return Math.max(0, Math.min(1, (sound.strength() - NOISE) / NOISE));
  }

  /** What a sound has of the pitches of a moment: little is nothing, most of it is all. */
  private double alike(int moment, int sound) {
    double sum = 0;
    List<ExpectedStroke> strokes = moments.get(moment).strokes();
    for (ExpectedStroke stroke : strokes) {
      sum += sounds.get(sound).of(stroke.note().midi());
    }
    double pitch = Math.max(0, Math.min(1, (sum / strokes.size() - 0.35) / 0.5));
    return pitch * clear(sounds.get(sound));
  }

  /** How well what was heard in a run fits on the whole, 0 to 1. */
  private double fit(AlignedRun run) {
    return run.pairs().stream().mapToDouble(p -> alike(p.moment(), p.heard())).average().orElse(0);
  }

  /** What the strokes of all runs became. */
  private static final class Result {
    private final List<MatchedStroke> matched = new ArrayList<>();
    private final List<StrokeReport.WrongString> wrong = new ArrayList<>();
    private final Set<ExpectedStroke> found = new HashSet<>();
    private final Set<Integer> used = new HashSet<>();
  }

  private record Candidate(ExpectedStroke stroke, int moment, int sound, double at, double worth) {}

  /**
   * The strokes of a run, the best pairs first. Strokes of one moment may share a sound, those of
   * two may not.
   */
  private void assign(AlignedRun run, Result result) {
    int first = run.pairs().get(0).moment();
    int last = run.pairs().get(run.pairs().size() - 1).moment();
    Map<Integer, Integer> owner = new HashMap<>();
    Map<Integer, Integer> soundOf = new HashMap<>();
    run.pairs()
        .forEach(
            p -> {
              owner.put(p.heard(), p.moment());
              soundOf.put(p.moment(), p.heard());
            });
    List<Candidate> candidates = new ArrayList<>();
    for (int m = first; m <= last; m++) {
      for (ExpectedStroke stroke : moments.get(m).strokes()) {
        double near =
            soundOf.containsKey(m)
                ? sounds.get(soundOf.get(m)).seconds()
                : run.line().at(stroke.seconds());
        candidates(run, m, stroke, near, owner, candidates);
      }
    }
    candidates.sort(Comparator.comparingDouble(c -> -c.worth()));
    Set<ExpectedStroke> here = new HashSet<>();
    for (Candidate c : candidates) {
      Integer owned = owner.get(c.sound());
      if (here.contains(c.stroke()) || owned != null && owned != c.moment()) {
        continue;
      }
      if (isPresent(c)) {
        owner.put(c.sound(), c.moment());
        result.used.add(c.sound());
        here.add(c.stroke());
        if (c.stroke().isPlucked()) {
          result.found.add(c.stroke());
          HeardSound sound = sounds.get(c.sound());
          OptionalDouble level = level(c, sound);
          result.matched.add(new MatchedStroke(c.stroke(), c.at(), sound.seconds(), level));
        }
      }
    }
    wrongStrings(run, here, result);
  }

  /** How loud a stroke is; not known where another struck with it shares its harmonics. */
  private OptionalDouble level(Candidate c, HeardSound sound) {
    int midi = c.stroke().note().midi();
    boolean shared =
        moments.get(c.moment()).strokes().stream()
            .filter(s -> !s.equals(c.stroke()))
            .anyMatch(s -> sharesHarmonics(midi, s.note().midi()));
    return shared ? OptionalDouble.empty() : sound.level(midi);
  }

  /** Whether one of the lower harmonics of two pitches is the same to half a semitone. */
  private static boolean sharesHarmonics(int one, int other) {
    for (int h = 1; h <= LOWER; h++) {
      for (int k = 1; k <= LOWER; k++) {
        double apart = one - other + 12 * Math.log((double) h / k) / Math.log(2);
        if (Math.abs(apart) < 0.5) {
          return true;
        }
      }
    }
    return false;
  }

  /** Whether a sound can be a stroke, and is not rather that of another string. */
  private boolean isPresent(Candidate c) {
    HeardSound sound = sounds.get(c.sound());
    Moment moment = moments.get(c.moment());
    int midi = c.stroke().note().midi();
    boolean alone = moment.strokes().size() == 1;
    return sound.of(midi) >= (alone ? ABSENT_ALONE : ABSENT)
        && (sound.of(midi) >= SURE || heardInstead(c.stroke(), moment, sound) < 0);
  }

  private void candidates(
      AlignedRun run,
      int moment,
      ExpectedStroke stroke,
      double near,
      Map<Integer, Integer> owner,
      List<Candidate> candidates) {
    double at = run.line().at(stroke.seconds());
    for (int j = ByTime.firstFrom(sounds, HeardSound::seconds, near - FURTHEST);
        j < sounds.size();
        j++) {
      HeardSound sound = sounds.get(j);
      if (sound.seconds() > near + FURTHEST) {
        return;
      }
      Integer owned = owner.get(j);
      if (owned == null || owned == moment) {
        double off = (sound.seconds() - near) / FAR;
        double worth = sound.of(stroke.note().midi()) - off * off / 2 + (owned == null ? 0 : 0.3);
        candidates.add(new Candidate(stroke, moment, j, at, worth));
      }
    }
  }

  /** Strokes that were not heard, where another string of what is held was struck instead. */
  private void wrongStrings(AlignedRun run, Set<ExpectedStroke> here, Result result) {
    for (MomentAlignment.Pair pair : run.pairs()) {
      Moment moment = moments.get(pair.moment());
      HeardSound sound = sounds.get(pair.heard());
      result.used.add(pair.heard());
      for (ExpectedStroke stroke : moment.strokes()) {
        if (stroke.isPlucked() && !here.contains(stroke)) {
          int string = heardInstead(stroke, moment, sound);
          if (string >= 0) {
            result.wrong.add(new StrokeReport.WrongString(stroke, string, sound.seconds()));
          }
        }
      }
    }
  }

  private int heardInstead(ExpectedStroke stroke, Moment moment, HeardSound sound) {
    Arrangement a = performance.arrangement();
    Slot slot = a.slots().get(a.slotAt(stroke.note().tick()));
    Set<Integer> wanted = new HashSet<>();
    moment.strokes().forEach(s -> wanted.add(s.note().midi()));
    int best = -1;
    double most = PRESENT;
    for (int string = 0; string < Tuning.STRINGS; string++) {
      int fret = slot.held().frets().get(string);
      int midi = a.song().guitar().midi(string, fret == Shape.SILENT ? 0 : fret);
      boolean other =
          string != stroke.note().string() && wanted.stream().noneMatch(w -> kin(w, midi));
      boolean clearer = sound.fresh(midi) > 2 * sound.fresh(stroke.note().midi());
      if (other && clearer && sound.fresh(midi) > most) {
        most = sound.fresh(midi);
        best = string;
      }
    }
    return best;
  }

  /** Whether two pitches share so many harmonics that one is heard in the other. */
  private static boolean kin(int one, int other) {
    int apart = Math.abs(one - other);
    return apart % 12 == 0 || apart == 19 || apart == 28;
  }
}
