package phalanx.picking;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import phalanx.fretting.Cost;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.theory.Chord;
import phalanx.theory.ChordTone;

/**
 * What the pattern strikes while a chord lasts, and what of the chord it makes heard over a shape:
 * the strings its fingers are at home on, a second string for the thumb to alternate with, and the
 * third or what stands for it. It is worth as much as ease, so a shape that leaves it out costs
 * more.
 *
 * @param roles what is struck, without the tune's where one is sung
 * @param spare how many strokes of the fingers may go to other strings, so that the chord is heard;
 *     none under a tune, which takes the strings it needs
 * @param turns how often the thumb is struck where its route takes it; four are a whole route
 * @param thumb the thumb's way
 * @param pedal the open string that a pedal stays on, if the song has one
 * @param brush what a brush goes over, if there is one
 * @param chord the chord, if one sounds
 * @param sung the pitch classes of the chord’s telling tones that the tune brings
 * @param last whether the song ends on it: then the third must not be left out
 * @param share for how much of the chord’s time it is, above 0 up to 1: what is held for part of it
 *     counts for that part
 * @param guitar what it is played on
 */
public record PatternHeard(
    Set<Role> roles,
    int spare,
    int turns,
    ThumbRoute thumb,
    Optional<Integer> pedal,
    Optional<Strings> brush,
    Optional<Chord> chord,
    Set<Integer> sung,
    boolean last,
    double share,
    Guitar guitar) {

  /** More strokes than a route has strings bring no other string. */
  private static final int WHOLE_ROUTE = 4;

  /** No chord tells itself by more tones. */
  private static final int MOST_SPARE = 6;

  private static final int SEVENTH = 7;

  /** The third, or the fourth or second in its place, by their numbers. */
  private static final List<Integer> THIRDS = List.of(3, 4, 2);

  /** Neighbouring strings, 0 for ⑥ to 5 for ①. */
  public record Strings(int low, int high) {

    private Strings and(Strings other) {
      return new Strings(Math.min(low, other.low), Math.max(high, other.high));
    }
  }

  public PatternHeard {
    roles = Set.copyOf(roles);
    sung = Set.copyOf(sung);
    turns = Math.min(turns, WHOLE_ROUTE);
    spare = Math.min(spare, MOST_SPARE);
  }

  /**
   * What some steps strike.
   *
   * @param sung whether a tune takes the place of the pattern's own
   * @param tones the pitch classes that the tune strikes, counted from the capo
   */
  public static PatternHeard of(
      List<Pattern.Step> steps,
      boolean sung,
      Set<Integer> tones,
      ThumbRoute thumb,
      Optional<Integer> pedal,
      Optional<Chord> chord,
      Guitar guitar) {
    Set<Role> roles = EnumSet.noneOf(Role.class);
    int turns = 0;
    int spare = 0;
    Optional<Strings> brush = Optional.empty();
    for (Pattern.Step step : steps) {
      for (Stroke stroke : step.strokes()) {
        if (stroke instanceof Stroke.Pluck p && !(sung && p.role() == Role.TUNE)) {
          roles.add(p.role());
          turns += p.role() == Role.THUMB ? 1 : 0;
          spare += sung || p.role().isThumb() ? 0 : 1;
        } else if (stroke instanceof Stroke.Brush b) {
          Strings over = new Strings(b.low(), b.high());
          brush = Optional.of(brush.map(over::and).orElse(over));
        }
      }
    }
    Set<Integer> told = new HashSet<>(tones);
    told.retainAll(chord.map(PatternHeard::telling).orElse(List.of()));
    return new PatternHeard(
        roles, spare, turns, thumb, pedal, brush, chord, told, false, 1, guitar);
  }

  /** The same where the thumb’s route goes on from a stroke of it: what came before counts too. */
  public PatternHeard from(int turn) {
    return turn == 0 || turns == 0
        ? this
        : new PatternHeard(
            roles, spare, turns + turn, thumb, pedal, brush, chord, sung, last, share, guitar);
  }

  /** The same where the song ends on it. */
  public PatternHeard ending() {
    return new PatternHeard(
        roles, spare, turns, thumb, pedal, brush, chord, sung, true, share, guitar);
  }

  /** The same for a part of the chord’s time. */
  public PatternHeard in(double part) {
    return part == share
        ? this
        : new PatternHeard(
            roles, spare, turns, thumb, pedal, brush, chord, sung, last, part, guitar);
  }

  /** The strings that the fingers are at home on; an inner stroke takes what there is. */
  public Set<Integer> homes() {
    return roles.stream()
        .filter(r -> !r.isThumb() && r != Role.INNER)
        .map(Role::home)
        .collect(Collectors.toSet());
  }

  /** What a shape costs for what is not heard over it, term by term. */
  public List<Cost> terms(Shape shape) {
    return new HeardTones(this).terms(shape);
  }

  /** The pitch class of the third, or of the fourth or second in its place. */
  public static Optional<Integer> third(Chord chord) {
    for (int number : THIRDS) {
      Optional<Integer> tone = essential(chord, number);
      if (tone.isPresent()) {
        return tone;
      }
    }
    return Optional.empty();
  }

  /** The pitch class of the seventh; empty where the chord has none. */
  public static Optional<Integer> seventh(Chord chord) {
    return essential(chord, SEVENTH);
  }

  private static Optional<Integer> essential(Chord chord, int number) {
    for (ChordTone tone : chord.tones()) {
      if (tone.essential() && tone.interval().number() == number) {
        return Optional.of(pitchClass(chord, tone));
      }
    }
    return Optional.empty();
  }

  private static int pitchClass(Chord chord, ChordTone tone) {
    return Math.floorMod(chord.root().chroma() + tone.interval().chroma(), 12);
  }

  /**
   * The pitch classes that tell a chord from others, the most telling first: the third or what
   * stands for it, the seventh, then the rest of what its name says.
   */
  public static List<Integer> telling(Chord chord) {
    Set<Integer> telling = new LinkedHashSet<>();
    third(chord).ifPresent(telling::add);
    seventh(chord).ifPresent(telling::add);
    for (ChordTone tone : chord.tones()) {
      if (tone.essential() && tone.interval().number() > 1) {
        telling.add(pitchClass(chord, tone));
      }
    }
    return List.copyOf(telling);
  }
}
