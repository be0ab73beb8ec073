package phalanx.arrangement;

import static java.util.stream.Collectors.toSet;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import phalanx.fretting.Shape;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
import phalanx.picking.FingerAssignment;
import phalanx.picking.Pattern;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.picking.Strike;
import phalanx.picking.StringRoles;
import phalanx.song.Feel;
import phalanx.song.Harmony;
import phalanx.song.NoteRef;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.Timeline.PlayedBar;
import phalanx.theory.Meter;

/** Lays a pattern on the shapes of a song and fingers it. Private to one arrangement. */
final class Picking {

  private final Song song;
  private final Timeline timeline;
  private final int[] places;
  private final Map<Meter, Pattern> patterns = new HashMap<>();
  private final List<Slot> slots = new ArrayList<>();
  private final List<Stroke> strokes = new ArrayList<>();
  private final List<Strike> strikes = new ArrayList<>();

  /** Where each strike is written; with swing it is played elsewhere. */
  private final List<Integer> ticks = new ArrayList<>();

  /** One string struck in one slot. */
  private record Stroke(int tick, int string, Role role, int slot, NoteRef ref) {}

  private Picking(Song song, Timeline timeline) {
    this.song = song;
    this.timeline = timeline;
    places = placesInSections(timeline.bars());
  }

  static Picking of(Song song, Timeline timeline, List<Slot> slots) {
    Picking picking = new Picking(song, timeline);
    for (Slot slot : slots) {
      picking.layOn(slot);
    }
    return picking;
  }

  /** The slots, with remarks where the pattern had to be bent. */
  List<Slot> slots() {
    return slots;
  }

  private void layOn(Slot slot) {
    int index = slots.size();
    if (slot.shape().isEmpty() || !(slot.played().harmony() instanceof Harmony.Sounding sounding)) {
      slots.add(slot);
      return;
    }
    StringRoles roles = StringRoles.on(slot.shape().get(), sounding.chord(), song.guitar());
    List<String> remarks = new ArrayList<>(slot.remarks());
    remarks.addAll(roles.remarks());
    StringRoles.Route route = roles.route(song.thumb(), pedal());
    remarks.addAll(route.remarks());
    PlayedBar bar = timeline.barOf(slot.played());
    Pattern pattern =
        patterns.computeIfAbsent(bar.meter(), m -> Arranger.pattern(song, bar.meter()));
    int from = bar.inMetre(slot.played().tick());
    int barStart = slot.played().tick() - from;
    int bars = Math.max(1, pattern.lengthTicks() / bar.meter().barTicks());
    int place = places[bar.number() - timeline.bars().get(0).number()];
    int ahead = place % bars * bar.meter().barTicks();
    int turn = 0;
    int until = from + slot.played().lengthTicks();
    for (Pattern.Step step : pattern.between(from, until, ahead)) {
      List<Integer> thumb = new ArrayList<>();
      List<Integer> fingers = new ArrayList<>();
      for (Role role : step.roles()) {
        // A new chord starts on its own bass, whatever the thumb's turn in the bar would be.
        Optional<Integer> usual =
            role.isThumb() && !route.strings().isEmpty()
                ? Optional.of(route.strings().get(turn++ % route.strings().size()))
                : roles.string(role);
        NoteRef ref = new NoteRef(bar.written(), step.tick() - bar.metreTick(), role);
        Set<Integer> taken = Stream.of(thumb, fingers).flatMap(List::stream).collect(toSet());
        int lowest = role.isThumb() ? 0 : thumb.stream().mapToInt(t -> t + 1).max().orElse(0);
        string(usual, slot.shape().get(), ref, lowest, remarks)
            .filter(s -> !taken.contains(s))
            .ifPresent(
                s -> {
                  (role.isThumb() ? thumb : fingers).add(s);
                  strokes.add(new Stroke(barStart + step.tick(), s, role, index, ref));
                });
      }
      leaveOutWhatNoFingerIsFor(fingers, remarks);
      int played = bar.played(barStart + step.tick(), song.feel().swing());
      strikes.add(new Strike(played, thumb, fingers));
      ticks.add(barStart + step.tick());
    }
    slots.add(slot.withRemarks(remarks));
  }

