package phalanx.desktop.document;

import java.util.function.Consumer;

/**
 * Where songs lie. It carries out what it is asked in the order asked; answers may be slow, late,
 * in another order, or never come where the program ends before.
 */
public interface Disk {

  /**
   * Carries a request out.
   *
   * @param answer takes what came of it, on the interface's thread; what answers nothing is told
   *     where it goes wrong
   */
  void carryOut(Request.OfDisk request, Consumer<DocumentEvent> answer);
}
