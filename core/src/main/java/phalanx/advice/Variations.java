package phalanx.advice;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.embellishment.Fill;
import phalanx.findings.Review;
import phalanx.findings.Tally;
import phalanx.picking.Density;
import phalanx.picking.PatternEdits;
import phalanx.picking.ThumbRoute;
import phalanx.picking.WrittenPattern;
import phalanx.planning.Arranger;
import phalanx.song.Chart;
import phalanx.song.ChordChange;
import phalanx.song.Patterns.Scope;
import phalanx.song.SecondTime;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.Texts;

/**
 * Ways to play a section otherwise when it comes again (common practice, no source: the second time
 * differs in one thing). Each is an edit that the player could have made, planned in full; kept are
 * those that can be heard, with the same tune, the same bass under every chord, and nothing harder
 * than before.
 */
public final class Variations {

  /** So many are offered. */
  public static final int OFFERED = 3;

  /** Fewer new strokes than this in a whole section nobody notices. */
  private static final int NOTICED = 3;

  private final Arranger arranger = new Arranger();
  private final Song song;
  private final Section section;
  private final List<Fill> fills;
  private final BooleanSupplier cancelled;

  private Variations(Song song, Section section, List<Fill> fills, BooleanSupplier cancelled) {
    this.song = song;
    this.section = section;
    this.fills = List.copyOf(fills);
    this.cancelled = cancelled;
  }

  /** An edit, and what it does in the player’s words. */
  private record Edit(Variation.Kind kind, String words, Song song) {}

  /**
   * Whether a section comes again: by repeat signs, as one that is like another, or with the chords
   * of one before it.
   */
  public static boolean comesAgain(Song song, int section) {
    Chart chart = song.chart();
    return chart
        .section(section)
        .filter(
            s ->
                s.borrows().isPresent()
                    || hasChordsOfEarlier(chart, s)
                    || SecondTime.isPossible(chart, section))
        .isPresent();
  }

  /** Whether a section has the chords of one before it, and any at all. */
  public static boolean hasChordsOfEarlier(Chart chart, Section section) {
    List<List<ChordChange>> own = chords(chart, section);
    boolean sounds = own.stream().anyMatch(b -> !b.isEmpty());
    return sounds
        && chart.sections().stream()
            .takeWhile(s -> s.id() != section.id())
            .anyMatch(s -> chords(chart, s).equals(own));
  }

  private static List<List<ChordChange>> chords(Chart chart, Section section) {
    return section.bars().stream().map(chart::changes).toList();
  }

  /**
   * The section as it is, then up to three ways to play it otherwise.
   *
   * @param section identity of the section
   * @param fills what may go into the end of a phrase
   * @param cancelled asked often; what is not planned by then is left out
   * @return nothing where the section does not come again
   */
  public static List<Variation> of(
      Song song, int section, List<Fill> fills, BooleanSupplier cancelled) {
    if (!comesAgain(song, section)) {
      return List.of();
    }
    boolean another =
        song.chart().section(section).filter(s -> s.borrows().isPresent()).isPresent()
            || hasChordsOfEarlier(song.chart(), song.chart().section(section).orElseThrow());
    SecondTime second =
        another ? new SecondTime(song, section) : SecondTime.of(song, section).orElseThrow();
    Section there = second.song().chart().section(second.section()).orElseThrow();
    return new Variations(second.song(), there, fills, cancelled).all();
  }

  private List<Variation> all() {
    Arrangement before = arranger.arrange(song);
    Tally hard = Review.of(before).tally();
    List<Variation> all = new ArrayList<>();
    all.add(
        variation(new Edit(Variation.Kind.AS_BEFORE, Texts.of("variations.asItIs"), song), before));
    for (Variation.Kind kind : Variation.Kind.values()) {
      if (all.size() > OFFERED || cancelled.getAsBoolean()) {
        break;
      }
      edits(kind).stream()
          .flatMap(e -> tried(e, before, hard).stream())
          .findFirst()
          .ifPresent(all::add);
    }
    return List.copyOf(all);
  }

  /** Planned, and again with the chords held as before whose bass would be another. */
  private Optional<Variation> tried(Edit edit, Arrangement before, Tally hard) {
    Arrangement first = arranger.arrange(edit.song());
    Song held = holding(edit.song(), before, first);
    Edit kept = new Edit(edit.kind(), edit.words(), held);
    Arrangement after = held.equals(edit.song()) ? first : arranger.arrange(held);
    Tally then = Review.of(after).tally();
    boolean harder = then.cannot() > hard.cannot() || then.hard() > hard.hard();
    return harder || !isHeard(before, after)
        ? Optional.empty()
        : Optional.of(variation(kept, after));
  }

  private Song holding(Song edited, Arrangement before, Arrangement after) {
    Map<Integer, Integer> is = basses(after);
    Map<Integer, Integer> was = basses(before);
    Song held = edited;
    for (Slot slot : before.slots()) {
      int tick = slot.played().tick();
      boolean moves = was.containsKey(tick) && !was.get(tick).equals(is.get(tick));
      if (moves && slot.shape().isPresent()) {
        held = held.pin(slot.played().ref(), slot.shape().get());
      }
    }
    return held;
  }

