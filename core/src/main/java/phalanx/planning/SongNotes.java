package phalanx.planning;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import phalanx.arrangement.Remark;
import phalanx.arrangement.Slot;
import phalanx.arrangement.tune.TuneFit;
import phalanx.arrangement.tune.TuneRing;
import phalanx.arrangement.tune.TuneStrokes;
import phalanx.arrangement.tune.TuneWay;
import phalanx.form.Phrases;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.instrument.Tuning;
import phalanx.picking.FingerAssignment;
import phalanx.picking.Fingered;
import phalanx.picking.Pattern;
import phalanx.picking.PatternHeard;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.picking.Roll;
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
import phalanx.theory.Ticks;

/** Lays patterns on the shapes of a song and fingers them. Private to one arrangement. */
public final class SongNotes {

  /** Up to this string, ③, the thumb plucks what the index finger touches. */
  private static final int LOWEST_OF_RING = 3;

  private static final int FIFTH = 5;

  private final Song song;
  private final Timeline timeline;
  private final Clock clock;
  private final List<Slot> slots;
  private final TimedSteps placed;
  private final int[] turns;
  private final TuneStrokes tune;
  private final TuneRing ring;
  private final WalkingBass walking;
  private final Reach reach;
  private final Map<Integer, List<TimedStep>> bySlot = new HashMap<>();
  private final Map<Integer, SlotNotes> layings = new HashMap<>();
  private final List<VoicedStep> laid = new ArrayList<>();

  /** The longest walk into a chord, notes. */
  private static final int LONGEST_WALK = 3;

  private final List<Strike> strikes = new ArrayList<>();

