package phalanx.formats.musicxml;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.audiveris.proxymusic.Backup;
import org.audiveris.proxymusic.Forward;
import org.audiveris.proxymusic.Lyric;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.Syllabic;
import org.audiveris.proxymusic.TextElementData;
import phalanx.song.BarLyrics;
import phalanx.song.Song;
import phalanx.song.SongBounds;
import phalanx.theory.Quoted;

/**
 * The words of a part by the bars of a song whose bars are its measures, from 1. Syllables of a
 * word are joined by hyphens, words of a bar stand together from its first one on; a piece of many
 * words is a line that somebody put under one note.
 */
final class ScoreWords {

  private ScoreWords() {}

  /** The words by the identity of their bar. */
  static Map<Integer, BarLyrics> of(ScorePartwise.Part part, Song song) {
    Map<Integer, BarLyrics> words = new HashMap<>();
    for (int m = 0; m < part.getMeasure().size(); m++) {
      if (song.chart().bar(m + 1).isPresent()) {
        BarLyrics here = measure(part.getMeasure().get(m));
        if (!here.isEmpty()) {
          words.put(m + 1, here);
        }
      }
    }
    return words;
  }

  private static BarLyrics measure(ScorePartwise.Part.Measure measure) {
    TreeMap<Integer, TreeMap<Integer, String>> verses = new TreeMap<>();
    int at = 0;
    for (Object item : measure.getNoteOrBackupOrForward()) {
      if (item instanceof Note note) {
        for (Lyric lyric : note.getLyric()) {
          String text = text(lyric);
          if (!text.isBlank()) {
            verses
                .computeIfAbsent(verse(lyric), v -> new TreeMap<>())
                .merge(at, text, String::concat);
          }
        }
        at +=
            note.getChord() == null && note.getDuration() != null
                ? note.getDuration().intValue()
                : 0;
      } else if (item instanceof Backup back && back.getDuration() != null) {
        at = Math.max(0, at - back.getDuration().intValue());
      } else if (item instanceof Forward forward && forward.getDuration() != null) {
        at += forward.getDuration().intValue();
      }
    }
    return words(verses);
  }

  private static int verse(Lyric lyric) {
    String number = lyric.getNumber() == null ? "1" : lyric.getNumber();
    return number.matches("\\d{1,2}")
        ? Math.max(1, Math.min(BarLyrics.MOST_VERSES, Integer.parseInt(number)))
        : 1;
  }

  /** The text of a syllable with the hyphen or blank that follows it. */
  private static String text(Lyric lyric) {
    StringBuilder text = new StringBuilder();
    boolean goesOn = false;
    for (Object part : lyric.getElisionAndSyllabicAndText()) {
      if (part instanceof TextElementData data && data.getValue() != null) {
        text.append(data.getValue());
      } else if (part instanceof Syllabic syllabic) {
        goesOn = syllabic == Syllabic.BEGIN || syllabic == Syllabic.MIDDLE;
      }
    }
    return text.toString().strip() + (goesOn ? "-" : " ");
  }

  private static BarLyrics words(TreeMap<Integer, TreeMap<Integer, String>> verses) {
    List<List<BarLyrics.Piece>> all = new ArrayList<>();
    verses.forEach(
        (verse, syllables) -> {
          while (all.size() < verse) {
            all.add(List.of());
          }
          List<BarLyrics.Piece> pieces = new ArrayList<>();
          StringBuilder text = new StringBuilder();
          syllables.values().forEach(text::append);
          String joined = Quoted.start(text.toString().strip(), SongBounds.LONGEST_LINE);
          pieces.add(new BarLyrics.Piece(0, joined));
          all.set(verse - 1, pieces);
        });
    return new BarLyrics(all);
  }
}
