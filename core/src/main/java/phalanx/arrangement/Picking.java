package phalanx.arrangement;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import phalanx.fretting.Shape;
import phalanx.instrument.Tuning;
import phalanx.picking.FingerAssignment;
import phalanx.picking.Pattern;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.picking.Strike;
import phalanx.picking.StringRoles;
import phalanx.song.Harmony;
import phalanx.song.Song;

/** Lays a pattern on the shapes of a song and fingers it. Private to one arrangement. */
final class Picking {

  private final Song song;
  private final Pattern pattern;
  private final List<Slot> slots = new ArrayList<>();
  private final List<Stroke> strokes = new ArrayList<>();
  private final List<Strike> strikes = new ArrayList<>();

  /** One string struck in one slot. */
  private record Stroke(int tick, int string, Role role, int slot) {}

  private Picking(Song song, Pattern pattern) {
    this.song = song;
    this.pattern = pattern;
  }

  static Picking of(Song song, Pattern pattern, List<Slot> slots) {
    Picking picking = new Picking(song, pattern);
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
    slots.add(new Slot(slot.played(), slot.shape(), slot.pinned(), remarks));
    int barStart = slot.played().tick() - slot.played().tick() % pattern.lengthTicks();
    int from = slot.played().tick() - barStart;
    boolean root = true;
    for (Pattern.Step step : pattern.between(from, from + slot.played().lengthTicks())) {
      List<Integer> thumb = new ArrayList<>();
      List<Integer> fingers = new ArrayList<>();
      for (Role role : step.roles()) {
        // A new chord starts on its own bass, whatever the thumb's turn in the bar would be.
        Role laid = role.isThumb() ? (root ? Role.ROOT : Role.ALTERNATE) : role;
        root = role.isThumb() ? !root : root;
        roles.string(laid).ifPresent(s -> (role.isThumb() ? thumb : fingers).add(s));
        roles
            .string(laid)
            .ifPresent(s -> strokes.add(new Stroke(barStart + step.tick(), s, laid, index)));
      }
      strikes.add(new Strike(barStart + step.tick(), thumb, fingers));
    }
  }

  /** Everything that sounds, by time and then from low to high string. */
  List<Note> notes() {
    List<List<PickFinger>> fingers =
        FingerAssignment.assign(strikes, song.school(), song.tempo())
            .or(() -> FingerAssignment.assign(strikes, song.school(), Song.SLOWEST))
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
    int low = 0;
    int high = strikes.size() - 1;
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (strikes.get(middle).tick() < tick) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
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
        part);
  }
}
