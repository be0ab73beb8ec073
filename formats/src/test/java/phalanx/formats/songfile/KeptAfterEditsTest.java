package phalanx.formats.songfile;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import phalanx.chart.ChartReader;
import phalanx.chart.Notation;
import phalanx.chart.Transposition;
import phalanx.chart.TuneImport;
import phalanx.formats.patterns.PatternShelf;
import phalanx.fretting.FretRow;
import phalanx.fretting.Shape;
import phalanx.instrument.Tuning;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.picking.PatternEdits;
import phalanx.picking.Role;
import phalanx.picking.WrittenPattern;
import phalanx.song.Bar;
import phalanx.song.ChartEdits;
import phalanx.song.DrawnSongs;
import phalanx.song.FindingRef;
import phalanx.song.NoteRef;
import phalanx.song.Patterns;
import phalanx.song.Section;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.Swing;
import phalanx.testing.Draws;
import phalanx.theory.Meter;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

/** Whatever a player makes of a song is saved, read again, and the same. */
class KeptAfterEditsTest {

  private static final List<String> METERS =
      List.of("4/4", "3/4", "6/8", "7/8", "5/4", "32/2", "1/16");
  private static final List<String> LINES =
      List.of("D | B", "| C7M . Am7@5/7 |", "7/8 N.C. | %", "Hx | G/F#", "|1 E :|2 A |", "=1 . D");

  @Property(tries = 300)
  void whateverRowOfEditsItIs(@ForAll Draws draws) {
    Song song = DrawnSongs.withTune(draws);
    int edits = 1 + draws.nextInt(10);
    for (int e = 0; e < edits && !song.chart().isEmpty(); e++) {
      song = edited(song, draws);
    }
    String text = SongFileWriter.write(song);
    String stored = new String(text.getBytes(StandardCharsets.UTF_8), StandardCharsets.UTF_8);
    assertThat(SongFileReader.read(stored))
        .isEqualTo(new SongFileReader.Result.Read(song, List.of()));
  }

  private static Song edited(Song song, Draws draws) {
    List<Bar> bars = song.chart().bars();
    int bar = bars.get(draws.nextInt(bars.size())).id();
    int section = song.chart().sectionOf(bar).map(Section::id).orElseThrow();
    SlotRef slot = new SlotRef(bar, 5040 * draws.nextInt(4));
    return switch (draws.nextInt(18)) {
      case 0 -> Transposition.bySemitones(song, draws.nextInt(12));
      case 1 -> song.editChart(c -> ChartEdits.insertAfter(c, bar, typed(draws)));
      case 2 -> song.editChart(c -> ChartEdits.delete(c, List.of(bar)));
      case 3 -> song.editChart(c -> ChartEdits.move(c, List.of(bar), draws.nextBoolean() ? 1 : -1));
      case 4 -> song.editChart(c -> ChartEdits.section(c, bar, "ß “\n"));
      case 5 -> song.editChart(c -> ChartEdits.sectionLike(c, section, section, "like"));
      case 6 -> song.editChart(c -> ChartEdits.join(c, bar));
      case 7 ->
          song.withFeel(song.feel().withMeter(meter(draws)).withPickup(1260 * draws.nextInt(9)));
      case 8 ->
          song.editChart(
              c ->
                  ChartEdits.replace(
                      c, c.bar(bar).orElseThrow().withMeter(Optional.of(meter(draws)))));
      case 9 -> song.withTune(song.tune().with(bar, tune(draws)));
      case 10 -> TuneImport.into(song, DrawnSongs.withTune(draws), bar).song();
      case 11 ->
          song.pin(slot, Shape.NOTHING)
              .withPins(
                  song.pins()
                      .with(new NoteRef(bar, 0, Role.INNER), draws.nextInt(6))
                      .accepting(new FindingRef(bar, 2520, "stretch"), "later"));
      case 16 ->
          song.editChart(
              c ->
                  ChartEdits.replace(
                      c,
                      c.bar(bar)
                          .orElseThrow()
                          .withTempo(Optional.of(20 + draws.nextInt(3800) / 10.0))));
      case 17 ->
          song.pin(slot, new FretRow(List.of(-1, 3, draws.nextInt(5), 0, 1, draws.nextInt(25))))
              .withPins(song.pins().damping(slot, draws.nextInt(6), true));
      case 12 ->
          song.withPatterns(song.patterns().with(scope(draws, bar, section, slot), pattern(draws)));
      case 13 ->
          song.withFeel(
              song.feel()
                  .withSwing(new Swing(50 + draws.nextInt(26)))
                  .withTempo(20 + draws.nextInt(3800) / 10.0));
      case 14 ->
          song.withGuitar(
              song.guitar()
                  .withTuning(Tuning.parse("D A D G A D").orElseThrow())
                  .withCapo(draws.nextInt(12)));
      default -> song.withTune(song.tune().without(bar).withOnTop(draws.nextBoolean()));
    };
  }

  private static Meter meter(Draws draws) {
    return Meter.parse(draws.of(METERS)).orElseThrow();
  }

  private static List<Bar> typed(Draws draws) {
    return ChartReader.read(draws.of(LINES), Notation.in(Meter.FOUR_FOUR), Notation.Numbers.NONE)
        .bars();
  }

  private static Patterns.Scope scope(Draws draws, int bar, int section, SlotRef slot) {
    return switch (draws.nextInt(4)) {
      case 0 -> new Patterns.Scope.WholeSong();
      case 1 -> new Patterns.Scope.OfSection(section);
      case 2 -> new Patterns.Scope.OfBar(bar);
      default -> new Patterns.Scope.OfChord(slot);
    };
  }

  private static WrittenPattern pattern(Draws draws) {
    WrittenPattern shelf = draws.of(PatternShelf.written());
    return draws.nextBoolean() ? shelf.named("mine “ö”", "") : PatternEdits.doubled(shelf);
  }

  /** Notes at any tick and of any length, on any pitch and place. */
  private static BarTune tune(Draws draws) {
    int at = draws.nextInt(3) == 1 ? 1 + draws.nextInt(2000) : 0;
    BarTune tune = new BarTune(at, List.of());
    for (int n = draws.nextInt(6); n > 0; n--) {
      int tick = at + draws.nextInt(5000);
      int length = 1 + draws.nextInt(6000);
      if (tick + length <= BarTune.LONGEST) {
        Want want =
            draws.nextInt(3) == 1
                ? new Want.Place(draws.nextInt(6), draws.nextInt(25))
                : new Want.Sound(
                    new Pitch(
                        draws.of(List.of(name("C"), name("F#"), name("Bb"), name("E"))),
                        draws.nextInt(20) - 5),
                    draws.nextBoolean() ? Optional.empty() : Optional.of(draws.nextInt(6)));
        tune = tune.placing(new TuneNote(tick, length, List.of(want), Optional.empty(), List.of()));
        at = tick + length;
      }
    }
    return tune;
  }

  private static NoteName name(String text) {
    return NoteName.parse(text).orElseThrow();
  }
}
