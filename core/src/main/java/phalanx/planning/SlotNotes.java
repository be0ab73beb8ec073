package phalanx.planning;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.IntPredicate;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Damper;
import phalanx.arrangement.Remark;
import phalanx.arrangement.Slot;
import phalanx.arrangement.tune.TuneRing;
import phalanx.arrangement.tune.TuneStrokes;
import phalanx.fretting.Shape;
import phalanx.instrument.Tuning;
import phalanx.picking.Force;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.picking.StringRoles;
import phalanx.picking.Stroke;
import phalanx.planning.TimedSteps.TimedStep;
import phalanx.song.NoteRef;
import phalanx.song.Song;
import phalanx.text.Texts;

/** Lays the steps over one chord on the strings of its shape. */
public final class SlotNotes {

  /** Time from string to string in a brush, ticks: about 14 ms at 90 quarters a minute. */
  static final int BRUSH_TICKS = 105;

  private final Song song;
  private final Shape shape;
  private final StringRoles roles;
  private final StringRoles.Route route;
  private final Optional<ExtraFinger> third;
  private final boolean hasTune;
  private final TuneNotes tuneNotes;
  private final Set<Remark> remarks = new LinkedHashSet<>();
  private final StrokeStrings strings;

  /**
   * For a chord.
   *
   * @param third the third voice of the thumb's route where it lies outside the shape
   */
  SlotNotes(
      Song song,
      Slot slot,
      StringRoles roles,
      StringRoles.Route route,
      Optional<ExtraFinger> third) {
    this.third = third;
    this.song = song;
    this.shape = slot.held();
    this.roles = roles;
    this.route = route;
    hasTune = !slot.tune().isEmpty();
    tuneNotes = new TuneNotes(song.pins(), roles, slot.toTick());
    strings = new StrokeStrings(song, shape, roles, route, remarks);
    remarks.addAll(slot.found());
    roles.remarks().forEach(this::say);
    route.remarks().forEach(this::say);
  }

  /** With some strokes on other strings, where those are free. */
  SlotNotes wishing(List<StrokeStrings.Wish> others) {
    strings.wish(others);
    return this;
  }

  /** With the thumb’s route going on from a stroke of it. */
  SlotNotes from(int turn) {
    strings.from(turn);
    return this;
  }

  /** For a tune over no chord: no string is the pattern's. */
  static SlotNotes tuneAlone(Song song, Slot slot) {
    StringRoles roles = StringRoles.NONE;
    return new SlotNotes(
        song,
        slot,
        roles,
        roles.route(song.thumbAt(slot.played().ref().bar()), Optional.empty()),
        Optional.empty());
  }

  /** What had to be done otherwise than the pattern says. */
  Set<Remark> remarks() {
    return remarks;
  }

  private void say(String words) {
    remarks.add(Remark.note(words));
  }

  /** The first bass string of the chord as a MIDI note counted from the capo. */
  Optional<Integer> root() {
    return route.strings().stream()
        .findFirst()
        .map(s -> song.guitar().shapeMidi(s, shape.fret(s).orElse(0)));
  }

  /**
   * Lays one step.
   *
   * @param walk finds the step into the next root, given the lowest finger string; empty for none
   * @param tune the notes of the tune that begin with it
   * @param ring the strings the tune needs, those that begin now included
   */
  VoicedStep voice(
      TimedStep placed, Optional<WalkingStep> walk, List<TuneStrokes.Struck> tune, TuneRing ring) {
    Map<Integer, VoicedStroke> plucks = new HashMap<>();
    if (!tune.isEmpty()) {
      int low = tune.stream().mapToInt(t -> t.place().string()).min().orElseThrow();
      tune.forEach(t -> plucks.put(t.place().string(), tuneNotes.stroke(placed, t, low)));
      List<ExtraFinger> beside = plucks.values().stream().flatMap(p -> p.step().stream()).toList();
      plucks.replaceAll((string, p) -> p.apart(shape, beside));
    }
    int belowTune = plucks.keySet().stream().min(Integer::compare).orElse(Tuning.STRINGS);
    List<Stroke.Pluck> wanted = wanted(placed);
    int lowest = 0;
    for (Stroke.Pluck pluck : wanted) {
      NoteRef ref = ref(placed, pluck.role());
      if (tuneNotes.replaces(pluck, ref, belowTune)) {
        strings.givesWay(pluck.role());
        continue;
      }
      // One finger beside the shape is as much as was tried: the tune's comes first.
      boolean atThird =
          third.isPresent() && strings.isThirdsTurn() && !ring.holdsBeside(placed.tick());
      int most = pluck.role().isThumb() ? belowTune - 1 : Tuning.STRINGS - 1;
      Optional<Integer> string =
          strings.room(
              strings.wanted(pluck, ref, lowest, placed.tick()),
              pluck,
              ref,
              lowest,
              most,
              placed.tick(),
              ring,
              plucks);
      if (string.isPresent()) {
        boolean outside =
            pluck.role() == Role.THUMB && atThird && string.get() == third.get().string();
        plucks.put(
            string.get(),
            new VoicedStroke(
                string.get(),
                softer(pluck, string.get(), placed.tick(), ring),
                ref,
                outside ? third : Optional.empty()));
        lowest = pluck.role().isThumb() ? string.get() + 1 : lowest;
      }
    }
    if (!ring.holdsBeside(placed.tick())) {
      walk.ifPresent(w -> walk(plucks, w, placed.tick(), ring));
    }
    plucks.keySet().forEach(s -> strings.struck(s, placed.tick()));
    List<VoicedStroke> rising = new ArrayList<>(plucks.values());
    rising.sort((a, b) -> a.string() - b.string());
    Optional<Stroke.Brush> brush = only(placed, Stroke.Brush.class);
    List<Integer> brushed =
        brush
            .map(b -> new BrushPath(shape, strings, remarks).of(b, rising, placed.tick(), ring))
            .orElse(List.of());
    Optional<VoicedHit> hit =
        only(placed, Stroke.Knock.class)
            .flatMap(h -> hit(h, s -> !plucks.containsKey(s) && ring.rings(s, placed.tick())));
    return new VoicedStep(
        placed, rising, brush.filter(b -> !brushed.isEmpty()), brushed, hit, damps(placed, ring));
  }

