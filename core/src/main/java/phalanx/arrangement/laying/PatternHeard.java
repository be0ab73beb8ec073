package phalanx.arrangement.laying;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import phalanx.fretting.Candidates;
import phalanx.fretting.Cost;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.picking.Role;
import phalanx.picking.StringRoles;
import phalanx.picking.Stroke;
import phalanx.picking.ThumbRoute;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.song.Timeline.PlayedBar;
import phalanx.song.Timeline.PlayedSlot;
import phalanx.theory.Chord;
import phalanx.theory.ChordTone;
import phalanx.theory.Interval;

/**
 * What of a chord the pattern makes heard over a shape: the strings its fingers are at home on, a
 * second string for the thumb to alternate with, and the third or what stands for it. It is worth
 * as much as ease, so a shape that leaves it out costs more. The weights are by judgement.
 *
 * @param fingers the rows of the fingers that are struck, without the tune's where one is sung
 * @param thumb the thumb's way, if it strikes at all
 * @param chord the chord, if one sounds
 * @param guitar what it is played on
 */
public record PatternHeard(
    Set<Role> fingers, Optional<ThumbRoute> thumb, Optional<Chord> chord, Guitar guitar) {

  /** Cost of each home string of a finger that does not sound. */
  private static final double SILENT = 0.3;

  /** Cost of a thumb that has to stay on one string though it would alternate. */
  private static final double ONE_BASS = 0.8;

  /** Cost of a chord whose third nobody strikes. */
  private static final double NO_THIRD = 0.7;

  /** The third, or the fourth or second in its place, by their numbers. */
  private static final List<Integer> THIRDS = List.of(3, 4, 2);

  public PatternHeard {
    fingers = Set.copyOf(fingers);
  }

  /** What the pattern of a slot wants to be heard. */
  static PatternHeard of(
      Song song, PatternBook book, PlayedBar bar, PlayedSlot slot, boolean sung) {
    Set<Role> fingers = new HashSet<>();
    boolean[] thumb = {false};
    book.pattern(book.style(bar, slot), bar.meter()).steps().stream()
        .flatMap(s -> s.plucks())
        .map(Stroke.Pluck::role)
        .forEach(
            role -> {
              thumb[0] |= role.isThumb();
              if (!role.isThumb() && !(sung && role == Role.TUNE)) {
                fingers.add(role);
              }
            });
    Optional<Chord> chord =
        slot.harmony() instanceof Harmony.Sounding s ? Optional.of(s.chord()) : Optional.empty();
    return new PatternHeard(
        fingers, thumb[0] ? Optional.of(song.thumb()) : Optional.empty(), chord, song.guitar());
  }

  /** The strings that the fingers are at home on; an inner stroke takes what there is. */
  Set<Integer> homes() {
    return fingers.stream()
        .filter(r -> r != Role.INNER)
        .map(Role::home)
        .collect(Collectors.toSet());
  }

  /** What a shape costs for what is not heard over it. */
  public double cost(Shape shape) {
    return terms(shape).stream().mapToDouble(Cost::value).sum();
  }

  /** The same term by term. */
  List<Cost> terms(Shape shape) {
    List<Cost> terms = new ArrayList<>();
    long silent = homes().stream().filter(s -> !shape.sounds(s)).count();
    if (silent > 0) {
      terms.add(Cost.term("strings of the pattern that do not sound", SILENT * silent));
    }
    if (chord.isPresent() && !shape.soundingStrings().isEmpty()) {
      StringRoles roles = StringRoles.on(shape, chord.get(), guitar);
      if (alternates() && roles.string(Role.ALTERNATE).equals(roles.string(Role.ROOT))) {
        terms.add(Cost.term("no second bass string for the thumb", ONE_BASS));
      }
      boolean wanted = !fingers.isEmpty();
      if (wanted && third(chord.get()).filter(t -> !isStruck(t, shape, roles)).isPresent()) {
        terms.add(Cost.term("nobody strikes the third", NO_THIRD));
      }
    }
    return terms;
  }

  private boolean alternates() {
    return thumb
        .filter(
            t ->
                t == ThumbRoute.ALTERNATING
                    || t == ThumbRoute.WALKING
                    || t == ThumbRoute.THREE_VOICES)
        .isPresent();
  }

  /** The pitch class of the third, or of the fourth or second in its place. */
  static Optional<Integer> third(Chord chord) {
    for (int number : THIRDS) {
      Optional<Interval> tone =
          chord.tones().stream()
              .filter(ChordTone::essential)
              .map(ChordTone::interval)
              .filter(i -> i.number() == number)
              .findFirst();
      if (tone.isPresent()) {
        return Optional.of(Math.floorMod(chord.root().chroma() + tone.get().chroma(), 12));
      }
    }
    return Optional.empty();
  }

  private boolean isStruck(int chroma, Shape shape, StringRoles roles) {
    Set<Integer> strings = new HashSet<>();
    thumb.ifPresent(t -> strings.addAll(roles.route(t, Optional.empty()).strings()));
    fingers.forEach(r -> roles.string(r).ifPresent(strings::add));
    return strings.stream()
        .anyMatch(s -> Math.floorMod(guitar.shapeMidi(s, shape.fret(s).orElse(0)), 12) == chroma);
  }

  /** A row of candidates with that cost. */
  Candidates rated(Candidates row) {
    return Candidates.of(
        row.stream().map(r -> new RatedShape(r.shape(), r.cost() + cost(r.shape()))).toList(),
        row.all());
  }
}
