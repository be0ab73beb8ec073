package phalanx.findings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeTrial;
import phalanx.picking.AlternatingThumb;
import phalanx.planning.Arranger;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Ticks;

/**
 * Changes in the order in which every teacher sets them: one finger, three fingers in open
 * position, a small barre, a full barre, a barre that shifts, a stretch (common practice, no
 * source).
 */
class CeilingOrderTest {

  private static final Map<String, List<String>> CHANGES = new LinkedHashMap<>();

  static {
    CHANGES.put(
        "one finger",
        List.of(
            "Em 022000 Em7 022030",
            "C x32010 Am x02210",
            "Am x02210 C x32010",
            "Dm xx0231 Dm7 xx0211",
            "D xx0232 Dsus4 xx0233",
            "Am7 x02010 C x32010",
            "E 022100 Em 022000"));
    CHANGES.put(
        "three fingers",
        List.of(
            "G 320003 C x32010",
            "C x32010 D xx0232",
            "G 320003 D xx0232",
            "E 022100 D xx0232",
            "C x32010 G 320003",
            "D xx0232 Am x02210",
            "G 320003 E 022100"));
    CHANGES.put(
        "small barre",
        List.of(
            "C x32010 F xx3211",
            "Am x02210 F xx3211",
            "Dm xx0231 F xx3211",
            "G 320003 F xx3211",
            "E 022100 F#m xx4222",
            "A x02220 F#m xx4222"));
    CHANGES.put(
        "full barre",
        List.of(
            "C x32010 F 133211",
            "Am x02210 F 133211",
            "G 320003 Bm x24432",
            "Em 022000 Bm x24432",
            "D xx0232 F#m 244222",
            "E 022100 F# 244322",
            "G 320003 B x24442"));
    CHANGES.put(
        "barre that shifts",
        List.of(
            "F 133211 C x35553",
            "Bm x24432 F#m 244222",
            "F 133211 A 577655",
            "Bb x13331 D x57775",
            "F#m 244222 Bm 799777",
            "G 355433 D x57775",
            "Bb x13331 Gm 355333"));
    CHANGES.put(
        "stretch",
        List.of(
            "G 355433 Aadd9 579655",
            "C x32010 G#add9 468544",
            "Em 022000 Dadd9 x57975",
            "Am x02210 C#add9 x46864",
            "F 133211 Aadd9 579655",
            "D xx0232 Dadd9 x57975"));
  }

  private static Shape shape(Song song, String frets) {
    List<Integer> row = frets.chars().mapToObj(c -> c == 'x' ? Shape.SILENT : c - '0').toList();
    return ShapeTrial.of(row, new Reach(song.guitar(), song.hand())).fingerings().get(0).shape();
  }

  /** The time the change needs, as its ceiling says, ms. */
  private static double needed(String change) {
    String[] words = change.split(" ");
    Song song =
        TestSongs.of(words[0] + " " + words[2]).withPattern(AlternatingThumb.FINGERS_BETWEEN);
    song = song.pin(new SlotRef(1, 0), shape(song, words[1]));
    song = song.pin(new SlotRef(1, 2 * Ticks.PER_QUARTER), shape(song, words[3]));
    return TempoCeiling.of(new Arranger().arrange(song)).song().map(t -> 60_000 / t).orElse(0.0);
  }

  @Test
  void changesAreRankedAsTeachersRankThem() {
    List<List<Double>> times = new ArrayList<>();
    CHANGES.forEach(
        (kind, all) -> times.add(all.stream().map(CeilingOrderTest::needed).sorted().toList()));
    int pairs = 0;
    int ordered = 0;
    for (int easy = 0; easy < times.size(); easy++) {
      for (int hard = easy + 1; hard < times.size(); hard++) {
        assertThat(median(times.get(easy)))
            .as("%d before %d", easy, hard)
            .isLessThan(median(times.get(hard)));
        for (double e : times.get(easy)) {
          for (double h : times.get(hard)) {
            pairs++;
            ordered += e <= h ? 1 : 0;
          }
        }
      }
    }
    assertThat((double) ordered / pairs).isGreaterThan(0.9);
  }

  private static double median(List<Double> sorted) {
    return sorted.get(sorted.size() / 2);
  }

  /** Half a bar each: two open chords hold to more than two barres of another form. */
  @Test
  void openChordsHoldToMoreThanBarres() {
    assertThat(needed("G 320003 D7 xx0212")).isLessThan(needed("Bb x13331 F7 131211"));
    assertThat(needed("C x32010 G7 320001")).isLessThan(needed("Bb x13331 Eb x68886"));
  }
}
