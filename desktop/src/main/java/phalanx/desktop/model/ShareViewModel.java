package phalanx.desktop.model;

import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import phalanx.arrangement.Arrangement;
import phalanx.desktop.background.PlanService;
import phalanx.engraving.EngravedSheet;
import phalanx.engraving.SheetOptions;
import phalanx.engraving.SheetOptions.Show;
import phalanx.formats.SongFiles;

/**
 * The song on paper: what the player wants to see on which paper, the pages engraved so, and a file
 * that was dropped in and not yet taken. Engraves only while somebody looks.
 */
public final class ShareViewModel {

  private final OpenSong open;
  private final PlanService planner;
  private final ObjectProperty<SheetOptions> options =
      new SimpleObjectProperty<>(SheetOptions.USUAL);
  private final ReadOnlyObjectWrapper<Optional<EngravedSheet>> sheet =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ObjectProperty<Optional<Incoming>> incoming =
      new SimpleObjectProperty<>(Optional.empty());
  private boolean looked;
  private boolean stale = true;

  /**
   * Something that came in and waits for the player’s word.
   *
   * @param name what it is called
   * @param part the part that its tune is to be taken from, if the player chose one
   * @param opened what could be read of it
   */
  public record Incoming(String name, Optional<String> part, SongFiles.Opened opened) {}

  ShareViewModel(OpenSong open, PlanService planner) {
    ReadOnlyBooleanProperty leftHanded = open.viewing().leftHandedProperty();
    options.set(options.get().with(Show.LEFT_HANDED, leftHanded.get()));
    leftHanded.addListener(
        (o, before, now) -> options.set(options.get().with(Show.LEFT_HANDED, now)));
    this.open = open;
    this.planner = planner;
    options.addListener(o -> again());
    open.arrangementProperty().addListener(o -> again());
    open.historyProperty().addListener(o -> again());
  }

  private void again() {
    stale = true;
    if (looked) {
      engrave();
    }
  }

  /** The pages are looked at from now on, or no more. */
  public void look(boolean looks) {
    looked = looks;
    if (looks && stale) {
      engrave();
    }
  }

  private void engrave() {
    Arrangement plan = open.arrangementProperty().get();
    if (plan == null || plan.timeline().bars().isEmpty()) {
      planner.forgetPages();
      sheet.set(Optional.empty());
      return;
    }
    stale = false;
    planner.engrave(plan, options.get(), pages -> sheet.set(Optional.of(pages)));
  }

  /** What stands on the pages, and on which paper. */
  public ObjectProperty<SheetOptions> optionsProperty() {
    return options;
  }

  /** The pages; empty while there is nothing to engrave. */
  public ReadOnlyObjectProperty<Optional<EngravedSheet>> sheetProperty() {
    return sheet.getReadOnlyProperty();
  }

  /** What came in and waits. */
  public ObjectProperty<Optional<Incoming>> incomingProperty() {
    return incoming;
  }
}
