package phalanx.practice;

import java.util.List;
import java.util.zip.CRC32;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.picking.PickFinger;
import phalanx.text.Phrase;

/**
 * What a drill is known by: its kind and its own notes, from where it begins. So it keeps its
 * history wherever it moves, and starts anew where what is played in it changed.
 */
final class DrillId {

  private DrillId() {}

  static String of(DrillKind kind, String variant, Arrangement played, int from, int to) {
    StringBuilder content = new StringBuilder(variant);
    for (Note note : played.notesFrom(from, to)) {
      content
          .append(';')
          .append(note.tick() - from)
          .append(',')
          .append(note.string())
          .append(',')
          .append(note.fret())
          .append(',')
          .append(note.pick().map(PickFinger::letter).orElse(note.attack().sign()));
    }
    List<Gesture> gestures = played.gesturesFrom(from, to);
    for (Gesture gesture : gestures) {
      if (gesture instanceof Gesture.Hit hit) {
        content.append(";x").append(hit.tick() - from).append(hit.kind().written());
      }
    }
    CRC32 sum = new CRC32();
    content.chars().forEach(c -> sum.update(c));
    return Phrase.of("%s-%08x", kind.word(), sum.getValue());
  }
}
