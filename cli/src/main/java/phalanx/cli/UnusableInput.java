package phalanx.cli;

/** The input cannot be used; the message says where and why. Ends a command with exit code 1. */
final class UnusableInput extends Exception {

  private static final long serialVersionUID = 1;

  UnusableInput(String message) {
    super(message);
  }
}
