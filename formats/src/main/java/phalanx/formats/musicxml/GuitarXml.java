package phalanx.formats.musicxml;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.audiveris.proxymusic.Attributes;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.StaffDetails;
import org.audiveris.proxymusic.StaffTuning;
import org.audiveris.proxymusic.Transpose;
import phalanx.chart.Transposition;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.melody.Want;
import phalanx.song.Song;
import phalanx.theory.Letter;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

/**
 * The guitar a part is written for.
 *
 * @param tuning its tuning, if a tablature staff says so
 * @param capo the fret of the capo
 * @param semitones how much higher it sounds than it is written
 */
record GuitarXml(Optional<Tuning> tuning, int capo, int semitones) {

  private static final int OCTAVE = 12;

  /** No part sounds further from what is written, semitones. */
  private static final int FURTHEST = 5 * OCTAVE;

  static GuitarXml of(ScorePartwise.Part part) {
    List<Attributes> all =
        part.getMeasure().stream()
            .flatMap(m -> m.getNoteOrBackupOrForward().stream())
            .filter(Attributes.class::isInstance)
            .map(Attributes.class::cast)
            .toList();
    List<StaffDetails> staves = all.stream().flatMap(a -> a.getStaffDetails().stream()).toList();
    int capo =
        staves.stream()
            .filter(s -> s.getCapo() != null)
            .mapToInt(s -> s.getCapo().bitLength() > 8 ? 0 : s.getCapo().intValue())
            .findFirst()
            .orElse(0);
    return new GuitarXml(
        staves.stream().flatMap(s -> tuning(s.getStaffTuning()).stream()).findFirst(),
        Math.max(0, Math.min(Guitar.HIGHEST_CAPO, capo)),
        part.getMeasure().stream()
            .limit(1)
            .flatMap(m -> m.getNoteOrBackupOrForward().stream())
            .filter(Attributes.class::isInstance)
            .flatMap(a -> ((Attributes) a).getTranspose().stream())
            .findFirst()
            .map(GuitarXml::up)
            .orElse(0));
  }

  /** How many semitones higher than written a part sounds, within what can be heard. */
  static int up(Transpose transpose) {
    BigInteger octaves = transpose.getOctaveChange();
    BigDecimal chromatic = transpose.getChromatic();
    double up =
        (chromatic == null ? 0 : chromatic.doubleValue())
            + OCTAVE * (octaves == null ? 0 : octaves.doubleValue());
    return (int) Math.round(Math.max(-FURTHEST, Math.min(FURTHEST, up)));
  }

  private static Optional<Tuning> tuning(List<StaffTuning> strings) {
    List<Pitch> pitches = new ArrayList<>();
    strings.stream()
        .filter(s -> s.getTuningStep() != null && s.getLine() != null)
        .sorted(Comparator.comparing(StaffTuning::getLine))
        .map(GuitarXml::pitch)
        .forEach(pitches::add);
    try {
      return pitches.size() == Tuning.STRINGS ? Optional.of(new Tuning(pitches)) : Optional.empty();
    } catch (IllegalArgumentException e) {
      // Another instrument: the tune is planned for a guitar in standard tuning.
      return Optional.empty();
    }
  }

  private static Pitch pitch(StaffTuning string) {
    BigDecimal alter = string.getTuningAlter();
    int by = alter == null ? 0 : (int) Math.max(-2, Math.min(2, alter.doubleValue()));
    Letter letter = Letter.valueOf(string.getTuningStep().name());
    return new Pitch(new NoteName(letter, by), string.getTuningOctave());
  }

  /** A song as written, counted from the capo as the program counts. */
  Song counted(Song written) {
    Guitar guitar = written.guitar().withTuning(tuning.orElse(Tuning.STANDARD)).withCapo(capo);
    int by = semitones - capo;
    int steps = Math.floorMod(by, OCTAVE);
    Song moved = steps == 0 ? written : Transposition.bySemitones(written, steps);
    // The tune went the shorter way within an octave; the rest of its way are whole octaves.
    int went = steps > OCTAVE / 2 ? steps - OCTAVE : steps;
    int octaves = (by - went) / OCTAVE;
    return moved
        .withTune(octaves == 0 ? moved.tune() : moved.tune().moved(w -> octaves(w, octaves)))
        .withGuitar(guitar);
  }

  private static Want octaves(Want want, int by) {
    Want.Sound sound = (Want.Sound) want;
    Pitch pitch = sound.pitch();
    return new Want.Sound(new Pitch(pitch.name(), pitch.octave() + by), sound.string());
  }
}
