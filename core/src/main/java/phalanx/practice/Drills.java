package phalanx.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.instrument.StringSign;
import phalanx.picking.PickFinger;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.Texts;
import phalanx.theory.Ticks;

/**
 * The drills of an arrangement in the order in which they are taught (common practice, no source):
 * the pattern on open strings, the thumb alone, layers over it, slurs and hits, hard changes, two
 * chords joined, the section, the song.
 */
public final class Drills {

  /** So many changes of a passage are practised alone, where they take this share of their time. */
  private static final int MOST_CHANGES = 3;

  private static final double HARD = 0.4;

  /** Planting has the strokes of the pattern and is another drill. */
  private static final String PLANTING = "plant";

  private final Arrangement arrangement;
  private final PracticeOrder order;
  private final Tempos tempos;
  private Optional<List<HardChanges.HardChange>> changes = Optional.empty();
  private final List<Drill> drills = new ArrayList<>();
  private final Set<String> ids = new HashSet<>();

  /** The first pattern on open strings. */
  private Optional<Drill> pattern = Optional.empty();

  private Drills(Arrangement arrangement, PracticeOrder order) {
    this.arrangement = arrangement;
    this.order = order;
    tempos = new Tempos(arrangement);
  }

  /** Everything there is to practise in a song; what comes again as it was is there once. */
  public static List<Drill> ofSong(Arrangement arrangement, PracticeOrder order) {
    Drills drills = new Drills(arrangement, order);
    if (arrangement.notes().isEmpty()) {
      return List.of();
    }
    Passage.sections(arrangement).forEach(drills::section);
    drills.song();
    return List.copyOf(drills.drills);
  }

  /** What there is to practise in some passages, such as a section or bars of the player's own. */
  public static List<Drill> of(
      Arrangement arrangement, List<Passage> passages, PracticeOrder order) {
    Drills drills = new Drills(arrangement, order);
    passages.forEach(drills::section);
    return List.copyOf(drills.drills);
  }

  private void section(Passage section) {
    if (arrangement.notesFrom(section.fromTick(), section.toTick()).isEmpty()) {
      return;
    }
    section.parts().forEach(this::part);
    add(
        DrillKind.SECTION,
        Texts.of("drills.together", section.label(), section.span()),
        section,
        PartialArrangement.between(arrangement, section.fromTick(), section.toTick()),
        List.of(),
        Texts.of("drills.whatWasLearntIn"),
        4);
  }

  private void part(Passage part) {
    if (arrangement.notesFrom(part.fromTick(), part.toTick()).isEmpty()) {
      return;
    }
    if (order == PracticeOrder.FRETTING_FIRST) {
      hardChanges(part);
    }
    openStrings(part);
    layers(part);
    if (order == PracticeOrder.THUMB_FIRST) {
      hardChanges(part);
    }
  }

  /** Which finger rests on which string, then the pattern, on the fullest bar. */
  private void openStrings(Passage part) {
    PlayedBar bar =
        part.bars().stream()
            .max(
                Comparator.<PlayedBar>comparingInt(b -> fingers(b).size())
                    .thenComparing(Comparator.comparingInt(b -> -b.number())))
            .orElseThrow();
    Passage one = new Passage(part.label(), List.of(bar));
    Arrangement open = PartialArrangement.open(arrangement, bar.startTick(), bar.endTick());
    if (open.notes().isEmpty()) {
      return;
    }
    Map<PickFinger, Integer> strings = new EnumMap<>(PickFinger.class);
    open.notes().forEach(n -> n.pick().ifPresent(f -> strings.putIfAbsent(f, n.string())));
    String places =
        strings.entrySet().stream()
            .map(e -> Texts.of("drills.on", e.getKey().letter(), StringSign.of(e.getValue())))
            .collect(Collectors.joining(", "));
    put(
        drill(
            DrillKind.OPEN_STRINGS,
            PLANTING,
            Texts.of("drills.plant", places),
            Span.of(one),
            open,
            open.notes(),
            Texts.of("drills.eachFingerRestsOn"),
            2));
    Drill played =
        drill(
            DrillKind.OPEN_STRINGS,
            "",
            Texts.of("drills.patternOfBarOn", bar.number()),
            Span.of(one),
            open,
            List.of(),
            Texts.of("drills.oneHandAtA", StrokeWords.motions(open.notes())),
            2);
    pattern = pattern.or(() -> Optional.of(played));
    put(played);
  }

  private Set<PickFinger> fingers(PlayedBar bar) {
    return arrangement.notesFrom(bar.startTick(), bar.endTick()).stream()
        .flatMap(n -> n.pick().stream())
        .collect(Collectors.toSet());
  }

  private void layers(Passage part) {
    List<Note> notes = new ArrayList<>();
    List<Gesture> hits = new ArrayList<>();
    for (Layers.Layer layer : new Layers(arrangement, part).inOrder()) {
      notes.addAll(layer.notes());
      hits.addAll(layer.hits());
      add(
          layer.kind(),
          layer.title() + ", " + part.span(),
          part,
          PartialArrangement.of(arrangement, notes, hits),
          layer.notes(),
          why(layer),
          part.bars().size() > 2 ? 3 : 2);
    }
  }

