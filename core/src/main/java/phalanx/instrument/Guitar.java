package phalanx.instrument;

/**
 * A six-string guitar as it lies on the player's knee.
 *
 * @param tuning pitches of the open strings without capo
 * @param scaleLength from nut to bridge, mm, 300 to 800
 * @param frets frets on the neck, 12 to 24
 * @param nutSpan from string ⑥ to string ① at the nut, centre to centre, mm
 * @param bridgeSpan the same at the bridge, mm
 * @param capo fret the capo lies on, 0 for none, at most 11
 */
public record Guitar(
    Tuning tuning, double scaleLength, int frets, double nutSpan, double bridgeSpan, int capo) {

  /** Highest capo fret that leaves a neck worth playing. */
  public static final int HIGHEST_CAPO = 11;

  /** A steel-string in standard tuning; usual building sizes (common practice, no source). */
  public static final Guitar STEEL = new Guitar(Tuning.STANDARD, 645, 20, 36, 54, 0);

  /** A nylon-string in standard tuning; usual building sizes (common practice, no source). */
  public static final Guitar NYLON = new Guitar(Tuning.STANDARD, 650, 19, 43, 58, 0);

  public Guitar {
    require(scaleLength >= 300 && scaleLength <= 800, "scale length", scaleLength);
    require(frets >= 12 && frets <= 24, "frets", frets);
    require(nutSpan > 0 && bridgeSpan >= nutSpan, "nut span", nutSpan);
    require(capo >= 0 && capo <= HIGHEST_CAPO, "capo", capo);
  }

  private static void require(boolean holds, String what, double value) {
    if (!holds) {
      throw new IllegalArgumentException(what + " out of range: " + value);
    }
  }

  /** The same guitar with the capo on another fret. */
  public Guitar withCapo(int fret) {
    return new Guitar(tuning, scaleLength, frets, nutSpan, bridgeSpan, fret);
  }

  /** The same guitar tuned otherwise. */
  public Guitar withTuning(Tuning other) {
    return new Guitar(other, scaleLength, frets, nutSpan, bridgeSpan, capo);
  }

  /**
   * MIDI note of a string (0 for ⑥ to 5 for ①) at a fret, as if the capo were the nut: the note a
   * chart with capo means.
   */
  public int shapeMidi(int string, int fret) {
    return tuning.midi(string) + fret;
  }

  /** Sounding MIDI note of a string (0 for ⑥ to 5 for ①) at a fret counted from the capo. */
  public int midi(int string, int fret) {
    return tuning.midi(string) + capo + fret;
  }
}
