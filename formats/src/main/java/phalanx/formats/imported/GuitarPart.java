package phalanx.formats.imported;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import phalanx.chart.ChordProposal;
import phalanx.formats.Texts;
import phalanx.fretting.FretRow;
import phalanx.fretting.Shape;
import phalanx.fretting.Stop;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.melody.BarTune;
import phalanx.melody.Want;
import phalanx.picking.Force;
import phalanx.picking.Pattern;
import phalanx.picking.PatternRules;
import phalanx.picking.PatternWriter;
import phalanx.picking.Role;
import phalanx.picking.Stroke;
import phalanx.picking.Touch;
import phalanx.picking.WrittenPattern;
import phalanx.song.Bar;
import phalanx.song.ChordChange;
import phalanx.song.NoteRef;
import phalanx.song.Patterns;
import phalanx.song.Pins;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.SongBounds;
import phalanx.song.Tune;
import phalanx.technique.Technique;
import phalanx.technique.TechniqueText;
import phalanx.theory.Key;
import phalanx.theory.Meter;

/**
 * A whole guitar part made into a song: what a shape holds is pinned and struck by a pattern of the
 * bar’s own, each stroke on its string; what is slurred, or lies beside the shape, is the tune in
 * its places. The plan then plays what was written, and the findings judge it.
 */
public final class GuitarPart {

  private final Guitar guitar;
  private final List<ImportedBar> bars;
  private final List<List<FrettedNote>> notes;
  private final Map<Integer, WrittenPattern> patterns = new HashMap<>();
  private final List<List<Struck>> struck = new ArrayList<>();
  private final boolean told;

  /** A stroke of a bar with the string that it is pinned to. */
  private record Struck(int tick, Role role, int string) {}

  private GuitarPart(Guitar guitar, List<ImportedBar> bars, List<List<FrettedNote>> notes) {
    this.guitar = guitar;
    this.bars = bars;
    this.notes = notes;
    told = notes.stream().flatMap(List::stream).anyMatch(FrettedNote::tune);
  }

  /**
   * A song of a part.
   *
   * @param plain title, key, guitar
   * @param bars its bars; those without any chord among them get chords proposed
   * @param notes what is played in each
   */
  public static Song of(Song plain, List<ImportedBar> bars, List<List<FrettedNote>> notes) {
    GuitarPart part = new GuitarPart(plain.guitar(), bars, notes);
    Optional<Key> key = plain.key();
    if (bars.stream().allMatch(b -> b.chords.isEmpty())) {
      key = Optional.of(ImportedSong.propose(bars, part.tones(), key));
    }
    for (int b = 0; b < bars.size(); b++) {
      part.bar(b);
    }
    Song song = ImportedSong.of(plain.withKey(key), bars);
    return part.pinned(song.withTune(song.tune().withOnTop(part.told)));
  }

  /**
   * A song that has its bars and chords already, with what is played in them pinned.
   *
   * @param played what is played in a bar, by its identity
   */
  public static Song over(Song song, IntFunction<List<FrettedNote>> played) {
    Map<Integer, Meter> meters = song.chart().meters(song.meter());
    List<ImportedBar> bars = new ArrayList<>();
    List<List<FrettedNote>> notes = new ArrayList<>();
    for (Bar written : song.chart().bars()) {
      ImportedBar bar = new ImportedBar(meters.get(written.id()));
      boolean pickup = bars.isEmpty() && song.feel().pickupTicks() > 0;
      bar.lengthTicks = pickup ? song.feel().pickupTicks() : 0;
      song.chart().changes(written).forEach(bar::chord);
      bars.add(bar);
      notes.add(played.apply(written.id()));
    }
    GuitarPart part = new GuitarPart(song.guitar(), bars, notes);
    Map<Integer, BarTune> tunes = new HashMap<>();
    for (int b = 0; b < bars.size(); b++) {
      part.bar(b);
      BarTune tune = ImportedSong.tune(bars.get(b));
      if (!tune.isSilent()) {
        tunes.put(song.chart().bars().get(b).id(), tune);
      }
    }
    return part.pinned(song.withTune(new Tune(tunes, part.told)));
  }

