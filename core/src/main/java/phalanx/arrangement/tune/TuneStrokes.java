package phalanx.arrangement.tune;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import phalanx.arrangement.MelodyNote;
import phalanx.arrangement.Remark;
import phalanx.arrangement.Slot;
import phalanx.instrument.Guitar;
import phalanx.instrument.HarmonicNode;
import phalanx.instrument.Tuning;
import phalanx.melody.Slur;
import phalanx.text.Phrase;
import phalanx.text.Texts;
import phalanx.theory.Ticks;

/**
 * The tune on the strings of the shapes that are held: where each note lies, how long it can ring,
 * and what of it cannot be played.
 */
public final class TuneStrokes {

  /**
   * A note of the tune in one slot.
   *
   * @param note the note
   * @param place where it lies
   * @param endTick how long it rings at least: its written end, or the change that cuts it off
   * @param begins whether it is struck in this slot; else it goes on from the one before
   * @param slur how the fretting hand makes it alone, if it does
   * @param slurredFrom when the note it is slurred from begins
   */
  public record Struck(
      MelodyNote note,
      TunePlace place,
      int endTick,
      boolean begins,
      Optional<Slur> slur,
      Optional<Integer> slurredFrom) {}

  private final List<Slot> slots;
  private final TuneFit fit;
  private List<Struck> before = List.of();
  private List<Struck> now = new ArrayList<>();
  private final List<TuneWay> ways;
  private final TreeMap<Integer, List<Struck>> at = new TreeMap<>();
  private final Map<Integer, Integer> slotAt = new HashMap<>();
  private final NavigableSet<Integer> touches = new TreeSet<>();
  private final Map<Integer, List<Remark>> remarks = new HashMap<>();

  /**
   * Lays the tune on the slots.
   *
   * @param ways where its notes lie in each
   */
  public TuneStrokes(List<Slot> slots, List<TuneWay> ways, TuneFit fit) {
    this.slots = slots;
    this.ways = List.copyOf(ways);
    this.fit = fit;
    for (int i = 0; i < slots.size(); i++) {
      lay(i);
    }
  }

  private void lay(int index) {
    Slot slot = slots.get(index);
    TuneWay way = ways.get(index);
    for (int n = 0; n < way.places().size(); n++) {
      MelodyNote note = slot.tune().get(n);
      Optional<TunePlace> place = way.places().get(n);
      boolean begins = note.tick() >= slot.fromTick();
      if (place.isEmpty()) {
        if (begins) {
          outOfReach(index, note);
        }
      } else if (begins || goesOn(index - 1, note, place.get())) {
        int tick = Math.max(note.tick(), slot.fromTick());
        int end = end(index, note, place.get());
        if (begins && now.stream().noneMatch(s -> s.note().tick() == note.tick())) {
          before = now;
          now = new ArrayList<>();
        }
        Optional<Struck> from = begins ? slurredFrom(index, note, place.get()) : Optional.empty();
        Struck struck =
            new Struck(
                note,
                place.get(),
                end,
                begins,
                from.flatMap(f -> note.slur()),
                from.map(f -> f.note().tick()));
        at.computeIfAbsent(tick, t -> new ArrayList<>()).add(struck);
        if (begins) {
          now.add(struck);
          if (note.isTouchedByPicking(place.get().finger().isPresent())) {
            touches.add(tick);
          }
        }
        slotAt.put(tick, index);
      }
    }
  }

  /** The note that another is slurred from, where it lies so that it can be. */
  private Optional<Struck> slurredFrom(int index, MelodyNote note, TunePlace place) {
    if (note.slur().isEmpty()) {
      return Optional.empty();
    }
    Optional<Struck> from =
        before.stream()
            .filter(b -> b.endTick() == note.tick() && canSlur(index, b, place, note.slur().get()))
            .findFirst();
    if (from.isEmpty()) {
      remark(index, lostSlur(note, place, note.slur().get()));
    }
    return from;
  }

  private boolean canSlur(int index, Struck from, TunePlace to, Slur slur) {
    if (from.place().node().isPresent()) {
      return false;
    }
    Slot slot = slots.get(index);
    int n = slot.tune().indexOf(from.note());
    Optional<TunePlace> here = n < 0 ? Optional.empty() : ways.get(index).places().get(n);
    List<TunePlace> together = before.stream().map(Struck::place).toList();
    return here.map(p -> fit.canSlur(slot.held(), p, together, to, slur))
        .orElseGet(
            () -> from.place().voice().leadsTo(to.voice(), SlotTune.legato(Optional.of(slur))));
  }

  /** How long a note rings from a slot on: through every change that leaves its finger in place. */
  private int end(int index, MelodyNote note, TunePlace place) {
    int slot = index;
    while (slots.get(slot).toTick() < note.endTick()
        && slot + 1 < slots.size()
        && goesOn(slot + 1, note, place)) {
      slot++;
    }
    if (slots.get(slot).toTick() < note.endTick() && note.tick() >= slots.get(index).fromTick()) {
      remark(slot, Remark.note(Texts.of("tuneStrokes.theTuneSIs", note.label())));
    }
    return Math.min(note.endTick(), slots.get(slot).toTick());
  }

