package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.SimpleIntegerProperty;
import phalanx.chart.ChartLine;
import phalanx.chart.ChartReader;
import phalanx.chart.ChartWriter;
import phalanx.chart.Notation;
import phalanx.chart.Transposition;
import phalanx.form.Phrases;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.ChartEdits;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.theory.Interval;
import phalanx.theory.Meter;

/** Where the player is in the chart, the bars selected from there, and the edits made there. */
public final class ChartCursor {

  private final OpenSong open;
  private final ChordChoice chords;
  private final IntegerProperty bar = new SimpleIntegerProperty();
  private final IntegerProperty anchor = new SimpleIntegerProperty();

  /** Where the cursor was, for when its bar goes. */
  private int lastIndex;

  public ChartCursor(OpenSong open, ChordChoice chords) {
    this.open = open;
    this.chords = chords;
    open.historyProperty().addListener(o -> settle());
    chords.placeProperty().addListener(o -> follow());
    open.planningProperty().addListener(o -> lead());
    settle();
  }

  /** The player chose a chord elsewhere. */
  private void follow() {
    Optional<Integer> id = chords.bar().map(Bar::id);
    if (!open.isSettling() && id.isPresent() && id.get() != bar.get()) {
      place(id.get(), false);
    }
  }

  /** While the chart is written, a new plan selects what the cursor is on. */
  private void lead() {
    if (!open.planningProperty().get() && open.screenProperty().get() == Screen.CHART) {
      chords.selectBar(bar.get());
    }
  }

  /** After an edit the cursor stays on its bar, or goes to the nearest that is left. */
  private void settle() {
    List<Bar> bars = bars();
    boolean there = bars.stream().anyMatch(b -> b.id() == bar.get());
    if (!there) {
      place(bars.isEmpty() ? 0 : bars.get(Math.min(lastIndex, bars.size() - 1)).id(), false);
    }
    if (bars.stream().noneMatch(b -> b.id() == anchor.get())) {
      anchor.set(bar.get());
    }
    lastIndex = Math.max(0, index(bar.get()));
  }

  private Chart chart() {
    return open.song().chart();
  }

  private List<Bar> bars() {
    return chart().bars();
  }

  private int index(int id) {
    return bars().stream().map(Bar::id).toList().indexOf(id);
  }

  /** Identity of the bar the cursor is on; 0 in an empty chart. */
  public ReadOnlyIntegerProperty barProperty() {
    return bar;
  }

  /** Identity of the bar the selection began at. */
  public ReadOnlyIntegerProperty anchorProperty() {
    return anchor;
  }

  /** The bar the cursor is on. */
  public Optional<Bar> bar() {
    return chart().bar(bar.get());
  }

  /** Puts the cursor on a bar; extending keeps the other end of the selection. */
  public void place(int id, boolean extend) {
    bar.set(id);
    anchor.set(extend ? anchor.get() : id);
    lastIndex = Math.max(0, index(id));
    chords.selectBar(id);
  }

  /** Moves by bars; past the ends it stays at the last or first. */
  public void move(int by, boolean extend) {
    List<Bar> bars = bars();
    if (!bars.isEmpty()) {
      int to = Math.max(0, Math.min(bars.size() - 1, index(bar.get()) + by));
      place(bars.get(to).id(), extend);
    }
  }

  /** Selects every bar. */
  public void selectAll() {
    List<Bar> bars = bars();
    if (!bars.isEmpty()) {
      anchor.set(bars.get(0).id());
      bar.set(bars.get(bars.size() - 1).id());
    }
  }

  /** The selected bars in order; none in an empty chart. */
  public List<Bar> selection() {
    int a = index(anchor.get());
    int b = index(bar.get());
    return a < 0 || b < 0 ? List.of() : bars().subList(Math.min(a, b), Math.max(a, b) + 1);
  }

