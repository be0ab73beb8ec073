package phalanx.desktop.model;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.beans.Observable;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import phalanx.advice.FillFitting;
import phalanx.advice.FillTry;
import phalanx.arrangement.Slot;
import phalanx.arrangement.board.ShapeFilter.Position;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.texts.Texts;
import phalanx.embellishment.Ending;
import phalanx.embellishment.Fill;
import phalanx.embellishment.FillMaker;
import phalanx.song.Bar;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.theory.Chord;

/**
 * The shelf of fills as they go into the end of the selected bar. While the shelf is looked at all
 * of them are tried there, one after the other.
 */
public final class FillViewModel {

  private final OpenSong open;
  private final ChordChoice chords;
  private final SlotRange selected;
  private final PlaybackController sound;
  private final PlanService planner;
  private final List<Fill> shipped;
  private final ObjectProperty<List<Fill>> own = new SimpleObjectProperty<>(List.of());
  private final ObjectProperty<Optional<Integer>> beats =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Fill.Colour> colour = new SimpleObjectProperty<>(Fill.Colour.MAJOR);
  private final ObjectProperty<Ending> ending = new SimpleObjectProperty<>(Ending.PLAIN);
  private final ObjectProperty<Position> position = new SimpleObjectProperty<>(Position.ANY);
  private final BooleanProperty fittingOnly = new SimpleBooleanProperty();
  private final BooleanProperty looked = new SimpleBooleanProperty();
  private final ObjectProperty<Optional<Fill>> chosen =
      new SimpleObjectProperty<>(Optional.empty());
  private final Map<Fill, FillTry> tried = new HashMap<>();

  private Optional<FillTry> whole = Optional.empty();

  /** The song that {@link #whole} was made from. */
  private Optional<Song> base = Optional.empty();

  /** Goes up with every fill that was tried, and when all is tried anew. */
  private final ReadOnlyIntegerWrapper news = new ReadOnlyIntegerWrapper();

  /** Where a fill goes: the last chord of the selected bar. */
  private record Place(SlotRef at, Chord chord) {}

  FillViewModel(
      OpenSong open,
      ChordChoice chords,
      SlotRange selected,
      PlaybackController sound,
      PlanService planner,
      List<Fill> shipped) {
    this.open = open;
    this.chords = chords;
    this.selected = selected;
    this.sound = sound;
    this.planner = planner;
    this.shipped = List.copyOf(shipped);
    for (Observable change :
        List.of(own, colour, ending, looked, chords.placeProperty(), open.arrangementProperty())) {
      change.addListener(o -> again());
    }
    chosen.addListener(o -> go());
  }

  /** The fills that are asked for; whether one fits or where it lies counts once it is known. */
  public List<Fill> shown() {
    return all().filter(this::isShown).toList();
  }

  private Stream<Fill> all() {
    return Stream.concat(own.get().stream(), shipped.stream());
  }

  private boolean isShown(Fill fill) {
    Optional<FillTry> known = tried(fill);
    boolean length = beats.get().filter(b -> b != fill.beats()).isEmpty();
    boolean there =
        position.get() == Position.ANY
            || known
                .flatMap(FillTry::fitted)
                .filter(f -> position.get().has(f.position()))
                .isPresent();
    boolean fits = !fittingOnly.get() || known.filter(t -> !t.fits()).isEmpty();
    return length && there && fits || chosen.get().equals(Optional.of(fill));
  }

  /** Whether it is one of the player's own. */
  public boolean isOwn(Fill fill) {
    return own.get().contains(fill);
  }

  /** How a fill goes into the selected bar; empty until it was tried. */
  public Optional<FillTry> tried(Fill fill) {
    return Optional.ofNullable(tried.get(fill));
  }

  /**
   * How the one that is looked at goes in, planned with the whole song; empty until it is, and when
   * the song is no longer the one it was tried in: put then, it would undo what came since.
   */
  public Optional<FillTry> looked() {
    return whole
        .filter(t -> chosen.get().equals(Optional.of(t.fill())))
        .filter(t -> base.equals(Optional.of(open.song())));
  }

  /** In place of one that does not fit: the most like it that does. */
  public Optional<FillTry> nearest() {
    return looked()
        .filter(t -> !t.fits())
        .flatMap(t -> FillTry.nearest(t.fill(), new ArrayList<>(tried.values())));
  }

  /** Changes whenever something new is known of a fill. */
  public ReadOnlyIntegerProperty newsProperty() {
    return news.getReadOnlyProperty();
  }

