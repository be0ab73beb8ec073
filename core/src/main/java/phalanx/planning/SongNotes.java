package phalanx.planning;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;
import phalanx.arrangement.Slot;
import phalanx.arrangement.tune.TuneFit;
import phalanx.arrangement.tune.TuneRing;
import phalanx.arrangement.tune.TuneStrokes;
import phalanx.arrangement.tune.TuneWay;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.instrument.Tuning;
import phalanx.picking.FingerAssignment;
import phalanx.picking.Fingered;
import phalanx.picking.Pattern;
import phalanx.picking.Strike;
import phalanx.picking.StringRoles;
import phalanx.picking.Stroke;
import phalanx.picking.ThumbRoute;
import phalanx.planning.TimedSteps.TimedStep;
import phalanx.song.Clock;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.Timeline.PlayedBar;
import phalanx.theory.Chord;

/** Puts patterns on the shapes of a song and fingers them. Private to one arrangement. */
public final class SongNotes {

  private final Song song;
  private final Timeline timeline;
  private final List<Slot> slots;
  private final TimedSteps placed;
  private final int[] turns;
  private final TuneStrokes tune;
  private TuneRing ring;
  private final Strikes asked;
  private final MissingTones missing;
  private final WalkingBass walking;
  private final Reach reach;
  private final Map<Integer, List<TimedStep>> bySlot = new HashMap<>();
  private final Map<Integer, SlotNotes> notes = new HashMap<>();
  private final List<VoicedStep> voiced = new ArrayList<>();

  /** The steps of the chord at hand where they were laid already. */
  private final Deque<VoicedStep> tried = new ArrayDeque<>();

  /** When notes of the tune go on into another slot. */
  private final Deque<Integer> goingOn;

  private final List<Strike> strikes = new ArrayList<>();

  /**
   * What a song plays on the shapes of its slots.
   *
   * @param ways where the tune lies in each
   */
  SongNotes(
      Song song,
      Timeline timeline,
      List<Slot> slots,
      TimedSteps placed,
      List<TuneWay> ways,
      TuneFit fit) {
    this.song = song;
    this.timeline = timeline;
    this.placed = placed;
    turns = placed.turns();
    ring = new TuneRing(song.tune().onTop(), song.meter().beatTicks());
    this.slots = heldInTime(slots, placed.early());
    reach = fit.reach();
    tune = new TuneStrokes(this.slots, ways, fit);
    goingOn = new ArrayDeque<>(tune.goingOn());
    asked = new Strikes(song, Clock.of(song, timeline), tune);
    missing = new MissingTones(this.slots);
    walking = new WalkingBass(reach, song.key());
  }

  /** Puts everything on the shapes; to be asked once. */
  FingeredNotes sounding() {
    Map<TimedStep, WalkingStrokes.Step> last = WalkingStrokes.of(song, slots, placed);
    TreeMap<Integer, TimedStep> steps = withTune();
    steps.values().forEach(s -> bySlot.computeIfAbsent(s.slot(), k -> new ArrayList<>()).add(s));
    for (TimedStep step : steps.values()) {
      while (goesOnBy(step.tick())) {
        ring(goingOn.remove(), step.slot());
      }
      voice(step, last);
    }
    List<Fingered> fingers = fingers();
    leaveOutSlursFromNothing(fingers);
    remarkOn(fingers);
    List<Slot> remarked = remarked();
    FingeredNotes sounding = new FingeredNotes(song, remarked, voiced, fingers);
    tune.kept((struck, slot) -> sounding.keep(struck, remarked.get(slot)));
    return sounding;
  }

  /** The fingers of every strike; what a brush that is left out was to strike is plucked. */
  private List<Fingered> fingers() {
    List<Fingered> fingers = FingerAssignment.assign(strikes, song.school(), song.tempo());
    boolean changed = false;
    for (int i = 0; i < voiced.size(); i++) {
      VoicedStep on = voiced.get(i);
      if (!fingers.get(i).gesture() && on.plucks().stream().anyMatch(on::sweeps)) {
        voiced.set(i, on.plucked());
        strikes.set(i, asked.of(voiced.get(i)));
        changed = true;
      }
    }
    return changed ? fingers() : fingers;
  }

  /** Whether a note of the tune goes on into a slot up to a time. */
  private boolean goesOnBy(int tick) {
    return !goingOn.isEmpty() && goingOn.peek() <= tick;
  }

  /** The steps of the patterns, and empty ones where only the tune is struck. */
  private TreeMap<Integer, TimedStep> withTune() {
    TreeMap<Integer, TimedStep> steps = new TreeMap<>();
    placed.steps().forEach(s -> steps.put(s.tick(), s));
    tune.ticks()
        .forEach(
            (tick, slot) ->
                steps.computeIfAbsent(
                    tick,
                    t -> {
                      PlayedBar bar = barAt(t, slot);
                      return new TimedStep(t, bar, slot, Pattern.Step.of(bar.inMetre(t)));
                    }));
    return steps;
  }

