package phalanx.formats.musicxml;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import org.audiveris.proxymusic.Attributes;
import org.audiveris.proxymusic.Backup;
import org.audiveris.proxymusic.Forward;
import org.audiveris.proxymusic.Harmony;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.ScorePartwise;
import phalanx.formats.Texts;
import phalanx.melody.BarTune;
import phalanx.song.ChordChange;
import phalanx.theory.Interval;
import phalanx.theory.Key;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;
import phalanx.theory.Ticks;

/**
 * Reads what sounds in the measures of one part, one after the other: the notes of all voices and
 * the chord symbols, at their times. Pitches and chords are as written for the transposition that
 * the part begins with.
 */
final class MeasureReader {

  /**
   * What sounds in a measure.
   *
   * @param notes the notes and rests in the order of the file
   * @param chords the chords, in order
   * @param lengthTicks how long it lasts
   * @param lost what of it cannot be carried
   */
  record Content(
      List<ScoreNote> notes, List<ChordChange> chords, int lengthTicks, List<Lost> lost) {}

  /** Something that cannot be carried, with its time in the measure. */
  record Lost(int tick, String words) {}

  private static final Key C = new Key(NoteName.parse("C").orElseThrow(), Mode.MAJOR);
  private static final int OCTAVE = 12;

  /** A time of more digits, or further from 1, is none that music has. */
  private static final int MOST_DIGITS = 18;

  private final int semitones;
  private BigDecimal divisions = BigDecimal.ONE;
  private BigDecimal at = BigDecimal.ZERO;
  private BigDecimal end = BigDecimal.ZERO;
  private final List<ScoreNote> notes = new ArrayList<>();
  private final TreeMap<Integer, ChordChange> chords = new TreeMap<>();
  private final List<Lost> lost = new ArrayList<>();
  private String lastVoice = "1";
  private int lastStaff = 1;
  private int lastStart;
  private int shift;

  /**
   * At the start of a part.
   *
   * @param semitones how much higher it sounds than it is written
   */
  MeasureReader(int semitones) {
    this.semitones = semitones;
  }

  /** Reads the next measure. */
  Content next(ScorePartwise.Part.Measure measure) {
    at = BigDecimal.ZERO;
    end = BigDecimal.ZERO;
    notes.clear();
    chords.clear();
    lost.clear();
    for (Object part : measure.getNoteOrBackupOrForward()) {
      if (part instanceof Attributes a) {
        attributes(a);
      } else if (part instanceof Backup b && isTime(b.getDuration())) {
        at = at.subtract(b.getDuration()).max(BigDecimal.ZERO);
      } else if (part instanceof Forward f && isTime(f.getDuration())) {
        pass(f.getDuration());
      } else if (part instanceof Harmony h) {
        chord(h);
      } else if (part instanceof Note n) {
        note(n);
      }
    }
    return new Content(
        List.copyOf(notes), List.copyOf(chords.values()), ticks(end), List.copyOf(lost));
  }

  private void attributes(Attributes attributes) {
    if (isTime(attributes.getDivisions())) {
      divide(attributes.getDivisions());
    }
    attributes.getTranspose().stream()
        .findFirst()
        .ifPresent(t -> shift = GuitarXml.up(t) - semitones);
  }

  /** A beat may be divided otherwise from here on. */
  private void divide(BigDecimal other) {
    BigDecimal ratio = other.divide(divisions, MOST_DIGITS, RoundingMode.HALF_UP);
    at = at.multiply(ratio).setScale(MOST_DIGITS, RoundingMode.HALF_UP);
    end = end.multiply(ratio).setScale(MOST_DIGITS, RoundingMode.HALF_UP);
    divisions = other;
  }

  private static boolean isTime(BigDecimal time) {
    return time != null
        && time.signum() > 0
        && time.precision() <= MOST_DIGITS
        && Math.abs(time.scale()) <= MOST_DIGITS
        && time.precision() - time.scale() <= MOST_DIGITS / 2
        && time.precision() - time.scale() > -MOST_DIGITS / 2;
  }

  /** In ticks, no further than the longest bar reaches. */
  private int ticks(BigDecimal time) {
    BigDecimal ticks =
        time.multiply(BigDecimal.valueOf(Ticks.PER_QUARTER))
            .divide(divisions, 0, RoundingMode.HALF_UP);
    return ticks.min(BigDecimal.valueOf(2L * BarTune.LONGEST)).intValue();
  }

  private void pass(BigDecimal duration) {
    at = at.add(duration);
    end = end.max(at);
  }

  private void chord(Harmony harmony) {
    BigDecimal offset =
        harmony.getOffset() == null ? BigDecimal.ZERO : harmony.getOffset().getValue();
    boolean moved = offset != null && isTime(offset.abs());
    int tick = Math.max(0, ticks(moved ? at.add(offset) : at));
    phalanx.song.Harmony read = ChordSymbolReader.read(harmony);
    chords.put(tick, new ChordChange(tick, shift == 0 ? read : read.up(interval())));
  }

  private Interval interval() {
    return C.intervalUp(Math.floorMod(shift, OCTAVE));
  }

  private void note(Note note) {
    boolean together = note.getChord() != null;
    if (!together) {
      lastVoice = ScoreNote.voice(note);
      lastStaff = ScoreNote.staff(note);
    }
    boolean counts = note.getCue() == null;
    if (note.getGrace() != null) {
      if (counts && ScoreNote.isPitched(note)) {
        add(note, ticks(at), 0);
      }
      return;
    }
    BigDecimal duration = isTime(note.getDuration()) ? note.getDuration() : BigDecimal.ZERO;
    int from = together ? lastStart : ticks(at);
    int length = Math.max(1, together ? ticks(duration) : ticks(at.add(duration)) - from);
    if (!together) {
      lastStart = from;
      pass(duration);
    }
    if (counts && (ScoreNote.isPitched(note) || note.getRest() != null)) {
      add(note, from, length);
    }
  }

  /** A note that sounds with another is in that one's voice, on whatever staff it is written. */
  private void add(Note note, int tick, int length) {
    if (ScoreNote.isPitched(note) && !ScoreNote.isHeard(note)) {
      lost.add(
          new Lost(tick, Texts.of("measureReader.aNoteInOctave", note.getPitch().getOctave())));
      return;
    }
    ScoreNote read = ScoreNote.of(note, lastVoice, lastStaff, tick, length);
    if (shift == 0 || read.pitch().isEmpty()) {
      notes.add(read);
      return;
    }
    Pitch written = read.pitch().get();
    NoteName name = written.name().plus(interval()).simplified();
    notes.add(read.at(Pitch.of(written.midi() + shift, name)));
  }
}
