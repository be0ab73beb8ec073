package phalanx.arrangement.board;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.MelodyNote;
import phalanx.arrangement.Note;
import phalanx.arrangement.Remark;
import phalanx.arrangement.Slot;
import phalanx.instrument.StringSign;
import phalanx.song.Harmony;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.Texts;
import phalanx.theory.Chord;
import phalanx.theory.Interval;
import phalanx.theory.Key;

/**
 * The notes of the tune in one bar: what each is in its chord and key, where it lies, and why it
 * does not if it does not.
 *
 * @param entries the notes that begin in the bar, in order
 */
public record TuneBoard(List<Entry> entries) {

  /** No note. */
  public static final TuneBoard EMPTY = new TuneBoard(List.of());

  public TuneBoard {
    entries = List.copyOf(entries);
  }

  /**
   * A note.
   *
   * @param sung the note
   * @param played what sounds; empty where the hand does not reach it
   * @param inChord what it is in the chord there
   * @param inKey its degree in the key, if the song has one
   * @param trouble why it is not played
   */
  public record Entry(
      MelodyNote sung,
      Optional<Note> played,
      String inChord,
      String inKey,
      Optional<String> trouble) {

    /** Where it lies, in words. */
    public String place() {
      return played
          .map(
              n ->
                  StringSign.of(n.string())
                      + " "
                      + (n.fret() == 0
                          ? Texts.of("tuneBoard.open")
                          : Texts.of(
                              "tuneBoard.fret",
                              n.fret(),
                              n.fretFinger()
                                  .map(f -> Texts.of("tuneBoard.finger", f.sign()))
                                  .orElse(""))))
          .or(this::trouble)
          .orElse(Texts.of("tuneBoard.leftOutNoFinger"));
    }
  }

  /** The notes of a written bar, the first time it is played. */
  public static TuneBoard of(Arrangement a, int bar) {
    Optional<PlayedBar> played =
        a.timeline().bars().stream().filter(b -> b.written() == bar).findFirst();
    return played.map(b -> of(a, b)).orElse(EMPTY);
  }

  private static TuneBoard of(Arrangement a, PlayedBar bar) {
    List<Entry> entries = new ArrayList<>();
    for (Slot slot : a.slots()) {
      for (MelodyNote sung : slot.tune()) {
        boolean here = sung.tick() >= bar.startTick() && sung.tick() < bar.endTick();
        if (here && sung.tick() >= slot.fromTick() && sung.tick() < slot.toTick()) {
          entries.add(entry(a, slot, sung));
        }
      }
    }
    return new TuneBoard(entries);
  }

  private static Entry entry(Arrangement a, Slot slot, MelodyNote sung) {
    int chroma = Math.floorMod(sung.midi(), 12);
    String inChord =
        slot.played().harmony() instanceof Harmony.Sounding s ? degree(s.chord(), chroma) : "";
    String inKey = a.song().key().map(k -> degree(k, chroma)).orElse("");
    Optional<String> trouble =
        slot.found().stream()
            .filter(r -> r.kind() == Remark.Kind.TUNE_REACH)
            .filter(r -> r.tick().equals(Optional.of(sung.tick())))
            .map(r -> r.words().replace(Texts.of("tuneBoard.theTuneSIs", sung.label()), ""))
            .findFirst();
    return new Entry(sung, a.played(sung), inChord, inKey, trouble);
  }

  private static String degree(Chord chord, int chroma) {
    return chord
        .intervalOf(chroma)
        .map(i -> Texts.of("tuneBoard.of", name(i), chord))
        .orElse(Texts.of("tuneBoard.notIn", chord));
  }

  private static String name(Interval interval) {
    String sign = interval.alteration() < 0 ? "♭" : interval.alteration() > 0 ? "♯" : "";
    return switch (interval.number()) {
      case 1 -> Texts.of("tuneBoard.root");
      case 3 ->
          interval.alteration() < 0
              ? Texts.of("tuneBoard.minorThird")
              : Texts.of("tuneBoard.third");
      case 5 -> Texts.of("tuneBoard.fifth", sign);
      case 7 ->
          interval.alteration() < 0
              ? Texts.of("tuneBoard.seventh")
              : Texts.of("tuneBoard.majorSeventh");
      default -> sign + interval.number();
    };
  }

  private static String degree(Key key, int chroma) {
    OptionalInt degree = key.degreeOf(chroma);
    return degree.isPresent()
        ? Texts.of("tuneBoard.degree", degree.getAsInt() + 1)
        : Texts.of("tuneBoard.outsideTheKey");
  }
}
