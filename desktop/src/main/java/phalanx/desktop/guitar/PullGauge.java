package phalanx.desktop.guitar;

import javafx.scene.control.Tooltip;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import phalanx.desktop.texts.Texts;
import phalanx.instrument.StringPull;
import phalanx.instrument.StringPull.Zone;

/** How a string pulls between slack and tight. */
final class PullGauge extends Pane {

  private static final double WIDTH = 126;
  private static final double HEIGHT = 12;

  /** What share of the pull the string is made for lies at the ends. */
  private static final double LEAST = 0.4;

  private static final double MOST = 1.4;

  PullGauge(StringPull pull) {
    setMinSize(WIDTH, HEIGHT);
    setMaxHeight(HEIGHT);
    getStyleClass().add("pull-track");
    double from = at(Zone.SLACK_BELOW);
    double to = at(Zone.TIGHT_ABOVE);
    part("pull-fit", from, to - from);
    part("pull-tight", to, WIDTH - to);
    part("pull-tick", at(pull.share()) - 1.5, 3);
    String words =
        Texts.of(
            "pullGauge.ofWhatThisString",
            pull.zone().words(),
            100 * pull.share(),
            100 * Zone.SLACK_BELOW,
            100 * Zone.TIGHT_ABOVE);
    Tooltip.install(this, new Tooltip(words));
    setAccessibleText(words);
  }

  private void part(String style, double x, double width) {
    Region part = new Region();
    part.getStyleClass().add(style);
    part.resizeRelocate(x, 0, width, HEIGHT);
    part.setManaged(false);
    getChildren().add(part);
  }

  private static double at(double share) {
    double within = (share - LEAST) / (MOST - LEAST);
    return WIDTH * Math.max(0.01, Math.min(0.99, within));
  }
}
