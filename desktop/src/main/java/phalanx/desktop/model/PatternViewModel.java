package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleObjectProperty;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.arrangement.board.PatternFall;
import phalanx.arrangement.board.PatternView;
import phalanx.desktop.background.PlanService;
import phalanx.picking.PatternEdits;
import phalanx.picking.PickingStyle;
import phalanx.picking.WrittenPattern;
import phalanx.song.Patterns.Scope;
import phalanx.song.Song;

/** The pattern on the Picking screen: where it is played, its strokes, how it falls on chords. */
public final class PatternViewModel {

  /** What a pattern is laid down for, from wide to narrow. */
  public enum Breadth {
    SONG,
    SECTION,
    BAR,
    CHORD
  }

  private final OpenSong open;
  private final ChordChoice chords;
  private final PlaybackController sound;
  private boolean looked;
  private final PlanService planner;
  private final ObjectProperty<Breadth> reach = new SimpleObjectProperty<>(Breadth.SONG);
  private final ReadOnlyObjectWrapper<WrittenPattern> shown = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<List<PatternFall>> falls =
      new ReadOnlyObjectWrapper<>(List.of());
  private final ReadOnlyStringWrapper refusal = new ReadOnlyStringWrapper("");

  PatternViewModel(
      OpenSong open, ChordChoice chords, PlaybackController sound, PlanService planner) {
    this.open = open;
    this.chords = chords;
    this.sound = sound;
    this.planner = planner;
    open.historyProperty().addListener(o -> show());
    open.arrangementProperty().addListener(o -> show());
    chords.placeProperty().addListener(o -> show());
    reach.addListener(o -> show());
    refresh();
  }

  /** Whether somebody looks: only then what is shown follows the song. */
  public void look(boolean looks) {
    looked = looks;
    show();
  }

  private void show() {
    if (looked) {
      refresh();
    }
  }

  private void refresh() {
    Song song = open.song();
    Optional<Slot> slot = chords.slot();
    shown.set(
        slot.map(
                s ->
                    PatternView.shown(
                        song, open.arrangementProperty().get().timeline(), s.played(), scope()))
            .orElseGet(() -> PatternEdits.written(song.pattern(), song.meter())));
    Arrangement plan = open.arrangementProperty().get();
    if (plan != null && plan.song() == song) {
      planner.falls(plan, shown.get(), chords.placeProperty().get(), falls::set);
    }
  }

  /** Lets the pattern shown be heard on the selected chord. */
  public void hear() {
    Song song = open.song();
    WrittenPattern pattern = shown.get();
    chords
        .slot()
        .filter(s -> s.shape().isPresent())
        .ifPresent(
            s -> {
              Song round =
                  PatternFall.round(
                      song,
                      pattern,
                      s.played().harmony(),
                      s.shape().get(),
                      PlaybackController.ROUNDS);
              sound.audition().hear(() -> planner.round(round));
            });
  }

  /** Where in the pattern shown the song is heard, ticks; empty where another one is played. */
  public OptionalInt heard() {
    return sound
        .placeProperty()
        .get()
        .filter(p -> !p.countingIn())
        .map(
            p ->
                PatternView.within(
                    p.performance().arrangement().song(),
                    p.performance().arrangement().timeline(),
                    p.tick(),
                    scope(),
                    shown.get()))
        .orElse(OptionalInt.empty());
  }

  /** How far the pattern reaches that is shown and changed. */
  public ObjectProperty<Breadth> reachProperty() {
    return reach;
  }

  /** The same as a place in the song; the whole song where no chord is selected. */
  public Scope scope() {
    return scope(reach.get());
  }

  /** What a reach means at the selected chord. */
  public Scope scope(Breadth wanted) {
    return chords
        .slot()
        .map(s -> PatternView.scopes(open.song(), s.played().ref()).get(wanted.ordinal()))
        .orElse(new Scope.WholeSong());
  }

  /** The pattern played there, written out. */
  public ReadOnlyObjectProperty<WrittenPattern> shownProperty() {
    return shown.getReadOnlyProperty();
  }

  /** How it falls on the selected chord and the next; newest on the Picking screen. */
  public ReadOnlyObjectProperty<List<PatternFall>> fallsProperty() {
    return falls.getReadOnlyProperty();
  }

  /** Why the last change of the pattern was refused; empty if it was not. */
  public ReadOnlyStringProperty refusalProperty() {
    return refusal.getReadOnlyProperty();
  }

  /** Takes an edit over, or says why no hand can play it. */
  public void take(PatternEdits.Result result) {
    if (result instanceof PatternEdits.Result.Refused refused) {
      refusal.set(refused.reason());
    } else if (result instanceof PatternEdits.Result.Done done) {
      become(done.pattern());
    }
  }

  /** Plays another version of the pattern that is shown. */
  public void become(WrittenPattern next) {
    refusal.set("");
    WrittenPattern before = shown.get();
    Scope scope = scope();
    if (!next.equals(before)) {
      open.edit(song -> PatternView.changed(song, scope, before, next));
    }
  }

  /** Plays a pattern of the shelf where the reach is. */
  public void choose(PickingStyle style) {
    refusal.set("");
    Scope scope = scope();
    open.edit(song -> song.withPatterns(song.patterns().with(scope, style)));
  }

  /** What is played where the reach is, as the song has it. */
  public PickingStyle chosen() {
    Song song = open.song();
    Scope scope = scope();
    if (scope instanceof Scope.OfSection s) {
      return song.patterns().atSection(s.section(), song.chart());
    } else if (scope instanceof Scope.OfBar b) {
      return song.patterns().at(b.bar(), song.chart());
    } else if (scope instanceof Scope.OfChord c) {
      return song.patterns().at(c.slot(), song.chart());
    }
    return song.pattern();
  }

  /** What is played over the selected chord. */
  public PickingStyle inForce() {
    Song song = open.song();
    return chords
        .slot()
        .map(s -> song.patterns().at(s.played().ref(), song.chart()))
        .orElse(song.pattern());
  }

  /** A song with another pattern over the selected chord, as far as the one in force reaches. */
  public Song inForce(Song song, PickingStyle style) {
    Scope narrowest = new Scope.WholeSong();
    for (Breadth wanted : List.of(Breadth.SECTION, Breadth.BAR, Breadth.CHORD)) {
      narrowest = song.patterns().has(scope(wanted)) ? scope(wanted) : narrowest;
    }
    return song.withPatterns(song.patterns().with(narrowest, style));
  }

  /** Whether something of its own is played where the reach is. */
  public boolean isOwn() {
    return open.song().patterns().has(scope()) && !(scope() instanceof Scope.WholeSong);
  }

  /** Plays there what is played around it again. */
  public void follow() {
    Scope scope = scope();
    open.edit(song -> song.withPatterns(song.patterns().without(scope)));
  }

  /** Brushes the last chord softly, or no longer. */
  public void endSoftly(boolean softly) {
    open.edit(song -> song.withPatterns(song.patterns().endingSoftly(softly)));
  }
}
