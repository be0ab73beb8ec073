package phalanx.desktop.drawing;

import javafx.event.Event;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;

/** Scrolls what does not fit, without taking the keyboard from what is inside. */
public final class WholeScroll extends ScrollPane {

  public WholeScroll(Region content) {
    super(content);
    getStyleClass().add("whole");
    setFitToWidth(true);
    setFocusTraversable(false);
    // A scroll pane would take the keyboard at every press that reaches it.
    content.addEventHandler(MouseEvent.MOUSE_PRESSED, Event::consume);
  }
}
