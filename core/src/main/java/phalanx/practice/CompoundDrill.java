package phalanx.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.fretting.Shape;
import phalanx.picking.Pattern;
import phalanx.picking.Role;
import phalanx.picking.Stroke;
import phalanx.picking.WrittenPattern;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.ChordChange;
import phalanx.song.Densities;
import phalanx.song.Feel;
import phalanx.song.Harmony;
import phalanx.song.Patterns;
import phalanx.song.Pins;
import phalanx.song.Section;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.Tune;
import phalanx.text.Texts;
import phalanx.theory.Meter;

/**
 * One thing of a song practised through many others: its pattern over a relay of its shapes, or
 * variations of the pattern over one progression (common practice, no source). Each is a small song
 * that is planned as any other.
 *
 * @param variant what it is known by among the drills of a song, whatever language is spoken
 * @param title what a player calls it
 * @param why what it is good for, in a sentence
 * @param song what is to be planned
 */
public record CompoundDrill(String variant, String title, String why, Song song) {

  /** More shapes than this are no relay but a song. */
  private static final int MOST_SHAPES = 8;

  /** A progression is as long as this at most, bars. */
  private static final int MOST_BARS = 4;

  private static final int MINUTES = 3;

  /** What can be made of a song; nothing where it has fewer than two shapes. */
  public static List<CompoundDrill> of(Arrangement arrangement) {
    List<CompoundDrill> drills = new ArrayList<>();
    Map<Harmony, Slot> shapes = shapes(arrangement);
    if (shapes.size() < 2) {
      return drills;
    }
    Song song = arrangement.song();
    List<Slot> relay = shapes.values().stream().limit(MOST_SHAPES).toList();
    String names =
        relay.stream().map(s -> s.played().harmony().label()).collect(Collectors.joining(", "));
    drills.add(
        new CompoundDrill(
            "Relay of shapes: " + names,
            Texts.of("compoundDrill.relayOfShapes", names),
            Texts.of("compoundDrill.onePatternThroughEvery"),
            over(song, relay)));
    List<Slot> progression = relay.subList(0, Math.min(MOST_BARS, relay.size()));
    variations(song)
        .forEach(
            (variant, variation) ->
                drills.add(
                    new CompoundDrill(
                        variant,
                        Texts.of("compoundDrill.variation", variation.title()),
                        Texts.of("compoundDrill.anotherOrderOfThe", variation.words()),
                        over(song, progression).withPattern(variation))));
    return drills;
  }

  /** Each chord with the shape it is first held in. */
  private static Map<Harmony, Slot> shapes(Arrangement arrangement) {
    Map<Harmony, Slot> shapes = new LinkedHashMap<>();
    for (Slot slot : arrangement.slots()) {
      if (slot.shape().isPresent() && slot.played().harmony() instanceof Harmony.Sounding) {
        shapes.putIfAbsent(slot.played().harmony(), slot);
      }
    }
    return shapes;
  }

  /** The song’s pattern over chords, a bar each, in the shapes they are held in. */
  private static Song over(Song song, List<Slot> slots) {
    List<Bar> bars = new ArrayList<>();
    for (int b = 0; b < slots.size(); b++) {
      ChordChange change = new ChordChange(0, slots.get(b).played().harmony());
      bars.add(Bar.of(b + 1, List.of(change)));
    }
    Feel feel = song.feel().withPickup(0).withRitard(Optional.empty());
    Song relay =
        Song.untitled()
            .withTitle(song.title())
            .withKey(song.key())
            .withPlayer(song.player())
            .withPicking(song.picking())
            // What is said for the song's bars and sections means others here.
            .withPatterns(Patterns.of(song.pattern()))
            .withDensities(Densities.NONE)
            .withFeel(feel)
            .withTune(Tune.NONE)
            .withPins(Pins.NONE)
            .withChart(new Chart(List.of(Section.of(bars.size() + 1, "", bars))));
    for (int b = 0; b < slots.size(); b++) {
      Shape held = slots.get(b).held();
      relay = relay.pin(new SlotRef(b + 1, 0), held);
    }
    return relay;
  }

  /** The fingers of the song’s pattern the other way round, and with a pinch on one. */
  private static Map<String, WrittenPattern> variations(Song song) {
    Meter meter = song.meter();
    Pattern pattern = song.pattern().in(meter);
    TreeSet<Role> fingers =
        pattern.steps().stream()
            .flatMap(s -> s.roles().stream())
            .filter(r -> !r.isThumb())
            .collect(Collectors.toCollection(TreeSet::new));
    Map<String, WrittenPattern> variations = new LinkedHashMap<>();
    if (fingers.size() > 1) {
      List<Role> up = List.copyOf(fingers);
      List<Role> down = new ArrayList<>(up);
      down.sort(Comparator.reverseOrder());
      List<Pattern.Step> steps =
          pattern.steps().stream()
              .map(s -> s.withStrokes(s.strokes().stream().map(k -> moved(k, up, down)).toList()))
              .toList();
      variations.put(
          "Variation: fingers the other way round",
          new WrittenPattern(
              Texts.of("compoundDrill.fingersTheOtherWay"),
              Texts.of("compoundDrill.whatWentUpGoes"),
              meter,
              new Pattern("", pattern.lengthTicks(), steps)));
    }
    pinched(pattern, fingers)
        .ifPresent(
            p ->
                variations.put(
                    "Variation: a pinch on one",
                    new WrittenPattern(
                        Texts.of("compoundDrill.aPinchOnOne"),
                        Texts.of("compoundDrill.thumbAndFingerTogether"),
                        meter,
                        p)));
    return variations;
  }

  private static Stroke moved(Stroke stroke, List<Role> from, List<Role> to) {
    return stroke instanceof Stroke.Pluck p && from.contains(p.role())
        ? new Stroke.Pluck(
            to.get(from.indexOf(p.role())), p.force(), Optional.empty(), p.techniques())
        : stroke;
  }

  /** The highest finger on one as well; empty where it is there, or nothing is struck on one. */
  private static Optional<Pattern> pinched(Pattern pattern, TreeSet<Role> fingers) {
    Pattern.Step first = pattern.steps().isEmpty() ? null : pattern.steps().get(0);
    boolean room =
        first != null && first.tick() == 0 && first.roles().stream().allMatch(Role::isThumb);
    if (!room || fingers.isEmpty()) {
      return Optional.empty();
    }
    List<Stroke> strokes = new ArrayList<>(first.strokes());
    strokes.add(Stroke.Pluck.of(fingers.last()));
    List<Pattern.Step> steps = new ArrayList<>(pattern.steps());
    steps.set(0, first.withStrokes(strokes));
    return Optional.of(new Pattern("", pattern.lengthTicks(), steps));
  }

  /** The drill, once its song is planned. */
  public Drill drill(Arrangement planned) {
    var bars = planned.timeline().bars();
    int from = bars.get(0).startTick();
    int to = bars.get(bars.size() - 1).endTick();
    return new Drill(
        DrillId.of(DrillKind.SECTION, variant, planned, from, to),
        DrillKind.SECTION,
        title,
        bars.get(0).number(),
        bars.get(bars.size() - 1).number(),
        from,
        to,
        planned,
        List.of(),
        new Tempos(planned)
            .of(DrillKind.SECTION, bars.get(0).number(), bars.get(bars.size() - 1).number()),
        why,
        MINUTES);
  }
}