  private List<List<ChordProposal.Tone>> tones() {
    List<List<ChordProposal.Tone>> tones = new ArrayList<>();
    for (List<FrettedNote> bar : notes) {
      tones.add(
          bar.stream()
              .map(
                  n ->
                      new ChordProposal.Tone(
                          n.tick(), n.lengthTicks(), guitar.shapeMidi(n.string(), n.fret())))
              .toList());
    }
    return tones;
  }

  private int length(ImportedBar bar) {
    return bar.lengthTicks > 0 ? bar.lengthTicks : bar.meter.barTicks();
  }

  /** Parts the notes of a bar between shape and tune, and writes the bar’s pattern. */
  private void bar(int b) {
    List<FrettedNote> all = notes.get(b);
    List<FrettedNote> tune = new ArrayList<>();
    List<FrettedNote> held = new ArrayList<>();
    for (FrettedNote note : all) {
      (isHeld(b, note) ? held : tune).add(note);
    }
    tune(bars.get(b), tune);
    pattern(b, held);
  }

  /**
   * Whether a note belongs to what a shape holds: nothing else is played on its string under the
   * same chord, and the pattern can strike it as it is. Where the file tells which notes are the
   * tune no other becomes one, though a bass may then lie at its shape’s fret instead.
   */
  private boolean isHeld(int b, FrettedNote note) {
    int slot = slotAt(bars.get(b), note.tick());
    boolean moves =
        notes.get(b).stream()
            .filter(n -> n.string() == note.string())
            .filter(n -> slotAt(bars.get(b), n.tick()) == slot)
            .anyMatch(n -> n.fret() != note.fret());
    return !note.tune()
        && (told || !moves)
        && note.slur().isEmpty()
        && note.graces().isEmpty()
        && !slurs(notes.get(b), note)
        && isOfStrokes(note);
  }

  private static boolean isOfStrokes(FrettedNote note) {
    return note.techniques().stream().allMatch(TechniqueText::isOfStrokes);
  }

  /** Whether the next note on its string is slurred from it. */
  private static boolean slurs(List<FrettedNote> all, FrettedNote note) {
    return all.stream()
        .filter(n -> n.string() == note.string() && n.tick() > note.tick())
        .min(Comparator.comparingInt(FrettedNote::tick))
        .filter(n -> n.slur().isPresent())
        .isPresent();
  }

  private static int slotAt(ImportedBar bar, int tick) {
    int at = 0;
    for (ChordChange change : bar.chords) {
      at = change.tick() <= tick ? change.tick() : at;
    }
    return at;
  }

  private static void tune(ImportedBar bar, List<FrettedNote> tune) {
    TreeMap<Integer, List<FrettedNote>> at = new TreeMap<>();
    tune.forEach(n -> at.computeIfAbsent(n.tick(), t -> new ArrayList<>()).add(n));
    at.forEach(
        (tick, here) -> {
          Integer next = at.higherKey(tick);
          int end = here.stream().mapToInt(FrettedNote::endTick).max().orElse(tick + 1);
          end = next == null ? end : Math.min(end, next);
          List<Want> wants = new ArrayList<>();
          here.stream()
              .sorted(Comparator.comparingInt(n -> -n.string()))
              .forEach(n -> wants.add(n.want()));
          Set<Technique> techniques =
              here.stream().flatMap(n -> n.techniques().stream()).collect(Collectors.toSet());
          bar.tune.add(
              new ImportedNote(
                  tick,
                  Math.max(1, end - tick),
                  wants,
                  here.stream().allMatch(FrettedNote::goesOn),
                  here.stream().flatMap(n -> n.slur().stream()).findFirst(),
                  here.stream().flatMap(n -> n.graces().stream()).toList(),
                  TechniqueText.areTogether(techniques) ? techniques : Set.of()));
        });
  }

