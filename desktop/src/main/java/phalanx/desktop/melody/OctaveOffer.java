package phalanx.desktop.melody;

import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import phalanx.arrangement.tune.TuneOctave;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.model.Workspace;
import phalanx.review.Found;
import phalanx.review.TuneAway;

/** Says that the tune lies an octave away from the hand, as soon as it does, and moves it. */
final class OctaveOffer extends VBox {

  private final Workspace workspace;
  private final Label words = Controls.wrapped("", "notice");
  private final Button move;

  OctaveOffer(Workspace workspace) {
    this.workspace = workspace;
    setId("octave-offer");
    setSpacing(6);
    move = Controls.smallTool("move-octave", "", this::move);
    getChildren().addAll(words, move);
    managedProperty().bind(visibleProperty());
    workspace.reviewProperty().addListener(o -> show());
    show();
  }

  private void show() {
    Optional<Found> away =
        workspace.reviewProperty().get().stream()
            .flatMap(r -> r.findings().stream())
            .filter(f -> f.finding().rule().equals(TuneAway.NAME))
            .findFirst();
    setVisible(away.isPresent());
    words.setText(away.map(f -> f.finding().message() + ".").orElse(""));
    move.setText(
        away.map(f -> "The whole tune " + TuneAway.moved(TuneOctave.best(workspace.song())))
            .orElse(""));
  }

  private void move() {
    workspace.edit(song -> song.withTune(song.tune().octaves(TuneOctave.best(song))));
  }
}
