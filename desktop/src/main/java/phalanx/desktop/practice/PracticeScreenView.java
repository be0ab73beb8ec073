package phalanx.desktop.practice;

import java.time.Clock;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.input.KeyEvent;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.PracticeRecords;
import phalanx.desktop.model.PracticeViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.screen.ScreenView;
import phalanx.desktop.screen.Shortcut;
import phalanx.desktop.screen.SideTabs;
import phalanx.desktop.texts.Texts;
import phalanx.picking.PickFinger;
import phalanx.practice.Outcome;

/** The Practice screen. Everything is on a key of its own: hands are on the guitar. */
public final class PracticeScreenView extends ScreenView<PracticeScreen, SideTabs> {

  /** Its keys. */
  public static final List<Shortcut> SHORTCUTS =
      List.of(
          new Shortcut(
              Texts.of("practiceScreenView.cOrPageDown"),
              Texts.of("practiceScreenView.cleanAgainRest")),
          new Shortcut("P, ↑ ↓", Texts.of("practiceScreenView.playTheDrillThe")),
          new Shortcut(
              Texts.of("practiceScreenView.fAndJK"),
              Texts.of("practiceScreenView.tapAlongThumbFingers")),
          new Shortcut("M, S, T", Texts.of("practiceScreenView.listenLetTheSimulated")),
          new Shortcut(
              Texts.of("practiceScreenView.nEnter"), Texts.of("practiceScreenView.writeANoteTo")));

  private final PracticeViewModel model;

  /** Puts the screen together. */
  public PracticeScreenView(
      Workspace workspace,
      PracticeRecords records,
      Clock clock,
      Palette palette,
      Runnable exportLog) {
    super(
        new PracticeScreen(workspace.models().practice(), workspace.viewing(), palette),
        new SideTabs(
            "practice-side",
            List.of(
                new SideTabs.Tab(
                    "part-now",
                    Texts.of("practiceScreenView.now"),
                    () -> new PracticeSide(workspace.models().practice(), palette)),
                new SideTabs.Tab(
                    "part-log",
                    Texts.of("practiceScreenView.log"),
                    () -> new LogPanel(workspace.models().practice(), palette, exportLog)))));
    model = workspace.models().practice();
    model.keepIn(records, clock);
  }

  @Override
  public Node keyboard() {
    return middle().drill().strip();
  }

  @Override
  public void shown() {
    model.look(true);
  }

  @Override
  public void hidden() {
    model.look(false);
  }

  @Override
  public boolean key(KeyEvent event) {
    switch (event.getCode()) {
      // A foot switch that turns pages sends Page Down.
      case C, PAGE_DOWN -> model.attempted(Outcome.CLEAN);
      case A -> model.attempted(Outcome.MISSED);
      case R -> model.attempted(Outcome.RESTED);
      case P -> model.playback().toggle();
      case UP -> model.go(-1);
      case DOWN -> model.go(1);
      case T -> model.playback().checkLatency();
      case N -> middle().drill().writeNote();
      case S -> model.playback().simulate();
      case M -> model.playback().listen();
      case F -> model.playback().tap(PickFinger.P);
      case J -> model.playback().tap(PickFinger.I);
      case K -> model.playback().tap(PickFinger.M);
      case L -> model.playback().tap(PickFinger.A);
      case SEMICOLON -> model.playback().tap(PickFinger.C);
      default -> {
        return false;
      }
    }
    return true;
  }
}
