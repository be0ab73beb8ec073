package phalanx.formats.musicxml;

import java.util.List;
import org.audiveris.proxymusic.Beam;
import org.audiveris.proxymusic.BeamValue;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.ObjectFactory;
import phalanx.notation.BeamGroups;
import phalanx.notation.WrittenNote;
import phalanx.song.Timeline.PlayedBar;

/** The beams of one voice of a bar, level by level. */
final class BeamMarks {

  private static final ObjectFactory FACTORY = new ObjectFactory();

  private final List<List<WrittenNote>> groups;

  BeamMarks(List<WrittenNote> voice, PlayedBar bar) {
    groups = BeamGroups.of(voice, bar);
  }

  /** Marks a note with the beams that begin, go on or end at it. */
  void mark(Note xml, WrittenNote note) {
    for (List<WrittenNote> group : groups) {
      int at = group.indexOf(note);
      if (at >= 0 && group.size() > 1) {
        for (int level = 1; level <= note.piece().value().flags(); level++) {
          Beam beam = FACTORY.createBeam();
          beam.setNumber(level);
          beam.setValue(value(group, at, level));
          xml.getBeam().add(beam);
        }
      }
    }
  }

  private static BeamValue value(List<WrittenNote> group, int at, int level) {
    boolean before = at > 0 && group.get(at - 1).piece().value().flags() >= level;
    boolean after = at + 1 < group.size() && group.get(at + 1).piece().value().flags() >= level;
    if (before) {
      return after ? BeamValue.CONTINUE : BeamValue.END;
    }
    return after ? BeamValue.BEGIN : at > 0 ? BeamValue.BACKWARD_HOOK : BeamValue.FORWARD_HOOK;
  }
}
