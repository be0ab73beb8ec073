package phalanx.desktop.melody;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.board.NeckPlaces;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.TuneEntry;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.neck.HarmonicsView;
import phalanx.desktop.neck.NeckPicture;
import phalanx.desktop.neck.NeckSize;
import phalanx.desktop.neck.NeckView;
import phalanx.desktop.texts.Texts;
import phalanx.fretting.Shape;
import phalanx.text.Phrase;
import phalanx.theory.Meter;

/** The neck at the foot of the Melody screen: what the hand reaches there, touched to put it in. */
final class NeckEntry extends VBox {

  private static final double WIDTH = 828;
  private static final double HEIGHT = 152;
  private static final Map<Integer, String> LENGTHS =
      Map.of(
          1,
          Texts.of("neckEntry.whole"),
          2,
          Texts.of("neckEntry.half"),
          4,
          Texts.of("neckEntry.quarter"),
          8,
          Texts.of("neckEntry.eighth"),
          16,
          Texts.of("neckEntry.sixteenth"));

  private final Workspace workspace;
  private final TuneEntry entry;
  private final NeckView neck;
  private final HarmonicsView nodes;
  private final Label where = new Label();
  private final Map<Integer, ToggleButton> lengths = new HashMap<>();

  NeckEntry(Workspace workspace, Palette palette) {
    this.workspace = workspace;
    entry = workspace.models().melody().entry();
    neck =
        new NeckView(
            WIDTH, HEIGHT, palette, NeckSize.LONG, workspace.viewing().leftHandedProperty());
    setMinWidth(0);
    neck.fill(this, 0);
    neck.setId("tune-neck");
    neck.onTouch(
        (string, fret, together) -> {
          workspace.models().sound().audition().hear(string, fret);
          entry.touch(string, fret, together);
        });
    neck.addEventHandler(KeyEvent.KEY_PRESSED, this::key);
    setId("neck-entry");
    getStyleClass().add("neck-entry");
    where.setId("entry-where");
    where.getStyleClass().add("where");
    where.setMinWidth(Region.USE_PREF_SIZE);
    HBox tools = new ToolRow();
    tools.getStyleClass().add("arrange-header");
    ToggleGroup group = new ToggleGroup();
    for (int part : TuneEntry.PARTS) {
      ToggleButton length = new ToggleButton(LENGTHS.get(part));
      length.setId("length-" + part);
      length.setToggleGroup(group);
      style(length);
      length.setSelected(entry.partProperty().get() == part);
      length.setOnAction(
          e -> {
            length.setSelected(true);
            entry.partProperty().set(part);
          });
      lengths.put(part, length);
      tools.getChildren().add(length);
    }
    entry
        .partProperty()
        .addListener((o, before, now) -> lengths.get(now.intValue()).setSelected(true));
    ToggleButton dotted = new ToggleButton(Texts.of("neckEntry.dotted"));
    dotted.setId("length-dotted");
    style(dotted);
    dotted.selectedProperty().bindBidirectional(entry.dottedProperty());
    ToggleButton harmonics = new ToggleButton(Texts.of("neckEntry.harmonicsH"));
    harmonics.setId("entry-harmonics");
    style(harmonics);
    harmonics.selectedProperty().bindBidirectional(entry.harmonicsProperty());
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    tools
        .getChildren()
        .addAll(
            dotted,
            harmonics,
            Controls.smallTool("entry-rest", Texts.of("neckEntry.rest"), entry::rest),
            Controls.smallTool("entry-back", Texts.of("neckEntry.back"), entry::back),
            grow,
            where);
    nodes = new HarmonicsView(WIDTH, HEIGHT, palette, workspace.viewing().leftHandedProperty());
    nodes.setId("tune-nodes");
    nodes.fill(this, 0);
    nodes.onTouch(
        node -> {
          workspace.models().sound().audition().hear(node);
          entry.touch(node);
        });
    nodes.addEventHandler(KeyEvent.KEY_PRESSED, this::key);
    StackPane necks = new StackPane(neck, nodes);
    neck.visibleProperty().bind(entry.harmonicsProperty().not());
    nodes.visibleProperty().bind(entry.harmonicsProperty());
    entry.harmonicsProperty().addListener((o, before, now) -> turn(now));
    getChildren().addAll(tools, necks);
    entry.placesProperty().addListener(o -> show());
    entry.caretProperty().addListener(o -> tell());
    workspace.chord().placeProperty().addListener(o -> tell());
    show();
  }

  private static void style(javafx.scene.control.ButtonBase button) {
    button.getStyleClass().addAll("tool", "small-tool");
    button.setMinWidth(Region.USE_PREF_SIZE);
  }

  /** The keys go where the player looks. */
  private void turn(boolean toHarmonics) {
    boolean here = neck.isFocused() || nodes.isFocused();
    show();
    if (here) {
      (toHarmonics ? nodes : neck).requestFocus();
    }
  }

  private void key(KeyEvent event) {
    if (event.getCode() == KeyCode.H) {
      entry.harmonicsProperty().set(!entry.harmonicsProperty().get());
    } else if (event.getCode() == KeyCode.BACK_SPACE) {
      entry.back();
    } else if (event.getCode() == KeyCode.MINUS || event.getCode() == KeyCode.SUBTRACT) {
      entry.rest();
    } else if (event.getCode() == KeyCode.PERIOD) {
      entry.dottedProperty().set(!entry.dottedProperty().get());
    } else if (event.getCode().isDigitKey()
        && digit(event) < TuneEntry.PARTS.size()
        && digit(event) >= 0) {
      entry.partProperty().set(TuneEntry.PARTS.get(digit(event)));
    } else {
      return;
    }
    event.consume();
  }

  /** From 0 for the key 1. */
  private static int digit(KeyEvent event) {
    String name = event.getCode().getName();
    return name.charAt(name.length() - 1) - '1';
  }

  private void show() {
    Arrangement a = workspace.arrangementProperty().get();
    tell();
    if (a == null) {
      return;
    }
    NeckPlaces places = entry.placesProperty().get();
    if (entry.harmonicsProperty().get()) {
      nodes.hold(places.shape().orElse(Shape.OPEN));
      nodes.show(a.song().guitar(), a.song().hand(), List.of(), Optional.empty());
      return;
    }
    List<NeckPicture.Mark> marks = new ArrayList<>();
    for (NeckPlaces.Place place : places.places()) {
      boolean pressed = place.inShape() && place.finger().isPresent();
      if (!pressed) {
        String name = workspace.viewing().namingProperty().get().name(place.name());
        marks.add(new NeckPicture.Mark(place.string(), place.fret(), name, false));
      }
    }
    neck.show(
        new NeckPicture(
            a.song().guitar(),
            a.song().hand(),
            places.shape().orElse(Shape.NOTHING),
            java.util.Set.of(),
            Optional.empty(),
            List.of(),
            marks,
            java.util.OptionalInt.empty()));
  }

  /** Where the next note comes, as players count. */
  private void tell() {
    Meter meter = workspace.models().melody().meter();
    double beat = 1 + (double) entry.caretProperty().get() / meter.beatTicks();
    String time = beat == Math.rint(beat) ? Phrase.shown("%.0f", beat) : Phrase.shown("%.2f", beat);
    String shown =
        entry.harmonicsProperty().get()
            ? Texts.of("neckEntry.diamondsHarmonicsLargeOnes")
            : Texts.of("neckEntry.namedInReachOf");
    where.setText(Texts.of("neckEntry.nextAtBeat", time, shown));
  }
}
