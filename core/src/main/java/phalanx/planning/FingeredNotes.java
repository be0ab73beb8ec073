package phalanx.planning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Group;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.arrangement.tune.TunePlace;
import phalanx.arrangement.tune.TuneStrokes;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.picking.Fingered;
import phalanx.picking.Force;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.picking.Stroke;
import phalanx.song.NoteRef;
import phalanx.song.Song;
import phalanx.technique.Technique;

/**
 * Turns steps that were voiced and fingered into notes, gestures and the fingers a walking bass
 * adds.
 */
public final class FingeredNotes {

  private final Song song;
  private final List<Slot> slots;
  private final List<Note> notes = new ArrayList<>();
  private final List<Gesture> gestures = new ArrayList<>();
  private final List<Holds.Added> added = new ArrayList<>();
  private final StringCuts cuts;

  /** When the tune begins a note, and when it is over. */
  private final Set<Integer> tuneTicks = new HashSet<>();

  FingeredNotes(Song song, List<Slot> slots, List<VoicedStep> voiced, List<Fingered> fingers) {
    this.song = song;
    this.slots = slots;
    cuts = new StringCuts(slots, voiced, fingers);
    voiced.stream()
        .filter(v -> v.plucks().stream().anyMatch(p -> p.rings().isPresent()))
        .forEach(v -> tuneTicks.add(v.placed().tick()));
    // What the tune ends with may ring on.
    voiced.stream()
        .flatMap(v -> v.plucks().stream())
        .flatMap(p -> p.rings().stream())
        .max(Integer::compare)
        .ifPresent(tuneTicks::add);
    for (int i = 0; i < voiced.size(); i++) {
      VoicedStep on = voiced.get(i);
      pluck(on, fingers.get(i));
      fingers
          .get(i)
          .taken()
          .ifPresent(
              taken -> {
                brush(on);
                hit(on, taken);
              });
    }
    notes.sort(Comparator.comparingInt(Note::tick).thenComparingInt(Note::string));
  }

  /** Notes of the tune that go on into a slot keep their fingers beside the shape there. */
  void keep(List<TuneStrokes.Struck> goingOn, Slot slot) {
    Shape shape = slot.held();
    List<ExtraFinger> all = goingOn.stream().map(s -> step(s.place())).toList();
    for (int i = 0; i < all.size(); i++) {
      ExtraFinger step = all.get(i).apart(shape, all);
      int until = Math.min(goingOn.get(i).endTick(), slot.toTick());
      if (!goingOn.get(i).place().inShape() && slot.fromTick() < until) {
        added.add(
            new Holds.Added(
                step.finger(), step.grip(shape), slot.fromTick(), until, lifted(shape, step)));
      }
    }
  }

  private static ExtraFinger step(TunePlace place) {
    return place.node().isPresent()
        ? new ExtraFinger(place.string(), 0, Optional.empty(), place.left())
        : new ExtraFinger(place.string(), place.fret(), place.finger(), place.left());
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
    return cuts.damps();
  }

  /** The notes for which a finger comes down beside the shape. */
  List<Holds.Added> added() {
    return added;
  }

