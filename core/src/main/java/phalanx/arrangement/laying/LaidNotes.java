package phalanx.arrangement.laying;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Group;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.arrangement.Technique;
import phalanx.arrangement.tune.TunePlace;
import phalanx.arrangement.tune.TuneStrokes;
import phalanx.fretting.Grip;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.picking.Fingered;
import phalanx.picking.Force;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.picking.Stroke;
import phalanx.song.NoteRef;
import phalanx.song.Song;

/** Turns what was laid and fingered into notes, gestures and the fingers a walking bass adds. */
public final class LaidNotes {

  private final Song song;
  private final List<Slot> slots;
  private final List<Note> notes = new ArrayList<>();
  private final List<Gesture> gestures = new ArrayList<>();
  private final List<Holds.Added> added = new ArrayList<>();
  private final Map<Integer, List<Integer>> beside = new TreeMap<>();
  private int besideTick = -1;
  private int besideSlot = -1;
  private final List<Damp> damps = new ArrayList<>();
  private final List<TreeSet<Integer>> cuts = new ArrayList<>();
  private final List<Set<Integer>> stops = new ArrayList<>();

  LaidNotes(Song song, List<Slot> slots, List<Laid> laid, List<Fingered> fingers) {
    this.song = song;
    this.slots = slots;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      cuts.add(new TreeSet<>());
      stops.add(new HashSet<>());
    }
    for (int i = 0; i < laid.size(); i++) {
      cut(laid.get(i), fingers.get(i));
    }
    for (int i = 0; i < laid.size(); i++) {
      pluck(laid.get(i), fingers.get(i));
      if (fingers.get(i).gesture()) {
        brush(laid.get(i));
        hit(laid.get(i));
      }
    }
    notes.sort(Comparator.comparingInt(Note::tick).thenComparingInt(Note::string));
  }

  /** Notes of the tune that go on into a slot keep their fingers beside the shape there. */
  void keep(List<TuneStrokes.Struck> goingOn, Slot slot) {
    Shape shape = slot.held();
    List<Beside> all = goingOn.stream().map(s -> step(s.place())).toList();
    for (int i = 0; i < all.size(); i++) {
      Beside step = all.get(i).apart(shape, all);
      int until = Math.min(goingOn.get(i).endTick(), slot.toTick());
      if (!goingOn.get(i).place().inShape() && slot.fromTick() < until) {
        added.add(
            new Holds.Added(
                step.finger(), step.grip(shape), slot.fromTick(), until, lifted(shape, step)));
      }
    }
  }

  private static Beside step(TunePlace place) {
    return new Beside(place.string(), place.fret(), place.finger(), place.left());
  }

  /** The slots, with remarks where the pattern had to be bent. */
  List<Slot> slots() {
    return slots;
  }

  /** Everything that sounds, by time and then from low to high string. */
  List<Note> notes() {
    return notes;
  }

  /** Hits, brushes and rolls by time. */
  List<Gesture> gestures() {
    return gestures;
  }

  /** The strings that the pattern stops, by time. */
  List<Damp> damps() {
    return damps;
  }

  /** The notes for which a finger comes down beside the shape. */
  List<Holds.Added> added() {
    return added;
  }

  /** A string stops ringing where it is struck again or stopped. */
  private void cut(Laid on, Fingered fingers) {
    int tick = on.placed().tick();
    on.plucks().stream()
        .filter(p -> isMade(p, fingers))
        .forEach(
            p -> {
              cuts.get(p.string()).add(tick);
              leaving(on, p).forEach(s -> cuts.get(s).add(tick));
              covered(on, p).forEach(s -> cuts.get(s).add(tick));
              endTogether(p.string(), tick, on.placed().slot());
              p.step()
                  .filter(s -> s.finger().isPresent() || !s.left().isEmpty())
                  .ifPresent(s -> liftOthers(s, leaving(on, p), tick, on.placed().slot()));
            });
    if (fingers.gesture()) {
      on.brushed().forEach(s -> cuts.get(s).add(tick));
      on.hit().ifPresent(h -> h.hit().damped().forEach(s -> cuts.get(s).add(tick)));
    }
    for (Damp damp : on.damps()) {
      damps.add(damp);
      damp.strings().forEach(s -> cuts.get(s).add(tick));
      damp.strings().forEach(s -> stops.get(s).add(tick));
    }
  }

  /**
   * When one of the fingers that are beside the shape together goes back, for its own string or for
   * one that it left, the others do: that one in its place and they in theirs were not tried. Over
   * another shape the fingers have left nothing any more.
   */
  private void endTogether(int string, int tick, int slot) {
    boolean goesBack =
        beside.containsKey(string)
            || besideSlot == slot && beside.values().stream().anyMatch(l -> l.contains(string));
    beside.remove(string);
    if (goesBack && besideTick != tick) {
      beside.keySet().forEach(s -> cuts.get(s).add(tick));
      beside.clear();
    }
  }

  /** A finger beside the shape lifts when the next comes down: together they were not tried. */
  private void liftOthers(Beside step, List<Integer> leaves, int tick, int slot) {
    if (besideTick != tick) {
      beside.keySet().stream().filter(s -> s != step.string()).forEach(s -> cuts.get(s).add(tick));
      beside.clear();
      besideTick = tick;
    }
    beside.put(step.string(), leaves);
    besideSlot = slot;
  }

  /** The strings that the finger leaves which comes down beside the shape. */
  private List<Integer> leaving(Laid on, Plucked p) {
    Shape shape = slots.get(on.placed().slot()).held();
    Optional<Finger> finger = p.step().filter(s -> !s.joins(shape)).flatMap(Beside::finger);
    Set<Integer> left = p.step().map(Beside::left).orElse(Set.of());
    return IntStream.range(0, Tuning.STRINGS)
        .filter(s -> s != p.string())
        .filter(s -> left.contains(s) || finger.isPresent() && shape.finger(s).equals(finger))
        .boxed()
        .toList();
  }

  /** The strings between that a finger presses which lies across several. */
  private List<Integer> covered(Laid on, Plucked p) {
    Shape shape = slots.get(on.placed().slot()).held();
    if (p.step().flatMap(Beside::finger).isEmpty()) {
      return List.of();
    }
    Grip grip = p.step().get().grip(shape);
    return IntStream.rangeClosed(grip.lowString(), grip.highString())
        .filter(s -> s != p.string() && shape.fret(s).orElse(0) <= grip.fret())
        .filter(s -> !shape.finger(s).equals(p.step().get().finger()))
        .boxed()
        .toList();
  }

  private int ringsUntil(int tick, int string, int slot) {
    Integer cut = cuts.get(string).higher(tick);
    int leaves = slots.get(slot).toTick();
    return cut == null ? leaves : Math.min(cut, leaves);
  }

  private void pluck(Laid on, Fingered fingers) {
    List<Plucked> struck = on.plucks().stream().filter(p -> isMade(p, fingers)).toList();
    Map<Integer, Integer> delays = SongLaying.delays(on);
    boolean rolls = !delays.isEmpty() && struck.size() > 1;
    boolean alone = struck.stream().filter(p -> p.slur().isEmpty()).count() < 2;
    for (Plucked p : struck) {
      Optional<PickFinger> pick = fingers.finger(p.string());
      Attack attack = p.slur().map(Attack::of).orElse(Attack.PLUCKED);
      Group group = rolls ? Group.ROLL : alone ? Group.ALONE : Group.PINCH;
      group = attack.isSlur() ? Group.ALONE : group;
      // A string that is left alone of a roll keeps its time in it: its finger counts on that.
      int delay = delays.getOrDefault(p.string(), 0);
      Note note =
          note(on, p.string(), pick, part(p), p.ref(), group, p.pluck().force(), delay)
              .starting(attack);
      if (p.rings().isPresent()) {
        note = sung(note, p.rings().get());
      }
      if (p.step().isPresent()) {
        int back =
            leaving(on, p).stream()
                .map(s -> cuts.get(s).higher(on.placed().tick()))
                .filter(t -> t != null && t < slots.get(on.placed().slot()).toTick())
                .min(Integer::compare)
                .orElse(Integer.MAX_VALUE);
        note = beside(on, note, p, back);
      }
      notes.add(note);
    }
    if (rolls) {
      int low = struck.get(0).string();
      int high = struck.get(struck.size() - 1).string();
      var roll = on.placed().step().roll().orElseThrow();
      boolean up = roll.towardsTreble();
      int tick = on.placed().tick();
      gestures.add(new Gesture.Roll(tick, up ? low : high, up ? high : low, roll.stepTicks()));
    }
  }

  /** A slurred note needs no finger of the picking hand; any other is left out without one. */
  private static boolean isMade(Plucked p, Fingered fingers) {
    return p.slur().isPresent() || fingers.finger(p.string()).isPresent();
  }

  /** A note for which a finger comes down beside the shape, until it has to go back. */
  private Note beside(Laid on, Note n, Plucked p, int back) {
    Beside step = p.step().orElseThrow();
    Note walked =
        new Note(
            n.tick(),
            Math.min(n.lengthTicks(), back - n.tick()),
            step.string(),
            step.fret(),
            song.guitar().midi(step.string(), step.fret()),
            n.pick(),
            step.finger(),
            n.part(),
            n.ref(),
            n.attack(),
            n.group(),
            n.techniques(),
            n.force(),
            n.delayTicks());
    boolean moves = !walked.fretFinger().equals(n.fretFinger()) || walked.fret() != n.fret();
    if (moves) {
      Slot slot = slots.get(on.placed().slot());
      Shape shape = slot.held();
      added.add(
          new Holds.Added(
              step.finger(),
              step.grip(shape),
              Math.max(p.downFrom(walked.tick()), slot.fromTick()),
              Math.min(walked.tick() + walked.lengthTicks(), slot.toTick()),
              lifted(shape, step)));
    }
    return walked;
  }

  /** The fingers of the shape that lift for a note beside it. */
  private static Set<Finger> lifted(Shape shape, Beside step) {
    return step.left().stream().flatMap(s -> shape.finger(s).stream()).collect(Collectors.toSet());
  }

  /** A note of the tune rings at least as long as it is written, over a change if need be. */
  private Note sung(Note n, int end) {
    Integer cut = cuts.get(n.string()).higher(n.tick());
    int until = cut == null ? end : Math.min(cut, end);
    return n.lasting(Math.max(n.lengthTicks(), until - n.tick()));
  }

  private Set<Technique> techniques(int string, int until, Force force) {
    Set<Technique> techniques = new HashSet<>();
    if (stops.get(string).contains(until)) {
      techniques.add(new Technique.Stopped());
    }
    if (force == Force.SOFT) {
      techniques.add(new Technique.Soft());
    }
    return techniques;
  }

  private static Note.Part part(Plucked p) {
    Role role = p.pluck().role();
    return role.isThumb() ? Note.Part.BASS : role == Role.TUNE ? Note.Part.TUNE : Note.Part.INNER;
  }

  private void brush(Laid on) {
    if (on.brush().isEmpty()) {
      return;
    }
    Stroke.Brush brush = on.brush().get();
    int tick = on.placed().tick();
    List<Integer> strings = on.brushed();
    for (int k = 0; k < strings.size(); k++) {
      NoteRef ref = SlotLaying.ref(on.placed(), Role.INNER);
      notes.add(
          note(
              on,
              strings.get(k),
              Optional.of(brush.touch().letter()),
              Note.Part.INNER,
              ref,
              Group.BRUSH,
              brush.force(),
              k * SlotLaying.BRUSH_TICKS));
    }
    gestures.add(
        new Gesture.Brush(
            tick, strings.get(0), strings.get(strings.size() - 1), brush.touch(), brush.force()));
  }

  private void hit(Laid on) {
    on.hit()
        .ifPresent(
            h ->
                gestures.add(
                    new Gesture.Hit(on.placed().tick(), h.hit(), h.hit().fingers(), h.force())));
  }

  private Note note(
      Laid on,
      int string,
      Optional<PickFinger> pick,
      Note.Part part,
      NoteRef ref,
      Group group,
      Force force,
      int delay) {
    int tick = on.placed().tick();
    Shape shape = slots.get(on.placed().slot()).held();
    int fret = shape.fret(string).orElse(0);
    Optional<Finger> holds = shape.finger(string);
    int until = ringsUntil(tick, string, on.placed().slot());
    return new Note(
        tick,
        until - tick,
        string,
        fret,
        song.guitar().midi(string, fret),
        pick,
        holds,
        part,
        ref,
        Attack.PLUCKED,
        group,
        techniques(string, until, force),
        force,
        delay);
  }
}
