package phalanx.sound;

import java.util.Optional;
import java.util.stream.Stream;
import phalanx.arrangement.Note;
import phalanx.picking.PickFinger;

/** What can be heard alone, louder, or not at all. */
public enum Layer {
  TUNE("tune", Texts.of("layer.tune")),
  FINGERS("fingers", Texts.of("layer.fingers")),
  THUMB("thumb", Texts.of("layer.thumb")),
  HITS("hits", Texts.of("layer.hits")),
  CLICK("click", Texts.of("layer.metronome"));

  private final String word;
  private final String title;

  Layer(String word, String title) {
    this.word = word;
    this.title = title;
  }

  /** The layer a note belongs to: the tune, whoever plucks it; else the thumb's or the fingers'. */
  public static Layer of(Note note) {
    if (note.part() == Note.Part.TUNE) {
      return TUNE;
    }
    boolean thumb = note.part() == Note.Part.BASS || note.isPickedBy(PickFinger.P);
    return thumb ? THUMB : FINGERS;
  }

  /** Its word on the command line. */
  public String word() {
    return word;
  }

  /** What players read. */
  public String title() {
    return title;
  }

  /** The layer of a word. */
  public static Optional<Layer> worded(String word) {
    return Stream.of(values()).filter(l -> l.word.equals(word)).findFirst();
  }
}
