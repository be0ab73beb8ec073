package phalanx.planning;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import phalanx.arrangement.Remark;
import phalanx.arrangement.tune.TuneRing;
import phalanx.fretting.Shape;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
import phalanx.picking.Role;
import phalanx.picking.StringRoles;
import phalanx.picking.Stroke;
import phalanx.song.NoteRef;
import phalanx.song.Song;
import phalanx.text.Texts;

/**
 * Which string each stroke over one chord goes to: its own, the one the player pinned, or another
 * where the tune needs that. The thumb's turn goes on in it.
 */
final class StrokeStrings {

  /** Below this string, ④, everything is the thumb's. */
  private static final int HIGHEST_OF_THUMB = 2;

  private final Song song;
  private final Shape shape;
  private final StringRoles roles;
  private final StringRoles.Route route;
  private final Set<Remark> remarks;
  private List<Wish> wishes = List.of();
  private int turn;

  /** When each string was struck last; what was struck long ago is taken first. */
  private final int[] heard = new int[Tuning.STRINGS];

  /**
   * A stroke that goes to another string, so that the chord is heard.
   *
   * @param tick when it is struck
   * @param role the stroke's role in the pattern
   * @param string where it goes
   */
  record Wish(int tick, Role role, int string) {

    /** Whether another is for the same stroke. */
    boolean isFor(Wish other) {
      return tick == other.tick && role == other.role;
    }
  }

  /**
   * For a chord.
   *
   * @param remarks takes what had to be done otherwise than the pattern says
   */
  StrokeStrings(
      Song song, Shape shape, StringRoles roles, StringRoles.Route route, Set<Remark> remarks) {
    this.song = song;
    this.shape = shape;
    this.roles = roles;
    this.route = route;
    this.remarks = remarks;
  }

  void wish(List<Wish> others) {
    wishes = others;
  }

  /** Whether a stroke goes to another string, so that the chord is heard. */
  boolean isWished(Role role, int tick) {
    return wishes.stream().anyMatch(w -> w.tick() == tick && w.role() == role);
  }

  void from(int first) {
    turn = first;
  }

  /** A string is struck. */
  void struck(int string, int tick) {
    heard[string] = tick;
  }

  /** Whether the thumb's next string is the third of three voices. */
  boolean isThirdsTurn() {
    return turn % 4 == 2;
  }

  private void say(String words) {
    remarks.add(Remark.note(words));
  }

  private void found(Remark.Kind kind, String words, int tick, int string) {
    remarks.add(Remark.at(kind, words, tick, string, new Remark.Figure(1, 0, "strings")));
  }

  /** The usual string of a stroke, or the one the player pinned for this stroke where it sounds. */
  Optional<Integer> wanted(Stroke.Pluck pluck, NoteRef ref, int lowest, int tick) {
    Optional<Integer> usual = usual(pluck.role());
    Optional<Integer> pinned = song.pins().string(ref);
    if (pinned.isPresent() && shape.sounds(pinned.get()) && pinned.get() >= lowest) {
      return pinned;
    }
    for (Wish wish : pinned.isEmpty() ? wishes : List.<Wish>of()) {
      if (wish.tick() == tick && wish.role() == pluck.role() && wish.string() >= lowest) {
        return Optional.of(wish.string());
      }
    }
    pinned.ifPresent(
        s ->
            found(
                Remark.Kind.PIN,
                StringSign.of(s)
                    + (shape.sounds(s)
                        ? Texts.of("strokeStrings.isPinnedForA")
                        : Texts.of("strokeStrings.isPinnedForA2")),
                tick,
                s));
    roles
        .movedFrom(pluck.role())
        .ifPresent(
            dead ->
                found(
                    Remark.Kind.DEAD_STRING,
                    StringRoles.movedWords(dead, usual.orElseThrow()),
                    tick,
                    dead));
    return usual.filter(s -> s >= lowest || pluck.role().isThumb());
  }

  /** A stroke that is left out for a note of the tune in its place; the thumb's turn goes on. */
  void givesWay(Role role) {
    usual(role);
  }

  private Optional<Integer> usual(Role role) {
    // A new chord starts on its own bass, whatever the thumb's turn in the bar would be.
    return role == Role.THUMB && !route.strings().isEmpty()
        ? Optional.of(route.strings().get(turn++ % route.strings().size()))
        : roles.string(role);
  }

  /** The string a stroke wants, or another that leaves the tune alone; empty if there is none. */
  Optional<Integer> room(
      Optional<Integer> wanted,
      Stroke.Pluck pluck,
      NoteRef ref,
      int lowest,
      int highest,
      int tick,
      TuneRing ring,
      Map<Integer, VoicedStroke> taken) {
    if (wanted.isEmpty() || isFree(wanted.get(), highest, tick, ring, taken)) {
      return wanted;
    }
    // A pin that cannot be kept is said; otherwise the player's stroke would go in silence.
    wanted
        .filter(s -> song.pins().string(ref).equals(Optional.of(s)))
        .ifPresent(
            s ->
                found(
                    Remark.Kind.PIN,
                    Texts.of("strokeStrings.isPinnedForA3", StringSign.of(s)),
                    tick,
                    s));
    if (!ring.sounds(tick)) {
      return Optional.empty();
    }
    int from = pluck.role().isThumb() ? Math.min(2, highest) : wanted.get() - 1;
    // The thumb's strings come last for a finger: low down inner notes are mud.
    Optional<Integer> other =
        IntStream.iterate(from, s -> s >= lowest, s -> s - 1)
            .filter(s -> shape.sounds(s) && isFree(s, highest, tick, ring, taken))
            .boxed()
            .min(
                Comparator.comparing((Integer s) -> !pluck.role().isThumb() && isThumbs(s))
                    .thenComparing(s -> pluck.role().isThumb() || isThumbs(s) ? 0 : heard[s]));
    if (other.isPresent()) {
      say(Texts.of("strokeStrings.innerNotesMoveBelow"));
      return other;
    }
    say(Texts.of("strokeStrings.notesOfThePattern"));
    return Optional.empty();
  }

  private boolean isThumbs(int string) {
    return roles.string(Role.ROOT).equals(Optional.of(string)) || string < HIGHEST_OF_THUMB;
  }

  private boolean isFree(
      int string, int highest, int tick, TuneRing ring, Map<Integer, VoicedStroke> taken) {
    return string <= highest
        && !taken.containsKey(string)
        && !ring.blocks(string, tick)
        && !ring.isAbove(string, pitch(string), tick);
  }

  /** Its sounding note, as a MIDI note counted from the capo. */
  int pitch(int string) {
    return song.guitar().shapeMidi(string, shape.fret(string).orElse(0));
  }
}
