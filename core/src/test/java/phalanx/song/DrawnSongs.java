package phalanx.song;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import phalanx.melody.BarTune;
import phalanx.melody.Slur;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.HandSchool;
import phalanx.picking.ThumbRoute;
import phalanx.technique.Technique;
import phalanx.technique.TechniqueText;
import phalanx.testing.Draws;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

/** Songs put together from a row of choices, for laws. */
public final class DrawnSongs {

  /** Without a pick, which drawn techniques may bring. */
  private static final List<HandSchool> SCHOOLS =
      List.of(
          HandSchool.THUMB_AND_TWO,
          HandSchool.THUMB_AND_THREE,
          HandSchool.THUMB_AND_FOUR,
          HandSchool.LINE_PLAYING,
          HandSchool.LINE_FROM_THUMB);

  private static final int BAR = 20160;
  private static final List<String> CHORDS =
      List.of("G", "D/F#", "Em7", "C", "Am7", "D7", "F", "Bm", "A7");
  private static final int[] SCALE = {55, 57, 59, 60, 62, 64, 66, 67, 69, 71, 72, 74, 76, 78, 79};

  private DrawnSongs() {}

  /** One to four bars of chords with a tune over them, slurs, grace notes and notes at once. */
  public static Song withTune(Draws draws) {
    HandSchool school = draws.of(SCHOOLS);
    ThumbRoute thumb = draws.of(List.of(ThumbRoute.values()));
    AlternatingThumb pattern = draws.of(List.of(AlternatingThumb.values()));
    int bars = 1 + draws.nextInt(4);
    boolean chords = draws.nextInt(6) != 1;
    StringBuilder line = new StringBuilder();
    for (int bar = 0; bar < bars; bar++) {
      line.append(bar == 0 ? "" : " | ").append(chords ? draws.of(CHORDS) : "N.C.");
      if (chords && draws.nextInt(3) == 1) {
        line.append(" ").append(draws.of(CHORDS));
      }
    }
    Tune tune = Tune.NONE;
    for (int bar = 1; bar <= bars; bar++) {
      tune = tune.with(bar, bar(draws));
    }
    return TestSongs.of(line.toString())
        .withSchool(school)
        .withThumb(thumb)
        .withTempo(60 + draws.nextInt(160))
        .withPattern(pattern)
        .withTune(tune.withOnTop(draws.nextInt(4) != 1));
  }

  /** The same without the first note of each bar's tune: what follows has a rest before it. */
  public static Song thinned(Song song) {
    Tune tune = song.tune();
    for (int bar : song.tune().bars().keySet()) {
      BarTune whole = song.tune().bars().get(bar);
      List<TuneNote> rest =
          whole.notes().subList(Math.min(1, whole.notes().size()), whole.notes().size());
      tune = tune.with(bar, new BarTune(whole.heldTicks(), rest));
    }
    return song.withTune(tune);
  }

  /** A song whose tune is played with techniques, some of which no guitar has a place for. */
  public static Song withTechniques(Draws draws) {
    Song song = withTune(draws);
    Tune tune = song.tune();
    List<String> words = List.copyOf(TechniqueText.all());
    for (int bar : new TreeSet<>(tune.bars().keySet())) {
      BarTune whole = tune.bars().get(bar);
      List<TuneNote> notes = new ArrayList<>();
      for (TuneNote note : whole.notes()) {
        Set<Technique> played =
            draws.nextInt(2) == 0
                ? Set.of()
                : Set.of(TechniqueText.of(words.get(draws.nextInt(words.size()))).orElseThrow());
        notes.add(note.played(played));
      }
      tune = tune.with(bar, new BarTune(whole.heldTicks(), notes));
    }
    HandSchool school = draws.nextInt(4) == 1 ? HandSchool.PICK_AND_FINGERS : song.school();
    return song.withTune(tune).withSchool(school);
  }

  private static BarTune bar(Draws draws) {
    List<TuneNote> notes = new ArrayList<>();
    int held = draws.nextInt(4) == 1 ? 2520 : 0;
    int at = held;
    int place = draws.nextInt(SCALE.length);
    while (at < BAR) {
      int length = 2520 * (1 + draws.nextInt(4));
      place = Math.max(0, Math.min(SCALE.length - 1, place + draws.nextInt(5) - 2));
      int end = Math.min(BAR, at + length);
      if (draws.nextInt(5) != 1) {
        notes.add(new TuneNote(at, end - at, wants(draws, place), slur(draws), grace(draws)));
      }
      at = end;
    }
    return new BarTune(held, notes);
  }

  /** One note, or a third or a sixth. */
  private static List<Want> wants(Draws draws, int place) {
    int below = place - (draws.nextBoolean() ? 2 : 5);
    return draws.nextInt(4) != 1 || below < 0
        ? List.of(want(SCALE[place]))
        : List.of(want(SCALE[place]), want(SCALE[below]));
  }

  private static List<Want> grace(Draws draws) {
    return draws.nextInt(8) != 1 ? List.of() : List.of(want(SCALE[draws.nextInt(SCALE.length)]));
  }

  private static Optional<Slur> slur(Draws draws) {
    return draws.nextInt(3) != 1
        ? Optional.empty()
        : Optional.of(Slur.values()[draws.nextInt(Slur.values().length)]);
  }

  private static Want want(int midi) {
    String[] names = {"C", "C#", "D", "D#", "E", "F", "F#", "G", "G#", "A", "A#", "B"};
    NoteName name = NoteName.parse(names[midi % 12]).orElseThrow();
    return new Want.Sound(Pitch.of(midi, name), Optional.empty());
  }
}
