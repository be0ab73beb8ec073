package phalanx.desktop.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Tools stand in one row where there is room, and never beyond the edge where there is not. */
class ToolRowTest {

  private final List<Region> tools = new ArrayList<>();

  private ToolRow row(double width) {
    ToolRow row = new ToolRow();
    row.setSpacing(10);
    for (int t = 0; t < 5; t++) {
      Region tool = new Region();
      tool.setMinSize(90, 20);
      tool.setPrefSize(90, 20);
      tools.add(tool);
      row.getChildren().add(tool);
    }
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    row.getChildren().add(4, grow);
    row.resize(width, row.prefHeight(width));
    row.layout();
    return row;
  }

  @Test
  void withRoomTheLastIsPushedToTheEdge() {
    ToolRow row = row(800);
    assertThat(row.getHeight()).isEqualTo(20);
    assertThat(tools.get(4).getLayoutX()).isEqualTo(710);
  }

  @ParameterizedTest
  @ValueSource(doubles = {400, 300, 205, 100})
  void withoutRoomTheyGoOnBelow(double width) {
    ToolRow row = row(width);
    assertThat(row.minWidth(-1)).isEqualTo(90);
    assertThat(row.getHeight()).isGreaterThan(20);
    for (Region tool : tools) {
      assertThat(tool.getLayoutX()).isNotNegative();
      assertThat(tool.getLayoutX() + tool.getWidth()).isLessThanOrEqualTo(width);
      assertThat(tool.getLayoutY() + tool.getHeight()).isLessThanOrEqualTo(row.getHeight());
    }
    for (int a = 0; a < tools.size(); a++) {
      for (int b = 0; b < a; b++) {
        assertThat(tools.get(a).getBoundsInParent().intersects(tools.get(b).getBoundsInParent()))
            .isFalse();
      }
    }
  }
}
