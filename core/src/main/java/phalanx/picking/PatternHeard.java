package phalanx.picking;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import phalanx.fretting.Cost;
import phalanx.fretting.CostTerm;
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

  /** String ④, the highest the thumb starts on. */
  private static final int LAST_BASS = 2;

  private static final int SEVENTH = 7;

  /** No pitch class. */
  private static final int NO_TONE = -1;

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
    Optional<Strings> brush = Optional.empty();
    for (Pattern.Step step : steps) {
      for (Stroke stroke : step.strokes()) {
        if (stroke instanceof Stroke.Pluck p && !(sung && p.role() == Role.TUNE)) {
          roles.add(p.role());
          turns += p.role() == Role.THUMB ? 1 : 0;
        } else if (stroke instanceof Stroke.Brush b) {
          Strings over = new Strings(b.low(), b.high());
          brush = Optional.of(brush.map(over::and).orElse(over));
        }
      }
    }
    Set<Integer> told = new HashSet<>(tones);
    told.retainAll(chord.map(PatternHeard::telling).orElse(List.of()));
    return new PatternHeard(roles, turns, thumb, pedal, brush, chord, told, false, 1, guitar);
  }

  /** The same where the thumb’s route goes on from a stroke of it: what came before counts too. */
  public PatternHeard from(int turn) {
    return turn == 0 || turns == 0
        ? this
        : new PatternHeard(
            roles, turns + turn, thumb, pedal, brush, chord, sung, last, share, guitar);
  }

  /** The same where the song ends on it. */
  public PatternHeard ending() {
    return new PatternHeard(roles, turns, thumb, pedal, brush, chord, sung, true, share, guitar);
  }

  /** The same for a part of the chord’s time. */
  public PatternHeard in(double part) {
    return part == share
        ? this
        : new PatternHeard(roles, turns, thumb, pedal, brush, chord, sung, last, part, guitar);
  }

  /** The strings that the fingers are at home on; an inner stroke takes what there is. */
  public Set<Integer> homes() {
    return roles.stream()
        .filter(r -> !r.isThumb() && r != Role.INNER)
        .map(Role::home)
        .collect(Collectors.toSet());
  }

  /**
   * What is struck over a shape.
   *
   * @param strings the strings, 0 for ⑥ to 5 for ①, without the tune's; where a tune is sung some
   *     may give way to it
   * @param terms what the shape costs for what is not heard over it
   */
  public record Over(Set<Integer> strings, List<Cost> terms) {}

  /** What is struck and heard over a shape. */
  public Over over(Shape shape) {
    List<Cost> terms = new ArrayList<>();
    int silent = silentHomes(shape);
    if (silent > 0) {
      terms.add(CostTerm.SILENT_HOME.times(silent));
    }
    if (chord.isEmpty() || shape.soundingStrings().isEmpty()) {
      return new Over(Set.of(), terms);
    }
    StringRoles on = StringRoles.on(shape, chord.get(), guitar);
    Set<Integer> struck = struck(shape, on);
    bass(shape, on, terms);
    if (roles.stream().anyMatch(r -> !r.isThumb()) || brush.isPresent()) {
      unheard(shape, struck, terms);
    }
    return new Over(struck, terms);
  }

  private int silentHomes(Shape shape) {
    int silent = 0;
    for (Role role : roles) {
      // Each of these has a home of its own.
      silent += !role.isThumb() && role != Role.INNER && !shape.sounds(role.home()) ? 1 : 0;
    }
    return silent;
  }

  private void unheard(Shape shape, Set<Integer> struck, List<Cost> terms) {
    Chord over = chord.orElseThrow();
    int third = third(over).orElse(NO_TONE);
    int seventh = seventh(over).orElse(NO_TONE);
    int others = 0;
    for (int tone : telling(over)) {
      boolean other = tone != third && tone != seventh;
      others += other && isUnheard(tone, shape, struck) ? 1 : 0;
    }
    if (third != NO_TONE && isUnheard(third, shape, struck)) {
      terms.add(CostTerm.NO_THIRD.times(last ? 2 : 1));
    }
    if (seventh != NO_TONE && isUnheard(seventh, shape, struck)) {
      terms.add(CostTerm.NO_SEVENTH.times(1));
    }
    if (others > 0) {
      terms.add(CostTerm.UNHEARD.times(others));
    }
  }

  private boolean isUnheard(int chroma, Shape shape, Set<Integer> struck) {
    return !sung.contains(chroma) && !isStruck(chroma, shape, struck);
  }

  /** The first bass over a shape as a MIDI note from the capo; empty where it tells nothing. */
  public OptionalInt bass(Shape shape) {
    if (chord.isEmpty() || thumb == ThumbRoute.PEDAL || roles.stream().noneMatch(Role::isThumb)) {
      return OptionalInt.empty();
    }
    return StringRoles.root(shape, chord.get(), guitar)
        .map(s -> OptionalInt.of(guitar.shapeMidi(s, shape.fret(s).orElse(0))))
        .orElse(OptionalInt.empty());
  }

  /** What a shape costs for what is not heard over it, term by term. */
  public List<Cost> terms(Shape shape) {
    return over(shape).terms();
  }

  private void bass(Shape shape, StringRoles on, List<Cost> terms) {
    if (alternates() && on.string(Role.ALTERNATE).equals(on.string(Role.ROOT))) {
      terms.add(CostTerm.ONE_BASS.times(1));
    }
    if (turns > 0 && on.string(Role.ROOT).orElse(0) > LAST_BASS) {
      terms.add(CostTerm.HIGH_THUMB.times(1));
    }
    int openBelow = openBass(shape, on, chord.orElseThrow());
    if (openBelow > 0) {
      terms.add(CostTerm.OPEN_BASS.times(openBelow));
    }
  }

  /** 1 or 3 for one or two strings below an open bass that is root or fifth, 0 for none. */
  private int openBass(Shape shape, StringRoles on, Chord over) {
    int bass = on.string(Role.ROOT).orElse(0);
    boolean open = shape.fret(bass).orElse(Shape.SILENT) == 0;
    int chroma = Math.floorMod(guitar.shapeMidi(bass, 0), 12);
    boolean firm =
        over.bass().chroma() == chroma
            && over.intervalOf(chroma).filter(i -> i.number() == 1 || i.number() == 5).isPresent();
    return open && firm && bass <= LAST_BASS ? bass * (bass + 1) / 2 : 0;
  }

  private boolean alternates() {
    return (turns > 1 || roles.contains(Role.ALTERNATE))
        && thumb != ThumbRoute.STEADY
        && thumb != ThumbRoute.PEDAL;
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

  private boolean isStruck(int chroma, Shape shape, Set<Integer> struck) {
    for (int s : struck) {
      if (Math.floorMod(guitar.shapeMidi(s, shape.fret(s).orElse(0)), 12) == chroma) {
        return true;
      }
    }
    return false;
  }

  private Set<Integer> struck(Shape shape, StringRoles on) {
    Set<Integer> strings = new HashSet<>();
    List<Integer> route = on.route(thumb, pedal).strings();
    strings.addAll(route.subList(0, Math.min(turns, route.size())));
    for (Role role : roles) {
      if (role != Role.THUMB) {
        on.string(role).ifPresent(strings::add);
      }
    }
    if (brush.isPresent()) {
      for (int s = brush.get().low(); s <= brush.get().high(); s++) {
        if (shape.sounds(s)) {
          strings.add(s);
        }
      }
    }
    return strings;
  }
}
