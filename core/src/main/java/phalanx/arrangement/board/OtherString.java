package phalanx.arrangement.board;

import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.fretting.Shape;
import phalanx.instrument.Tuning;
import phalanx.melody.BarTune;
import phalanx.melody.Want;
import phalanx.picking.Role;
import phalanx.song.Song;

/**
 * A note moved to another string: a stroke of the pattern to any that the shape sounds, a note of
 * the tune to any that has its pitch.
 */
public final class OtherString {

  /** The fingers of the picking hand pluck ④ to ①; below is the thumb's (common practice). */
  private static final int LOWEST_OF_FINGERS = 2;

  private OtherString() {}

  /** The strings a note may be on, its own included, each with the fret it would have there. */
  public static TreeMap<Integer, Integer> of(Arrangement a, Note note) {
    return note.part() == Note.Part.TUNE ? ofTune(a, note) : ofPattern(a, note);
  }

  private static TreeMap<Integer, Integer> ofTune(Arrangement a, Note note) {
    TreeMap<Integer, Integer> places = new TreeMap<>();
    for (int string = 0; string < Tuning.STRINGS; string++) {
      int fret = note.midi() - a.song().guitar().midi(string, 0);
      if (fret >= 0 && fret <= a.plan().problem().changes().reach().highestFret()) {
        places.put(string, fret);
      }
    }
    return places;
  }

  /**
   * What is struck together keeps its order from low to high, and nothing goes over the tune. A
   * brush is one stroke over its strings, and a note outside the shape has its place.
   */
  private static TreeMap<Integer, Integer> ofPattern(Arrangement a, Note note) {
    TreeMap<Integer, Integer> places = new TreeMap<>();
    places.put(note.string(), note.fret());
    Optional<Shape> shape = slotOf(a, note).shape();
    boolean inShape =
        shape.isPresent()
            && shape.get().sounds(note.string())
            && shape.get().fret(note.string()).orElse(0) == note.fret();
    // A top stroke that came back under a tune did so for the tone it has there.
    if (note.isBrushed() || !inShape || note.ref().role() == Role.TUNE) {
      return places;
    }
    for (int string = 0; string < Tuning.STRINGS; string++) {
      if (shape.get().sounds(string) && leavesOthers(a, note, shape.get(), string)) {
        places.put(string, shape.get().fret(string).orElse(0));
      }
    }
    return places;
  }

  private static int side(Note note, Note of) {
    return Integer.signum(note.string() - of.string());
  }

  private static boolean leavesOthers(Arrangement a, Note note, Shape shape, int string) {
    int tick = note.tick();
    boolean thumb = note.ref().role().isThumb();
    boolean together =
        a.notesFrom(tick, tick + 1).stream()
            .filter(n -> n.string() != note.string())
            .allMatch(n -> Integer.signum(string - n.string()) == side(note, n));
    int fret = shape.fret(string).orElse(0);
    int midi = a.song().guitar().midi(string, fret);
    List<Integer> held =
        a.holds().stream()
            .filter(h -> h.fromTick() <= tick && tick < h.toTick())
            .filter(h -> h.lowString() <= string && string <= h.highString())
            .map(Hold::fret)
            .toList();
    boolean inReach = thumb || string >= LOWEST_OF_FINGERS || string == note.string();
    boolean fingered = fret > 0 ? held.contains(fret) : held.isEmpty();
    return together
        && inReach
        && fingered
        && a.notes().stream()
            .filter(n -> n.part() == Note.Part.TUNE)
            .filter(n -> n.tick() <= tick && tick < n.tick() + n.lengthTicks())
            .allMatch(n -> string < n.string() && (thumb || midi <= n.midi()));
  }

  private static Slot slotOf(Arrangement a, Note note) {
    return a.slots().stream()
        .filter(s -> note.tick() >= s.fromTick() && note.tick() < s.toTick())
        .findFirst()
        .orElseThrow();
  }

  /** The song with a note wanted on a string, where its stroke or the tune is written. */
  public static Song moved(Song song, Note note, int string) {
    return note.part() == Note.Part.TUNE
        ? inTune(song, note, Optional.of(string))
        : song.withPins(song.pins().with(note.ref(), string));
  }

  /** The song with a note on whatever string the plan finds best. */
  public static Song free(Song song, Note note) {
    return note.part() == Note.Part.TUNE
        ? inTune(song, note, Optional.empty())
        : song.withPins(song.pins().without(note.ref()));
  }

  /** Whether the player wants a note on the string it is on. */
  public static boolean isWanted(Song song, Note note) {
    if (note.part() != Note.Part.TUNE) {
      return song.pins().string(note.ref()).isPresent();
    }
    return song.tune().at(note.ref().bar(), song.chart()).notes().stream()
        .filter(n -> n.tick() == note.ref().tick())
        .flatMap(n -> n.wants().stream())
        .filter(w -> midi(w, song) == note.midi())
        .anyMatch(
            w -> w instanceof Want.Place || w instanceof Want.Sound s && s.string().isPresent());
  }

  private static Song inTune(Song song, Note note, Optional<Integer> string) {
    int bar = note.ref().bar();
    BarTune tune = song.tune().at(bar, song.chart());
    BarTune moved = tune.withNote(note.ref().tick(), n -> n.moved(w -> on(w, song, note, string)));
    return song.withTune(song.tune().with(bar, moved));
  }

  private static Want on(Want want, Song song, Note note, Optional<Integer> string) {
    if (midi(want, song) != note.midi()) {
      return want;
    }
    if (want instanceof Want.Sound sound) {
      return new Want.Sound(sound.pitch(), string);
    }
    int shapeMidi = note.midi() - song.guitar().capo();
    return string
        .<Want>map(s -> new Want.Place(s, shapeMidi - song.guitar().shapeMidi(s, 0)))
        .orElse(want);
  }

  /** The sounding pitch of what is wanted. */
  private static int midi(Want want, Song song) {
    return want instanceof Want.Sound s
        ? s.pitch().midi() + song.guitar().capo()
        : song.guitar().midi(((Want.Place) want).string(), ((Want.Place) want).fret());
  }
}
