package phalanx.desktop.melody;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.input.MouseEvent;
import phalanx.arrangement.TuneBoard;
import phalanx.desktop.Palette;
import phalanx.desktop.ScrolledCanvas;
import phalanx.desktop.model.MelodyDesk;
import phalanx.desktop.model.Workspace;
import phalanx.song.Song;
import phalanx.theory.Meter;

/** The tune on staves over the bars of the song; a click goes to a bar. */
final class StaffView extends ScrolledCanvas {

  private final Workspace workspace;
  private final MelodyDesk desk;
  private final StaffPainter painter;
  private StaffLayout layout;
  private Map<Integer, Meter> meters = Map.of();

  StaffView(Workspace workspace, Palette palette) {
    super("staves");
    this.workspace = workspace;
    desk = workspace.melody();
    painter = new StaffPainter(graphics(), palette);
    setFocusTraversable(false);
    workspace.historyProperty().addListener(o -> rebuild());
    workspace.namingProperty().addListener(o -> repaint());
    desk.previewProperty().addListener(o -> repaint());
    desk.boardProperty().addListener(o -> repaint());
    workspace.selectedProperty().addListener(o -> showSelected());
    setOnMousePressed(this::press);
  }

  @Override
  protected double layOut(double width) {
    Song song = workspace.song();
    layout = new StaffLayout(song, width);
    meters = song.chart().meters(song.meter());
    return layout.height();
  }

  @Override
  protected void paint(double top, double width, double height) {
    if (layout == null) {
      return;
    }
    Song song = workspace.song();
    List<Integer> missed =
        desk.boardProperty().get().entries().stream()
            .filter(e -> e.played().isEmpty())
            .map(TuneBoard.Entry::sung)
            .map(s -> s.barTick())
            .toList();
    Map<Integer, StaffPainter.Picture> pictures = new HashMap<>();
    List<StaffLayout.Cell> cells = layout.visible(top, top + height);
    for (StaffLayout.Cell cell : cells) {
      int bar = cell.bar().id();
      boolean selected = bar == desk.bar();
      pictures.put(
          bar,
          new StaffPainter.Picture(
              song.chart().changes(cell.bar()),
              desk.shown(bar),
              meters.get(bar),
              selected,
              selected ? missed : List.of()));
    }
    painter.paint(layout, cells, pictures, workspace.namingProperty().get(), top, width, height);
  }

  private void showSelected() {
    if (layout != null) {
      layout
          .cell(desk.bar())
          .ifPresent(c -> reveal(c.y() - StaffLayout.HEADING, c.y() + StaffLayout.ROW));
    }
  }

  private void press(MouseEvent event) {
    if (layout != null) {
      layout
          .at(event.getX(), event.getY() + scrolled())
          .ifPresent(c -> workspace.selectBar(c.bar().id()));
    }
  }
}
