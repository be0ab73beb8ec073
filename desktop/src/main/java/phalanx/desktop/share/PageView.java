package phalanx.desktop.share;

import java.util.List;
import java.util.Optional;
import javafx.scene.paint.Color;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.MarkPainter;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.ScrolledCanvas;
import phalanx.desktop.drawing.TypeFace;
import phalanx.desktop.model.ShareViewModel;
import phalanx.desktop.texts.Texts;
import phalanx.engraving.EngravedSheet;
import phalanx.engraving.Page;

/** The pages as they will print, one below the other. */
final class PageView extends ScrolledCanvas {

  private static final double GAP = 18;
  private static final double EDGE = 12;

  /** Pages are shown no larger than this, px a point. */
  private static final double LARGEST = 1.6;

  private final ShareViewModel model;
  private final Palette palette;
  private double scale = 1;
  private int page;

  PageView(ShareViewModel model, Palette palette) {
    super("pages");
    this.model = model;
    this.palette = palette;
    model.sheetProperty().addListener(o -> rebuild());
  }

  private List<Page> pages() {
    return model.sheetProperty().get().map(EngravedSheet::pages).orElse(List.of());
  }

  @Override
  protected double layOut(double width) {
    List<Page> pages = pages();
    if (pages.isEmpty()) {
      return 0;
    }
    scale = Math.min(LARGEST, (width - 2 * EDGE) / pages.get(0).width());
    page = Math.min(page, pages.size() - 1);
    return top(pages.size()) - GAP + EDGE;
  }

  private double top(int number) {
    double height = pages().isEmpty() ? 0 : pages().get(0).height() * scale;
    return EDGE + number * (height + GAP);
  }

  @Override
  protected void paint(double top, double width, double height) {
    var gc = graphics();
    gc.setFill(palette.get("rail"));
    gc.fillRect(0, 0, width, height);
    List<Page> pages = pages();
    if (pages.isEmpty()) {
      new Lettering(gc, palette)
          .centre(
              Texts.of("pageView.nothingIsWrittenYet"),
              width / 2,
              height / 3,
              TypeFace.plain(14),
              "text-2");
      return;
    }
    MarkPainter painter = new MarkPainter(gc, Color.BLACK, Color.rgb(70, 70, 70), Color.WHITE);
    for (int p = 0; p < pages.size(); p++) {
      double y = top(p) - top;
      double high = pages.get(p).height() * scale;
      if (y > height || y + high < 0) {
        continue;
      }
      double wide = pages.get(p).width() * scale;
      double x = Math.max(EDGE, (width - wide) / 2);
      gc.setFill(palette.get("edge"));
      gc.fillRect(x + 2, y + 2, wide, high);
      gc.setFill(Color.WHITE);
      gc.fillRect(x, y, wide, high);
      painter.paint(pages.get(p).marks(), x, y, scale);
    }
  }

  /** Goes a page on or back. */
  void turn(int by) {
    List<Page> pages = pages();
    if (!pages.isEmpty()) {
      page = Math.max(0, Math.min(pages.size() - 1, page + by));
      double high = pages.get(0).height() * scale;
      reveal(top(page) + high, top(page) + high + EDGE);
      reveal(Math.max(0, top(page) - EDGE), top(page));
    }
  }

  /** How many pages there are, in words. */
  static String words(Optional<EngravedSheet> sheet) {
    int pages = sheet.map(s -> s.pages().size()).orElse(0);
    return pages == 0
        ? ""
        : pages == 1 ? Texts.of("pageView.page") : Texts.of("pageView.pages", pages);
  }
}