  /** What lines of the chart are read and written with, at a bar. */
  public Notation notation(Optional<Bar> at) {
    Song song = open.song();
    Meter meter = at.map(b -> chart().meters(song.meter()).get(b.id())).orElse(song.meter());
    boolean first = bars().isEmpty() || at.filter(b -> b.id() == bars().get(0).id()).isPresent();
    Interval up =
        open.viewing().soundingProperty().get() ? Transposition.ofCapo(song) : Interval.UNISON;
    int pickup = first ? song.feel().pickupTicks() : 0;
    return new Notation(meter, pickup, open.viewing().namingProperty().get(), up);
  }

  /** The text that stands for the chords of a bar. */
  public String text(Bar at) {
    return ChartWriter.cells(
        at, notation(Optional.of(at)), id -> Optional.of(open.song().barNumber(id)));
  }

  /** Reads what was typed for a bar. A lone colon at an end stands for a repeat sign. */
  public ChartLine read(String typed, Optional<Bar> at) {
    String line = typed.strip();
    boolean opens = line.startsWith(":") || line.matches("\\d+(,\\d+)*(\\s.*)?");
    line = (opens ? "|" : "") + line + (line.endsWith(":") && line.length() > 1 ? "|" : "");
    return ChartReader.read(line, notation(at), number -> borrowable(number, at));
  }

  private Optional<Integer> borrowable(int number, Optional<Bar> at) {
    return open.song()
        .barNumbered(number)
        .filter(id -> at.isEmpty() || !chart().isCircle(at.get().id(), id));
  }

  /** Puts what was typed in the place of a bar; further bars of it follow behind. */
  public void write(Optional<Bar> at, ChartLine line) {
    open.edit(song -> written(song, at, line));
  }

  /** A song with what was typed in the place of a bar; where that is gone, behind the last one. */
  public Song written(Song song, Optional<Bar> at, ChartLine line) {
    Optional<Bar> there = at.flatMap(b -> song.chart().bar(b.id()));
    if (at.isPresent() && there.isEmpty() && line.bars().isEmpty()) {
      return song;
    }
    return song.editChart(c -> written(c, there, line));
  }

  private static Chart written(Chart chart, Optional<Bar> at, ChartLine line) {
    if (line.bars().isEmpty()) {
      return at.map(b -> ChartEdits.replace(chart, b.withChanges(List.of()))).orElse(chart);
    }
    if (at.isEmpty()) {
      int last = chart.bars().isEmpty() ? 0 : chart.bars().get(chart.bars().size() - 1).id();
      return ChartEdits.insertAfter(chart, last, line.bars());
    }
    Bar first = line.bars().get(0);
    Bar old = at.get();
    Bar next =
        new Bar(
            old.id(),
            first.borrows(),
            first.changes(),
            first.meter(),
            first.tempo(),
            old.repeatStart() || first.repeatStart(),
            first.plays() > 1 ? first.plays() : old.plays(),
            first.passes().isEmpty() ? old.passes() : first.passes(),
            old.phrase());
    List<Bar> more = line.bars().subList(1, line.bars().size());
    return ChartEdits.insertAfter(ChartEdits.replace(chart, next), old.id(), more);
  }

  private void change(UnaryOperator<Chart> edit) {
    open.edit(song -> song.editChart(edit));
  }

  /** Puts an empty bar behind the cursor and goes there. */
  public void insertBar() {
    int before = bar.get();
    int fresh = chart().freshId();
    change(c -> ChartEdits.insertAfter(c, before, List.of(Bar.of(1, List.of()))));
    place(fresh, false);
  }

  /** Takes the selected bars out. */
  public void delete() {
    List<Integer> ids = selection().stream().map(Bar::id).toList();
    if (!ids.isEmpty()) {
      lastIndex = index(ids.get(0));
      change(c -> ChartEdits.delete(c, ids));
    }
  }

