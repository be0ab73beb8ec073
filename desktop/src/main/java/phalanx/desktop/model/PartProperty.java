package phalanx.desktop.model;

import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectPropertyBase;

/**
 * A part of something that is published as one: whenever it is asked it answers from what is newest
 * as a whole, whichever of the parts has told of its change already.
 */
final class PartProperty<T> extends ReadOnlyObjectPropertyBase<T> {

  private final Supplier<T> now;

  PartProperty(Supplier<T> now) {
    this.now = now;
  }

  @Override
  public T get() {
    return now.get();
  }

  @Override
  public Object getBean() {
    return null;
  }

  @Override
  public String getName() {
    return "";
  }

  /** Tells those who listen. */
  void changed() {
    fireValueChangedEvent();
  }
}
