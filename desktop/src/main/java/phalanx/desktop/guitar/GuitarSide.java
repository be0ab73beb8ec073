package phalanx.desktop.guitar;

import java.util.List;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.screen.SideTabs;

/** Beside the guitar: advice, tuning by ear, the guitar's build and the hand, one at a time. */
final class GuitarSide {

  /** The place of the advice among them. */
  static final int ADVICE = 0;

  private GuitarSide() {}

  static SideTabs of(Workspace workspace, Palette palette) {
    SideTabs side =
        new SideTabs(
            "guitar-side",
            List.of(
                new SideTabs.Tab(
                    "part-advice", "Advice", () -> new AdvicePanel(workspace, palette)),
                new SideTabs.Tab("part-by-ear", "By ear", () -> new ByEarPanel(workspace)),
                new SideTabs.Tab("part-build", "Guitar", () -> GuitarForm.of(workspace)),
                new SideTabs.Tab("part-hand", "Hand", () -> new HandPanel(workspace))));
    side.openProperty()
        .addListener(o -> workspace.models().advice().previewingProperty().set(false));
    return side;
  }
}
