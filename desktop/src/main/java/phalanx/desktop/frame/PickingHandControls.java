package phalanx.desktop.frame;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import phalanx.desktop.model.SoundSettings;
import phalanx.desktop.texts.Texts;
import phalanx.picking.PickFinger;
import phalanx.sound.sequence.PickingHand;
import phalanx.sound.strings.Plucker;

/**
 * With what the picking hand plucks: the thumb, the fingers at once, and each finger by itself in a
 * menu, with free or rest strokes.
 */
final class PickingHandControls {

  private static final List<PickFinger> THUMB = List.of(PickFinger.P);

  private final SoundSettings settings;
  private final ComboBox<Plucker> thumb =
      SoundPanel.choice("thumb-touch", List.of(Plucker.values()), Plucker::word);
  private final ComboBox<Plucker> fingers =
      SoundPanel.choice("finger-touch", List.of(Plucker.values()), Plucker::word);
  private final ToggleButton rest =
      SoundPanel.toggle(
          "rest-strokes",
          Texts.of("pickingHandControls.rest"),
          Texts.of("pickingHandControls.theTuneInRest"));
  private final MenuButton each = new MenuButton(Texts.of("pickingHandControls.each"));

  /** What shows the hand in the menu. */
  private final List<Consumer<PickingHand>> shown = new ArrayList<>();

  /** Whether the controls are following the settings, not the player. */
  private boolean follows;

  PickingHandControls(SoundSettings settings) {
    this.settings = settings;
    fingers.setPromptText(Texts.of("pickingHandControls.mixed"));
    each.setId("each-finger");
    each.getStyleClass().add("chip-button");
    each.setTooltip(new Tooltip(Texts.of("pickingHandControls.eachFingerWithA")));
    each.setAccessibleText(Texts.of("pickingHandControls.eachFingerWithA"));
    thumb.setOnAction(e -> change(h -> h.with(THUMB, thumb.getValue())));
    fingers.setOnAction(
        e -> {
          if (fingers.getValue() != null) {
            change(h -> h.with(PickingHand.FINGERS, fingers.getValue()));
          }
        });
    rest.setOnAction(e -> change(h -> h.resting(PickingHand.FINGERS, rest.isSelected())));
    for (PickFinger finger : PickFinger.values()) {
      each.getItems().add(menu(finger));
    }
    settings.interpretationProperty().addListener(o -> show());
    show();
  }

  Node thumb() {
    return thumb;
  }

  Node fingers() {
    HBox row = new HBox(fingers, rest, each);
    row.getStyleClass().add("sound-toggles");
    return row;
  }

  private void show() {
    PickingHand hand = settings.interpretationProperty().get().hand();
    follows = true;
    thumb.setValue(hand.of(PickFinger.P));
    fingers.setValue(hand.common().orElse(null));
    rest.setSelected(PickingHand.FINGERS.stream().allMatch(hand::rests));
    shown.forEach(r -> r.accept(hand));
    follows = false;
  }

  private Menu menu(PickFinger finger) {
    Menu menu = new Menu();
    String id = "stroke-of-" + finger.letter();
    menu.setId(id);
    for (Plucker plucker : Plucker.values()) {
      RadioMenuItem item = new RadioMenuItem(plucker.word());
      item.setId(id + "-" + plucker.word());
      item.setOnAction(e -> change(h -> h.with(List.of(finger), plucker)));
      menu.getItems().add(item);
      shown.add(h -> item.setSelected(h.of(finger) == plucker));
    }
    CheckMenuItem rests =
        new CheckMenuItem(
            finger == PickFinger.P
                ? Texts.of("pickingHandControls.restsOnTheNext")
                : Texts.of("pickingHandControls.restStrokesInThe"));
    rests.setId(id + "-rest");
    rests.setOnAction(e -> change(h -> h.resting(List.of(finger), !h.rests(finger))));
    menu.getItems().addAll(new SeparatorMenuItem(), rests);
    shown.add(h -> rests.setSelected(h.rests(finger)));
    shown.add(
        h ->
            menu.setText(
                finger.letter()
                    + "   "
                    + h.of(finger).word()
                    + (h.rests(finger) ? Texts.of("pickingHandControls.restStrokes") : "")));
    return menu;
  }

  private void change(UnaryOperator<PickingHand> change) {
    if (!follows) {
      settings.interpretationProperty().set(settings.interpretationProperty().get().with(change));
    }
  }
}
