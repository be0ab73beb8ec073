package phalanx.advice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import phalanx.embellishment.Ending;
import phalanx.embellishment.Fill;
import phalanx.form.Phrases;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.planning.Arranger;
import phalanx.song.Bar;
import phalanx.song.ChordChange;
import phalanx.song.Section;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.text.Texts;
import phalanx.theory.Chord;
import phalanx.theory.Meter;
import phalanx.theory.Ticks;

/**
 * A fill in the last bar of a phrase, where the tune holds or rests: no note of the tune gives way.
 */
public final class PhraseFill {

  /** So many fills are tried in a bar; more take longer than a player waits. */
  private static final int TRIED = 12;

  private final Arranger arranger;
  private final Song song;
  private final Section section;
  private final List<Fill> fills;
  private final BooleanSupplier cancelled;

  /**
   * For a section.
   *
   * @param fills what may go there
   * @param cancelled asked often; nothing is found then
   */
  public PhraseFill(
      Arranger arranger, Song song, Section section, List<Fill> fills, BooleanSupplier cancelled) {
    this.arranger = arranger;
    this.song = song;
    this.section = section;
    this.fills = fills;
    this.cancelled = cancelled;
  }

  /**
   * A song with a fill.
   *
   * @param words which one, and where
   */
  public record Filled(Song song, String words) {}

  /** The end of a phrase, and how much room the tune leaves there, ticks. */
  private record Place(SlotRef at, Chord chord, int room) {}

  /** The first that fits, from the last phrase on. */
  public Optional<Filled> best() {
    return places().stream()
        .takeWhile(p -> !cancelled.getAsBoolean())
        .flatMap(p -> at(p).stream())
        .findFirst();
  }

  private Optional<Filled> at(Place place) {
    FillFitting fitting = new FillFitting(arranger, song, place.at(), place.chord());
    FillFitting inShort = fitting.inShort();
    return fills.stream()
        .filter(f -> f.beats() * Ticks.PER_QUARTER <= place.room())
        .sorted(Comparator.comparing(f -> -f.beats()))
        .limit(TRIED)
        .takeWhile(f -> !cancelled.getAsBoolean())
        .flatMap(f -> coloured(inShort, f, place.chord()))
        .filter(FillTry::fits)
        .sorted(FillTry.ORDER)
        .map(t -> fitting.of(t.fill(), t.colour(), Ending.PLAIN))
        .filter(FillTry::fits)
        .findFirst()
        .flatMap(t -> t.fitted().map(f -> filled(t, f, place)));
  }

  private static Stream<FillTry> coloured(FillFitting fitting, Fill fill, Chord chord) {
    return Fill.colours(chord).stream().limit(1).map(c -> fitting.of(fill, c, Ending.PLAIN));
  }

  private Filled filled(FillTry tried, FittedRun fitted, Place place) {
    int bar = song.barNumber(place.at().bar());
    return new Filled(fitted.song(), Texts.of("phraseFill.aFillInBar", bar, tried.fill().name()));
  }

  private List<Place> places() {
    Set<Integer> own = new HashSet<>();
    section.bars().forEach(b -> own.add(b.id()));
    List<Place> places = new ArrayList<>();
    for (Phrases.Span span : Phrases.of(song).spans()) {
      int last = span.bars().get(span.bars().size() - 1);
      if (own.contains(last)) {
        place(last).ifPresent(places::add);
      }
    }
    Collections.reverse(places);
    return places;
  }

  /** From the tune’s last note on, which has a beat to itself, as has the chord. */
  private Optional<Place> place(int id) {
    Bar bar = song.chart().bar(id).orElseThrow();
    Meter meter = song.chart().meters(song.meter()).get(id);
    List<ChordChange> changes = song.chart().changes(bar);
    if (changes.isEmpty()) {
      return Optional.empty();
    }
    ChordChange chord = changes.get(changes.size() - 1);
    BarTune tune = song.tune().at(id, song.chart());
    int struck = tune.notes().stream().mapToInt(TuneNote::tick).max().orElse(0);
    int from = Math.max(chord.tick(), struck) + meter.beatTicks();
    return chord
        .harmony()
        .sounding()
        .filter(c -> !isLast(id))
        .map(c -> new Place(new SlotRef(id, chord.tick()), c, meter.barTicks() - from));
  }

  /** After the song’s last bar nothing comes that a fill could lead to. */
  private boolean isLast(int id) {
    List<Bar> bars = song.chart().bars();
    return bars.get(bars.size() - 1).id() == id;
  }
}
