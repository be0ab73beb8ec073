package phalanx.desktop.screen;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.ToolRow;

/** What stands beside a screen, one part at a time, each made when it is first opened. */
public final class SideTabs extends VBox {

  /**
   * A part.
   *
   * @param id what its tab is found by
   * @param words what its tab says
   */
  public record Tab(String id, String words, Supplier<Node> make) {}

  private final List<Tab> tabs;
  private final IntegerProperty open = new SimpleIntegerProperty();
  private final Map<Integer, Node> made = new HashMap<>();
  private final List<ToggleButton> buttons = new ArrayList<>();
  private final StackPane room = new StackPane();

  /** The first tab is open. */
  public SideTabs(String id, List<Tab> tabs) {
    this.tabs = List.copyOf(tabs);
    setId(id);
    getStyleClass().add("inspector");
    VBox.setVgrow(room, Priority.ALWAYS);
    getChildren().addAll(row(), room);
    open.addListener(o -> show());
    show();
  }

  private HBox row() {
    HBox row = new ToolRow();
    row.setSpacing(4);
    ToggleGroup group = new ToggleGroup();
    for (int t = 0; t < tabs.size(); t++) {
      int mine = t;
      ToggleButton tab = new ToggleButton(tabs.get(t).words());
      tab.setId(tabs.get(t).id());
      tab.getStyleClass().addAll("tool", "small-tool");
      tab.setMinWidth(Region.USE_PREF_SIZE);
      tab.setToggleGroup(group);
      tab.setSelected(open.get() == mine);
      // One part always stands there: pressing its tab again leaves it.
      tab.setOnAction(
          e -> {
            tab.setSelected(true);
            open.set(mine);
          });
      open.addListener(o -> tab.setSelected(open.get() == mine));
      buttons.add(tab);
      row.getChildren().add(tab);
    }
    return row;
  }

  /** The button of a part, by its place. */
  public ToggleButton tab(int place) {
    return buttons.get(place);
  }

  /** The place of the part that is open. */
  public IntegerProperty openProperty() {
    return open;
  }

  private void show() {
    int now = open.get();
    room.getChildren().setAll(made.computeIfAbsent(now, t -> tabs.get(t).make().get()));
  }
}
