package phalanx.chart;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.theory.Chord;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.Interval;
import phalanx.theory.Key;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;
import phalanx.theory.NoteNaming;

/**
 * Chords to offer while one is typed: those the song already has, then those of its key, then the
 * usual qualities on the root that was typed.
 */
public final class Completion {

  private static final List<String> QUALITIES =
      List.of("", "m", "7", "m7", "maj7", "sus4", "add9", "6", "m7b5", "dim7", "9", "sus2", "aug");

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
    song.chart().bars().stream()
        .flatMap(b -> b.changes().stream())
        .map(ChordChange::harmony)
        .filter(Harmony.Sounding.class::isInstance)
        .map(h -> ((Harmony.Sounding) h).chord().up(up))
        .distinct()
        .forEach(all::add);
    song.key().map(k -> ofKey(k.up(up))).ifPresent(all::addAll);
    Optional<NoteName> root = naming.atStartOf(typed).map(NoteName.Prefix::note);
    root.ifPresent(r -> QUALITIES.forEach(q -> chord(r, q).ifPresent(all::add)));
    return all;
  }

  /** The triads and seventh chords on the degrees of a key. */
  private static List<Chord> ofKey(Key key) {
    List<Chord> chords = new ArrayList<>();
    for (int d = 0; d < Mode.DEGREES; d++) {
      NoteName root = key.degree(d);
      boolean minor = above(key, d, 2) == 3;
      boolean flatFifth = above(key, d, 4) == 6;
      String triad = minor ? (flatFifth ? "dim" : "m") : "";
      String seventh = above(key, d, 6) == 11 ? "maj7" : "7";
      chord(root, triad).ifPresent(chords::add);
      chord(root, flatFifth ? "m7b5" : minor ? "m7" : seventh).ifPresent(chords::add);
    }
    return chords;
  }

  private static int above(Key key, int degree, int steps) {
    NoteName other = key.degree((degree + steps) % Mode.DEGREES);
    return Interval.between(key.degree(degree), other).chroma();
  }

  private static Optional<Chord> chord(NoteName root, String quality) {
    return ChordReader.read(root.ascii() + quality) instanceof ChordReading.Read read
        ? Optional.of(read.chord())
        : Optional.empty();
  }

  private static boolean startsAs(String name, String typed) {
    return plain(name).startsWith(plain(typed));
  }

  private static String plain(String text) {
    return text.replace('♯', '#').replace('♭', 'b');
  }
}