  /** The ways of one kind, the first that holds counts. */
  private List<Edit> edits(Variation.Kind kind) {
    return switch (kind) {
      case AS_BEFORE -> List.of();
      case FILL ->
          new PhraseFill(arranger, song, section, fills, cancelled)
              .best().stream().map(f -> new Edit(kind, f.words(), f.song())).toList();
      case WALK -> walking();
      case INNER -> exchanged();
      case DENSITY -> densities();
    };
  }

  private List<Edit> walking() {
    ThumbRoute now = song.picking().thumb().atSection(section, song.chart());
    List<Edit> edits = new ArrayList<>();
    for (ThumbRoute route : List.of(ThumbRoute.WALKING, ThumbRoute.WALKING_ALWAYS)) {
      if (now != route && now != ThumbRoute.WALKING_ALWAYS) {
        Song walked = song.withThumb(song.picking().thumb().with(section.id(), route));
        String where =
            route == ThumbRoute.WALKING
                ? Texts.of("variations.phrases")
                : Texts.of("variations.everyOtherRoot");
        edits.add(
            new Edit(Variation.Kind.WALK, Texts.of("variations.theBassWalksInto", where), walked));
      }
    }
    return edits;
  }

  private List<Edit> exchanged() {
    WrittenPattern now =
        PatternEdits.written(
            song.patterns().atSection(section.id(), song.chart()),
            song.chart().meters(song.meter()).get(section.bars().get(0).id()));
    WrittenPattern other = PatternEdits.innerExchanged(now);
    Song exchanged =
        song.withPatterns(song.patterns().with(new Scope.OfSection(section.id()), other));
    return other.pattern().steps().equals(now.pattern().steps())
        ? List.of()
        : List.of(
            new Edit(Variation.Kind.INNER, Texts.of("variations.theInnerNotesThe"), exchanged));
  }

  /** Sparser first where all is played, else fuller. */
  private List<Edit> densities() {
    Scope scope = new Scope.OfSection(section.id());
    Optional<Density> now = song.picking().densities().at(section.bars().get(0).id(), song.chart());
    int number = now.orElse(Density.FULL).number();
    List<Edit> edits = new ArrayList<>();
    for (int other : new int[] {number - 1, number + 1, number - 2}) {
      Density.of(other)
          .filter(d -> d != Density.THUMB)
          .map(
              d ->
                  new Edit(
                      Variation.Kind.DENSITY,
                      d.words(),
                      song.withDensities(song.picking().densities().with(scope, Optional.of(d)))))
          .ifPresent(edits::add);
    }
    return edits;
  }

  private Variation variation(Edit edit, Arrangement a) {
    List<PlayedBar> bars = played(a);
    int from = bars.get(0).startTick();
    int end = bars.get(bars.size() - 1).endTick();
    return new Variation(edit.kind(), edit.words(), edit.song(), a, from, end);
  }

  private List<PlayedBar> played(Arrangement a) {
    Set<Integer> own = new HashSet<>();
    section.bars().forEach(b -> own.add(b.id()));
    return a.timeline().bars().stream().filter(b -> own.contains(b.written())).toList();
  }

  /** Whether a listener hears it, and tune and bass stay what they were. */
  private boolean isHeard(Arrangement before, Arrangement after) {
    Set<List<Integer>> was = new HashSet<>();
    Set<List<Integer>> is = new HashSet<>();
    for (PlayedBar bar : played(before)) {
      before.notesFrom(bar.startTick(), bar.endTick()).forEach(n -> was.add(heard(n)));
      after.notesFrom(bar.startTick(), bar.endTick()).forEach(n -> is.add(heard(n)));
    }
    long fresh = is.stream().filter(n -> !was.contains(n)).count();
    long gone = was.stream().filter(n -> !is.contains(n)).count();
    return fresh + gone >= NOTICED && tuneStays(before, after) && basses(before, after);
  }

  private static List<Integer> heard(Note note) {
    return List.of(note.tick(), note.midi());
  }

  private static boolean tuneStays(Arrangement before, Arrangement after) {
    Set<List<Integer>> is = new HashSet<>();
    after.notes().stream().filter(after::isOfTune).forEach(n -> is.add(heard(n)));
    return before.notes().stream()
        .filter(before::isOfTune)
        .filter(n -> !before.isGrace(n))
        .allMatch(n -> is.contains(heard(n)));
  }

  /** Whether each chord of the section has the bass it had. */
  private boolean basses(Arrangement before, Arrangement after) {
    Map<Integer, Integer> is = basses(after);
    return basses(before).entrySet().stream()
        .allMatch(e -> e.getValue().equals(is.get(e.getKey())));
  }

  private Map<Integer, Integer> basses(Arrangement a) {
    Set<Integer> bars = new HashSet<>();
    played(a).forEach(b -> bars.add(b.number()));
    Map<Integer, Integer> basses = new HashMap<>();
    a.slots().stream()
        .filter(s -> bars.contains(s.played().bar()) && !s.played().isPart())
        .forEach(
            s ->
                a.notesFrom(s.fromTick(), s.toTick()).stream()
                    .filter(n -> n.part() == Note.Part.BASS)
                    .findFirst()
                    .ifPresent(n -> basses.put(s.played().tick(), n.midi())));
    return basses;
  }
}