  /**
   * Where each bar is among those of its section as played, from 0: longer patterns go on from
   * there. A pick-up is not counted, because patterns begin with the first whole bar.
   */
  private static int[] placesInSections(List<PlayedBar> bars) {
    int[] places = new int[bars.size()];
    for (int b = 1; b < places.length; b++) {
      PlayedBar before = bars.get(b - 1);
      boolean goesOn = before.section() == bars.get(b).section() && before.metreTick() == 0;
      places[b] = goesOn ? places[b - 1] + 1 : 0;
    }
    return places;
  }

  /** A block of more strings than the school has fingers loses its lowest. */
  private void leaveOutWhatNoFingerIsFor(List<Integer> fingers, List<String> remarks) {
    int most = song.school().fingers().size();
    Collections.sort(fingers);
    while (fingers.size() > most) {
      int left = fingers.remove(0);
      // The strokes of this step are the last ones.
      int at = strokes.size() - 1;
      while (strokes.get(at).string() != left || strokes.get(at).role().isThumb()) {
        at--;
      }
      strokes.remove(at);
      String words = StringSign.of(left) + " is left out of a block: no finger is left for it";
      if (!remarks.contains(words)) {
        remarks.add(words);
      }
    }
  }

  /** The lowest open bass string that sounds the key's tonic, counted from the capo. */
  private Optional<Integer> pedal() {
    return song.key()
        .flatMap(
            k ->
                IntStream.range(0, Tuning.STRINGS / 2)
                    .filter(
                        s -> Math.floorMod(song.guitar().shapeMidi(s, 0), 12) == k.tonic().chroma())
                    .boxed()
                    .findFirst());
  }

  /** The usual string of a stroke, or the one the player pinned for this stroke where it sounds. */
  private Optional<Integer> string(
      Optional<Integer> usual, Shape shape, NoteRef ref, int lowest, List<String> remarks) {
    Optional<Integer> pinned = song.pins().string(ref);
    if (pinned.isPresent() && shape.sounds(pinned.get()) && pinned.get() >= lowest) {
      return pinned;
    }
    pinned.ifPresent(
        s ->
            remarks.add(
                StringSign.of(s)
                    + (shape.sounds(s)
                        ? " is pinned for a finger here and lies under the thumb"
                        : " is pinned for a stroke here and does not sound")));
    return usual;
  }

  /** Everything that sounds, by time and then from low to high string. */
  List<Note> notes() {
    List<List<PickFinger>> fingers =
        FingerAssignment.assign(strikes, song.school(), song.tempo())
            .or(() -> FingerAssignment.assign(strikes, song.school(), Feel.SLOWEST))
            .orElseThrow();
    List<Note> notes = new ArrayList<>();
    Stroke[] next = new Stroke[Tuning.STRINGS];
    for (int i = strokes.size() - 1; i >= 0; i--) {
      Stroke stroke = strokes.get(i);
      notes.add(note(stroke, finger(stroke, fingers), ringsUntil(stroke, next[stroke.string()])));
      next[stroke.string()] = stroke;
    }
    notes.sort(Comparator.comparingInt(Note::tick).thenComparingInt(Note::string));
    return notes;
  }

  private PickFinger finger(Stroke stroke, List<List<PickFinger>> fingers) {
    if (stroke.role().isThumb()) {
      return PickFinger.P;
    }
    int strike = strikeAt(stroke.tick());
    return fingers.get(strike).get(strikes.get(strike).strings().indexOf(stroke.string()));
  }

  /** A note rings until its string is struck again or its chord ends. */
  private int ringsUntil(Stroke stroke, Stroke next) {
    return next != null && next.slot() == stroke.slot()
        ? next.tick()
        : slots.get(stroke.slot()).endTick();
  }

  private int strikeAt(int tick) {
    return Collections.binarySearch(ticks, tick);
  }

  private Note note(Stroke stroke, PickFinger pick, int until) {
    Slot slot = slots.get(stroke.slot());
    Shape shape = slot.shape().orElseThrow();
    int fret = shape.fret(stroke.string()).orElse(0);
    Note.Part part =
        stroke.role().isThumb()
            ? Note.Part.BASS
            : stroke.role() == Role.TUNE ? Note.Part.TUNE : Note.Part.INNER;
    return new Note(
        stroke.tick(),
        until - stroke.tick(),
        stroke.string(),
        fret,
        song.guitar().midi(stroke.string(), fret),
        pick,
        shape.finger(stroke.string()),
        part,
        stroke.ref());
  }
}
