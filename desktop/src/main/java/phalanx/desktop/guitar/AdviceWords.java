package phalanx.desktop.guitar;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.advice.Advised;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.text.Phrase;
import phalanx.theory.NoteNaming;

/** A way to play the song in words, old against new. */
final class AdviceWords {

  private final Workspace workspace;

  AdviceWords(Workspace workspace) {
    this.workspace = workspace;
  }

  /** Which way it is: {@code G shapes, capo 2}. */
  String title(Advised way) {
    NoteNaming naming = workspace.viewing().namingProperty().get();
    String shapes =
        way.song()
            .key()
            .map(k -> Texts.of("adviceWords.shapes", k.text(naming)))
            .orElse(semitones(way));
    String capo =
        way.way().capo() == 0
            ? Texts.of("adviceWords.noCapo")
            : Texts.of("adviceWords.capo", way.way().capo());
    return shapes + capo;
  }

  private static String semitones(Advised way) {
    int up = way.way().semitones();
    return up == 0 ? Texts.of("adviceWords.asWritten") : Texts.of("adviceWords.semitonesUp", up);
  }

  /** What it asks of the hands, one figure after the other. */
  String now(Advised now) {
    return Texts.of(
        "adviceWords.stretchMmStringsOpen",
        title(now),
        now.hardestSpan(),
        now.tally().words(),
        now.ceiling().map(t -> Texts.of("adviceWords.holdsTo", Math.floor(t))).orElse(""),
        now.openStrings());
  }

  /** What is other than now. */
  List<String> lines(Advised way, Advised now) {
    List<String> lines = new ArrayList<>();
    if (!way.way().tuning().equals(now.way().tuning())) {
      NoteNaming naming = workspace.viewing().namingProperty().get();
      lines.add(Texts.of("adviceWords.tuned", GuitarScreen.words(way.way().tuning(), naming)));
    }
    if (!way.tuneWords().isEmpty()) {
      lines.add(way.tuneWords());
    } else if (!way.sameSound()) {
      lines.add(Texts.of("adviceWords.soundsInAnotherKey"));
    }
    lines.add(spots(now, way));
    lines.add(tempo(now, way));
    lines.add(
        Texts.of(
            "adviceWords.openCostABar",
            change(
                Phrase.shown("%.1f", now.openStrings()), Phrase.shown("%.1f", way.openStrings())),
            change(
                Phrase.shown("%.1f", now.costPerBar()), Phrase.shown("%.1f", way.costPerBar()))));
    return lines;
  }

  /** Hardest stretch and hard spots, before and after. */
  static String spots(Advised before, Advised after) {
    return Texts.of(
        "adviceWords.stretchMmHardSpots",
        change(
            Phrase.shown("%.0f", before.hardestSpan()), Phrase.shown("%.0f", after.hardestSpan())),
        change(String.valueOf(before.tally().hard()), String.valueOf(after.tally().hard())));
  }

  /** The tempo both hands hold to, before and after. */
  static String tempo(Advised before, Advised after) {
    return Texts.of(
        "adviceWords.holdsTo2", change(ceiling(before.ceiling()), ceiling(after.ceiling())));
  }

  private static String ceiling(Optional<Double> tempo) {
    return tempo
        .map(t -> Phrase.shown("%.0f", Math.floor(t)))
        .orElse(Texts.of("adviceWords.anyTempo"));
  }

  private static String change(String before, String after) {
    return before.equals(after) ? after : before + " → " + after;
  }
}
