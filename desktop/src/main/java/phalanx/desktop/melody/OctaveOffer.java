package phalanx.desktop.melody;

import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.model.MelodyViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.findings.Found;
import phalanx.findings.TuneAway;

/** Says that the tune lies an octave away from the hand, as soon as it does, and moves it. */
final class OctaveOffer extends VBox {

  private final Workspace workspace;
  private final MelodyViewModel desk;
  private final Label words = Controls.wrapped("", "notice");
  private final Button move;

  OctaveOffer(Workspace workspace) {
    this.workspace = workspace;
    desk = workspace.models().melody();
    setId("octave-offer");
    setSpacing(6);
    move = Controls.smallTool("move-octave", "", desk::moveOctaves);
    getChildren().addAll(words, move);
    managedProperty().bind(visibleProperty());
    desk.octavesProperty().addListener(o -> show());
    show();
  }

  private void show() {
    int by = desk.octavesProperty().get();
    Optional<Found> away =
        workspace.reviewProperty().get().stream()
            .flatMap(r -> r.findings().stream())
            .filter(f -> f.finding().rule().equals(TuneAway.NAME))
            .findFirst();
    setVisible(by != 0 && away.isPresent());
    words.setText(away.map(f -> f.finding().message() + ".").orElse(""));
    move.setText(by == 0 ? "" : "The whole tune " + TuneAway.moved(by));
  }
}
