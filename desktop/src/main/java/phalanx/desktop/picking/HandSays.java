package phalanx.desktop.picking;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.arrangement.board.PatternFall;
import phalanx.arrangement.board.PatternFall.Work;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.picking.PickFinger;
import phalanx.text.Phrase;

/** What the hand says of the pattern: who works how much, what is quick, what cannot be done. */
final class HandSays extends VBox {

  private final Workspace workspace;
  private final HBox tallies = new HBox();
  private final Label says = new Label();

  HandSays(Workspace workspace) {
    this.workspace = workspace;
    getStyleClass().add("hand-says");
    Label heading = new Label(Texts.of("handSays.whatTheHandSays"));
    heading.getStyleClass().add("cards-title");
    tallies.getStyleClass().add("tallies");
    says.setId("hand-says");
    says.setWrapText(true);
    says.setMinHeight(Region.USE_PREF_SIZE);
    setMinHeight(USE_PREF_SIZE);
    getChildren().addAll(heading, tallies, says);
    workspace.models().patterns().fallsProperty().addListener(o -> say());
    say();
  }

  private void say() {
    List<PatternFall> falls = workspace.models().patterns().fallsProperty().get();
    setVisible(!falls.isEmpty());
    if (falls.isEmpty()) {
      return;
    }
    PatternFall fall = falls.get(0);
    double tempo = workspace.song().tempo();
    Map<PickFinger, Work> work = fall.work(tempo);
    tallies
        .getChildren()
        .setAll(work.entrySet().stream().map(e -> tally(e.getKey(), e.getValue())).toList());
    int bars =
        Math.max(
            1,
            fall.lengthTicks()
                / workspace.models().patterns().shownProperty().get().meter().barTicks());
    String busiest =
        work.entrySet().stream()
            .max((a, b) -> a.getValue().strokes() - b.getValue().strokes())
            .map(
                e ->
                    Texts.of(
                        "handSays.busiestABar",
                        e.getKey().letter(),
                        strokes(e.getValue().strokes(), bars)))
            .orElse(Texts.of("handSays.nothingIsStruck"));
    String quickest =
        work.entrySet().stream()
            .min(
                (a, b) ->
                    Double.compare(a.getValue().quickestMillis(), b.getValue().quickestMillis()))
            .map(
                e ->
                    Texts.of(
                        "handSays.fastestRepeatMsAt",
                        e.getKey().letter(),
                        e.getValue().quickestMillis(),
                        tempo))
            .orElse("");
    // What holds on several chords is said once, for the first of them.
    Map<String, String> troubles = new LinkedHashMap<>();
    for (PatternFall f : falls) {
      String chord = f.harmony().label(workspace.viewing().namingProperty().get());
      f.remarks()
          .forEach(r -> troubles.merge(r, Texts.of("handSays.on", chord), (first, next) -> first));
    }
    String said =
        troubles.entrySet().stream()
            .limit(2)
            .map(e -> "\n" + e.getValue() + ": " + e.getKey())
            .collect(Collectors.joining());
    says.setText(Texts.of("handSays.noCrossings", busiest + quickest, said));
  }

  private static String strokes(int strokes, int bars) {
    double each = (double) strokes / bars;
    return each == Math.rint(each)
        ? Phrase.of(
            "%.0f %s", each, each == 1 ? Texts.of("handSays.stroke") : Texts.of("handSays.strokes"))
        : Texts.of("handSays.strokes2", each);
  }

  /** A finger's letter and a small square for each of its strokes. */
  private static HBox tally(PickFinger finger, Work work) {
    Label letter = new Label(finger.letter());
    letter.getStyleClass().addAll("tally-letter", "pick-" + finger.letter());
    HBox squares = new HBox(letter);
    squares.getStyleClass().add("tally");
    // More than a handful is easier read as a number.
    for (int s = 0; s < Math.min(8, work.strokes()); s++) {
      Region square = new Region();
      square.getStyleClass().addAll("tally-stroke", "pick-" + finger.letter());
      squares.getChildren().add(square);
    }
    if (work.strokes() > 8) {
      squares.getChildren().add(new Label("" + work.strokes()));
    }
    return squares;
  }
}
