package phalanx.desktop.guitar;

import javafx.scene.layout.Region;

/** What a way to play the song costs, as a bar, with a tick where it is now. */
final class CostBar extends Region {

  private static final double HEIGHT = 7;
  private static final double TICK = 2.5;

  private final Region bar = new Region();
  private final Region tick = new Region();
  private final double share;
  private final double now;

  /**
   * A bar.
   *
   * @param share how much of its width is filled, 0 to 1
   * @param now where the tick stands, 0 to 1
   */
  CostBar(double share, double now) {
    this.share = share;
    this.now = now;
    getStyleClass().add("cost-track");
    bar.getStyleClass().add(share <= now ? "cost-easier" : "cost-harder");
    tick.getStyleClass().add("pull-tick");
    getChildren().addAll(bar, tick);
    setPrefHeight(HEIGHT);
    setMinHeight(HEIGHT);
    setMaxHeight(HEIGHT);
  }

  @Override
  protected void layoutChildren() {
    bar.resizeRelocate(0, 0, share * getWidth(), getHeight());
    tick.resizeRelocate(now * getWidth() - TICK, -1, TICK, getHeight() + 2);
  }
}
