package phalanx.desktop.model;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.instrument.Hand;
import phalanx.practice.ChangeLateness;
import phalanx.practice.MatchedStroke;

/** How quickly the player’s hand really changes, from what was played since the program began. */
public final class MeasuredPace {

  private final OpenSong open;
  private final HandViewModel hands;
  private final List<MatchedStroke> played = new ArrayList<>();

  MeasuredPace(OpenSong open, HandViewModel hands) {
    this.open = open;
    this.hands = hands;
  }

  /** What an attempt says, once. */
  void add(List<MatchedStroke> strokes) {
    played.addAll(strokes);
  }

  /** How late the changes came, those that are still in the plan. */
  public ChangeLateness lateness() {
    Arrangement plan = open.arrangementProperty().get();
    if (plan == null) {
      return ChangeLateness.NONE;
    }
    Set<Note> there = new HashSet<>(plan.notes());
    return ChangeLateness.of(
        played.stream().filter(m -> there.contains(m.stroke().note())).toList());
  }

  /**
   * The hand with the pace that was measured; empty where too little is known, or it is as it is.
   */
  public Optional<Hand> hand() {
    return lateness().hand(open.song().hand());
  }

  /** Takes the pace that was measured as the player’s own. */
  public void take() {
    hand()
        .ifPresent(
            h -> {
              played.clear();
              hands.playersProperty().set(h);
            });
  }
}