  private boolean goesOn(int index, MelodyNote note, TunePlace place) {
    int n = index < 0 ? -1 : slots.get(index).tune().indexOf(note);
    return n >= 0
        && n < ways.get(index).places().size()
        && ways.get(index).places().get(n).filter(p -> p.voice().equals(place.voice())).isPresent();
  }

  private void outOfReach(int slot, MelodyNote note) {
    double quarters = (double) (note.endTick() - note.tick()) / Ticks.PER_QUARTER;
    remark(
        slot,
        new Remark(
            Remark.Kind.TUNE_REACH,
            Texts.of("tuneStrokes.theTuneS", note.label(), where(note)),
            Optional.of(note.tick()),
            note.string(),
            Optional.of(new Remark.Figure(0, quarters, "quarters"))));
  }

  /** Whether any hand could reach a pitch on this guitar. */
  private String where(MelodyNote note) {
    if (note.isNatural()) {
      return whereTouched(note);
    }
    int midi = note.frettedMidi();
    Guitar guitar = fit.reach().guitar();
    int lowest =
        IntStream.range(0, Tuning.STRINGS).map(s -> guitar.shapeMidi(s, 0)).min().orElse(0);
    int highest =
        IntStream.range(0, Tuning.STRINGS).map(s -> guitar.shapeMidi(s, 0)).max().orElse(0)
            + fit.reach().highestFret();
    if (midi < lowest) {
      return Texts.of("tuneStrokes.isOutOfReach");
    }
    return midi > highest
        ? Texts.of("tuneStrokes.isOutOfReach2")
        : Texts.of("tuneStrokes.isOutOfReach3");
  }

  /** Why a natural harmonic has no place: it is off its nodes, or its string is not free. */
  private String whereTouched(MelodyNote note) {
    Guitar guitar = fit.reach().guitar();
    List<HarmonicNode> nodes = HarmonicNode.sounding(guitar, note.midi() + guitar.capo());
    List<HarmonicNode> wanted =
        nodes.stream()
            .filter(note::allows)
            .filter(n -> note.string().filter(s -> s != n.string()).isEmpty())
            .toList();
    if (nodes.isEmpty()) {
      return Texts.of("tuneStrokes.isNoNaturalHarmonic");
    }
    return wanted.isEmpty()
        ? Texts.of(
            "tuneStrokes.isOutOfReach4",
            nodes.stream()
                .sorted(
                    Comparator.comparingInt(HarmonicNode::harmonic)
                        .thenComparingDouble(HarmonicNode::fret))
                .limit(2)
                .map(HarmonicNode::where)
                .collect(Collectors.joining(Texts.of("tuneStrokes.or"))))
        : Texts.of("tuneStrokes.isOutOfReach5");
  }

  /** Says how far apart the two notes of a slur lie that cannot be made. */
  private Remark lostSlur(MelodyNote note, TunePlace place, Slur wanted) {
    Optional<TunePlace> from = before.stream().map(Struck::place).findFirst();
    int strings = from.map(p -> Math.abs(p.string() - place.string())).orElse(0);
    int frets = from.map(p -> place.fret() - p.fret()).orElse(0);
    Remark.Figure figure =
        strings > 0
            ? new Remark.Figure(strings, 0, "strings")
            : new Remark.Figure(frets, wanted == Slur.PULL_OFF ? -1 : 1, "frets");
    String words = Texts.of("tuneStrokes.noToTheTune");
    return Remark.at(
        Remark.Kind.SLUR,
        Phrase.of(words, wanted.words(), note.label()),
        note.tick(),
        place.string(),
        figure);
  }

  private void remark(int slot, Remark remark) {
    List<Remark> said = remarks.computeIfAbsent(slot, s -> new ArrayList<>());
    if (!said.contains(remark)) {
      said.add(remark);
    }
  }

  /** The notes at a time; none where nothing begins or goes on into a slot. */
  public List<Struck> at(int tick) {
    return at.getOrDefault(tick, List.of());
  }

  /** The times at which a note is struck, each with its slot. */
  public Map<Integer, Integer> ticks() {
    Map<Integer, Integer> struck = new TreeMap<>(slotAt);
    struck.keySet().removeIf(t -> at.get(t).stream().noneMatch(Struck::begins));
    return struck;
  }

  /** The times at which the picking hand touches a harmonic. */
  public NavigableSet<Integer> touches() {
    return touches;
  }

  /** The times at which one goes on into a new slot. */
  public List<Integer> goingOn() {
    return at.entrySet().stream()
        .filter(e -> e.getValue().stream().anyMatch(s -> !s.begins()))
        .map(Map.Entry::getKey)
        .toList();
  }

  /** Hands over the notes that go on into each slot, with the place of the slot in the song. */
  public void kept(BiConsumer<List<Struck>, Integer> each) {
    at.forEach(
        (tick, struck) ->
            each.accept(struck.stream().filter(s -> !s.begins()).toList(), slotAt.get(tick)));
  }

  /** What of the tune cannot be played in a slot. */
  public List<Remark> remarks(int slot) {
    return remarks.getOrDefault(slot, List.of());
  }
}
