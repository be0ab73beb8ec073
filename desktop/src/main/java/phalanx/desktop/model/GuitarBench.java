package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleObjectProperty;
import phalanx.chart.Retuning;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.HarmonicNode;
import phalanx.instrument.StringPull;
import phalanx.instrument.StringSet;
import phalanx.instrument.Tuning;
import phalanx.instrument.TuningByEar;
import phalanx.instrument.TuningCheck;
import phalanx.instrument.TuningStep;

/** A tuning that is looked at, and tuned to, before the song uses it. */
public final class GuitarBench {

  private final OpenSong open;
  private final PlaybackController sound;
  private final ObjectProperty<Tuning> tuning = new SimpleObjectProperty<>();
  private final ObjectProperty<StringSet> strings = new SimpleObjectProperty<>();
  private final IntegerProperty step = new SimpleIntegerProperty();
  private final ReadOnlyObjectWrapper<Sheet> sheet = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<Optional<HarmonicNode>> touched =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private Guitar known;

  /**
   * What there is to know of the tuning on the bench.
   *
   * @param guitar the song's guitar tuned so
   * @param pulls its strings, ⑥ to ①
   * @param byEar the way there
   * @param check the chord it is checked by
   */
  public record Sheet(
      Guitar guitar, List<StringPull> pulls, TuningByEar byEar, Optional<TuningCheck> check) {}

  GuitarBench(OpenSong open, PlaybackController sound) {
    this.open = open;
    this.sound = sound;
    known = open.song().guitar();
    tuning.set(known.tuning());
    strings.set(StringSet.usual(known));
    work();
    open.historyProperty().addListener(o -> follow());
    tuning.addListener(o -> work());
    a4().addListener(o -> work());
    strings.addListener(o -> work());
  }

  /** The song's guitar is another: where it is tuned otherwise, that comes onto the bench. */
  private void follow() {
    Guitar before = known;
    known = open.song().guitar();
    if (known.equals(before)) {
      return;
    }
    if (!known.build().equals(before.build())) {
      strings.set(StringSet.usual(known));
    }
    if (!known.tuning().equals(before.tuning())) {
      tuning.set(known.tuning());
    }
    work();
  }

  private void work() {
    Guitar guitar = known.withTuning(tuning.get());
    List<StringPull> pulls =
        StringPull.of(tuning.get(), strings.get(), guitar.scaleLength(), a4().get());
    Tuning from = isUsed() ? Tuning.STANDARD : known.tuning();
    step.set(0);
    touched.set(Optional.empty());
    sheet.set(
        new Sheet(
            guitar,
            pulls,
            TuningByEar.of(from, tuning.get(), pulls, a4().get()),
            TuningCheck.of(guitar.tuning())));
  }

  /** The tuning on the bench. */
  public ObjectProperty<Tuning> tuningProperty() {
    return tuning;
  }

  /** The pitch it is tuned to: frequency of A4, Hz. */
  public DoubleProperty a4() {
    return sound.settings().a4Property();
  }

  /** The strings on the guitar. */
  public ObjectProperty<StringSet> stringsProperty() {
    return strings;
  }

  /** What there is to know of it. */
  public ReadOnlyObjectProperty<Sheet> sheetProperty() {
    return sheet.getReadOnlyProperty();
  }

  /** How far the player is in tuning: 0 for the first string, from a tone; then the steps. */
  public IntegerProperty stepProperty() {
    return step;
  }

  /** Whether the song uses the tuning already. */
  public boolean isUsed() {
    return tuning.get().equals(open.song().guitar().tuning());
  }

  /** How many strings another tuning changes against the song's. */
  public int changes(Tuning other) {
    return (int)
        IntStream.range(0, Tuning.STRINGS)
            .filter(s -> other.midi(s) != open.song().guitar().tuning().midi(s))
            .count();
  }

  /** Tunes the song's guitar so; can be undone. */
  public void use() {
    Tuning wanted = tuning.get();
    open.resettle(s -> Retuning.of(s, wanted));
  }

  /** Lets all open strings be heard, low to high. */
  public void hearAll() {
    sound.audition().hear(uncapped(), Shape.OPEN);
  }

  /** Lets an open string be heard as it shall sound. */
  public void hear(int string) {
    sound.audition().hear(uncapped(), string, 0);
  }

  /** The harmonic that was touched last, as long as the guitar is the same. */
  public ReadOnlyObjectProperty<Optional<HarmonicNode>> touchedProperty() {
    return touched.getReadOnlyProperty();
  }

  /** Lets a natural harmonic of the song's guitar be heard, capo and all. */
  public void touch(HarmonicNode node) {
    touched.set(Optional.of(node));
    sound.audition().hear(sheet.get().guitar(), node);
  }

  /** Lets the chord be heard by which all strings are checked. */
  public void hearCheck() {
    sheet.get().check().ifPresent(c -> sound.audition().hearFrets(uncapped(), c.frets()));
  }

  /** Goes on to the next string, or begins again after the last. */
  public void next() {
    step.set((step.get() + 1) % (sheet.get().byEar().steps().size() + 1));
  }

  /** Lets that be heard which the string of this step is held against. */
  public void hearAgainst() {
    TuningByEar way = sheet.get().byEar();
    if (step.get() == 0) {
      hear(way.first());
      return;
    }
    TuningStep now = way.steps().get(step.get() - 1);
    boolean harmonic = now.how() == TuningStep.How.HARMONIC;
    // Its harmonic sounds two octaves above the open string.
    sound.audition().hear(uncapped(), now.against(), harmonic ? 0 : now.fret());
  }

  /** Strings are tuned without a capo. */
  private Guitar uncapped() {
    return sheet.get().guitar().withCapo(0);
  }
}
