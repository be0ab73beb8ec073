package phalanx.chart;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import phalanx.fretting.FretRow;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.text.Texts;
import phalanx.theory.Chord;
import phalanx.theory.NoteNaming;

/**
 * Tunes a song's guitar otherwise. Tune and chords stay; a pinned shape stays where its strings are
 * tuned as before, or what it sounds still is its chord.
 */
public final class Retuning {

  private Retuning() {}

  /**
   * A pin that no longer holds.
   *
   * @param bar number of the bar it stood in
   * @param chord the chord it was pinned to
   * @param frets the frets that were pinned, as players write them
   */
  public record Lost(int bar, String chord, String frets) {

    /** In the player's words: {@code bar 3, C: x32010}. */
    public String words() {
      return Texts.of("retuning.bar", bar, chord, frets);
    }
  }

  /** The song with its guitar tuned otherwise. */
  public static Song of(Song song, Tuning tuning) {
    Guitar before = song.guitar();
    Guitar after = before.withTuning(tuning);
    Song tuned = song.withGuitar(after);
    for (SlotRef at : places(song)) {
      if (!holds(frets(song, at).orElseThrow(), chord(song, at), before, after)) {
        tuned = tuned.withPins(tuned.pins().without(at));
      }
    }
    return tuned;
  }

  private static List<SlotRef> places(Song song) {
    List<SlotRef> places = new ArrayList<>(song.pins().shapes().keySet());
    places.addAll(song.pins().frets().keySet());
    places.sort(Comparator.comparing(SlotRef::bar).thenComparing(SlotRef::tick));
    return places;
  }

  private static Optional<List<Integer>> frets(Song song, SlotRef at) {
    return song.pins()
        .shape(at)
        .map(Shape::frets)
        .or(() -> song.pins().frets(at).map(FretRow::frets));
  }

  private static Optional<Chord> chord(Song song, SlotRef at) {
    return harmony(song, at)
        .filter(Harmony.Sounding.class::isInstance)
        .map(h -> ((Harmony.Sounding) h).chord());
  }

  private static Optional<Harmony> harmony(Song song, SlotRef at) {
    return song.chart().bar(at.bar()).stream()
        .flatMap(b -> song.chart().changes(b).stream())
        .filter(c -> c.tick() == at.tick())
        .map(ChordChange::harmony)
        .findFirst();
  }

  private static boolean holds(
      List<Integer> frets, Optional<Chord> chord, Guitar before, Guitar after) {
    return IntStream.range(0, Tuning.STRINGS)
        .filter(s -> frets.get(s) != Shape.SILENT)
        .allMatch(
            s -> {
              int fret = frets.get(s);
              int midi = after.shapeMidi(s, fret);
              return midi == before.shapeMidi(s, fret)
                  || chord.filter(c -> isIn(c, Math.floorMod(midi, 12))).isPresent();
            });
  }

  private static boolean isIn(Chord chord, int chroma) {
    return chord.bass().chroma() == chroma
        || chord.notes().stream().anyMatch(n -> n.chroma() == chroma);
  }

  /** The pins of a song that another state of it no longer has, in the order of its bars. */
  public static List<Lost> lost(Song before, Song after, NoteNaming naming) {
    return places(before).stream()
        .filter(at -> !after.pins().holds(at))
        .map(
            at ->
                new Lost(
                    before.barNumber(at.bar()),
                    harmony(before, at).map(h -> h.label(naming)).orElse("–"),
                    FretRow.text(frets(before, at).orElseThrow())))
        .sorted(Comparator.comparing(Lost::bar))
        .toList();
  }
}