  /** The bar a tick lies in, which is the one before where its chord comes early. */
  private PlayedBar barAt(int tick, int slot) {
    PlayedBar bar = timeline.barOf(slots.get(slot).played());
    return tick >= bar.startTick() || slot == 0
        ? bar
        : timeline.barOf(slots.get(slot - 1).played());
  }

  private void ring(int tick, int slot) {
    tune.at(tick).forEach(s -> ring.strike(s, slots.get(slot).toTick()));
  }

  private static List<Slot> heldInTime(List<Slot> slots, int[] early) {
    List<Slot> held = new ArrayList<>();
    for (int i = 0; i < slots.size(); i++) {
      Slot slot = slots.get(i);
      int next = i + 1 < slots.size() ? early[i + 1] : 0;
      held.add(
          early[i] == 0 && next == 0
              ? slot
              : slot.held(slot.played().tick() - early[i], slot.endTick() - next));
    }
    return held;
  }

  private Optional<SlotNotes> notesOf(int slot) {
    SlotNotes known = notes.get(slot);
    Optional<SlotNotes> slotNotes = known == null ? newNotes(slot) : Optional.of(known);
    slotNotes.ifPresent(l -> notes.put(slot, l));
    return slotNotes;
  }

  private Optional<SlotNotes> newNotes(int slot) {
    Slot at = slots.get(slot);
    if (at.isTuneAlone()) {
      return Optional.of(SlotNotes.tuneAlone(song, at));
    }
    if (at.shape().isEmpty() || !(at.played().harmony() instanceof Harmony.Sounding sounding)) {
      return Optional.empty();
    }
    StringRoles roles = StringRoles.on(at.shape().get(), sounding.chord(), song.guitar());
    ThumbRoute thumb = song.thumbAt(at.played().ref().bar());
    Optional<ExtraFinger> third =
        thumb == ThumbRoute.THREE_VOICES
            ? ThirdBass.of(at.shape().get(), sounding.chord(), roles, reach)
            : Optional.empty();
    StringRoles.Route route =
        third.flatMap(t -> roles.over(t.string())).orElseGet(() -> roles.route(thumb, pedal(song)));
    boolean fifth = goesToFifth(at.shape().get(), sounding.chord(), route);
    return Optional.of(new SlotNotes(song, at, roles, route, third).from(fifth ? turns[slot] : 0));
  }

  /** Whether the thumb’s second string has the chord’s fifth: only that may begin a bar. */
  private boolean goesToFifth(Shape shape, Chord chord, StringRoles.Route route) {
    if (route.strings().size() < 2) {
      return false;
    }
    int second = route.strings().get(1);
    int midi = song.guitar().shapeMidi(second, shape.fret(second).orElse(0));
    return chord.isFifth(Math.floorMod(midi, 12));
  }

  private void voice(TimedStep step, Map<TimedStep, WalkingStrokes.Step> last) {
    if (notesOf(step.slot()).isEmpty()) {
      return;
    }
    if (bySlot.get(step.slot()).get(0) == step) {
      begin(step.slot(), last);
    }
    VoicedStep on =
        tried.isEmpty()
            ? voice(step, notesOf(step.slot()).orElseThrow(), ring, last)
            : tried.remove();
    voiced.add(on);
    strikes.add(asked.of(on));
  }

  /** What has to be known of a chord before its first step: what is done so that it is heard. */
  private void begin(int slot, Map<TimedStep, WalkingStrokes.Step> last) {
    List<Trial> trials = new ArrayList<>();
    TonesHeard.Bent bent = bent(slot, trials, last);
    List<TimedStep> steps = bySlot.get(slot);
    if (!trials.isEmpty()
        && bent.equals(TonesHeard.Bent.NOTHING)
        && !goesOnBy(steps.get(steps.size() - 1).tick())) {
      // Nothing has to be done, so it is as it was tried first.
      Trial usual = trials.get(0);
      notes.put(slot, usual.notes());
      ring = usual.ring();
      tried.addAll(usual.steps());
      return;
    }
    SlotNotes slotNotes = notesOf(slot).orElseThrow();
    slotNotes.wishing(bent.wishes());
    if (isFingered(slot)) {
      missing.of(slot, bent.unheard()).ifPresent(slotNotes.remarks()::add);
    }
  }

  private VoicedStep voice(
      TimedStep step, SlotNotes slotNotes, TuneRing at, Map<TimedStep, WalkingStrokes.Step> last) {
    tune.at(step.tick()).forEach(s -> at.strike(s, slots.get(step.slot()).toTick()));
    List<TuneStrokes.Struck> sung =
        tune.at(step.tick()).stream().filter(TuneStrokes.Struck::begins).toList();
    Optional<SlotNotes.WalkingStep> walk =
        Optional.ofNullable(last.get(step)).flatMap(w -> walkFrom(step.slot(), w));
    boolean alone = slots.get(step.slot()).isTuneAlone();
    return slotNotes.voice(alone ? step.empty() : step, walk, sung, at);
  }

