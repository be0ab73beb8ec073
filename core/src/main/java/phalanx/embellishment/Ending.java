package phalanx.embellishment;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import phalanx.melody.BarTune;
import phalanx.melody.Slur;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.picking.Force;
import phalanx.picking.Pattern;
import phalanx.picking.Role;
import phalanx.picking.Roll;
import phalanx.picking.Stroke;
import phalanx.picking.Touch;
import phalanx.song.Song;
import phalanx.song.TunePitches;
import phalanx.text.Texts;
import phalanx.theory.Pitch;

/** How the last note of a fill is played (common practice, no source). */
public enum Ending {
  /** As it is written. */
  PLAIN(Texts.of("ending.asWritten")),
  /** Slid to from a whole tone below or above, so that the hand stays where it is. */
  SLIDE(Texts.of("ending.slide")),
  /** On top of the chord, which is rolled from the bass up. */
  ROLL(Texts.of("ending.roll")),
  /** On top of the chord, which is brushed softly with the flesh of the thumb. */
  BRUSH(Texts.of("ending.brush"));

  private static final int WHOLE_TONE = 2;

  /** Sixty-fourths from string to string. */
  private static final int CALM = 2;

  private final String words;

  Ending(String words) {
    this.words = words;
  }

  /** In the player's words. */
  public String words() {
    return words;
  }

  /** Its word in commands. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /**
   * Songs in which a note of the tune is played so, in every way there is.
   *
   * @param bar the bar's identity
   * @param tick where in the bar the note begins
   */
  public List<Song> ways(Song song, int bar, int tick) {
    return switch (this) {
      case PLAIN -> List.of(song);
      case SLIDE -> List.of(slid(song, bar, tick, -WHOLE_TONE), slid(song, bar, tick, WHOLE_TONE));
      case ROLL -> List.of(struck(song, bar, rolled(tick)));
      case BRUSH -> List.of(struck(song, bar, brushed(tick)));
    };
  }

  private static Song slid(Song song, int bar, int tick, int from) {
    BarTune tune = song.tune().at(bar, song.chart());
    return song.withTune(song.tune().with(bar, tune.withNote(tick, n -> slid(song, n, from))));
  }

  private static TuneNote slid(Song song, TuneNote note, int from) {
    List<Want> start = new ArrayList<>();
    for (Want want : note.wants()) {
      Want.Sound sound = TunePitches.of(song, want);
      int midi = sound.pitch().midi() + from;
      start.add(new Want.Sound(Pitch.of(midi, TunePitches.name(song, midi)), sound.string()));
    }
    return new TuneNote(
        note.tick(),
        note.lengthTicks(),
        note.wants(),
        Optional.of(Slur.SLIDE),
        List.of(start.get(0)),
        Set.of());
  }

  private static Song struck(Song song, int bar, Pattern.Step step) {
    return song.withPatterns(song.patterns().changing(bar, step));
  }

  private static Pattern.Step rolled(int tick) {
    Pattern.Step chord = Pattern.Step.of(tick, Role.THUMB, Role.INNER, Role.MIDDLE);
    return new Pattern.Step(tick, chord.strokes(), Optional.of(new Roll(true, CALM)), false);
  }

  private static Pattern.Step brushed(int tick) {
    Stroke brush = new Stroke.Brush(0, 5, Touch.FLESH, Force.SOFT);
    return new Pattern.Step(tick, List.of(brush), Optional.empty(), false);
  }
}
