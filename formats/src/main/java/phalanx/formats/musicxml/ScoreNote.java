package phalanx.formats.musicxml;

import jakarta.xml.bind.JAXBElement;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.audiveris.proxymusic.Fingering;
import org.audiveris.proxymusic.HammerOnPullOff;
import org.audiveris.proxymusic.Notations;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.PlacementText;
import org.audiveris.proxymusic.Slide;
import org.audiveris.proxymusic.StartStop;
import org.audiveris.proxymusic.Technical;
import org.audiveris.proxymusic.Tied;
import org.audiveris.proxymusic.TiedType;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.melody.Slur;
import phalanx.melody.Want;
import phalanx.picking.PickFinger;
import phalanx.technique.Technique;
import phalanx.theory.Letter;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

/**
 * A note of a score at its time; a rest where it has no pitch.
 *
 * @param voice what the file calls its voice
 * @param staff its staff, from 1
 * @param tick when it begins, from the start of its measure
 * @param lengthTicks how long it lasts; 0 for a short note before another
 * @param pitch as written
 * @param string the string it is to be on
 * @param tied whether it goes on from a note of the same pitch
 * @param slur how it is made from the note before
 * @param techniques what is special about how it is played
 * @param fret the fret it is pressed at, if the file says
 * @param finger the finger that presses it, if the file says
 * @param pick the finger that plucks it, if the file says
 */
record ScoreNote(
    String voice,
    int staff,
    int tick,
    int lengthTicks,
    Optional<Pitch> pitch,
    Optional<Integer> string,
    boolean tied,
    Optional<Slur> slur,
    Set<Technique> techniques,
    Optional<Integer> fret,
    Optional<Finger> finger,
    Optional<PickFinger> pick) {

  /** More sharps or flats than a note name has; a file with more is damaged. */
  private static final int MOST_ALTERED = 2;

  private static final int HIGHEST_OCTAVE = 9;

  /** Whether a note has a pitch; in a damaged file a part of it may be missing. */
  static boolean isPitched(Note note) {
    return note.getPitch() != null && note.getPitch().getStep() != null;
  }

  /** Whether a pitched note lies in one of the ten octaves MusicXML has. */
  static boolean isHeard(Note note) {
    return note.getPitch().getOctave() >= 0 && note.getPitch().getOctave() <= HIGHEST_OCTAVE;
  }

  /** The staff a note stands on. */
  static int staff(Note note) {
    return note.getStaff() == null ? 1 : note.getStaff().intValue();
  }

  /** The voice a note is in. */
  static String voice(Note note) {
    return note.getVoice() == null ? "1" : note.getVoice();
  }

  /** A note read at its time, in the voice and on the staff of the note it sounds with. */
  static ScoreNote of(Note note, String voice, int staff, int tick, int lengthTicks) {
    Optional<Pitch> pitch = isPitched(note) ? Optional.of(pitch(note)) : Optional.empty();
    return new ScoreNote(
        voice,
        staff,
        tick,
        lengthTicks,
        pitch,
        string(note),
        isTied(note),
        slur(note),
        TechniqueXml.of(note),
        fret(note),
        words(note, "fingering").flatMap(ScoreNote::finger),
        words(note, "pluck").flatMap(PickFinger::lettered));
  }

  /** The same note at another pitch. */
  ScoreNote at(Pitch other) {
    return new ScoreNote(
        voice,
        staff,
        tick,
        lengthTicks,
        Optional.of(other),
        string,
        tied,
        slur,
        techniques,
        fret,
        finger,
        pick);
  }

  /** Whether it only ornaments the note it stands before. */
  boolean isGrace() {
    return lengthTicks == 0;
  }

  /** When it ends. */
  int endTick() {
    return tick + lengthTicks;
  }

  /** What of the tune it stands for. */
  Want want() {
    return new Want.Sound(pitch.orElseThrow(), string);
  }

  private static Pitch pitch(Note note) {
    BigDecimal alter = note.getPitch().getAlter();
    int by = alter == null ? 0 : (int) Math.round(alter.doubleValue());
    by = Math.max(-MOST_ALTERED, Math.min(MOST_ALTERED, by));
    NoteName name = new NoteName(Letter.valueOf(note.getPitch().getStep().name()), by);
    return new Pitch(name, note.getPitch().getOctave());
  }

  private static boolean isTied(Note note) {
    return note.getTie().stream().anyMatch(t -> t.getType() == StartStop.STOP)
        || note.getNotations().stream()
            .flatMap(n -> n.getTiedOrSlurOrTuplet().stream())
            .anyMatch(m -> m instanceof Tied t && t.getType() == TiedType.STOP);
  }

  private static Optional<Integer> string(Note note) {
    return technical(note).stream()
        .map(JAXBElement::getValue)
        .filter(org.audiveris.proxymusic.String.class::isInstance)
        .map(s -> ((org.audiveris.proxymusic.String) s).getValue())
        .filter(s -> s != null && s.bitLength() < 8)
        .map(s -> s.intValue())
        .filter(s -> s >= 1 && s <= Tuning.STRINGS)
        .map(s -> Tuning.STRINGS - s)
        .findFirst();
  }

  private static Optional<Integer> fret(Note note) {
    return technical(note).stream()
        .map(JAXBElement::getValue)
        .filter(org.audiveris.proxymusic.Fret.class::isInstance)
        .map(f -> ((org.audiveris.proxymusic.Fret) f).getValue())
        .filter(f -> f != null && f.bitLength() < 8)
        .map(f -> f.intValue())
        .filter(f -> f >= 0 && f <= Want.HIGHEST_FRET)
        .findFirst();
  }

  /** Whether a note says where it lies on the neck. */
  static boolean isPlaced(Note note) {
    return string(note).isPresent() && fret(note).isPresent();
  }

  /** The words of a technical mark of one kind. */
  private static Optional<String> words(Note note, String kind) {
    return technical(note).stream()
        .filter(m -> m.getName().getLocalPart().equals(kind))
        .map(JAXBElement::getValue)
        .map(
            v ->
                v instanceof Fingering f
                    ? f.getValue()
                    : v instanceof PlacementText t ? t.getValue() : null)
        .filter(v -> v != null)
        .map(String::strip)
        .findFirst();
  }

  private static Optional<Finger> finger(String sign) {
    return Stream.of(Finger.values()).filter(f -> f.sign().equalsIgnoreCase(sign)).findFirst();
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
