package phalanx.formats.musicxml;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.audiveris.proxymusic.ScorePartwise;
import phalanx.chart.ChordProposal;
import phalanx.song.ChordChange;
import phalanx.theory.Key;

/** Chords for a score that names none, from the notes of all its parts. */
final class ProposedChords {

  private final List<List<ChordProposal.Tone>> tones = new ArrayList<>();
  private final Key key;
  private final ChordProposal proposal;

  /**
   * Reads all parts as the tune’s part writes what sounds.
   *
   * @param own the measures that chords are wanted for
   * @param semitones how much higher the tune’s part sounds than it is written
   */
  ProposedChords(
      ScorePartwise score, List<MeasureReader.Content> own, int semitones, Optional<Key> written) {
    own.forEach(c -> tones.add(new ArrayList<>()));
    for (ScorePartwise.Part part : score.getPart()) {
      int sounds = GuitarXml.of(part).semitones();
      MeasureReader reader = new MeasureReader(sounds);
      for (int m = 0; m < part.getMeasure().size(); m++) {
        MeasureReader.Content content = reader.next(part.getMeasure().get(m));
        if (m < tones.size()) {
          add(tones.get(m), content, sounds - semitones);
        }
      }
    }
    key = written.orElseGet(() -> ChordProposal.key(tones.stream().flatMap(List::stream).toList()));
    proposal = new ChordProposal(key);
  }

  private static void add(List<ChordProposal.Tone> tones, MeasureReader.Content content, int up) {
    for (ScoreNote note : content.notes()) {
      if (note.pitch().isPresent() && !note.isGrace()) {
        tones.add(
            new ChordProposal.Tone(
                note.tick(), note.lengthTicks(), note.pitch().get().midi() + up));
      }
    }
  }

  Key key() {
    return key;
  }

  /** The chords of a measure; measures are asked for in order. */
  List<ChordChange> in(int measure, int lengthTicks) {
    return lengthTicks < 1 ? List.of() : proposal.bar(tones.get(measure), lengthTicks);
  }
}
