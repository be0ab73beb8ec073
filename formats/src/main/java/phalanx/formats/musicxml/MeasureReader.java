package phalanx.formats.musicxml;

import jakarta.xml.bind.JAXBElement;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import org.audiveris.proxymusic.Attributes;
import org.audiveris.proxymusic.Backup;
import org.audiveris.proxymusic.Forward;
import org.audiveris.proxymusic.HammerOnPullOff;
import org.audiveris.proxymusic.Harmony;
import org.audiveris.proxymusic.Notations;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.Slide;
import org.audiveris.proxymusic.StartStop;
import org.audiveris.proxymusic.Technical;
import phalanx.instrument.Tuning;
import phalanx.melody.BarTune;
import phalanx.melody.Slur;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.song.ChordChange;
import phalanx.theory.Letter;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;
import phalanx.theory.Ticks;

/**
 * Reads what sounds in the measures of one part, one after the other: the notes of one voice as the
 * tune, and the chord symbols. Pitches and chords are as written.
 */
final class MeasureReader {

  /**
   * A voice of a part.
   *
   * @param staff the staff, from 1
   * @param name what the file calls it
   */
  record Voice(int staff, String name) {

    /** The voice a note is in. */
    static Voice of(Note note) {
      int staff = note.getStaff() == null ? 1 : note.getStaff().intValue();
      return new Voice(staff, note.getVoice() == null ? "1" : note.getVoice());
    }
  }

  /**
   * What sounds in a measure.
   *
   * @param tune the notes of the voice
   * @param chords the chords, in order
   * @param lengthTicks how long it lasts
   */
  record Content(BarTune tune, List<ChordChange> chords, int lengthTicks) {}

  private static final int MOST_ALTERED = 2;

  private final Voice voice;
  private BigDecimal divisions = BigDecimal.ONE;
  private BigDecimal at;
  private BigDecimal end;
  private final List<TuneNote> notes = new ArrayList<>();
  private final List<Want> graces = new ArrayList<>();
  private final TreeMap<Integer, ChordChange> chords = new TreeMap<>();
  private int held;
  private int lastStart;

  MeasureReader(Voice voice) {
    this.voice = voice;
  }

  /** Whether a note has a pitch; in a damaged file a part of it may be missing. */
  static boolean isPitched(Note note) {
    return note.getPitch() != null && note.getPitch().getStep() != null;
  }

