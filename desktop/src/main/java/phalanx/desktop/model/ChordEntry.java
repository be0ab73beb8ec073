package phalanx.desktop.model;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import phalanx.chart.KeyChords;
import phalanx.chart.ProbableKey;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.ChartEdits;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.theory.Chord;
import phalanx.theory.Interval;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.NoteName;

/**
 * Chords that are chosen instead of typed, one after the other: the first goes into the bar at the
 * cursor, each one after it into the next bar, or into the second half of the same. Each is one
 * step to undo.
 */
public final class ChordEntry {

  private final OpenSong open;
  private final ChartCursor cursor;
  private final BooleanProperty halves = new SimpleBooleanProperty();

  /** Bars that were filled here since the player went to a bar: after them the next one comes. */
  private final Set<Integer> filled = new HashSet<>();

  /** The bar of which the first half alone was filled here. */
  private Optional<Integer> begun = Optional.empty();

  private boolean putting;

  public ChordEntry(OpenSong open, ChartCursor cursor) {
    this.open = open;
    this.cursor = cursor;
    cursor
        .barProperty()
        .addListener(
            (o, before, now) -> {
              // A cursor whose bar was undone is not one that the player moved.
              if (!putting && chart().bar(before.intValue()).isPresent()) {
                filled.clear();
              }
            });
    open.openedProperty().addListener(o -> filled.clear());
  }

  /** Where the next chord goes. */
  public sealed interface Place {
    /** Into a bar, over all of it or over the half that is played first. */
    record InBar(Bar bar) implements Place {}

    /** Into the second half of a bar. */
    record SecondHalf(Bar bar) implements Place {}

    /** Into a new bar at the end. */
    record AtEnd() implements Place {}
  }

  /** Whether a chord takes half a bar. */
  public BooleanProperty halvesProperty() {
    return halves;
  }

  /** The bar at the cursor was typed: the next chord goes behind it. */
  public void typed() {
    cursor.bar().ifPresent(b -> filled.add(b.id()));
  }

  /** Where the next chord goes. */
  public Place next() {
    Optional<Bar> at = cursor.bar();
    if (at.isEmpty()) {
      return new Place.AtEnd();
    }
    if (!filled.contains(at.get().id())) {
      return new Place.InBar(at.get());
    }
    boolean half = begun.equals(Optional.of(at.get().id())) && at.get().changes().size() == 1;
    if (half && middle(at.get()).isPresent()) {
      return new Place.SecondHalf(at.get());
    }
    List<Bar> bars = chart().bars();
    int index = bars.indexOf(at.get());
    return index + 1 < bars.size() ? new Place.InBar(bars.get(index + 1)) : new Place.AtEnd();
  }

  /** Puts a chord where the next one goes. */
  public void put(Chord chord) {
    Place place = next();
    if (place instanceof Place.InBar in) {
      become(in.bar(), List.of(change(0, chord)));
    } else if (place instanceof Place.SecondHalf half) {
      List<ChordChange> both = new ArrayList<>(half.bar().changes());
      both.add(change(middle(half.bar()).orElseThrow(), chord));
      become(half.bar(), both);
    } else {
      append(chord);
    }
  }

  /** The chord that was put or stands last in the bar at the cursor. */
  public Optional<Chord> last() {
    List<ChordChange> changes = cursor.bar().map(b -> chart().changes(b)).orElse(List.of());
    return changes.isEmpty()
        ? Optional.empty()
        : changes.get(changes.size() - 1).harmony() instanceof Harmony.Sounding s
            ? Optional.of(s.chord())
            : Optional.empty();
  }

  /** Puts another in the place of the chord that stands last in the bar at the cursor. */
  public void insteadOfLast(Chord chord) {
    Optional<Bar> at = cursor.bar();
    List<ChordChange> changes = new ArrayList<>(at.map(b -> chart().changes(b)).orElse(List.of()));
    if (!changes.isEmpty()) {
      ChordChange last = changes.remove(changes.size() - 1);
      changes.add(change(last.tick(), chord));
      become(at.get(), changes);
    }
  }

  /** The key whose chords are offered: the song's, the likeliest, one on its chord, or C major. */
  public Key key() {
    Chart chart = chart();
    return open.song()
        .key()
        .or(() -> ProbableKey.of(chart))
        .or(() -> KeyChords.written(chart).stream().map(ChordEntry::on).findFirst())
        .orElseGet(() -> Key.parse("C").orElseThrow());
  }

  private static Key on(Chord chord) {
    NoteName root = chord.root();
    boolean minor = chord.intervals().contains(Interval.of(3, -1));
    return Key.parse(root.ascii() + (minor ? "m" : "")).orElseThrow();
  }

  /** Chords of the song that the key offers nowhere. */
  public List<Chord> others() {
    return KeyChords.others(chart(), key());
  }

  /** Where the second half of a bar begins, on a beat; empty in a bar of one beat. */
  private Optional<Integer> middle(Bar bar) {
    Meter meter = cursor.notation(Optional.of(bar)).meter();
    int beats = (meter.beats() + 1) / 2;
    return meter.beats() < 2 ? Optional.empty() : Optional.of(beats * meter.beatTicks());
  }

  private static ChordChange change(int tick, Chord chord) {
    return new ChordChange(tick, new Harmony.Sounding(chord));
  }

  private void become(Bar bar, List<ChordChange> changes) {
    Bar next = bar.borrowing(Optional.empty()).withChanges(changes);
    fill(bar.id(), c -> ChartEdits.replace(c, next));
  }

  private void append(Chord chord) {
    List<Bar> bars = chart().bars();
    int last = bars.isEmpty() ? 0 : bars.get(bars.size() - 1).id();
    fill(chart().freshId(), c -> ChartEdits.insertAfter(c, last, List.of(Bar.of(1, chord))));
  }

  private void fill(int bar, UnaryOperator<Chart> edit) {
    putting = true;
    open.edit(song -> song.editChart(edit));
    filled.add(bar);
    begun = halves.get() ? Optional.of(bar) : Optional.empty();
    cursor.place(bar, false);
    putting = false;
  }

  private Chart chart() {
    return open.song().chart();
  }
}