  /**
   * All steps over a slot as they were tried.
   *
   * @param notes what says where its strokes go, with what had to be done otherwise
   * @param ring what the tune needs after them
   */
  private record Trial(SlotNotes notes, TuneRing ring, List<VoicedStep> steps) {}

  private Trial tried(
      int slot, List<StrokeStrings.Wish> wishes, Map<TimedStep, WalkingStrokes.Step> last) {
    SlotNotes trial = newNotes(slot).orElseThrow().wishing(wishes);
    TuneRing copy = ring.copy();
    List<VoicedStep> steps = new ArrayList<>();
    bySlot.get(slot).forEach(s -> steps.add(voice(s, trial, copy, last)));
    return new Trial(trial, copy, steps);
  }

  /**
   * The strokes that go to other strings, so that the chord over a slot is heard.
   *
   * @param trials takes what is tried, as usual first
   */
  private TonesHeard.Bent bent(
      int slot, List<Trial> trials, Map<TimedStep, WalkingStrokes.Step> last) {
    Slot at = slots.get(slot);
    if (at.shape().isEmpty() || !(at.played().harmony() instanceof Harmony.Sounding sounding)) {
      return TonesHeard.Bent.NOTHING;
    }
    return TonesHeard.of(
        song.guitar(),
        at.shape().get(),
        sounding.chord(),
        song.thumbAt(at.played().ref().bar()) == ThumbRoute.ALTERNATING,
        w -> {
          trials.add(tried(slot, w, last));
          return trials.get(trials.size() - 1).steps();
        });
  }

  /** Whether the fingers do something over a chord: else nobody expects to hear it. */
  private boolean isFingered(int slot) {
    return bySlot.get(slot).stream()
        .flatMap(s -> s.step().strokes().stream())
        .anyMatch(
            s -> s instanceof Stroke.Brush || s instanceof Stroke.OnRole r && !r.role().isThumb());
  }

  /** How the thumb goes on towards the next chord. */
  private Optional<SlotNotes.WalkingStep> walkFrom(int slot, WalkingStrokes.Step step) {
    Optional<Integer> here = notesOf(slot).flatMap(SlotNotes::root);
    Optional<Integer> next =
        slot + 1 < slots.size() ? notesOf(slot + 1).flatMap(SlotNotes::root) : Optional.empty();
    return next.filter(n -> !here.equals(next))
        .map(
            root -> {
              int from = here.orElse(root);
              return new SlotNotes.WalkingStep(
                  (held, below) -> walked(step, root, from, held, below), step.away() == 1);
            });
  }

  private Optional<ExtraFinger> walked(
      WalkingStrokes.Step step, int root, int from, Shape held, int below) {
    if (step.away() == 1) {
      int side = step.isLong() ? Integer.signum(from - root) : 0;
      return walking.into(root, side, held, below);
    }
    Optional<ExtraFinger> on = walking.into(root, from, step.away(), held, below);
    return step.turns() ? walking.round(root, from, held, below).or(() -> on) : on;
  }

  /** The lowest open bass string that sounds the key's tonic, counted from the capo. */
  static Optional<Integer> pedal(Song song) {
    return song.key()
        .flatMap(
            k ->
                IntStream.range(0, Tuning.STRINGS / 2)
                    .filter(
                        s -> Math.floorMod(song.guitar().shapeMidi(s, 0), 12) == k.tonic().chroma())
                    .boxed()
                    .findFirst());
  }

  private void remarkOn(List<Fingered> fingers) {
    OmittedStrokes left = new OmittedStrokes(song.school(), song.tempo());
    for (int i = 0; i < voiced.size(); i++) {
      SlotNotes slotNotes = notesOf(voiced.get(i).placed().slot()).orElseThrow();
      slotNotes.remarks().addAll(tune.remarks(voiced.get(i).placed().slot()));
      int tick = voiced.get(i).placed().tick();
      slotNotes
          .remarks()
          .addAll(left.next(strikes.get(i), fingers.get(i), tick, touches(voiced.get(i))));
    }
  }

  private static boolean touches(VoicedStep on) {
    return on.plucks().stream().anyMatch(p -> p.played().isTouchedByPicking());
  }

  /** A note that is slurred from one that no finger could pluck in time is not there either. */
  private void leaveOutSlursFromNothing(List<Fingered> fingers) {
    LeftOutSlurs.of(voiced, fingers)
        .forEach(
            (i, gone) -> {
              VoicedStep on = voiced.get(i);
              int slot = on.placed().slot();
              voiced.set(i, on.without(gone, slots.get(slot).held()));
              notesOf(slot)
                  .ifPresent(n -> gone.forEach(p -> n.remarks().add(LeftOutSlurs.remark(p, on))));
            });
  }

  private List<Slot> remarked() {
    List<Slot> all = new ArrayList<>();
    for (int s = 0; s < slots.size(); s++) {
      Slot slot = slots.get(s);
      // A chord that no step falls on is looked at as well: its shape may have no second bass.
      all.add(notesOf(s).map(l -> slot.withRemarks(List.copyOf(l.remarks()))).orElse(slot));
    }
    return all;
  }
}
