package phalanx.desktop.model;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import phalanx.arrangement.Arrangement;
import phalanx.desktop.background.PlanService;
import phalanx.embellishment.Frame;
import phalanx.performance.Performance;
import phalanx.practice.Excerpt;
import phalanx.song.Song;
import phalanx.song.Timeline.PlayedBar;

/** How the song could begin and end: heard before it is taken, one step to undo. */
public final class FrameViewModel {

  /** So many bars are heard of an ending, or of what follows an intro. */
  private static final int HEARD_BARS = 3;

  private final OpenSong open;
  private final PlaybackController sound;
  private final PlanService planner;
  private final ReadOnlyObjectWrapper<Optional<Frame>> chosen =
      new ReadOnlyObjectWrapper<>(Optional.empty());

  private final ReadOnlyObjectWrapper<Set<Frame>> possible =
      new ReadOnlyObjectWrapper<>(EnumSet.noneOf(Frame.class));

  FrameViewModel(OpenSong open, PlaybackController sound, PlanService planner) {
    this.open = open;
    this.sound = sound;
    this.planner = planner;
    open.historyProperty().addListener(o -> changed());
    changed();
  }

  private void changed() {
    chosen.set(Optional.empty());
    planner.frames(open.song(), possible::set);
  }

  /** The ways that can be taken in the song as it is; of before until that is known. */
  public ReadOnlyObjectProperty<Set<Frame>> possibleProperty() {
    return possible.getReadOnlyProperty();
  }

  /** Lets a way be heard; it can be taken then. */
  public void hear(Frame frame) {
    Optional<Song> song = frame.in(open.song());
    chosen.set(song.map(s -> frame));
    song.ifPresent(
        s -> sound.audition().hear(() -> excerpt(frame, planner.round(s).arrangement())));
  }

  private static Performance excerpt(Frame frame, Arrangement whole) {
    List<PlayedBar> bars = whole.timeline().bars();
    int heard = Math.min(bars.size(), HEARD_BARS + (frame == Frame.INTRO_OF_FOUR ? 2 : 0));
    List<PlayedBar> some =
        frame.begins() ? bars.subList(0, heard) : bars.subList(bars.size() - heard, bars.size());
    return Performance.of(
        Excerpt.of(whole, some.get(0).startTick(), some.get(heard - 1).endTick()));
  }

  /** Takes the way that was heard last. */
  public void take() {
    chosen.get().ifPresent(f -> open.edit(s -> f.in(s).orElse(s)));
  }

  /** The way that was heard last and can be taken. */
  public ReadOnlyObjectProperty<Optional<Frame>> chosenProperty() {
    return chosen.getReadOnlyProperty();
  }
}
