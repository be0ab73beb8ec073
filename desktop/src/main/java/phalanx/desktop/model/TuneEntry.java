package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleIntegerProperty;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.board.NeckPlaces;
import phalanx.desktop.background.PlanService;
import phalanx.instrument.HarmonicNode;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.song.Bar;
import phalanx.song.Timeline.PlayedBar;
import phalanx.song.TunePitches;
import phalanx.technique.Technique;
import phalanx.technique.TechniqueText;
import phalanx.theory.Ticks;

/** Notes of the tune put in one after the other by touching the neck. */
public final class TuneEntry {

  /** Lengths offered, as parts of a whole note. */
  public static final List<Integer> PARTS = List.of(1, 2, 4, 8, 16);

  private final OpenSong open;
  private final TuneBars bars;
  private final PlanService planner;
  private final IntegerProperty caret = new SimpleIntegerProperty();
  private final IntegerProperty part = new SimpleIntegerProperty(4);
  private final BooleanProperty dotted = new SimpleBooleanProperty();
  private final BooleanProperty harmonics = new SimpleBooleanProperty();
  private final ReadOnlyObjectWrapper<NeckPlaces> places =
      new ReadOnlyObjectWrapper<>(NeckPlaces.NONE);
  private boolean onNote;

  TuneEntry(OpenSong open, TuneBars bars, PlanService planner) {
    this.open = open;
    this.bars = bars;
    this.planner = planner;
    caret.addListener(o -> look());
    open.arrangementProperty().addListener(o -> look());
    open.screenProperty().addListener(o -> look());
  }

  /** The bar the player is in became another. */
  void enter() {
    onNote = false;
    caret.set(0);
    look();
  }

  private Optional<PlayedBar> played() {
    Arrangement a = open.arrangementProperty().get();
    return a == null
        ? Optional.empty()
        : a.timeline().bars().stream().filter(b -> b.written() == bars.bar()).findFirst();
  }

  /** Only where it is looked at. */
  private void look() {
    Optional<PlayedBar> bar = played();
    if (open.screenProperty().get() == Screen.MELODY && bar.isPresent()) {
      Arrangement a = open.arrangementProperty().get();
      int tick = bar.get().startTick() + Math.min(caret.get(), bar.get().lengthTicks() - 1);
      int slot = a.slotsFrom(0, tick + 1).size() - 1;
      planner.places(a, slot, places::set);
    }
  }

  private int barTicks() {
    return bars.meter().barTicks();
  }

  private BarTune tune() {
    return bars.shown(bars.bar());
  }

  /** Goes to a time of the bar: on to a note that sounds there, else to the nearest grid line. */
  public void goTo(int tick) {
    Optional<TuneNote> note =
        tune().notes().stream().filter(n -> Math.abs(n.tick() - tick) <= length() / 3).findFirst();
    onNote = note.isPresent();
    int grid = Math.min(length(), bars.meter().beatTicks());
    caret.set(
        note.map(TuneNote::tick)
            .orElse(
                Math.max(0, Math.min(barTicks() - grid, Math.round((float) tick / grid) * grid))));
  }

  /** How long the next note is, ticks. */
  public int length() {
    int plain = Ticks.PER_WHOLE / part.get();
    return dotted.get() ? plain * 3 / 2 : plain;
  }

  /** Puts the pitch of a place in and goes on; together with the note before where both sound. */
  public void touch(int string, int fret, boolean together) {
    if (bars.bar() == 0) {
      return;
    }
    Want want = TunePitches.at(open.song(), string, fret);
    if (together) {
      join(want);
    } else {
      put(want, Set.of());
    }
  }

  /** Puts the harmonic of a node in and goes on. */
  public void touch(HarmonicNode node) {
    if (bars.bar() != 0) {
      put(
          TunePitches.at(open.song(), node),
          Set.of(new Technique.NaturalHarmonic(node.harmonic(), node.node())));
    }
  }

  private void put(Want want, Set<Technique> techniques) {
    bars.keep();
    int tick = caret.get();
    if (tick >= barTicks()) {
      // The last bar is full; a bar that became shorter may end before the caret.
      return;
    }
    Optional<TuneNote> here =
        onNote
            ? tune().notes().stream().filter(n -> n.tick() == tick).findFirst()
            : Optional.empty();
    int length = here.map(TuneNote::lengthTicks).orElse(Math.min(length(), barTicks() - tick));
    TuneNote note =
        here.map(n -> again(n, want, techniques))
            .orElse(
                new TuneNote(tick, length, List.of(want), Optional.empty(), List.of(), techniques));
    edit(t -> t.placing(note));
    advance(tick + length);
  }

  /** A note elsewhere on the neck, as it was played unless it is or was a harmonic. */
  private static TuneNote again(TuneNote note, Want want, Set<Technique> techniques) {
    boolean harmonic = note.techniques().stream().anyMatch(TechniqueText::isHarmonic);
    boolean keeps = techniques.isEmpty() && !harmonic;
    return new TuneNote(
        note.tick(),
        note.lengthTicks(),
        List.of(want),
        keeps ? note.slur() : Optional.empty(),
        keeps ? note.graces() : List.of(),
        keeps ? note.techniques() : techniques);
  }

  private void join(Want want) {
    tune().notes().stream()
        .filter(n -> n.tick() < caret.get())
        .reduce((a, b) -> b)
        .filter(n -> n.wants().size() < phalanx.instrument.Tuning.STRINGS)
        .ifPresent(n -> edit(t -> t.withNote(n.tick(), b -> b.with(want))));
  }

  /** Puts a rest in and goes on. */
  public void rest() {
    int tick = caret.get();
    int to = Math.min(tick + length(), barTicks());
    edit(t -> t.silencing(tick, to));
    advance(to);
  }

  /** Takes the note before away and goes back to where it was. */
  public void back() {
    Optional<TuneNote> before =
        tune().notes().stream().filter(n -> n.tick() < caret.get()).reduce((a, b) -> b);
    if (before.isPresent()) {
      TuneNote gone = before.get();
      edit(t -> t.withoutNote(gone.tick()));
      onNote = false;
      caret.set(gone.tick());
    }
  }

  private void edit(UnaryOperator<BarTune> change) {
    bars.keep();
    int bar = bars.bar();
    if (bar != 0) {
      BarTune next = change.apply(tune());
      open.edit(song -> song.withTune(song.tune().with(bar, next)));
    }
  }

  /** On to a later time; past the end of the bar to the next one. */
  private void advance(int tick) {
    if (tick < barTicks()) {
      onNote = onNote && tune().notes().stream().anyMatch(n -> n.tick() == tick);
      caret.set(tick);
      return;
    }
    List<Integer> ids = open.song().chart().bars().stream().map(Bar::id).toList();
    if (ids.indexOf(bars.bar()) + 1 < ids.size()) {
      bars.step(1);
    } else {
      caret.set(barTicks());
    }
  }

  /** Whether a touch of the neck means its harmonics. */
  public BooleanProperty harmonicsProperty() {
    return harmonics;
  }

  /** Where the next note comes, ticks from the start of the bar. */
  public IntegerProperty caretProperty() {
    return caret;
  }

  /** The next note's length as a part of a whole note. */
  public IntegerProperty partProperty() {
    return part;
  }

  /** Whether it is half as long again. */
  public BooleanProperty dottedProperty() {
    return dotted;
  }

  /** Where the tune can go on there. */
  public ReadOnlyObjectProperty<NeckPlaces> placesProperty() {
    return places.getReadOnlyProperty();
  }
}
