package phalanx.formats.musicxml;

import java.math.BigDecimal;
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
            .mapToInt(s -> s.getCapo().intValue())
            .findFirst()
            .orElse(0);
    return new GuitarXml(
        staves.stream().flatMap(s -> tuning(s.getStaffTuning()).stream()).findFirst(),
        Math.max(0, Math.min(Guitar.HIGHEST_CAPO, capo)),
        all.stream()
            .flatMap(a -> a.getTranspose().stream())
            .findFirst()
            .map(GuitarXml::up)
            .orElse(0));
  }

  private static int up(Transpose transpose) {
    int octaves = transpose.getOctaveChange() == null ? 0 : transpose.getOctaveChange().intValue();
    BigDecimal chromatic = transpose.getChromatic();
    return (chromatic == null ? 0 : chromatic.intValue()) + OCTAVE * octaves;
  }

  private static Optional<Tuning> tuning(List<StaffTuning> strings) {
    if (strings.size() != Tuning.STRINGS) {
      return Optional.empty();
    }
    List<Pitch> pitches = new ArrayList<>();
    strings.stream()
        .sorted(Comparator.comparing(StaffTuning::getLine))
        .map(
            s ->
                new Pitch(
                    new NoteName(
                        Letter.valueOf(s.getTuningStep().name()),
                        s.getTuningAlter() == null ? 0 : s.getTuningAlter().intValue()),
                    s.getTuningOctave()))
        .forEach(pitches::add);
    try {
      return Optional.of(new Tuning(pitches));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
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
