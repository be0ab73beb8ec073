package phalanx.formats.musicxml;

import java.util.List;
import org.audiveris.proxymusic.Lyric;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.ObjectFactory;
import org.audiveris.proxymusic.Syllabic;
import org.audiveris.proxymusic.TextElementData;
import phalanx.song.BarLyrics;

/** The words under a bar, each piece at the first note or rest of a voice from its time on. */
final class WordsXml {

  private static final ObjectFactory FACTORY = new ObjectFactory();

  private WordsXml() {}

  /**
   * Puts words under the notes of a voice.
   *
   * @param words those of the bar
   */
  static void put(List<Note> voice, BarLyrics words) {
    for (int verse = 0; verse < words.verses().size(); verse++) {
      for (BarLyrics.Piece piece : words.verses().get(verse)) {
        Note note = at(voice, piece.tick(), verse);
        if (note != null) {
          Lyric lyric = FACTORY.createLyric();
          lyric.setNumber(String.valueOf(verse + 1));
          lyric.getElisionAndSyllabicAndText().add(Syllabic.SINGLE);
          TextElementData text = FACTORY.createTextElementData();
          text.setValue(piece.text());
          lyric.getElisionAndSyllabicAndText().add(text);
          note.getLyric().add(lyric);
        }
      }
    }
  }

  /** The first note from a tick on that has no words of the verse yet, else the last. */
  private static Note at(List<Note> voice, int tick, int verse) {
    int at = 0;
    Note last = null;
    String number = String.valueOf(verse + 1);
    for (Note note : voice) {
      if (note.getChord() != null || note.getGrace() != null) {
        continue;
      }
      boolean taken = note.getLyric().stream().anyMatch(l -> number.equals(l.getNumber()));
      if (!taken) {
        last = note;
        if (at >= tick) {
          return note;
        }
      }
      at += note.getDuration().intValue();
    }
    return last;
  }
}
