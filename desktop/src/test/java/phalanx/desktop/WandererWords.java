package phalanx.desktop;

import java.util.List;
import javafx.scene.input.KeyCode;

/** What a wanderer opens, types and presses. */
final class WandererWords {

  /** Songs to start from: those of the demo and an empty one. */
  static final List<String> SONGS = List.of("harbour-lamp", "slate-roof-rain", "low-tide-reel");

  static final List<String> CHORDS =
      List.of(
          "G",
          "Am7 D7",
          "| C | F G7 | Am |",
          "D/F# . Em7 C",
          "|: G |1 D :|2 C |",
          "N.C.",
          "%",
          "3/4 G",
          "q=90 C",
          "=1",
          "Bb7#11",
          "x3",
          "Qx",
          "||",
          ":|",
          "C@1/3 G@2/3",
          "7/8 Em",
          "G G G");

  static final List<String> TUNES =
      List.of(
          "g4 . b d",
          "g4 a b c' d' c' b a",
          "- . e5(h) .",
          "[g4 b] d'",
          "g4+b d'",
          "{a}b ^c _b",
          "2:3 1:0 /1:5",
          "e5(h7)",
          "d4(b1) . . .",
          "c9",
          "[[",
          "g4(t12)",
          "b@6",
          "(",
          "g4(pm,v)");

  static final List<String> ODD =
      List.of(
          "0",
          "1",
          "12",
          "999",
          "-4",
          "1e300",
          "440",
          "E A D G B E",
          "D A D G A D",
          "x32010",
          "x x 0 2 3 2",
          "ä ö ü",
          "\u266f\u266d",
          "  ",
          "a very long name that goes on and on and on",
          "?",
          "#",
          "name:",
          "120",
          "3,5");

  static final List<KeyCode> KEYS =
      List.of(
          KeyCode.LEFT,
          KeyCode.RIGHT,
          KeyCode.UP,
          KeyCode.DOWN,
          KeyCode.HOME,
          KeyCode.END,
          KeyCode.PAGE_UP,
          KeyCode.PAGE_DOWN,
          KeyCode.ENTER,
          KeyCode.ESCAPE,
          KeyCode.TAB,
          KeyCode.DELETE,
          KeyCode.BACK_SPACE,
          KeyCode.INSERT,
          KeyCode.SPACE,
          KeyCode.F1,
          KeyCode.F2,
          KeyCode.PERIOD,
          KeyCode.COMMA,
          KeyCode.PLUS,
          KeyCode.MINUS,
          KeyCode.A,
          KeyCode.B,
          KeyCode.C,
          KeyCode.D,
          KeyCode.E,
          KeyCode.F,
          KeyCode.G,
          KeyCode.H,
          KeyCode.I,
          KeyCode.L,
          KeyCode.M,
          KeyCode.N,
          KeyCode.O,
          KeyCode.P,
          KeyCode.R,
          KeyCode.S,
          KeyCode.T,
          KeyCode.U,
          KeyCode.X,
          KeyCode.DIGIT0,
          KeyCode.DIGIT1,
          KeyCode.DIGIT2,
          KeyCode.DIGIT3,
          KeyCode.DIGIT4,
          KeyCode.DIGIT5,
          KeyCode.DIGIT6);

  /** Keys with Ctrl; Ctrl Q and the like belong to the system. */
  static final List<KeyCode> COMMANDS =
      List.of(
          KeyCode.Z,
          KeyCode.Y,
          KeyCode.C,
          KeyCode.X,
          KeyCode.V,
          KeyCode.A,
          KeyCode.D,
          KeyCode.L,
          KeyCode.M,
          KeyCode.S,
          KeyCode.N,
          KeyCode.E,
          KeyCode.O,
          KeyCode.SPACE,
          KeyCode.ENTER,
          KeyCode.BACK_SPACE,
          KeyCode.DIGIT1,
          KeyCode.DIGIT2,
          KeyCode.DIGIT3,
          KeyCode.DIGIT4,
          KeyCode.DIGIT5,
          KeyCode.DIGIT6,
          KeyCode.DIGIT7,
          KeyCode.DIGIT8,
          KeyCode.LEFT,
          KeyCode.RIGHT,
          KeyCode.HOME,
          KeyCode.END);

  private WandererWords() {}
}
