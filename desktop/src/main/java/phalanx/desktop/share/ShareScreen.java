package phalanx.desktop.share;

import java.util.Locale;
import javafx.beans.binding.Bindings;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.ShareViewModel;
import phalanx.desktop.texts.Texts;
import phalanx.engraving.SheetOptions.Kind;

/** The middle of the Share screen: kinds of pages as tabs, and the pages. */
public final class ShareScreen extends VBox {

  private final PageView pages;

  ShareScreen(
      ShareViewModel model, Palette palette, Runnable print, Runnable copy, Runnable stand) {
    setId("share");
    getStyleClass().add("arrange");
    pages = new PageView(model, palette);
    VBox.setVgrow(pages, Priority.ALWAYS);
    getChildren().addAll(tools(model, print, copy, stand), pages);
  }

  private HBox tools(ShareViewModel model, Runnable print, Runnable copy, Runnable stand) {
    HBox row = new ToolRow();
    row.getStyleClass().add("chart-tools");
    ToggleGroup group = new ToggleGroup();
    for (Kind kind : Kind.values()) {
      ToggleButton tab = new ToggleButton(kind.words() + " " + (kind.ordinal() + 1));
      tab.setId("kind-" + kind.name().toLowerCase(Locale.ROOT));
      tab.getStyleClass().addAll("tool", "small-tool");
      tab.setMinWidth(Region.USE_PREF_SIZE);
      tab.setToggleGroup(group);
      tab.setTooltip(new Tooltip(about(kind)));
      tab.setSelected(model.optionsProperty().get().kind() == kind);
      tab.setOnAction(
          e -> {
            tab.setSelected(true);
            choose(model, kind);
          });
      model.optionsProperty().addListener((o, was, now) -> tab.setSelected(now.kind() == kind));
      row.getChildren().add(tab);
    }
    Label count = Controls.styled("", "where");
    count.setId("page-count");
    count.setMinWidth(Region.USE_PREF_SIZE);
    count
        .textProperty()
        .bind(
            Bindings.createStringBinding(
                () -> PageView.words(model.sheetProperty().get()), model.sheetProperty()));
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    row.getChildren()
        .addAll(
            count,
            gap,
            Controls.smallTool("copy-tab", Texts.of("shareScreen.copyAsTextTab"), copy),
            Controls.smallTool("print", Texts.of("shareScreen.printP"), print),
            Controls.smallTool("stand-view", Texts.of("shareScreen.fullScreenF"), stand));
    return row;
  }

  private static String about(Kind kind) {
    return switch (kind) {
      case TAB -> Texts.of("shareScreen.notationAndTablature");
      case CHART -> Texts.of("shareScreen.chordsShapesAndWords");
      case LEARN -> Texts.of("shareScreen.onePageToLearn");
    };
  }

  static void choose(ShareViewModel model, Kind kind) {
    model.optionsProperty().set(model.optionsProperty().get().of(kind));
  }

  PageView pages() {
    return pages;
  }
}