  /** Moves the selected bars towards the end (1) or the start (-1). */
  public void shift(int direction) {
    List<Integer> ids = selection().stream().map(Bar::id).toList();
    if (!ids.isEmpty()) {
      change(c -> ChartEdits.move(c, ids, direction));
    }
  }

  /** The selected bars as a line of text. */
  public String copied() {
    List<Bar> bars = selection();
    return bars.isEmpty()
        ? ""
        : ChartWriter.line(
            bars, notation(Optional.of(bars.get(0))), id -> Optional.of(open.song().barNumber(id)));
  }

  /** Puts the bars of a text behind the selection; says what could not be read. */
  public ChartLine paste(String text) {
    ChartLine line =
        ChartReader.read(
            text.replace('\n', ' '), notation(bar()), n -> borrowable(n, Optional.empty()));
    int last = selection().isEmpty() ? 0 : selection().get(selection().size() - 1).id();
    int fresh = chart().freshId();
    change(c -> ChartEdits.insertAfter(c, last, line.bars()));
    if (!line.bars().isEmpty()) {
      place(fresh, false);
      anchor.set(fresh + line.bars().size() - 1);
    }
    return line;
  }

  /** Begins or stops beginning a repeat at the first selected bar. */
  public void toggleRepeatStart() {
    selection().stream()
        .findFirst()
        .ifPresent(b -> change(c -> ChartEdits.replace(c, b.startingRepeat(!b.repeatStart()))));
  }

  /** The bars with which phrases begin. */
  public Set<Integer> phraseStarts() {
    return Phrases.of(open.song()).starts();
  }

  /** Begins a phrase at the cursor, or lets the one before go on over it. */
  public void togglePhrase() {
    Set<Integer> starts = phraseStarts();
    bar()
        .ifPresent(
            b ->
                change(
                    c ->
                        ChartEdits.replace(
                            c, b.beginningPhrase(Optional.of(!starts.contains(b.id()))))));
  }

  /** Moves the beginning of a phrase from one bar to another; one step to undo. */
  public void movePhrase(int from, int to) {
    change(
        c -> {
          Chart moved =
              ChartEdits.replace(c, c.bar(from).orElseThrow().beginningPhrase(Optional.of(false)));
          return ChartEdits.replace(
              moved, moved.bar(to).orElseThrow().beginningPhrase(Optional.of(true)));
        });
  }

  /** Ends a repeat at the last selected bar: not, twice, three, four times. */
  public void cycleRepeatEnd() {
    List<Bar> bars = selection();
    if (!bars.isEmpty()) {
      Bar last = bars.get(bars.size() - 1);
      change(c -> ChartEdits.replace(c, last.endingRepeat(last.plays() % 4 + 1)));
    }
  }

  /** Makes the selected bars an ending for a time through, or played always again. */
  public void toggleEnding(int time) {
    List<Bar> bars = selection();
    boolean on = bars.stream().allMatch(b -> b.passes().contains(time));
    Set<Integer> passes = on ? Set.of() : Set.of(time);
    open.edit(
        song -> song.editChart(c -> c.mapBars(b -> bars.contains(b) ? b.inPasses(passes) : b)));
  }

  /** The section the cursor is in. */
  public Optional<Section> section() {
    return chart().sectionOf(bar.get());
  }

  /** Starts a section at the cursor, or names the one that starts there. */
  public void nameSection(String label) {
    change(c -> ChartEdits.section(c, bar.get(), label));
  }

  /** Joins the section that starts at the cursor to the one before. */
  public void joinSection() {
    change(c -> ChartEdits.join(c, bar.get()));
  }

  /** Puts a section behind the cursor's that is like it until something is changed. */
  public void repeatSection() {
    section()
        .ifPresent(
            s -> {
              int like = s.borrows().orElse(s.id());
              String label = s.label() + " again";
              change(c -> ChartEdits.sectionLike(c, s.id(), like, label));
            });
  }
}
