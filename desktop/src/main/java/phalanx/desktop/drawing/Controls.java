package phalanx.desktop.drawing;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Plain controls as every screen has them; how they look is a matter of the style sheet. */
public final class Controls {

  private Controls() {}

  /** A tool with its words, never cut off. */
  public static Button tool(String id, String words) {
    Button button = new Button(words);
    button.setId(id);
    button.getStyleClass().add("tool");
    button.setMinWidth(Region.USE_PREF_SIZE);
    return button;
  }

  /** A tool and what it does. */
  public static Button tool(String id, String words, Runnable does) {
    Button button = tool(id, words);
    button.setOnAction(e -> does.run());
    return button;
  }

  /** A tool for a row of many. */
  public static Button smallTool(String id, String words, Runnable does) {
    Button button = tool(id, words, does);
    button.getStyleClass().add("small-tool");
    return button;
  }

  /** A quiet line of words that goes on below where there is no room. */
  public static Label line(String words) {
    return wrapped(words, "where");
  }

  /** Words of a style that go on below where there is no room. */
  public static Label wrapped(String words, String style) {
    Label label = styled(words, style);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    return label;
  }

  /** Words of a style. */
  public static Label styled(String words, String style) {
    Label label = new Label(words);
    label.getStyleClass().add(style);
    return label;
  }

  /** Scrolls up and down what is as wide as there is room, and takes what height there is. */
  public static ScrollPane scroll(Node content) {
    ScrollPane scroll = new ScrollPane(content);
    scroll.setFitToWidth(true);
    scroll.setFocusTraversable(false);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    return scroll;
  }
}
