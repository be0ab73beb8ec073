package phalanx.arrangement;

/**
 * Something special about how a note is played, beside how it starts and what it is struck with. A
 * value of its own each; its word in files and its sign stand here.
 */
public sealed interface Technique {

  /** Its word in files. */
  String word();

  /** Its sign under the strings of a text tablature. */
  String sign();

  /** What the sign means, in the player's words. */
  String meaning();

  /** Cut short by a hand laid on its string: a rest follows. */
  record Stopped() implements Technique {
    @Override
    public String word() {
      return "stopped";
    }

    @Override
    public String sign() {
      return ".";
    }

    @Override
    public String meaning() {
      return "stopped short";
    }
  }

  /** Softer than the rest. */
  record Soft() implements Technique {
    @Override
    public String word() {
      return "soft";
    }

    @Override
    public String sign() {
      return ",";
    }

    @Override
    public String meaning() {
      return "soft";
    }
  }
}
