package phalanx.desktop.guitar;

import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import phalanx.advice.Advised;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.WholeSpinner;
import phalanx.desktop.model.HandViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.instrument.Finger;
import phalanx.instrument.Hand;
import phalanx.instrument.HandMeasure;

/** Beside the guitar: the fretting hand, and how it is measured in three steps. */
final class HandPanel extends VBox {

  private final Workspace workspace;
  private final HandViewModel model;
  private final VBox measuring = new VBox();
  private final Label change = Controls.line("");

  HandPanel(Workspace workspace) {
    this.workspace = workspace;
    model = workspace.models().hands();
    setId("hand-panel");
    getStyleClass().add("side-part");
    measuring.getStyleClass().add("side-part");
    change.setId("hand-change");
    VBox content = new VBox(HandForm.of(workspace), measuring);
    content.getStyleClass().addAll("forms", "side-part");
    getChildren().add(Controls.scroll(content));
    model
        .measureProperty()
        .addListener(
            (o, before, now) -> {
              if (before.isPresent() != now.isPresent()) {
                show();
              }
            });
    model.changeProperty().addListener(o -> tell());
    show();
  }

  private void show() {
    measuring.getChildren().clear();
    if (model.measureProperty().get().isEmpty()) {
      measuring
          .getChildren()
          .add(Controls.tool("measure-hand", Texts.of("handPanel.measureMyHand"), model::begin));
      return;
    }
    HandMeasure m = model.measureProperty().get().get();
    int frets = workspace.song().guitar().frets();
    measuring
        .getChildren()
        .addAll(
            Controls.styled(Texts.of("handPanel.measureItInThree"), "form-title"),
            step(
                Texts.of("handPanel.spreadItOnA"),
                spinner(
                    "measure-spread",
                    (int) Hand.LEAST_SPREAD,
                    (int) Hand.MOST_SPREAD,
                    (int) Math.round(m.spread()),
                    n ->
                        with(
                            o -> new HandMeasure(n, o.fretFrom1(), o.fretFrom7(), o.thumbOver())))),
            step(
                Texts.of("handPanel.withoutCapoIndexAt"),
                spinner(
                    "measure-low",
                    2,
                    frets,
                    m.fretFrom1(),
                    n -> with(o -> new HandMeasure(o.spread(), n, o.fretFrom7(), o.thumbOver())))),
            step(
                Texts.of("handPanel.theSameWithThe"),
                spinner(
                    "measure-high",
                    HandMeasure.UPPER + 1,
                    frets,
                    m.fretFrom7(),
                    n -> with(o -> new HandMeasure(o.spread(), o.fretFrom1(), n, o.thumbOver())))),
            step(Texts.of("handPanel.roundTheNeck"), thumb(m)),
            change,
            new HBox(
                6,
                Controls.tool("accept-hand", Texts.of("handPanel.useThisHand"), model::accept),
                Controls.tool("leave-hand", Texts.of("handPanel.leaveItAsIt"), model::leave)));
    tell();
  }

  private static VBox step(String words, Node field) {
    return new VBox(3, Controls.wrapped(words, "step-words"), field);
  }

  /** Takes a whole number. */
  private interface Take {
    void whole(int number);
  }

  private static Spinner<Integer> spinner(String id, int least, int most, int now, Take take) {
    Spinner<Integer> spinner = WholeSpinner.of(id, least, most, now);
    spinner.setPrefWidth(96);
    spinner
        .valueProperty()
        .addListener(
            (o, before, value) -> {
              if (value != null) {
                take.whole(value);
              }
            });
    return spinner;
  }

  private CheckBox thumb(HandMeasure m) {
    CheckBox box = new CheckBox(Texts.of("handPanel.theThumbReachesOver"));
    box.setId("measure-thumb");
    box.setSelected(m.thumbOver());
    box.setOnAction(
        e ->
            with(o -> new HandMeasure(o.spread(), o.fretFrom1(), o.fretFrom7(), box.isSelected())));
    return box;
  }

  private void with(UnaryOperator<HandMeasure> edit) {
    model.measureProperty().set(model.measureProperty().get().map(edit));
  }

  private void tell() {
    Optional<HandViewModel.Change> known = model.changeProperty().get();
    Optional<Hand> hand = model.measured();
    if (hand.isEmpty()) {
      return;
    }
    String spans =
        Texts.of(
            "handPanel.indexToLittleFinger",
            hand.get().comfortable(Finger.INDEX, Finger.LITTLE),
            hand.get().limit(Finger.INDEX, Finger.LITTLE));
    change.setText(
        spans
            + known
                .map(c -> Texts.of("handPanel.inThisSong", words(c.before(), c.after())))
                .orElse(Texts.of("handPanel.planningTheSongWith")));
  }

  private static String words(Advised before, Advised after) {
    return AdviceWords.spots(before, after) + " · " + AdviceWords.tempo(before, after);
  }
}
