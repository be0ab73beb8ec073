package phalanx.desktop.texts;

import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Control;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import phalanx.text.Language;
import phalanx.text.TextBundle;

/**
 * What controls do and by which key, found by their ids when pointer or keyboard first come to
 * them; {@code card-*} is for {@code card-1}, {@code card-2} and so on. A control that sets a
 * tooltip of its own keeps it.
 */
public final class Tips {

  private static final TextBundle BUNDLE =
      new TextBundle("phalanx.desktop.texts.tips", Language.spoken(), Tips.class.getClassLoader());

  private Tips() {}

  /** Gives every control of a window its tip. */
  public static void on(Scene scene) {
    scene.addEventFilter(MouseEvent.MOUSE_ENTERED_TARGET, e -> give(e.getTarget()));
    scene.focusOwnerProperty().addListener((o, before, now) -> give(now));
  }

  private static void give(Object target) {
    if (target instanceof Control control && control.getTooltip() == null) {
      of(control).ifPresent(tip -> control.setTooltip(new Tooltip(tip)));
    }
    if (target instanceof Control control
        && control.getTooltip() != null
        && control.getAccessibleHelp() == null) {
      control.setAccessibleHelp(control.getTooltip().getText());
    }
  }

  /** The tip of a control without a tooltip of its own, if there is one. */
  public static Optional<String> of(Node control) {
    return Optional.ofNullable(control.getId()).flatMap(Tips::key).map(BUNDLE::of);
  }

  /** The key of an id: its own, or that of its kind. */
  public static Optional<String> key(String id) {
    int last = id.lastIndexOf('-');
    int first = id.indexOf('-');
    return Stream.of(id, kind(id, last), kind(id, first)).filter(BUNDLE::has).findFirst();
  }

  private static String kind(String id, int dash) {
    return dash < 0 ? id : id.substring(0, dash) + "-*";
  }
}
