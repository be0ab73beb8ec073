package phalanx.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import phalanx.desktop.background.NewestAnswer;
import phalanx.desktop.texts.Texts;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeTrial;
import phalanx.instrument.Tuning;

/** The shape a player is trying, started from the one the plan holds. */
public final class ShapeTrialModel {

  private static final int HIGHEST_TYPED = 24;

  private final OpenSong open;
  private final ChordChoice chords;
  private final NewestAnswer answers;
  private final ReadOnlyObjectWrapper<Optional<ShapeTrial>> trial =
      new ReadOnlyObjectWrapper<>(Optional.empty());

  public ShapeTrialModel(OpenSong open, ChordChoice chords, NewestAnswer answers) {
    this.open = open;
    this.chords = chords;
    this.answers = answers;
    chords.placeProperty().addListener(o -> stop());
    open.arrangementProperty().addListener(o -> stop());
  }

  /** What is being tried; empty while the plan's own shape is looked at. */
  public ReadOnlyObjectProperty<Optional<ShapeTrial>> trialProperty() {
    return trial.getReadOnlyProperty();
  }

  /** Ends the trial. */
  public void stop() {
    answers.forget();
    trial.set(Optional.empty());
  }

  /** Tries other frets. */
  public void start(List<Integer> frets) {
    if (open.arrangementProperty().get() == null) {
      return;
    }
    Reach reach = open.arrangementProperty().get().plan().problem().changes().reach();
    answers.ask(() -> ShapeTrial.of(frets, reach), t -> trial.set(Optional.of(t)), this::failed);
  }

  private void failed(Throwable fault) {
    stop();
    open.faults().tell(Texts.of("shapeTrialModel.theShapeCouldNot"), fault);
  }

  /** Touches one place: holds it, or, where it is held, silences the string. */
  public void touch(int string, int fret) {
    List<Integer> frets = new ArrayList<>(now());
    frets.set(string, frets.get(string) == fret ? Shape.SILENT : fret);
    start(frets);
  }

  /** The frets on the neck now, tried or held. */
  public List<Integer> now() {
    return trial
        .get()
        .map(ShapeTrial::frets)
        .orElseGet(() -> chords.slot().flatMap(s -> s.shape()).orElse(Shape.NOTHING).frets());
  }

  /** Tries frets as players write them, {@code x32010} or set apart by spaces; says if it could. */
  public boolean type(String text) {
    String[] words = text.strip().split("[\\s,-]+");
    if (words.length == 1 && words[0].length() == Tuning.STRINGS) {
      words = words[0].split("");
    }
    List<Integer> frets = new ArrayList<>();
    for (String word : words) {
      if (word.equalsIgnoreCase("x")) {
        frets.add(Shape.SILENT);
      } else if (word.matches("\\d{1,2}") && Integer.parseInt(word) <= HIGHEST_TYPED) {
        frets.add(Integer.parseInt(word));
      }
    }
    boolean whole = frets.size() == Tuning.STRINGS && words.length == Tuning.STRINGS;
    if (whole) {
      start(frets);
    }
    return whole;
  }
}