  /** What was not heard so far of the chord that is held in parts. */
  private Set<Integer> unheard = Set.of();

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
    clock = Clock.of(song, timeline);
    this.placed = placed;
    turns = placed.turns();
    ring = new TuneRing(song.tune().onTop(), song.meter().beatTicks());
    this.slots = heldInTime(slots, placed.early());
    reach = fit.reach();
    tune = new TuneStrokes(this.slots, ways, fit);
    walking = new WalkingBass(reach, song.key());
  }

  /** Lays everything on the shapes; to be asked once. */
  FingeredNotes sounding() {
    Map<TimedStep, Integer> last = walkingStrokes();
    List<Integer> goingOn = new ArrayList<>(tune.goingOn());
    TreeMap<Integer, TimedStep> steps = withTune();
    steps.values().forEach(s -> bySlot.computeIfAbsent(s.slot(), k -> new ArrayList<>()).add(s));
    for (TimedStep step : steps.values()) {
      while (!goingOn.isEmpty() && goingOn.get(0) <= step.tick()) {
        ring(goingOn.remove(0), step.slot());
      }
      lay(step, last);
    }
    List<Fingered> fingers = FingerAssignment.assign(strikes, song.school(), song.tempo());
    leaveOutSlursFromNothing(fingers);
    remarkOn(fingers);
    List<Slot> remarked = remarked();
    FingeredNotes sounding = new FingeredNotes(song, remarked, laid, fingers);
    tune.kept((struck, slot) -> sounding.keep(struck, remarked.get(slot)));
    return sounding;
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

  /**
   * In a walking bass the strokes that lead to the next chord, by the steps that each is away from
   * its root: the last of them, and one or two before it where the thumb has more to do.
   */
  private Map<TimedStep, Integer> walkingStrokes() {
    Map<TimedStep, Integer> walking = new HashMap<>();
    if (song.thumb() != ThumbRoute.WALKING && song.thumb() != ThumbRoute.WALKING_ALWAYS) {
      return walking;
    }
    Map<Integer, List<TimedStep>> strokes = new HashMap<>();
    for (TimedStep step : placed.steps()) {
      if (step.step().plucks().anyMatch(p -> p.role().isThumb())) {
        strokes.computeIfAbsent(step.slot(), s -> new ArrayList<>()).add(step);
      }
    }
    Set<Integer> starts = song.thumb() == ThumbRoute.WALKING ? Phrases.of(song).starts() : Set.of();
    strokes.forEach(
        (slot, row) -> {
          int most = leads(slot, starts) ? Math.min(LONGEST_WALK, row.size() - 1) : 0;
          int last = row.size() - 1;
          // A walk of more than one note takes half of the thumb’s strokes at most.
          for (int k = 1; k <= Math.max(Math.min(1, most), Math.min(most, row.size() / 2)); k++) {
            walking.put(row.get(last + 1 - k), k);
          }
        });
    return walking;
  }

  /** Whether a walk leads out of a slot: into a phrase, or to any other root. */
  private boolean leads(int slot, Set<Integer> starts) {
    if (song.thumb() == ThumbRoute.WALKING_ALWAYS) {
      return true;
    }
    return slot + 1 < slots.size()
        && slots.get(slot + 1).played().ref().tick() == 0
        && starts.contains(slots.get(slot + 1).played().ref().bar());
  }

  private Optional<SlotNotes> laying(int slot) {
    SlotNotes known = layings.get(slot);
    Optional<SlotNotes> laying = known == null ? newLaying(slot) : Optional.of(known);
    laying.ifPresent(l -> layings.put(slot, l));
    return laying;
  }

  private Optional<SlotNotes> newLaying(int slot) {
    Slot at = slots.get(slot);
    if (at.isTuneAlone()) {
      return Optional.of(SlotNotes.tuneAlone(song, at));
    }
    if (at.shape().isEmpty() || !(at.played().harmony() instanceof Harmony.Sounding sounding)) {
      return Optional.empty();
    }
    StringRoles roles = StringRoles.on(at.shape().get(), sounding.chord(), song.guitar());
    Optional<ExtraFinger> third =
        song.thumb() == ThumbRoute.THREE_VOICES
            ? ThirdBass.of(at.shape().get(), sounding.chord(), roles, reach)
            : Optional.empty();
    StringRoles.Route route =
        third
            .flatMap(t -> roles.over(t.string()))
            .orElseGet(() -> roles.route(song.thumb(), pedal(song)));
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
    return chord.intervalOf(Math.floorMod(midi, 12)).filter(i -> i.number() == FIFTH).isPresent();
  }

  private void lay(TimedStep step, Map<TimedStep, Integer> last) {
    Optional<SlotNotes> laying = laying(step.slot());
    if (laying.isEmpty()) {
      return;
    }
    if (bySlot.get(step.slot()).get(0) == step) {
      TonesHeard.Bent bent = bent(step.slot(), last);
      laying.get().wishing(bent.wishes());
      say(bent, step.slot(), laying.get());
    }
    VoicedStep on = lay(step, laying.get(), ring, last);
    laid.add(on);
    strikes.add(strike(on));
  }

  private VoicedStep lay(
      TimedStep step, SlotNotes laying, TuneRing at, Map<TimedStep, Integer> last) {
    tune.at(step.tick()).forEach(s -> at.strike(s, slots.get(step.slot()).toTick()));
    List<TuneStrokes.Struck> sung =
        tune.at(step.tick()).stream().filter(TuneStrokes.Struck::begins).toList();
    Optional<SlotNotes.WalkingStep> walk =
        Optional.ofNullable(last.get(step))
            .flatMap(k -> walkFrom(step.slot(), k, isLong(last, step.slot())));
    boolean alone = slots.get(step.slot()).isTuneAlone();
    return laying.lay(alone ? step.empty() : step, walk, sung, at);
  }

  /** The strokes that go to other strings, so that the chord over a slot is heard. */
  private TonesHeard.Bent bent(int slot, Map<TimedStep, Integer> last) {
    Slot at = slots.get(slot);
    if (at.shape().isEmpty() || !(at.played().harmony() instanceof Harmony.Sounding sounding)) {
      return TonesHeard.Bent.NOTHING;
    }
    return TonesHeard.of(
        song.guitar(),
        at.shape().get(),
        sounding.chord(),
        song.thumb() == ThumbRoute.ALTERNATING,
        w -> {
          SlotNotes trial = newLaying(slot).orElseThrow().wishing(w);
          TuneRing copy = ring.copy();
          return bySlot.get(slot).stream().map(s -> lay(s, trial, copy, last)).toList();
        });
  }

  /** What no stroke can bring of a chord is said: its third and seventh, not every colour. */
  private void say(TonesHeard.Bent bent, int slot, SlotNotes laying) {
    // Where the fingers do nothing nobody expects to hear it.
    boolean fingered =
        bySlot.get(slot).stream()
            .flatMap(s -> s.step().strokes().stream())
            .anyMatch(
                s ->
                    s instanceof Stroke.Brush
                        || s instanceof Stroke.OnRole r && !r.role().isThumb());
    if (!fingered || !(slots.get(slot).played().harmony() instanceof Harmony.Sounding sounding)) {
      return;
    }
    Set<Integer> missing = new HashSet<>(bent.unheard());
    if (slots.get(slot).played().isPart()) {
      missing.retainAll(unheard);
    }
    unheard = missing;
    if (slot + 1 < slots.size() && slots.get(slot + 1).played().isPart()) {
      return;
    }
    boolean third = PatternHeard.third(sounding.chord()).filter(missing::contains).isPresent();
    boolean seventh = PatternHeard.seventh(sounding.chord()).filter(missing::contains).isPresent();
    if (third || seventh) {
      String what = third && seventh ? "third and seventh" : third ? "third" : "seventh";
      laying
          .remarks()
          .add(
              new Remark(
                  Remark.Kind.UNHEARD,
                  sounding.label() + " is heard without its " + what,
                  Optional.empty(),
                  Optional.empty(),
                  Optional.of(new Remark.Figure(0, 1, "strokes"))));
    }
  }

  private static boolean isLong(Map<TimedStep, Integer> walking, int slot) {
    return walking.entrySet().stream().anyMatch(e -> e.getKey().slot() == slot && e.getValue() > 1);
  }

  /**
   * How the thumb goes on towards the next chord.
   *
   * @param steps how many steps it is away from that chord’s root
   * @param isLong whether the walk has more notes than one
   */
  private Optional<SlotNotes.WalkingStep> walkFrom(int slot, int steps, boolean isLong) {
    Optional<Integer> here = laying(slot).flatMap(SlotNotes::root);
    Optional<Integer> next =
        slot + 1 < slots.size() ? laying(slot + 1).flatMap(SlotNotes::root) : Optional.empty();
    return next.filter(n -> !here.equals(next))
        .map(
            root ->
                steps == 1
                    ? new SlotNotes.WalkingStep(
                        (held, below) ->
                            walking.into(
                                root,
                                isLong ? Integer.signum(here.orElse(root) - root) : 0,
                                held,
                                below),
                        true)
                    : new SlotNotes.WalkingStep(
                        (held, below) -> walking.into(root, here.orElse(root), steps, held, below),
                        false));
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

  private Strike strike(VoicedStep on) {
    Optional<Integer> thumb =
        on.plucks().stream().filter(VoicedStroke::byThumb).map(VoicedStroke::string).findFirst();
    Map<Integer, PickFinger> wanted = new HashMap<>();
    Set<PickFinger> gesture = new HashSet<>();
    List<Integer> strings = new ArrayList<>();
    for (VoicedStroke p : on.plucks()) {
      if (p.byThumb() && p.played().isTouchedByPicking()) {
        gesture.add(PickFinger.I);
      }
      if (!p.byThumb() && p.slur().isEmpty()) {
        strings.add(p.string());
        p.pluck().finger().ifPresent(f -> wanted.put(p.string(), f));
        if (p.pluck().role() == Role.TUNE && isNearTouch(on.placed().tick())) {
          wanted.put(p.string(), PickFinger.A);
        }
        if (p.played().isTouchedByPicking()) {
          // The index finger touches; behind it the thumb plucks the lower strings, where it is
          // free, and the ring finger the others.
          gesture.add(PickFinger.I);
          boolean low = p.string() <= LOWEST_OF_RING && thumb.isEmpty();
          boolean ring = song.school().fingers().contains(PickFinger.A) && !low;
          wanted.put(p.string(), ring ? PickFinger.A : PickFinger.P);
        }
      }
    }
    on.brush().ifPresent(b -> gesture.addAll(b.touch().fingers()));
    on.hit().ifPresent(h -> gesture.addAll(h.hit().fingers()));
    int tick = clock.evened(on.placed().tick(), 0);
    Map<Integer, Integer> delays = new HashMap<>(delays(on));
    delays.replaceAll((string, delay) -> clock.evenedDelay(on.placed().bar(), delay));
    return new Strike(tick, thumb, strings, wanted, gesture, delays);
  }

  /** How much later than the first each string of a roll comes. */
  static Map<Integer, Integer> delays(VoicedStep on) {
    Map<Integer, Integer> delays = new HashMap<>();
    Optional<Roll> roll = on.placed().step().roll();
    int count = on.plucks().size();
    for (int k = 0; roll.isPresent() && k < count; k++) {
      int place = roll.get().towardsTreble() ? k : count - 1 - k;
      delays.put(on.plucks().get(k).string(), place * roll.get().stepTicks());
    }
    return delays;
  }

  private void remarkOn(List<Fingered> fingers) {
    OmittedStrokes left = new OmittedStrokes(song.school(), song.tempo());
    for (int i = 0; i < laid.size(); i++) {
      SlotNotes laying = laying(laid.get(i).placed().slot()).orElseThrow();
      laying.remarks().addAll(tune.remarks(laid.get(i).placed().slot()));
      int tick = laid.get(i).placed().tick();
      laying
          .remarks()
          .addAll(left.next(strikes.get(i), fingers.get(i), tick, touches(laid.get(i))));
    }
  }

  /**
   * Whether the index finger is on its way from or to a harmonic, so that the ring finger plucks.
   */
  private boolean isNearTouch(int tick) {
    return song.school().fingers().contains(PickFinger.A)
        && tune.touches().subSet(tick - Ticks.PER_QUARTER, tick + Ticks.PER_QUARTER + 1).stream()
            .anyMatch(t -> t != tick);
  }

  private static boolean touches(VoicedStep on) {
    return on.plucks().stream().anyMatch(p -> p.played().isTouchedByPicking());
  }

  /** A note that is slurred from one that no finger could pluck in time is not there either. */
  private void leaveOutSlursFromNothing(List<Fingered> fingers) {
    Map<Integer, Set<Integer>> made = new HashMap<>();
    for (int i = 0; i < laid.size(); i++) {
      int at = i;
      Set<Integer> strings = new HashSet<>();
      List<VoicedStroke> gone = new ArrayList<>();
      for (VoicedStroke p : laid.get(i).plucks()) {
        boolean there =
            p.slurredFrom()
                .map(t -> made.getOrDefault(t, Set.of()).contains(p.string()))
                .orElseGet(() -> p.slur().isEmpty() && p.isMade(fingers.get(at)));
        if (there) {
          strings.add(p.string());
        } else if (p.slur().isPresent()) {
          gone.add(p);
        }
      }
      made.put(laid.get(i).placed().tick(), strings);
      if (!gone.isEmpty()) {
        int slot = laid.get(i).placed().slot();
        laid.set(i, laid.get(i).without(gone, slots.get(slot).held()));
        laying(slot)
            .ifPresent(l -> gone.forEach(p -> l.remarks().add(slurFromNothing(p, laid.get(at)))));
      }
    }
  }

  private static Remark slurFromNothing(VoicedStroke gone, VoicedStep on) {
    return Remark.at(
        Remark.Kind.SLUR,
        "a slur is left out: no finger plucks its first note",
        on.placed().tick(),
        gone.string(),
        new Remark.Figure(0, 1, "notes"));
  }

  private List<Slot> remarked() {
    List<Slot> all = new ArrayList<>();
    for (int s = 0; s < slots.size(); s++) {
      Slot slot = slots.get(s);
      // A chord that no step falls on is looked at as well: its shape may have no second bass.
      all.add(laying(s).map(l -> slot.withRemarks(List.copyOf(l.remarks()))).orElse(slot));
    }
    return all;
  }
}