  /** The bar’s own pattern; what no pattern’s text can say is put on its finest grid. */
  private void pattern(int b, List<FrettedNote> held) {
    ImportedBar bar = bars.get(b);
    List<Struck> strokes = new ArrayList<>();
    Pattern pattern = pattern(bar, held, 1, strokes);
    int beat = bar.meter.beatTicks();
    if (!PatternWriter.canWrite(pattern, beat)) {
      strokes.clear();
      pattern = pattern(bar, held, beat / FINEST, strokes);
    }
    struck.add(strokes);
    patterns.put(
        b,
        new WrittenPattern(
            Texts.of("guitarPart.asWritten"),
            Texts.of("guitarPart.asThePartHas"),
            bar.meter,
            pattern));
  }

  /** A beat of a pattern is cut into this many parts at most. */
  private static final int FINEST = 8;

  private Pattern pattern(ImportedBar bar, List<FrettedNote> held, int grid, List<Struck> strokes) {
    int offset = Math.max(0, bar.meter.barTicks() - length(bar));
    TreeMap<Integer, List<FrettedNote>> at = new TreeMap<>();
    for (FrettedNote note : held) {
      int tick = (note.tick() + grid / 2) / grid * grid;
      List<FrettedNote> here = at.computeIfAbsent(tick, t -> new ArrayList<>());
      if (here.stream().noneMatch(n -> n.string() == note.string())) {
        here.add(note);
      }
    }
    List<Pattern.Step> steps = new ArrayList<>();
    at.forEach(
        (tick, here) -> {
          here.sort(Comparator.comparingInt(FrettedNote::string));
          if (tick + offset < bar.meter.barTicks()) {
            step(tick, here, strokes).ifPresent(s -> steps.add(s.at(tick + offset)));
          }
        });
    return new Pattern(Texts.of("guitarPart.asWritten"), bar.meter.barTicks(), steps);
  }

  /** The strokes of one instant on roles, from the lowest string up; many together are a brush. */
  private static Optional<Pattern.Step> step(
      int tick, List<FrettedNote> here, List<Struck> strokes) {
    List<Stroke> plucks = new ArrayList<>();
    List<Struck> pins = new ArrayList<>();
    EnumSet<Role> free = EnumSet.of(Role.INNER, Role.MIDDLE, Role.UPPER, Role.TUNE);
    boolean thumb = false;
    for (FrettedNote note : here) {
      boolean low = note.isLow() && !thumb;
      Optional<Role> role =
          low
              ? Optional.of(Role.THUMB)
              : free.stream().min(Comparator.comparingInt(r -> far(r, note)));
      if (role.isEmpty()) {
        return Optional.of(brush(tick, here));
      }
      thumb |= low;
      free.remove(role.get());
      plucks.add(
          new Stroke.Pluck(
              role.get(),
              Force.PLAIN,
              low ? Optional.empty() : note.pick(),
              note.techniques().stream()
                  .filter(TechniqueText::isOfStrokes)
                  .collect(Collectors.toSet())));
      pins.add(new Struck(tick, role.get(), note.string()));
    }
    Pattern.Step step = new Pattern.Step(tick, plucks, Optional.empty(), false);
    if (PatternRules.trouble(step).isPresent()) {
      List<Stroke> plain = plucks.stream().map(p -> (Stroke) unnamed((Stroke.Pluck) p)).toList();
      step = new Pattern.Step(tick, plain, Optional.empty(), false);
    }
    if (PatternRules.trouble(step).isPresent()) {
      return here.size() > 1 ? Optional.of(brush(tick, here)) : Optional.empty();
    }
    strokes.addAll(pins);
    return Optional.of(step);
  }

  private static Stroke.Pluck unnamed(Stroke.Pluck pluck) {
    return new Stroke.Pluck(pluck.role(), pluck.force(), Optional.empty(), pluck.techniques());
  }

  private static int far(Role role, FrettedNote note) {
    return Math.abs(role.home() - note.string());
  }