  private void pluck(VoicedStep on, Fingered fingers) {
    List<VoicedStroke> struck = on.plucks().stream().filter(p -> on.isMade(p, fingers)).toList();
    Map<Integer, Integer> delays = Strikes.delays(on);
    boolean rolls = !delays.isEmpty() && struck.size() > 1;
    boolean alone = struck.stream().filter(p -> p.slur().isEmpty()).count() < 2;
    for (VoicedStroke p : struck) {
      boolean swept = on.sweeps(p);
      Optional<PickFinger> pick =
          swept ? on.brush().map(b -> b.touch().letter()) : fingers.finger(p.string());
      Attack attack = p.slur().map(Attack::of).orElse(Attack.PLUCKED);
      Group group = rolls ? Group.ROLL : alone ? Group.ALONE : Group.PINCH;
      group = attack.isSlur() ? Group.ALONE : swept ? Group.BRUSH : group;
      // A string that is left alone of a roll keeps its time in it: its finger counts on that.
      int delay =
          swept
              ? on.brushed().indexOf(p.string()) * SlotNotes.BRUSH_TICKS
              : delays.getOrDefault(p.string(), 0);
      Note note =
          note(on, p.string(), pick, part(on, p), p.ref(), group, p.pluck().force(), delay)
              .starting(attack);
      if (p.rings().isPresent()) {
        note = sung(note, p.rings().get());
        if (!tuneTicks.contains(p.rings().get())) {
          // A rest is written behind it: the string is stopped, or its finger lifts.
          note = note.lasting(Math.min(note.lengthTicks(), p.rings().get() - note.tick()));
        }
      }
      if (p.step().isPresent()) {
        int back =
            cuts.leaving(on, p).stream()
                .flatMap(s -> cuts.after(s, on.placed().tick()).stream())
                .filter(t -> t < slots.get(on.placed().slot()).toTick())
                .min(Integer::compare)
                .orElse(Integer.MAX_VALUE);
        note = beside(on, note, p, back);
      }
      notes.add(played(note, p.played()));
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

  /** A note with its techniques, at the pitch that sounds with them. */
  private Note played(Note n, Articulation how) {
    if (how.techniques().isEmpty()) {
      return n;
    }
    Set<Technique> all = new HashSet<>(n.techniques());
    all.addAll(how.techniques());
    int low = how.touchedAt().isPresent() ? song.guitar().midi(n.string(), 0) : n.midi();
    return n.played(all, how.touchedAt().orElse(n.fret()), low + how.higher());
  }

  /** A note for which a finger comes down beside the shape, until it has to go back. */
  private Note beside(VoicedStep on, Note n, VoicedStroke p, int back) {
    ExtraFinger step = p.step().orElseThrow();
    int string = step.string();
    Note.Place there =
        new Note.Place(string, step.fret(), song.guitar().midi(string, step.fret()), step.finger());
    Note walked = n.with(there).lasting(Math.min(n.lengthTicks(), back - n.tick()));
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
  private static Set<Finger> lifted(Shape shape, ExtraFinger step) {
    return step.left().stream().flatMap(s -> shape.finger(s).stream()).collect(Collectors.toSet());
  }

  /** A note of the tune rings at least as long as it is written, over a change if need be. */
  private Note sung(Note n, int end) {
    int until = cuts.after(n.string(), n.tick()).map(cut -> Math.min(cut, end)).orElse(end);
    return n.lasting(Math.max(n.lengthTicks(), until - n.tick()));
  }

  private Set<Technique> techniques(int string, int until, Force force) {
    Set<Technique> techniques = new HashSet<>();
    if (cuts.isStopped(string, until)) {
      techniques.add(Technique.Plain.STOPPED);
    }
    if (force == Force.SOFT) {
      techniques.add(Technique.Plain.SOFT);
    }
    return techniques;
  }

  /** Where a tune is sung the top stroke of a figure is one of its inner notes. */
  private Note.Part part(VoicedStep on, VoicedStroke p) {
    if (p.pluck().role().isThumb()) {
      return Note.Part.BASS;
    }
    boolean sung = !slots.get(on.placed().slot()).tune().isEmpty();
    boolean top = p.pluck().role() == Role.TUNE && (p.rings().isPresent() || !sung);
    return top ? Note.Part.TUNE : Note.Part.INNER;
  }

  private void brush(VoicedStep on) {
    if (on.brush().isEmpty()) {
      return;
    }
    Stroke.Brush brush = on.brush().get();
    int tick = on.placed().tick();
    List<Integer> strings = on.brushed();
    for (int k = 0; k < strings.size(); k++) {
      if (on.isPlucked(strings.get(k))) {
        continue;
      }
      NoteRef ref = SlotNotes.ref(on.placed(), Role.INNER);
      notes.add(
          note(
              on,
              strings.get(k),
              Optional.of(brush.touch().letter()),
              Note.Part.INNER,
              ref,
              Group.BRUSH,
              brush.force(),
              k * SlotNotes.BRUSH_TICKS));
    }
    gestures.add(
        new Gesture.Brush(
            tick, strings.get(0), strings.get(strings.size() - 1), brush.touch(), brush.force()));
  }

  /** A hit; what its strike takes may be for a brush beside it. */
  private void hit(VoicedStep on, Set<PickFinger> taken) {
    on.hit()
        .ifPresent(
            h -> {
              Set<PickFinger> fingers = new HashSet<>(h.fingers());
              fingers.retainAll(taken);
              gestures.add(
                  new Gesture.Hit(
                      on.placed().tick(), h.knock().hit(), fingers, h.damped(), h.knock().force()));
            });
  }

  private Note note(
      VoicedStep on,
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
    int until = cuts.ringsUntil(tick, string, on.placed().slot());
    return new Note(
        new Note.Time(tick, until - tick, delay),
        new Note.Place(string, fret, song.guitar().midi(string, fret), holds),
        pick,
        part,
        ref,
        new Note.Manner(Attack.PLUCKED, group, techniques(string, until, force), force));
  }
}
