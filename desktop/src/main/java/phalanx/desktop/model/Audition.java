package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import phalanx.arrangement.Note;
import phalanx.embellishment.HarpRun;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.HarmonicNode;
import phalanx.performance.Performance;
import phalanx.song.Song;
import phalanx.sound.play.Stage;
import phalanx.sound.play.Start;
import phalanx.sound.sequence.CountIn;
import phalanx.sound.sequence.EventSequence;
import phalanx.sound.sequence.Interpretation;
import phalanx.sound.sequence.Sequencer;
import phalanx.sound.sequence.Sequencer.Clicks;
import phalanx.sound.sequence.Sequencer.Loop;
import phalanx.sound.sequence.Sketch;
import phalanx.sound.strings.Levels;

/**
 * What is heard beside the song: a shape, a string, a few notes, a plan that is only tried, a
 * drill. While the song plays nothing else is heard, but a drill stops it.
 */
public final class Audition {

  /** What plays the song, and something else in its place. */
  interface Turn {

    /** Whether the song plays. */
    boolean isSongPlaying();

    /** Stops the song. */
    void stopSong();

    /** Plays something else, once the devices are known. */
    void play(Supplier<Start> start);
  }

  private final Turn turn;
  private final OpenSong open;
  private final SoundSettings settings;
  private final PlayedStage stage;

  Audition(Turn turn, OpenSong open, SoundSettings settings, PlayedStage stage) {
    this.turn = turn;
    this.open = open;
    this.settings = settings;
    this.stage = stage;
  }

  /** Lets a shape be heard. */
  public void hear(Shape shape) {
    hear(open.song().guitar(), shape);
  }

  /** Lets a shape be heard on another guitar than the song's. */
  void hear(Guitar guitar, Shape shape) {
    hearFrets(guitar, shape.frets());
  }

  /** Lets frets be heard, from ⑥ to ①. */
  void hearFrets(Guitar guitar, List<Integer> frets) {
    sketch(() -> Sketch.frets(guitar, frets), 1);
  }

  /** Lets a place on the neck be heard; string 0 for ⑥ to 5 for ①. */
  public void hear(int string, int fret) {
    hear(open.song().guitar(), string, fret);
  }

  void hear(Guitar guitar, int string, int fret) {
    sketch(() -> Sketch.note(guitar, string, fret), 1);
  }

  /** Lets a natural harmonic of the song's guitar be heard. */
  public void hear(HarmonicNode node) {
    hear(open.song().guitar(), node);
  }

  void hear(Guitar guitar, HarmonicNode node) {
    sketch(() -> Sketch.harmonic(guitar, node.string(), node.harmonic()), 1);
  }

  /** Lets some notes of a plan be heard, as they follow each other at the song's tempo. */
  void hear(List<Note> notes) {
    Song song = open.song();
    sketch(() -> Sketch.notes(song.guitar(), notes, song.tempo()), 1);
  }

  /** Lets a harp run be heard. */
  void hear(HarpRun run) {
    Guitar guitar = open.song().guitar();
    sketch(() -> Sketch.run(guitar, run), 1);
  }

  /** Lets a plan be heard that is not the song's, such as a pattern on one chord. */
  void hear(Supplier<Performance> other) {
    Interpretation interpretation = settings.interpretationProperty().get();
    sketch(() -> EventSequence.of(other.get(), interpretation), settings.tempo());
  }

  private void sketch(Supplier<EventSequence> score, double tempo) {
    if (turn.isSongPlaying()) {
      return;
    }
    Levels loud = settings.levelsProperty().get();
    Stage where = stage.now();
    turn.play(() -> Start.plain(score.get(), tempo, loud, where));
  }

  /** Plays a drill round and round after a bar of clicks, at a share of its tempo. */
  void practise(Performance drill, double share) {
    turn.stopSong();
    Levels loud = settings.levelsProperty().get();
    Stage where = stage.now();
    double tempo = Math.max(Sequencer.SLOWEST, Math.min(Sequencer.FASTEST, share));
    turn.play(
        () -> {
          EventSequence score = EventSequence.of(drill);
          return new Start(
              score,
              0,
              Optional.of(new Loop(0, score.seconds())),
              CountIn.of(score, 0, 1),
              tempo,
              Clicks.BEATS,
              loud,
              where);
        });
  }
}
