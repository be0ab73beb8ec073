package phalanx.fretting;

/**
 * Where one finger lies: one string, or a barre over several at one fret.
 *
 * @param fret fret from the capo, 1 or more
 * @param lowString lowest string held, 0 for ⑥ to 5 for ①
 * @param highString highest string held; the same for a single string
 */
public record Grip(int fret, int lowString, int highString) {

  /** Whether the finger lies across several strings. */
  public boolean isBarre() {
    return highString > lowString;
  }

  /** Strings the finger lies across, held or passed over. */
  public int width() {
    return highString - lowString + 1;
  }
}
