package phalanx.desktop.model;

import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.collections.ObservableList;
import phalanx.arrangement.Arrangement;
import phalanx.findings.Review;
import phalanx.performance.Performance;
import phalanx.song.History;
import phalanx.song.Song;

/**
 * What a model of one kind of work reads of the open song and its newest plan, and the edits it
 * makes. {@link Workspace} is it; models know no more of the workspace than this.
 */
public interface OpenSong {

  /** The song now. */
  Song song();

  /** The song and its past and undone states. */
  ReadOnlyObjectProperty<History<Song>> historyProperty();

  /** How many songs were opened: told when another one is there, not when this one is edited. */
  ReadOnlyIntegerProperty openedProperty();

  /** Changes the song; can be undone. */
  void edit(UnaryOperator<Song> change);

  /** Changes the song's key, capo or tuning; can be undone. What pins no longer hold is said. */
  void resettle(UnaryOperator<Song> change);

  /** The newest plan; null until the first is ready. */
  ReadOnlyObjectProperty<Arrangement> arrangementProperty();

  /** The newest plan in time, always of the same song as the plan and what is hard in it. */
  ReadOnlyObjectProperty<Performance> performanceProperty();

  /** What is hard in the newest plan that was looked through. */
  ReadOnlyObjectProperty<Optional<Review>> reviewProperty();

  /** Whether a newer plan is being made. */
  ReadOnlyBooleanProperty planningProperty();

  /** Whether the selection changes only because a new plan came, not because the player moved. */
  boolean isSettling();

  /** The screen that is open. */
  ObjectProperty<Screen> screenProperty();

  /** How the player wants to see songs. */
  Viewing viewing();

  /** What the player should know of the open song, each with its place. */
  ObservableList<String> problems();

  /** Takes faults of the program's own. */
  FaultNotices faults();
}