  private static Pattern.Step brush(int tick, List<FrettedNote> here) {
    int low = here.get(0).string();
    int high = here.get(here.size() - 1).string();
    Stroke brush = new Stroke.Brush(low, high, Touch.FLESH, Force.PLAIN);
    return new Pattern.Step(tick, List.of(brush), Optional.empty(), false);
  }

  /** The song with its shapes, strings and patterns pinned. */
  private Song pinned(Song song) {
    List<Bar> written = song.chart().bars();
    Pins pins = song.pins();
    Map<SlotRef, Shape> shapes = new HashMap<>(pins.shapes());
    Map<SlotRef, FretRow> frets = new HashMap<>(pins.frets());
    Map<NoteRef, Integer> strings = new HashMap<>(pins.strings());
    Patterns all = song.patterns();
    int room = SongBounds.MOST_PINS;
    for (int b = 0; b < written.size(); b++) {
      int id = written.get(b).id();
      for (Map.Entry<Integer, List<FrettedNote>> slot : slots(b).entrySet()) {
        Optional<Shape> shape = shape(slot.getValue());
        FretRow row = row(slot.getValue());
        SlotRef at = new SlotRef(id, slot.getKey());
        if (row != null && room > 0) {
          shape.ifPresentOrElse(s -> shapes.put(at, s), () -> frets.put(at, row));
          room--;
        }
      }
      if (room > struck.get(b).size() && b < SongBounds.MOST_PATTERNS) {
        for (Struck stroke : struck.get(b)) {
          strings.put(new NoteRef(id, stroke.tick(), stroke.role()), stroke.string());
          room--;
        }
        all = all.with(new Patterns.Scope.OfBar(id), patterns.get(b));
      }
    }
    pins = new Pins(shapes, frets, strings, pins.damps(), pins.ringing(), pins.accepted());
    return song.withPatterns(all).withPins(pins);
  }

  /** What is held under each chord of a bar. */
  private TreeMap<Integer, List<FrettedNote>> slots(int b) {
    TreeMap<Integer, List<FrettedNote>> slots = new TreeMap<>();
    Map<Integer, Map<Integer, Integer>> frets = new HashMap<>();
    for (FrettedNote note : notes.get(b)) {
      int slot = slotAt(bars.get(b), note.tick());
      if (!isHeld(b, note) && !note.tune()) {
        continue;
      }
      Map<Integer, Integer> row = frets.computeIfAbsent(slot, s -> new HashMap<>());
      if (row.putIfAbsent(note.string(), note.fret()) == null) {
        slots.computeIfAbsent(slot, s -> new ArrayList<>()).add(note);
      }
    }
    return slots;
  }

  private static FretRow row(List<FrettedNote> held) {
    Integer[] frets = new Integer[Tuning.STRINGS];
    Arrays.fill(frets, Shape.SILENT);
    for (FrettedNote note : held) {
      if (note.techniques().stream().noneMatch(t -> t.higher() > 0)) {
        frets[note.string()] = note.fret();
      }
    }
    return List.of(frets).stream().allMatch(f -> f == Shape.SILENT)
        ? null
        : new FretRow(List.of(frets));
  }

  /** The shape with its fingers, where the file names all of them and they go together. */
  private static Optional<Shape> shape(List<FrettedNote> held) {
    List<Stop> stops = new ArrayList<>();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      stops.add(new Stop.Silent());
    }
    for (FrettedNote note : held) {
      Optional<Finger> finger = note.finger();
      if (note.fret() > 0 && finger.isEmpty()
          || note.techniques().stream().anyMatch(t -> t.higher() > 0)) {
        return Optional.empty();
      }
      stops.set(
          note.string(),
          note.fret() == 0 ? new Stop.Open() : new Stop.Pressed(note.fret(), finger.get()));
    }
    try {
      return Optional.of(new Shape(stops));
    } catch (IllegalArgumentException e) {
      // One finger on two frets one after the other: the frets stay, fingers are found anew.
      return Optional.empty();
    }
  }
}
