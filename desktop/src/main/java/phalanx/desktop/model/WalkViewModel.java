package phalanx.desktop.model;

import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import phalanx.advice.FittedRun;
import phalanx.advice.WalkFitting;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.arrangement.board.ChordParts;
import phalanx.desktop.background.PlanService;
import phalanx.embellishment.PairWalk;
import phalanx.song.Song;
import phalanx.theory.Chord;

/** A walk of double stops from the selected bar's last chord up to the next one. */
public final class WalkViewModel {

  private final OpenSong open;
  private final ChordChoice chords;
  private final PlaybackController sound;
  private final PlanService planner;
  private final ObjectProperty<Optional<PairWalk>> kind =
      new SimpleObjectProperty<>(Optional.empty());
  private final BooleanProperty down = new SimpleBooleanProperty();
  private final BooleanProperty eighths = new SimpleBooleanProperty();
  private final ReadOnlyObjectWrapper<Answer> answer =
      new ReadOnlyObjectWrapper<>(new Answer(false, Optional.empty()));

  /** The song that the answer was made from: put into another, it would undo what came since. */
  private Optional<Song> base = Optional.empty();

  /**
   * What came of trying.
   *
   * @param known whether it was tried; until then nothing can be said
   * @param run empty where there is none
   */
  public record Answer(boolean known, Optional<FittedRun> run) {}

  private record Place(Slot from, Slot to) {}

  WalkViewModel(OpenSong open, ChordChoice chords, PlaybackController sound, PlanService planner) {
    this.open = open;
    this.chords = chords;
    this.sound = sound;
    this.planner = planner;
    kind.addListener(o -> walk());
    down.addListener(o -> walk());
    eighths.addListener(o -> walk());
    chords.placeProperty().addListener(o -> walk());
    open.arrangementProperty().addListener(o -> walk());
  }

  private void walk() {
    answer.set(new Answer(false, Optional.empty()));
    Optional<Place> place = place();
    if (kind.get().isPresent() && place.isPresent()) {
      base = Optional.of(open.song());
      WalkFitting fitting = fitting(place.get());
      planner.walk(fitting, steps(), run -> answer.set(new Answer(true, run)));
    }
  }

  private WalkFitting fitting(Place at) {
    return planner.walking(
        open.song(),
        at.from().played().ref(),
        chord(at.from()).orElseThrow(),
        at.to().played().ref(),
        chord(at.to()).orElseThrow());
  }

  private WalkFitting.Steps steps() {
    Optional<PairWalk.Direction> direction =
        down.get() ? Optional.of(PairWalk.Direction.DOWN) : Optional.empty();
    return new WalkFitting.Steps(kind.get().orElseThrow(), direction, eighths.get());
  }

  /** The selected chord, and the one that follows it. */
  private Optional<Place> place() {
    Arrangement a = open.arrangementProperty().get();
    if (a == null || chords.slot().isEmpty()) {
      return Optional.empty();
    }
    ChordParts parts = ChordParts.of(a, chords.placeProperty().get());
    Slot from = parts.parts().get(0);
    int next = a.slots().indexOf(parts.parts().get(parts.parts().size() - 1)) + 1;
    if (next >= a.slots().size()) {
      return Optional.empty();
    }
    Place place = new Place(from, a.slots().get(next));
    boolean chords = chord(place.from()).isPresent() && chord(place.to()).isPresent();
    return chords ? Optional.of(place) : Optional.empty();
  }

  private static Optional<Chord> chord(Slot slot) {
    return slot.played().harmony().sounding();
  }

  /** The chord it leads to; empty where there is none. */
  public Optional<Chord> target() {
    return place().flatMap(p -> chord(p.to()));
  }

  /** In which intervals; empty while no walk is looked at. */
  public ObjectProperty<Optional<PairWalk>> kindProperty() {
    return kind;
  }

  /** Whether it goes down; else whichever way is easier. */
  public BooleanProperty downProperty() {
    return down;
  }

  /** Whether a pair comes each eighth, else each quarter. */
  public BooleanProperty eighthsProperty() {
    return eighths;
  }

  /** How it is played. */
  public ReadOnlyObjectProperty<Answer> answerProperty() {
    return answer.getReadOnlyProperty();
  }

  /** Lets it be heard, its bass too. */
  public void hear() {
    answer.get().run().ifPresent(r -> sound.audition().hear(r.allNotes()));
  }

  /** Puts it into the bar; can be undone. */
  public void put() {
    answer
        .get()
        .run()
        .filter(r -> base.equals(Optional.of(open.song())))
        .ifPresent(r -> open.edit(song -> r.song()));
    kind.set(Optional.empty());
  }
}
