package phalanx.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.UnaryOperator;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Arranger;
import phalanx.arrangement.Slot;
import phalanx.arrangement.Sung;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapePlan.Alternative;
import phalanx.melody.BarTune;
import phalanx.melody.Want;
import phalanx.picking.AlternatingThumb;
import phalanx.song.Feel;
import phalanx.song.Patterns;
import phalanx.song.Song;
import phalanx.theory.Pitch;
import phalanx.theory.Ticks;

/**
 * Finds ways out of a finding. Each is tried by planning the song anew; only those with which the
 * finding is gone are offered.
 */
public final class Remedies {

  /** Other shapes that are tried at each of the chords concerned. */
  private static final int SHAPES_TRIED = 6;

  /** Ways out that are offered. */
  private static final int MOST = 5;

  private final Arranger arranger;
  private final Arrangement before;
  private final Found found;
  private final List<Remedy> remedies = new ArrayList<>();

  private Remedies(Arranger arranger, Arrangement before, Found found) {
    this.arranger = arranger;
    this.before = before;
    this.found = found;
  }

  /** Ways out of a finding, the mildest first. */
  public static List<Remedy> of(Arranger arranger, Arrangement arrangement, Found found) {
    Remedies tried = new Remedies(arranger, arrangement, found);
    switch (found.finding().rule()) {
      case TuneNotes.OUT_OF_REACH -> tried.moveOrLeaveOutTheNote();
      case TuneNotes.CUT_OFF -> {
        tried.otherShapes();
        tried.shortenTheNote();
      }
      case LateChanges.NAME -> {
        tried.otherShapes();
        tried.simplerBefore();
        tried.slower();
      }
      default -> tried.otherShapes();
    }
    return tried.remedies.stream().limit(MOST).toList();
  }

  private void attempt(String words, UnaryOperator<Song> edit) {
    Song song = edit.apply(before.song());
    if (remedies.size() >= MOST || song.equals(before.song())) {
      return;
    }
    Review after = Review.of(arranger.arrange(song));
    boolean gone =
        after.findings().stream()
            .noneMatch(
                f ->
                    f.finding().rule().equals(found.finding().rule())
                        && f.bar() == found.bar()
                        && f.tick() == found.tick());
    if (gone) {
      remedies.add(new Remedy(words, edit, after.findings().size(), after.ceiling().song()));
    }
  }

  private int slotAt() {
    int at = 0;
    for (int i = 0; i < before.slots().size(); i++) {
      at = before.slots().get(i).fromTick() <= found.tick() ? i : at;
    }
    return at;
  }

  /** Other shapes at the chord itself, before it and after it. */
  private void otherShapes() {
    int at = slotAt();
    for (int slot : List.of(at, at + 1, at - 1)) {
      if (slot >= 0 && slot < before.slots().size()) {
        otherShapes(slot);
      }
    }
  }

  private void otherShapes(int slot) {
    Slot here = before.slots().get(slot);
    if (here.pinned() || here.shape().isEmpty()) {
      return;
    }
    before.plan().alternatives(slot).stream()
        .sorted(Comparator.comparingDouble(Alternative::extraCost))
        .map(a -> a.shape().shape())
        .filter(s -> !s.sameFrets(here.shape().get()))
        .limit(SHAPES_TRIED)
        .forEach(s -> attempt(pinWords(here, s), song -> song.pin(here.played().ref(), s)));
  }

  private static String pinWords(Slot slot, Shape shape) {
    return "hold %s as %s".formatted(slot.played().harmony().label(), shape.fretText());
  }

  private void simplerBefore() {
    int at = slotAt();
    if (at > 0) {
      Patterns.Scope chord = new Patterns.Scope.OfChord(before.slots().get(at - 1).played().ref());
      attempt(
          "the thumb alone over the chord before",
          s -> s.withPatterns(s.patterns().with(chord, AlternatingThumb.THUMB_ALONE)));
    }
  }

  private void slower() {
    double ratio = found.finding().limit() / found.finding().measured();
    double tempo = Math.floor(before.song().tempo() * ratio);
    if (tempo >= Feel.SLOWEST) {
      attempt("play at ♩ = %.0f".formatted(tempo), s -> s.withTempo(tempo));
    }
  }

  private interface BarEdit {
    BarTune apply(BarTune tune, int tick);
  }

  private void editBar(String words, BarEdit edit) {
    before.slots().stream()
        .flatMap(s -> s.tune().stream())
        .filter(n -> n.tick() == found.tick())
        .findFirst()
        .ifPresent(n -> attempt(words, song -> edited(song, n, edit)));
  }

  private static Song edited(Song song, Sung note, BarEdit edit) {
    BarTune bar = song.tune().at(note.bar(), song.chart());
    return song.withTune(song.tune().with(note.bar(), edit.apply(bar, note.barTick())));
  }

  private void moveOrLeaveOutTheNote() {
    editBar("this bar's tune an octave lower", (tune, tick) -> tune.moved(w -> octave(w, -1)));
    editBar("this bar's tune an octave higher", (tune, tick) -> tune.moved(w -> octave(w, 1)));
    for (int by : List.of(-1, 1)) {
      attempt(
          "the whole tune an octave " + (by < 0 ? "lower" : "higher"),
          song -> song.withTune(song.tune().moved(w -> octave(w, by))));
    }
    editBar(
        "this note an octave lower",
        (tune, tick) -> tune.withNote(tick, n -> n.moved(w -> octave(w, -1))));
    editBar("leave this note out", BarTune::withoutNote);
  }

  private static Want octave(Want want, int by) {
    return want instanceof Want.Sound s
        ? new Want.Sound(new Pitch(s.pitch().name(), s.pitch().octave() + by), s.string())
        : want;
  }

  /** As long as it can ring. */
  private void shortenTheNote() {
    int rings = (int) Math.round(found.finding().measured() * Ticks.PER_QUARTER);
    editBar(
        "let the note end at the change",
        (tune, tick) -> tune.withNote(tick, n -> n.lasting(Math.max(1, rings))));
  }
}