  private Optional<Place> place() {
    return chords
        .lastOfBar()
        .map(Slot::played)
        .flatMap(s -> s.harmony().sounding().map(chord -> new Place(s.ref(), chord)));
  }

  /** The chord that fills go over, as it is called. */
  public Optional<Chord> chord() {
    return place().map(Place::chord);
  }

  /** All of them anew. */
  private void again() {
    tried.clear();
    go();
  }

  /** The one that is looked at with the whole song, then all that were not tried yet in short. */
  private void go() {
    whole = Optional.empty();
    news.set(news.get() + 1);
    planner.forgetFills();
    Optional<Place> place = place();
    if (looked.get() && place.isPresent()) {
      base = Optional.of(open.song());
      FillFitting fitting = planner.fitting(open.song(), place.get().at(), place.get().chord());
      List<Fill> queue = all().filter(f -> !tried.containsKey(f)).toList();
      chosen
          .get()
          .ifPresentOrElse(
              fill ->
                  ask(
                      fitting,
                      fill,
                      answer -> {
                        whole = Optional.of(answer);
                        known(answer);
                        next(fitting.inShort(), queue, 0);
                      }),
              () -> next(fitting.inShort(), queue, 0));
    }
  }

  private void next(FillFitting fitting, List<Fill> queue, int index) {
    if (index < queue.size()) {
      ask(
          fitting,
          queue.get(index),
          answer -> {
            tried.putIfAbsent(answer.fill(), answer);
            news.set(news.get() + 1);
            next(fitting, queue, index + 1);
          });
    }
  }

  private void known(FillTry answer) {
    tried.put(answer.fill(), answer);
    news.set(news.get() + 1);
  }

  private void ask(FillFitting fitting, Fill fill, Consumer<FillTry> answer) {
    planner.fill(fitting, fill, colourHere(), ending.get(), answer);
  }

  /** The colour in which they are played here: a minor chord has one of its own. */
  public Fill.Colour colourHere() {
    return hasColours() ? colour.get() : Fill.Colour.BLUESY;
  }

  /** Whether there are two colours over the chord. */
  public boolean hasColours() {
    return place().map(p -> Fill.colours(p.chord()).size() > 1).orElse(true);
  }

  /** The other colour. */
  public void switchColour() {
    boolean major = colour.get() == Fill.Colour.MAJOR;
    colour.set(major ? Fill.Colour.BLUESY : Fill.Colour.MAJOR);
  }

  /** Lets the fill that is looked at be heard as it would be played. */
  public void hear() {
    looked().flatMap(FillTry::fitted).ifPresent(f -> sound.audition().hear(f.notes()));
  }

  /** Puts it into the bar; can be undone. */
  public void put() {
    looked().flatMap(FillTry::fitted).ifPresent(f -> open.edit(song -> f.song()));
  }

  /** The tune of the selected bars as a fill, or why it is none. */
  public FillMaker.Result make(String name) {
    List<Integer> bars =
        selected.slots().stream().map(s -> s.played().ref().bar()).distinct().toList();
    return chordAtEnd()
        .map(c -> FillMaker.of(open.song(), bars, c, name))
        .orElse(new FillMaker.Result(Optional.empty(), Texts.of("fillViewModel.thereIsNoChord")));
  }

  private Optional<Chord> chordAtEnd() {
    return selected.slots().stream()
        .flatMap(s -> s.played().harmony().sounding().stream())
        .reduce((a, b) -> b);
  }

  /** Where the selected bar stands in the song, from 1; 0 with none. */
  public int barNumber() {
    return chords.bar().map(Bar::id).map(open.song()::barNumber).orElse(0);
  }

  /** The player's own fills. */
  public ObjectProperty<List<Fill>> ownProperty() {
    return own;
  }

  /** The length in quarters that is asked for; empty for any. */
  public ObjectProperty<Optional<Integer>> beatsProperty() {
    return beats;
  }

  /** The colour in which fills are played. */
  public ObjectProperty<Fill.Colour> colourProperty() {
    return colour;
  }

  /** How their last note is played. */
  public ObjectProperty<Ending> endingProperty() {
    return ending;
  }

  /** Where on the neck they are to lie. */
  public ObjectProperty<Position> positionProperty() {
    return position;
  }

  /** Whether those that do not fit are left out. */
  public BooleanProperty fittingOnlyProperty() {
    return fittingOnly;
  }

  /** Whether the shelf is looked at. */
  public BooleanProperty lookedProperty() {
    return looked;
  }

  /** The fill that is looked at. */
  public ObjectProperty<Optional<Fill>> chosenProperty() {
    return chosen;
  }
}
