package phalanx.formats.musicxml;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.formats.imported.FrettedNote;
import phalanx.instrument.Guitar;
import phalanx.melody.Want;
import phalanx.theory.Pitch;

/**
 * A part that says where on the neck its notes are played: most of the notes of one of its staves
 * have a string and a fret.
 */
final class GuitarScore {

  /** So much of a staff must have its places. */
  private static final double MOST = 0.6;

  private final List<MeasureReader.Content> contents;
  private final int staff;
  private final Guitar guitar;
  private final int semitones;
  private final Set<Integer> tuneMeasures;

  private GuitarScore(
      List<MeasureReader.Content> contents,
      int staff,
      Guitar guitar,
      int semitones,
      Set<Integer> tuneMeasures) {
    this.contents = contents;
    this.semitones = semitones;
    this.staff = staff;
    this.guitar = guitar;
    this.tuneMeasures = tuneMeasures;
  }

  /**
   * The guitar part of some measures; empty where places are missing.
   *
   * @param guitar tuning and capo that its frets are counted on
   * @param semitones how much higher its pitches sound than they are written, from the capo
   * @param tuneMeasures the measures, from 0, whose first voice is told to be the tune
   */
  static Optional<GuitarScore> of(
      List<MeasureReader.Content> contents,
      Guitar guitar,
      int semitones,
      Set<Integer> tuneMeasures) {
    int best = 0;
    double share = 0;
    for (int staff = 1; staff <= 4; staff++) {
      int all = 0;
      int placed = 0;
      for (MeasureReader.Content content : contents) {
        for (ScoreNote note : content.notes()) {
          if (note.staff() == staff && note.pitch().isPresent()) {
            all++;
            placed += note.string().isPresent() && note.fret().isPresent() ? 1 : 0;
          }
        }
      }
      if (all > 0 && (double) placed / all > share) {
        share = (double) placed / all;
        best = staff;
      }
    }
    return share >= MOST
        ? Optional.of(new GuitarScore(contents, best, guitar, semitones, tuneMeasures))
        : Optional.empty();
  }

  /** How many of its notes have no place. */
  int unplaced() {
    int unplaced = 0;
    for (MeasureReader.Content content : contents) {
      for (ScoreNote note : content.notes()) {
        unplaced += isHere(note) && !isPlaced(note) ? 1 : 0;
      }
    }
    return unplaced;
  }

  private boolean isHere(ScoreNote note) {
    return note.staff() == staff && note.pitch().isPresent();
  }

  private static boolean isPlaced(ScoreNote note) {
    return note.string().isPresent() && note.fret().isPresent();
  }

  /** What is played in a measure, by time and string. */
  List<FrettedNote> notes(int measure) {
    List<FrettedNote> played = new ArrayList<>();
    Set<String> first = firstVoice(measure);
    List<ScoreNote> graces = new ArrayList<>();
    for (ScoreNote note : contents.get(measure).notes()) {
      if (!isHere(note) || !isPlaced(note)) {
        continue;
      }
      if (note.isGrace()) {
        graces.add(note);
        continue;
      }
      List<Want> before =
          graces.stream().filter(g -> g.voice().equals(note.voice())).map(this::want).toList();
      graces.removeIf(g -> g.voice().equals(note.voice()));
      boolean tune = tuneMeasures.contains(measure) && first.contains(note.voice());
      if (note.tied() && !tune) {
        continue;
      }
      int string = note.string().get();
      int fret = note.fret().get();
      Optional<Pitch> pitch = sounding(note.pitch().get());
      boolean sounds = fits(pitch, string, fret);
      boolean harmonic =
          note.techniques().stream().anyMatch(t -> t.higher() > 0 || t.word().endsWith("harmonic"));
      played.add(
          new FrettedNote(
              note.tick(),
              note.lengthTicks(),
              string,
              fret,
              note.finger().or(() -> beside(measure, note).flatMap(ScoreNote::finger)),
              note.pick().or(() -> beside(measure, note).flatMap(ScoreNote::pick)),
              note.slur(),
              note.techniques(),
              tune,
              tune && note.tied(),
              before,
              sounds || harmonic ? pitch : Optional.empty()));
    }
    played.sort(Comparator.comparingInt(FrettedNote::tick).thenComparingInt(FrettedNote::string));
    return played;
  }

  private boolean fits(Optional<Pitch> pitch, int string, int fret) {
    return pitch.filter(p -> p.midi() == guitar.shapeMidi(string, fret)).isPresent();
  }

  /** What a short note wants: its pitch on its string, or its place where the two differ. */
  private Want want(ScoreNote grace) {
    int string = grace.string().orElseThrow();
    int fret = grace.fret().orElseThrow();
    Optional<Pitch> pitch = sounding(grace.pitch().orElseThrow());
    return fits(pitch, string, fret)
        ? new Want.Sound(pitch.get(), Optional.of(string))
        : new Want.Place(string, fret);
  }

  /** The same note on the other staff, where the picking finger may stand. */
  private Optional<ScoreNote> beside(int measure, ScoreNote note) {
    return contents.get(measure).notes().stream()
        .filter(n -> n.staff() != staff && n.tick() == note.tick() && n.pick().isPresent())
        .filter(n -> n.pitch().equals(note.pitch()))
        .findFirst();
  }

  /**
   * A written pitch as it sounds from the capo; a transposition by less than octaves has no name.
   */
  private Optional<Pitch> sounding(Pitch written) {
    return semitones % 12 == 0
        ? Optional.of(new Pitch(written.name(), written.octave() + semitones / 12))
        : Optional.empty();
  }

  /** The voice that is written first on the staff. */
  private Set<String> firstVoice(int measure) {
    Set<String> first = new HashSet<>();
    contents.get(measure).notes().stream()
        .filter(n -> n.staff() == staff)
        .findFirst()
        .ifPresent(n -> first.add(n.voice()));
    return first;
  }
}
