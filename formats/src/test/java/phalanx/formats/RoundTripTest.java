package phalanx.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.melody.TuneNote;
import phalanx.planning.Arranger;
import phalanx.song.DrawnSongs;
import phalanx.song.OwnSongs;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.TunePitches;
import phalanx.testing.Draws;

/** What a format says it carries is read back: chords as they are played, notes of both hands. */
class RoundTripTest {

  private static final List<String> DEMO =
      List.of("harbour-lamp", "slate-roof-rain", "low-tide-reel");

  static List<Song> songs() {
    List<Song> songs = new ArrayList<>();
    for (String name : DEMO) {
      songs.add(
          SongFiles.open(Path.of("..", "demo", name + SongFiles.ENDING)).song().orElseThrow());
    }
    songs.addAll(OwnSongs.all().values());
    for (int seed = 0; seed < 40; seed++) {
      Draws draws = new Draws(new Random(seed).ints(120, 0, 10_000).boxed().toList());
      songs.add(DrawnSongs.withTune(draws));
    }
    return songs;
  }

  private static Song back(FileFormat format, Arrangement a) {
    SongFiles.Opened opened = format.read(format.write(a));
    assertThat(opened.problems()).as(a.song().title()).isEmpty();
    return opened.song().orElseThrow();
  }

  private static List<String> chords(Song song) {
    List<String> chords = new ArrayList<>();
    for (Timeline.PlayedSlot slot : Timeline.of(song).slots()) {
      String label = slot.harmony().label();
      String last = chords.isEmpty() ? "" : chords.get(chords.size() - 1).split("@")[0];
      if (!label.equals(last)) {
        chords.add(label + "@" + slot.tick());
      }
    }
    return chords;
  }

  @ParameterizedTest
  @EnumSource(names = {"SONG_FILE", "MUSICXML", "PACKED_SCORE", "MIDI", "CHORDPRO", "ABC"})
  void chordsComeBackAtTheirTimes(FileFormat format) {
    for (Song song : songs()) {
      Arrangement a = new Arranger().arrange(song);
      assertThat(chords(back(format, a))).as(song.title()).isEqualTo(chords(song));
    }
  }

  private static TreeMap<Integer, List<String>> struck(Arrangement a) {
    TreeMap<Integer, List<String>> struck = new TreeMap<>();
    for (Note note : a.notes()) {
      struck
          .computeIfAbsent(note.tick(), t -> new ArrayList<>())
          .add(note.string() + ":" + note.fret());
    }
    struck.values().forEach(l -> l.sort(null));
    return struck;
  }

  /** The share of the struck notes that are struck again at the same time and place. */
  private static double kept(FileFormat format, List<Song> songs) {
    int all = 0;
    int same = 0;
    for (Song song : songs) {
      Arrangement a = new Arranger().arrange(song);
      TreeMap<Integer, List<String>> again = struck(new Arranger().arrange(back(format, a)));
      for (var at : struck(a).entrySet()) {
        all += at.getValue().size();
        same +=
            (int)
                at.getValue().stream()
                    .filter(n -> again.getOrDefault(at.getKey(), List.of()).contains(n))
                    .count();
      }
    }
    return (double) same / all;
  }

  /**
   * Both hands come back from a score and from a tablature: a guitar part is pinned note by note. A
   * chord that a pattern brings early (Low Tide Reel) is told apart by nothing on the page.
   */
  @ParameterizedTest
  @EnumSource(names = {"MUSICXML", "TEXT_TAB"})
  void bothHandsComeBack(FileFormat format) {
    List<Song> songs =
        songs().stream().limit(15).filter(s -> !s.title().equals("Low Tide Reel")).toList();
    assertThat(kept(format, songs)).isGreaterThan(0.985);
  }

  /** The tune comes back note by note from the formats that carry it. */
  @ParameterizedTest
  @EnumSource(names = {"MUSICXML", "ABC", "MIDI"})
  void theTuneComesBack(FileFormat format) {
    // Grace notes are played out in a score and in MIDI; drawn songs are full of them.
    int most = format == FileFormat.ABC ? Integer.MAX_VALUE : 15;
    for (Song song : songs().stream().limit(most).toList()) {
      if (!song.tune().isEmpty()) {
        Arrangement a = new Arranger().arrange(song);
        assertThat(tune(back(format, a))).as(song.title()).containsAll(tune(song));
      }
    }
  }

  /** When each note of the tune begins as it is played, and how high it is; tied ones once. */
  private static List<String> tune(Song song) {
    List<String> tune = new ArrayList<>();
    for (Timeline.PlayedBar bar : Timeline.of(song).bars()) {
      for (TuneNote note : song.tune().at(bar.written(), song.chart()).notes()) {
        // What lies beside the shape is read as tune as well: the highest note tells.
        int pitches =
            note.wants().stream()
                .mapToInt(w -> TunePitches.of(song, w).pitch().midi() + song.guitar().capo())
                .max()
                .orElse(0);
        if (note.tick() < bar.lengthTicks()) {
          tune.add(bar.startTick() + note.tick() + " " + pitches);
        }
      }
    }
    return tune;
  }
}
