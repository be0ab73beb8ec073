package phalanx.desktop.model;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import phalanx.advice.FittedFill;
import phalanx.arrangement.Slot;
import phalanx.colour.Fill;
import phalanx.song.Harmony;
import phalanx.song.SlotRef;
import phalanx.theory.NoteName;

/** The shelf of fills, and one of them as it goes into the end of the selected bar. */
public final class FillDesk {

  private final Workspace workspace;
  private final PlanService planner;
  private final List<Fill> shelf;
  private final ObjectProperty<Optional<Integer>> beats =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Fill.Colour> colour = new SimpleObjectProperty<>(Fill.Colour.MAJOR);
  private final ObjectProperty<Optional<Fill>> chosen =
      new SimpleObjectProperty<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Answer> answer =
      new ReadOnlyObjectWrapper<>(new Answer(false, Optional.empty()));

  /**
   * The fill that is looked at, in the selected bar.
   *
   * @param known whether it was tried; until then nothing can be said
   * @param fitted empty where the bar has no room for it
   */
  public record Answer(boolean known, Optional<FittedFill> fitted) {}

  /** Where a fill goes: the last chord of the selected bar. */
  private record Place(SlotRef at, NoteName root) {}

  FillDesk(Workspace workspace, PlanService planner, List<Fill> shelf) {
    this.workspace = workspace;
    this.planner = planner;
    this.shelf = List.copyOf(shelf);
    chosen.addListener(o -> fit());
    colour.addListener(o -> fit());
    workspace.selectedProperty().addListener(o -> fit());
    workspace.arrangementProperty().addListener(o -> fit());
    workspace.screenProperty().addListener(o -> fit());
  }

  /** The fills of the length that is asked for. */
  public List<Fill> shown() {
    return shelf.stream().filter(f -> beats.get().filter(b -> b != f.beats()).isEmpty()).toList();
  }

  /** The length in quarters that is asked for; empty for any. */
  public ObjectProperty<Optional<Integer>> beatsProperty() {
    return beats;
  }

  /** The colour in which fills are played. */
  public ObjectProperty<Fill.Colour> colourProperty() {
    return colour;
  }

  /** The fill that is looked at. */
  public ObjectProperty<Optional<Fill>> chosenProperty() {
    return chosen;
  }

  /** How it goes into the selected bar. */
  public ReadOnlyObjectProperty<Answer> answerProperty() {
    return answer.getReadOnlyProperty();
  }

  private Optional<Place> place() {
    Optional<Integer> bar = workspace.selectedSlot().map(s -> s.played().ref().bar());
    return bar.stream()
        .flatMap(b -> workspace.arrangementProperty().get().slots().stream())
        .filter(s -> s.played().ref().bar() == bar.get())
        .max(Comparator.comparingInt((Slot s) -> s.played().ref().tick()))
        .filter(s -> s.played().harmony() instanceof Harmony.Sounding)
        .map(
            s ->
                new Place(
                    s.played().ref(), ((Harmony.Sounding) s.played().harmony()).chord().root()));
  }

  private void fit() {
    answer.set(new Answer(false, Optional.empty()));
    // Each try plans the song anew, so only where it is looked at.
    boolean looked = workspace.screenProperty().get() == Screen.MELODY;
    Optional<Place> place = place();
    if (looked && chosen.get().isPresent() && place.isPresent()) {
      Place at = place.get();
      planner.fill(
          workspace.song(),
          at.at(),
          at.root(),
          chosen.get().get(),
          colour.get(),
          fitted -> answer.set(new Answer(true, fitted)));
    }
  }

  /** The other colour. */
  public void switchColour() {
    boolean major = colour.get() == Fill.Colour.MAJOR;
    colour.set(major ? Fill.Colour.BLUESY : Fill.Colour.MAJOR);
  }

  /** Lets the fill be heard as it would be played. */
  public void hear() {
    answer.get().fitted().ifPresent(f -> workspace.desks().sound().hear(f.notes()));
  }

  /** Puts it into the bar; can be undone. */
  public void put() {
    answer.get().fitted().ifPresent(f -> workspace.edit(song -> f.song()));
  }
}