  /** Reads the next measure. */
  Content next(ScorePartwise.Part.Measure measure) {
    at = BigDecimal.ZERO;
    end = BigDecimal.ZERO;
    notes.clear();
    graces.clear();
    chords.clear();
    held = 0;
    for (Object part : measure.getNoteOrBackupOrForward()) {
      if (part instanceof Attributes a && isTime(a.getDivisions())) {
        divide(a.getDivisions());
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
    int length = ticks(end);
    chords.keySet().removeIf(t -> t >= Math.max(1, length));
    return new Content(new BarTune(held, notes), List.copyOf(chords.values()), length);
  }

  /** A beat may be divided otherwise from here on. */
  private void divide(BigDecimal other) {
    BigDecimal ratio = other.divide(divisions, 12, RoundingMode.HALF_UP);
    at = at.multiply(ratio);
    end = end.multiply(ratio);
    divisions = other;
  }

  private static boolean isTime(BigDecimal time) {
    return time != null && time.signum() > 0;
  }

  private int ticks(BigDecimal time) {
    return time.multiply(BigDecimal.valueOf(Ticks.PER_QUARTER))
        .divide(divisions, 0, RoundingMode.HALF_UP)
        .intValue();
  }

  private void pass(BigDecimal duration) {
    at = at.add(duration);
    end = end.max(at);
  }

  private void chord(Harmony harmony) {
    BigDecimal offset =
        harmony.getOffset() == null ? BigDecimal.ZERO : harmony.getOffset().getValue();
    int tick = Math.max(0, ticks(at.add(offset)));
    chords.put(tick, new ChordChange(tick, ChordSymbolReader.read(harmony)));
  }

  private void note(Note note) {
    boolean mine = Voice.of(note).equals(voice) && note.getCue() == null;
    boolean together = note.getChord() != null;
    if (note.getGrace() != null) {
      if (mine && isPitched(note)) {
        graces.add(want(note));
      }
      return;
    }
    BigDecimal duration = isTime(note.getDuration()) ? note.getDuration() : BigDecimal.ZERO;
    int from = together ? lastStart : ticks(at);
    if (!together) {
      lastStart = from;
      pass(duration);
    }
    if (mine && isPitched(note)) {
      sounds(note, from, Math.max(from + 1, ticks(at)), together);
    }
  }

  private void sounds(Note note, int from, int to, boolean together) {
    boolean tied = note.getTie().stream().anyMatch(t -> t.getType() == StartStop.STOP);
    Want want = want(note);
    int last = notes.size() - 1;
    if (together) {
      if (last >= 0 && notes.get(last).tick() == from) {
        notes.set(last, notes.get(last).with(want));
      }
    } else if (tied && notes.isEmpty() && from == held) {
      held = to;
    } else if (tied && last >= 0 && notes.get(last).endTick() == from) {
      notes.set(last, notes.get(last).lasting(to - notes.get(last).tick()));
    } else if (makeRoom(from)) {
      notes.add(new TuneNote(from, to - from, List.of(want), slur(note), graces));
      graces.clear();
    }
  }

  /** What sounds before ends where the next begins; two that begin at once are not both there. */
  private boolean makeRoom(int from) {
    held = Math.min(held, from);
    int last = notes.size() - 1;
    if (last < 0 || notes.get(last).endTick() <= from) {
      return true;
    }
    boolean room = notes.get(last).tick() < from;
    if (room) {
      notes.set(last, notes.get(last).lasting(from - notes.get(last).tick()));
    }
    return room;
  }

  private static Want want(Note note) {
    int alter = note.getPitch().getAlter() == null ? 0 : note.getPitch().getAlter().intValue();
    alter = Math.max(-MOST_ALTERED, Math.min(MOST_ALTERED, alter));
    NoteName name = new NoteName(Letter.valueOf(note.getPitch().getStep().name()), alter);
    return new Want.Sound(new Pitch(name, note.getPitch().getOctave()), string(note));
  }

  private static Optional<Integer> string(Note note) {
    return technical(note).stream()
        .map(JAXBElement::getValue)
        .filter(org.audiveris.proxymusic.String.class::isInstance)
        .map(s -> ((org.audiveris.proxymusic.String) s).getValue().intValue())
        .filter(s -> s >= 1 && s <= Tuning.STRINGS)
        .map(s -> Tuning.STRINGS - s)
        .findFirst();
  }

  private static List<JAXBElement<?>> technical(Note note) {
    List<JAXBElement<?>> marks = new ArrayList<>();
    for (Notations notations : note.getNotations()) {
      for (Object mark : notations.getTiedOrSlurOrTuplet()) {
        if (mark instanceof Technical t) {
          marks.addAll(t.getUpBowOrDownBowOrHarmonic());
        }
      }
    }
    return marks;
  }

  private static Optional<Slur> slur(Note note) {
    for (JAXBElement<?> mark : technical(note)) {
      if (mark.getValue() instanceof HammerOnPullOff h && h.getType() == StartStop.STOP) {
        boolean hammer = mark.getName().getLocalPart().equals("hammer-on");
        return Optional.of(hammer ? Slur.HAMMER_ON : Slur.PULL_OFF);
      }
    }
    return note.getNotations().stream()
        .flatMap(n -> n.getTiedOrSlurOrTuplet().stream())
        .filter(m -> m instanceof Slide s && s.getType() == StartStop.STOP)
        .map(m -> Slur.SLIDE)
        .findFirst();
  }
}
