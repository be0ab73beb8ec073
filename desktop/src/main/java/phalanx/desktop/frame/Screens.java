package phalanx.desktop.frame;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import phalanx.desktop.arrange.ArrangeScreenView;
import phalanx.desktop.chart.ChartScreenView;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.files.Documents;
import phalanx.desktop.guitar.GuitarScreenView;
import phalanx.desktop.melody.MelodyScreenView;
import phalanx.desktop.model.ChartCursor;
import phalanx.desktop.model.Screen;
import phalanx.desktop.model.ShapeTrialModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.picking.PickingScreenView;
import phalanx.desktop.practice.PracticeScreenView;
import phalanx.desktop.screen.ScreenView;
import phalanx.desktop.shapes.ShapesScreenView;
import phalanx.desktop.share.ShareScreenView;
import phalanx.desktop.texts.Texts;

/**
 * The screens in the order of the work: what each is called, its key, what makes it. A new screen
 * is a {@link ScreenView}, a name in {@link Screen} and a line here.
 */
final class Screens {

  /**
   * A screen.
   *
   * @param title its name in the rail
   * @param about what it is for, in two words
   * @param maker makes it when it is first opened, so that the window comes up soon
   */
  record Entry(Screen id, String title, String about, Supplier<ScreenView<?, ?>> maker) {}

  private final List<Entry> all;

  Screens(
      Workspace workspace,
      ChartCursor cursor,
      ShapeTrialModel trials,
      Documents documents,
      Palette palette,
      SongController songs) {
    all =
        List.of(
            new Entry(
                Screen.CHART,
                Texts.of("screens.chart"),
                Texts.of("screens.chordsForm"),
                () -> new ChartScreenView(workspace, cursor, palette)),
            new Entry(
                Screen.SHAPES,
                Texts.of("screens.shapes"),
                Texts.of("screens.frettingHand"),
                () -> new ShapesScreenView(workspace, trials, palette)),
            new Entry(
                Screen.PICKING,
                Texts.of("screens.picking"),
                Texts.of("screens.rightHand"),
                () -> new PickingScreenView(workspace, documents.shelf(), palette)),
            new Entry(
                Screen.MELODY,
                Texts.of("screens.melody"),
                Texts.of("screens.tuneOnTop"),
                () ->
                    new MelodyScreenView(
                        workspace,
                        documents.fills(),
                        palette,
                        songs::chooseAndImport,
                        songs::importTune)),
            new Entry(
                Screen.ARRANGE,
                Texts.of("screens.arrange"),
                Texts.of("screens.bothHands"),
                () ->
                    new ArrangeScreenView(
                        workspace, cursor, documents.fills(), documents.manners(), palette)),
            new Entry(
                Screen.PRACTICE,
                Texts.of("screens.practice"),
                Texts.of("screens.layersLog"),
                () ->
                    new PracticeScreenView(
                        workspace,
                        documents.practice(),
                        Clock.systemDefaultZone(),
                        palette,
                        songs::exportLog)),
            new Entry(
                Screen.GUITAR,
                Texts.of("screens.guitar"),
                Texts.of("screens.strings"),
                () -> new GuitarScreenView(workspace, palette)),
            new Entry(
                Screen.SHARE,
                Texts.of("screens.share"),
                Texts.of("screens.pageFiles"),
                () -> new ShareScreenView(workspace, palette, songs, documents)));
  }

  /** All of them, in their order. */
  List<Entry> all() {
    return all;
  }

  /** The one that Ctrl with a digit opens: that many down the list, from 1. */
  Optional<Entry> at(int place) {
    return place >= 1 && place <= all.size() ? Optional.of(all.get(place - 1)) : Optional.empty();
  }

  /** Makes a screen. */
  ScreenView<?, ?> make(Screen id) {
    return all.stream().filter(e -> e.id() == id).findFirst().orElseThrow().maker().get();
  }
}
