package phalanx.arrangement;

import java.util.Optional;
import phalanx.instrument.Finger;
import phalanx.picking.PickFinger;
import phalanx.song.NoteRef;

/**
 * One sounding note.
 *
 * @param tick when it is struck, from the start of the song
 * @param lengthTicks how long it rings
 * @param string 0 for ⑥ to 5 for ①
 * @param fret from the capo, 0 open
 * @param midi sounding pitch, capo included
 * @param pick the finger that plucks it
 * @param fretFinger the finger that holds it; empty for an open string
 * @param part what it does in the texture
 * @param ref where its stroke is written
 */
public record Note(
    int tick,
    int lengthTicks,
    int string,
    int fret,
    int midi,
    PickFinger pick,
    Optional<Finger> fretFinger,
    Part part,
    NoteRef ref) {

  /** The voice a note belongs to. */
  public enum Part {
    BASS,
    INNER,
    TUNE
  }
}
