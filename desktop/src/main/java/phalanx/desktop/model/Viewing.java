package phalanx.desktop.model;

import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import phalanx.arrangement.board.ShapeFilter;
import phalanx.theory.NoteNaming;

/** How the player wants to see songs; none of it is part of one. */
public final class Viewing {

  private final ObjectProperty<NoteNaming> naming = new SimpleObjectProperty<>(NoteNaming.ENGLISH);
  private final BooleanProperty leftHanded = new SimpleBooleanProperty();
  private final BooleanProperty sounding = new SimpleBooleanProperty();
  private final ObjectProperty<ShapeFilter> filter = new SimpleObjectProperty<>(ShapeFilter.ALL);

  private final ObjectProperty<Appearance> appearance =
      new SimpleObjectProperty<>(Appearance.USUAL);

  /** How the window looks. */
  public ObjectProperty<Appearance> appearanceProperty() {
    return appearance;
  }

  /** How notes are called. */
  public ObjectProperty<NoteNaming> namingProperty() {
    return naming;
  }

  /** Whether necks are drawn for a left-handed player, nut to the right. */
  public BooleanProperty leftHandedProperty() {
    return leftHanded;
  }

  /** Whether the chart shows chords as they sound instead of as shapes counted from the capo. */
  public BooleanProperty soundingProperty() {
    return sounding;
  }

  /** Which shapes are looked at. */
  public ObjectProperty<ShapeFilter> filterProperty() {
    return filter;
  }
}
