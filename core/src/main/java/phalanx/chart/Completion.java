package phalanx.chart;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import phalanx.song.Song;
import phalanx.theory.Chord;
import phalanx.theory.Interval;
import phalanx.theory.Key;
import phalanx.theory.NoteName;
import phalanx.theory.NoteNaming;

/**
 * Chords to offer while one is typed: those the song already has, then those of its key, then the
 * usual qualities on the root that was typed.
 */
public final class Completion {

  private Completion() {}

  /**
   * Chords that begin as typed, likeliest first.
   *
   * @param typed the start of a chord symbol
   * @param up the interval that what is typed lies above what is meant
   * @param limit how many at most
   */
  public static List<String> of(
      Song song, String typed, NoteNaming naming, Interval up, int limit) {
    Set<String> offers = new LinkedHashSet<>();
    for (Chord chord : candidates(song, typed, naming, up)) {
      String name = naming.name(chord);
      if (startsAs(name, typed) && !plain(name).equals(plain(typed))) {
        offers.add(name);
      }
    }
    return offers.stream().limit(limit).toList();
  }

  private static List<Chord> candidates(Song song, String typed, NoteNaming naming, Interval up) {
    List<Chord> all = new ArrayList<>();
    KeyChords.written(song.chart()).forEach(c -> all.add(c.up(up)));
    song.key().map(k -> ofKey(k.up(up))).ifPresent(all::addAll);
    Optional<NoteName> root = naming.atStartOf(typed).map(NoteName.Prefix::note);
    root.ifPresent(
        r -> KeyChords.QUALITIES.forEach(q -> KeyChords.chord(r, q).ifPresent(all::add)));
    return all;
  }

  private static List<Chord> ofKey(Key key) {
    List<Chord> triads = KeyChords.triads(key);
    List<Chord> sevenths = KeyChords.sevenths(key);
    return IntStream.range(0, triads.size())
        .boxed()
        .flatMap(d -> Stream.of(triads.get(d), sevenths.get(d)))
        .toList();
  }

  private static boolean startsAs(String name, String typed) {
    return plain(name).startsWith(plain(typed));
  }

  private static String plain(String text) {
    return text.replace('♯', '#').replace('♭', 'b');
  }
}
