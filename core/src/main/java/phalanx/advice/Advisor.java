package phalanx.advice;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import phalanx.arrangement.laying.Arranger;
import phalanx.instrument.Tuning;
import phalanx.song.Song;

/**
 * Plans a song in other keys, with other capos and in other tunings, and says how hard each is.
 * Every way is planned in full, as if the player had set it. Ways that share capo and tuning are
 * planned one after the other, so that chords searched for one key serve the next; such rows run on
 * the machine's cores.
 */
public final class Advisor {

  private static final int KEYS = 12;

  private Advisor() {}

  /** Capo and tuning, which ways of different keys share. */
  private record Setting(int capo, Tuning tuning) {}

  /**
   * The ways there are.
   *
   * @param capos frets the capo may lie on, 0 for none
   * @param tunings how the strings may be tuned
   * @param keepSound whether it must go on to sound in its key
   */
  public static List<Way> ways(
      Song song, Collection<Integer> capos, Collection<Tuning> tunings, boolean keepSound) {
    List<Way> ways = new ArrayList<>();
    for (Tuning tuning : tunings) {
      for (int capo : capos) {
        for (int up = 0; up < KEYS; up++) {
          Way way = new Way(up, capo, tuning);
          if (!keepSound || way.soundsAs(song)) {
            ways.add(way);
          }
        }
      }
    }
    return ways;
  }

  /**
   * Plans ways and ranks them, the easiest first.
   *
   * @param news hears of each as soon as it is planned; from several threads
   * @param cancelled asked before each; those not begun by then are left out
   */
  public static List<Advised> rank(
      Song song, List<Way> ways, Consumer<Advised> news, BooleanSupplier cancelled) {
    Map<Setting, List<Way>> rows = new LinkedHashMap<>();
    ways.forEach(
        w ->
            rows.computeIfAbsent(new Setting(w.capo(), w.tuning()), s -> new ArrayList<>()).add(w));
    // Only a list is shared out among threads row by row.
    return List.copyOf(rows.values()).parallelStream()
        .flatMap(row -> planned(song, row, news, cancelled).stream())
        .sorted(Advised.EASIEST_FIRST)
        .toList();
  }

  private static List<Advised> planned(
      Song song, List<Way> row, Consumer<Advised> news, BooleanSupplier cancelled) {
    Arranger arranger = new Arranger();
    List<Advised> planned = new ArrayList<>();
    for (Way way : row) {
      if (cancelled.getAsBoolean()) {
        break;
      }
      Advised advised = Advised.of(way, song, arranger.arrange(way.of(song)));
      news.accept(advised);
      planned.add(advised);
    }
    return planned;
  }

  /** How hard the song is as it is. */
  public static Advised now(Song song) {
    return Advised.of(Way.now(song), song, new Arranger().arrange(song));
  }
}
