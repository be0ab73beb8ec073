package phalanx.planning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Damp;
import phalanx.arrangement.MelodyNote;
import phalanx.arrangement.Remark;
import phalanx.arrangement.ShapeSuggestion;
import phalanx.arrangement.Slot;
import phalanx.arrangement.tune.SlotTune;
import phalanx.arrangement.tune.TuneAlone;
import phalanx.arrangement.tune.TuneFit;
import phalanx.arrangement.tune.TuneWay;
import phalanx.fretting.FretRow;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.RecentlyUsed;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapePlan;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeTrial;
import phalanx.fretting.StretchRule;
import phalanx.picking.PatternHeard;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.Timeline.PlayedSlot;
import phalanx.text.Texts;

/** Puts both hands together over the shapes that a plan chose. */
final class BothHands {

  /** Why a chord has no shape, and what would help. */
  record Stuck(String reason, List<ShapeSuggestion> ways) {}

  private static final String FILLER_LEFT_OUT = Texts.of("bothHands.aNoteBetweenThe");

  private final SongSlots known;
  private final RecentlyUsed<ShapeQuery, Stuck> noShape;

  /**
   * For a song.
   *
   * @param noShape why chords have no shape, as far as that was looked for
   */
  BothHands(SongSlots known, RecentlyUsed<ShapeQuery, Stuck> noShape) {
    this.known = known;
    this.noShape = noShape;
  }

  /** What both hands do under a plan. */
  Arrangement under(ShapePlan plan) {
    Song song = known.song();
    Timeline timeline = known.timeline();
    TuneFit fit = known.fit();
    List<Slot> slots =
        IntStream.range(0, known.count())
            .parallel()
            .mapToObj(i -> slot(i, plan.chosen(i).shape()))
            .toList();
    List<TuneWay> ways =
        IntStream.range(0, known.count())
            .parallel()
            .mapToObj(i -> way(song, slots.get(i), plan.chosen(i), known.tunes().get(i), fit))
            .collect(Collectors.toCollection(ArrayList::new));
    tuneAlone(slots, ways, fit.reach());
    FingeredNotes sounding =
        new SongNotes(song, timeline, slots, known.placed(), ways, fit).sounding();
    WantedDamps damps = WantedDamps.of(song, timeline, sounding, fit.reach());
    Arrangement wanted = put(known, damps.slots(), sounding, damps.all(), plan);
    List<Damp> more = PlannedDamps.in(wanted);
    if (more.isEmpty()) {
      return wanted;
    }
    List<Damp> all = Stream.concat(damps.all().stream(), more.stream()).sorted(BY_TICK).toList();
    return put(known, damps.slots(), sounding, all, plan);
  }

  private static final Comparator<Damp> BY_TICK = Comparator.comparingInt(Damp::tick);

  private static Arrangement put(
      SongSlots known, List<Slot> slots, FingeredNotes sounding, List<Damp> damps, ShapePlan plan) {
    Reach reach = known.fit().reach();
    List<Slot> resting =
        RestingFingers.in(slots, sounding.notes(), damps).stream()
            .map(s -> withStretch(s, reach))
            .toList();
    return new Arrangement(
        known.song(),
        known.timeline(),
        resting,
        sounding.notes(),
        sounding.gestures(),
        damps,
        Holds.of(resting, sounding.added()),
        plan);
  }

  /** What the fingers that are asked for have to span is said, where it is wide. */
  private static Slot withStretch(Slot slot, Reach reach) {
    return StretchRule.of(slot.asked(), reach)
        .map(
            f -> {
              List<Remark> more = new ArrayList<>(slot.found());
              more.add(Remark.note(f.words()));
              return slot.withRemarks(more);
            })
        .orElse(slot);
  }

  /** Where no chord is held the tune is fingered along the whole row of such slots. */
  private static void tuneAlone(List<Slot> slots, List<TuneWay> ways, Reach reach) {
    int from = 0;
    while (from < slots.size()) {
      int to = from;
      while (to < slots.size() && slots.get(to).isTuneAlone()) {
        to++;
      }
      if (to > from) {
        List<TuneWay> row =
            TuneAlone.ways(slots.subList(from, to).stream().map(Slot::tune).toList(), reach);
        for (int i = from; i < to; i++) {
          ways.set(i, row.get(i - from));
        }
      }
      from = Math.max(to, from + 1);
    }
  }

  private static TuneWay way(Song song, Slot slot, RatedShape chosen, SlotTune tune, TuneFit fit) {
    return slot.played().harmony() instanceof Harmony.Sounding s && !tune.notes().isEmpty()
        ? TuneCandidates.way(Arranger.query(song, s.chord()), chosen, tune, fit)
        : TuneWay.NONE;
  }

  private static Remark beyondTheNeck(Shape pinned, Reach reach) {
    int highest = pinned.grips().values().stream().mapToInt(g -> g.fret()).max().orElse(0);
    return Remark.of(
        Remark.Kind.PIN,
        Texts.of("bothHands.thePinnedShapeIs", pinned.fretText()),
        new Remark.Figure(highest, reach.highestFret(), "frets"));
  }

  private static Remark noFingers(FretRow frets, Reach reach) {
    String trouble =
        ShapeTrial.of(frets.frets(), reach).trouble().orElse(Texts.of("bothHands.noHandTakesThem"));
    return Remark.of(
        Remark.Kind.PIN,
        Texts.of("bothHands.thePinnedFretsCannot", frets.text(), trouble),
        new Remark.Figure(0, 1, "shapes"));
  }

  private Slot slot(int index, Shape shape) {
    Song song = known.song();
    PlayedSlot played = known.timeline().slots().get(index);
    PatternHeard heard = known.heard().get(index);
    List<MelodyNote> tune = known.tune(index);
    Reach reach = known.fit().reach();
    Optional<Shape> pin = song.pins().shape(played.ref());
    List<Remark> remarks = new ArrayList<>();
    pin.filter(p -> !SlotRows.fits(p, reach)).ifPresent(p -> remarks.add(beyondTheNeck(p, reach)));
    song.pins()
        .frets(played.ref())
        .filter(f -> !f.isOf(shape))
        .ifPresent(f -> remarks.add(noFingers(f, reach)));
    if (known.leavesOut(played)) {
      remarks.add(Remark.note(FILLER_LEFT_OUT));
    }
    boolean pinned = song.pins().holds(played.ref());
    if (!shape.equals(Shape.NOTHING)) {
      return new Slot(played, Optional.of(shape), pinned, remarks, List.of(), heard, tune);
    }
    List<ShapeSuggestion> ways = List.of();
    if (played.harmony() instanceof Harmony.Sounding s) {
      Stuck stuck =
          noShape.get(
              Arranger.query(song, s.chord()),
              q ->
                  new Stuck(
                      ShapeSuggestions.reason(song, s.chord()),
                      ShapeSuggestions.of(song, s.chord())));
      remarks.add(
          Remark.of(Remark.Kind.NO_SHAPE, stuck.reason(), new Remark.Figure(0, 1, "shapes")));
      ways = stuck.ways();
    } else if (played.harmony() instanceof Harmony.Unread u) {
      remarks.add(Remark.note(Texts.of("bothHands.isNotAChord", u.text())));
    }
    return new Slot(played, Optional.empty(), pinned, remarks, ways, heard, tune);
  }
}
