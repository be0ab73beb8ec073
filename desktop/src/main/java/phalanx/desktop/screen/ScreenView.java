package phalanx.desktop.screen;

import java.nio.file.Path;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;

/**
 * A screen: what is in its middle and beside it, and what its keys do. Made when first opened.
 *
 * @param <M> what stands in the middle
 * @param <B> what stands on the right
 */
public abstract class ScreenView<M extends Region, B extends Node> {

  private final M middle;
  private final B beside;

  protected ScreenView(M middle, B beside) {
    this.middle = middle;
    this.beside = beside;
  }

  /** What stands in the middle. */
  public final M middle() {
    return middle;
  }

  /** What stands on the right. */
  public final B beside() {
    return beside;
  }

  /** Where the keyboard goes when the screen is opened. */
  public abstract Node keyboard();

  /**
   * Takes a key pressed without Ctrl while nothing is being typed.
   *
   * @return whether it meant something here
   */
  public boolean key(KeyEvent event) {
    return false;
  }

  /**
   * Takes a file dropped on the window.
   *
   * @return whether it is taken here; otherwise it is opened as a song
   */
  public boolean take(Path file) {
    return false;
  }

  /** The screen comes up: from now on it has to be right. */
  public void shown() {}

  /** Another screen comes up: this one need not follow any more. */
  public void hidden() {}

  /**
   * Larger, smaller or at its usual size, where a screen can be.
   *
   * @param step 1, -1 or 0 for the usual size
   * @return whether it can
   */
  public boolean zoom(int step) {
    return false;
  }

  /** The figure on a key, also on those beside the letters; -1 for any other. */
  public static int digit(KeyCode code) {
    return code.isDigitKey() ? code.getName().charAt(code.getName().length() - 1) - '0' : -1;
  }
}
