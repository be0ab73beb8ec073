package phalanx.desktop.screen;

import java.nio.file.Path;
import javafx.scene.Node;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;

/** A screen: what is in its middle and beside it, and what its keys do. Made when first opened. */
public interface Place {

  /** What stands in the middle. */
  Region middle();

  /** What stands on the right. */
  Node beside();

  /** Where the keyboard goes when the screen is opened. */
  Node keyboard();

  /**
   * Takes a key pressed without Ctrl while nothing is being typed.
   *
   * @return whether it meant something here
   */
  default boolean key(KeyEvent event) {
    return false;
  }

  /**
   * Takes a file dropped on the window.
   *
   * @return whether it is taken here; otherwise it is opened as a song
   */
  default boolean take(Path file) {
    return false;
  }

  /** The screen comes up: from now on it has to be right. */
  default void shown() {}

  /** Another screen comes up: this one need not follow any more. */
  default void hidden() {}
}
