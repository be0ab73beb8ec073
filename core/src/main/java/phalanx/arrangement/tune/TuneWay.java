package phalanx.arrangement.tune;

import java.util.List;
import java.util.Optional;

/**
 * One way to play the notes of the tune that fall into a slot, over the shape held there.
 *
 * @param places where each note lies, in order; empty for a note the hand cannot reach
 * @param cost what it costs, without unit; {@link TuneFit#MISSED} for each note out of reach
 */
public record TuneWay(List<Optional<TunePlace>> places, double cost) {

  public static final TuneWay NONE = new TuneWay(List.of(), 0);

  public TuneWay {
    places = List.copyOf(places);
  }
}