  private static String why(Layers.Layer layer) {
    return switch (layer.kind()) {
      case THUMB -> Texts.of("drills.untilYouCanTalk");
      case SLURS ->
          layer.hits().isEmpty()
              ? Texts.of("drills.theFrettingHandPlays")
              : Texts.of("drills.hitsComeLastWhen");
      default -> Texts.of("drills.theSmallestStepFrom");
    };
  }

  private void hardChanges(Passage part) {
    List<HardChanges.HardChange> here =
        changes().stream()
            .filter(c -> part.fromTick() <= c.from().fromTick())
            .filter(c -> c.to().toTick() <= part.toTick())
            .toList();
    List<HardChanges.HardChange> hard =
        here.stream().filter(c -> c.share() >= HARD).limit(MOST_CHANGES).toList();
    if (hard.isEmpty()) {
      hard = here.stream().limit(1).toList();
    }
    hard.forEach(this::change);
    hard.stream().limit(1).forEach(this::join);
  }

  /** A beat before and a beat after. */
  private void change(HardChanges.HardChange change) {
    int at = change.to().fromTick();
    PlayedBar before = arrangement.timeline().barAt(Math.max(0, at - 1));
    PlayedBar after = arrangement.timeline().barAt(at);
    int from = Math.max(change.from().fromTick(), at - before.meter().beatTicks());
    int to = Math.min(change.to().toTick(), at + after.meter().beatTicks());
    String reason = Texts.of("drills.theFurthestFingerNeeds", change.needed(), change.has());
    piece(DrillKind.CHANGE, Texts.of("drills.change", change.pair()), from, to, reason);
  }

  private void join(HardChanges.HardChange change) {
    piece(
        DrillKind.JOIN,
        Texts.of("drills.join", change.pair()),
        change.from().fromTick(),
        change.to().toTick(),
        Texts.of("drills.theTwoChordsAt"));
  }

  private void piece(DrillKind kind, String title, int from, int to, String why) {
    PlayedBar first = arrangement.timeline().barAt(from);
    PlayedBar last = arrangement.timeline().barAt(Math.max(from, to - 1));
    Arrangement played = PartialArrangement.between(arrangement, from, to);
    Span span = new Span(first.number(), last.number(), from, to);
    put(drill(kind, "", title, span, played, List.of(), why, 2));
  }

  private void song() {
    List<PlayedBar> bars = arrangement.timeline().bars();
    Passage all = new Passage(arrangement.song().title(), bars);
    double start = tempos.of(DrillKind.SONG, all.fromBar(), all.toBar()).start();
    double minutes = Ticks.millis(all.toTick(), start) / 60_000;
    add(
        DrillKind.SONG,
        Texts.of("drills.theWholeSong"),
        all,
        arrangement,
        List.of(),
        Texts.of("drills.fromBeginningToEnd"),
        (int) Math.min(30, Math.ceil(minutes * 1.2)));
  }

  /** Where a drill is played. */
  private record Span(int fromBar, int toBar, int from, int to) {
    static Span of(Passage passage) {
      return new Span(passage.fromBar(), passage.toBar(), passage.fromTick(), passage.toTick());
    }
  }

  private void add(
      DrillKind kind,
      String title,
      Passage in,
      Arrangement played,
      List<Note> adds,
      String why,
      int minutes) {
    put(drill(kind, "", title, Span.of(in), played, adds, why, minutes));
  }

  /** What was there already is there once. */
  private void put(Drill drill) {
    if (ids.add(drill.id())) {
      drills.add(drill);
    }
  }

  private Drill drill(
      DrillKind kind,
      String variant,
      String title,
      Span span,
      Arrangement played,
      List<Note> adds,
      String why,
      int minutes) {
    return new Drill(
        DrillId.of(kind, variant, played, span.from(), span.to()),
        kind,
        title,
        span.fromBar(),
        span.toBar(),
        span.from(),
        span.to(),
        played,
        adds,
        tempos.of(kind, span.fromBar(), span.toBar()),
        why,
        minutes);
  }

  private List<HardChanges.HardChange> changes() {
    if (changes.isEmpty()) {
      changes = Optional.of(HardChanges.of(arrangement));
    }
    return changes.get();
  }

  /** The first pattern of a song on open strings; empty where nothing is plucked. */
  static Optional<Drill> pattern(Arrangement arrangement) {
    Drills drills = new Drills(arrangement, PracticeOrder.THUMB_FIRST);
    for (Passage section : Passage.sections(arrangement)) {
      for (Passage part : section.parts()) {
        drills.openStrings(part);
        if (drills.pattern.isPresent()) {
          return drills.pattern;
        }
      }
    }
    return Optional.empty();
  }
}
