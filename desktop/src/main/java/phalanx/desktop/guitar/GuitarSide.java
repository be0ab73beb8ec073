package phalanx.desktop.guitar;

import java.util.List;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.screen.SideTabs;
import phalanx.desktop.texts.Texts;

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
                    "part-advice",
                    Texts.of("guitarSide.advice"),
                    () -> new AdvicePanel(workspace, palette)),
                new SideTabs.Tab(
                    "part-by-ear", Texts.of("guitarSide.byEar"), () -> new ByEarPanel(workspace)),
                new SideTabs.Tab(
                    "part-build", Texts.of("guitarSide.guitar"), () -> GuitarForm.of(workspace)),
                new SideTabs.Tab(
                    "part-hand", Texts.of("guitarSide.hand"), () -> new HandPanel(workspace))));
    side.openProperty()
        .addListener(o -> workspace.models().advice().previewingProperty().set(false));
    return side;
  }
}