  /** The plucks of a step, the thumb's first. */
  private List<Stroke.Pluck> wanted(TimedStep placed) {
    List<Stroke.Pluck> thumb = new ArrayList<>();
    List<Stroke.Pluck> fingers = new ArrayList<>();
    for (Stroke stroke : placed.step().strokes()) {
      if (stroke instanceof Stroke.Pluck p && !isTakenByTune(p, placed.tick())) {
        (p.role().isThumb() ? thumb : fingers).add(p);
      }
    }
    thumb.addAll(fingers);
    return thumb;
  }

  /**
   * Where there is a tune it takes the place of the pattern's own, but for a stroke while it is
   * held that the chord wants in order to be heard.
   */
  private boolean isTakenByTune(Stroke.Pluck pluck, int tick) {
    return pluck.role() == Role.TUNE && hasTune && !strings.isWished(pluck.role(), tick);
  }

  /** What lies above a tune that sounds on is soft. */
  private Stroke.Pluck softer(Stroke.Pluck pluck, int string, int tick, TuneRing ring) {
    return pluck.role().isThumb() || !ring.isHigher(string, strings.pitch(string), tick)
        ? pluck
        : new Stroke.Pluck(pluck.role(), Force.SOFT, pluck.finger(), pluck.techniques());
  }

  /** Where a stroke is written: its bar, and the ticks from where the bar's metre begins. */
  static NoteRef ref(TimedStep placed, Role role) {
    return new NoteRef(
        placed.bar().written(), placed.step().tick() - placed.bar().metreTick(), role);
  }

  /** A hit that would stop the tune spares its string or is left out. */
  private Optional<VoicedHit> hit(Stroke.Knock knock, IntPredicate rings) {
    Optional<VoicedHit> hit = VoicedHit.beside(knock, rings);
    if (hit.isEmpty()) {
      say(Texts.of("slotNotes.aIsLeftOut", knock.hit().words()));
    } else if (hit.get().isSparing()) {
      say(Texts.of("slotNotes.aSparesTheTune", knock.hit().words()));
    }
    return hit;
  }

  /**
   * How a walking bass goes on from here.
   *
   * @param into where a finger comes down: over a shape, below a string
   * @param isLast whether the next root follows; that it has no step there is said
   */
  record WalkingStep(BiFunction<Shape, Integer, Optional<ExtraFinger>> into, boolean isLast) {}

  private void walk(Map<Integer, VoicedStroke> plucks, WalkingStep walk, int tick, TuneRing ring) {
    Optional<VoicedStroke> thumb =
        plucks.values().stream().filter(VoicedStroke::byThumb).findFirst();
    if (thumb.filter(t -> song.pins().string(t.ref()).isPresent()).isPresent()) {
      return;
    }
    int below =
        plucks.keySet().stream()
            .filter(s -> thumb.isEmpty() || s != thumb.get().string())
            .mapToInt(s -> s)
            .min()
            .orElse(Tuning.STRINGS);
    Optional<ExtraFinger> step =
        walk.into().apply(shape, below).filter(s -> !ring.blocks(s.string(), tick));
    if (thumb.isPresent() && step.isPresent()) {
      VoicedStroke usual = thumb.get();
      plucks.remove(usual.string());
      plucks.put(
          step.get().string(),
          new VoicedStroke(step.get().string(), usual.pluck(), usual.ref(), step));
    } else if (thumb.isPresent() && walk.isLast()) {
      say(Texts.of("slotNotes.noStepIntoThe"));
    }
  }

  private static <T extends Stroke> Optional<T> only(TimedStep placed, Class<T> kind) {
    for (Stroke stroke : placed.step().strokes()) {
      if (kind.isInstance(stroke)) {
        return Optional.of(kind.cast(stroke));
      }
    }
    return Optional.empty();
  }

  /** What the pattern stops: the thumb its strings, each finger its own, but never the tune. */
  private List<Damp> damps(TimedStep placed, TuneRing ring) {
    List<Damp> damps = new ArrayList<>();
    int tick = placed.tick();
    for (Stroke stroke : placed.step().strokes()) {
      if (stroke instanceof Stroke.Stop stop && stop.role().isThumb()) {
        List<Integer> stopped = route.strings().stream().filter(s -> !ring.rings(s, tick)).toList();
        if (!stopped.isEmpty()) {
          damps.add(new Damp(tick, stopped, new Damper.Picking(PickFinger.P)));
        }
      } else if (stroke instanceof Stroke.Stop stop) {
        roles
            .string(stop.role())
            .filter(s -> !ring.rings(s, tick))
            .map(s -> damp(tick, s))
            .ifPresent(damps::add);
      }
    }
    return damps;
  }

  private Damp damp(int tick, int string) {
    return new Damp(tick, List.of(string), new Damper.Picking(song.school().atHome(string)));
  }
}
