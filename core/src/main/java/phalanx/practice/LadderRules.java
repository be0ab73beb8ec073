package phalanx.practice;

/**
 * When a ladder of tempos goes up and down (common practice, no source).
 *
 * @param cleanToRise so many clean attempts in a row raise the tempo, 1 to 10
 * @param missedToFall so many missed ones in a row lower it, 1 to 10
 * @param stepPercent by how much of the tempo, 1 to 20
 */
public record LadderRules(int cleanToRise, int missedToFall, double stepPercent) {

  /** Three clean ones raise it, two missed ones lower it, by four hundredths. */
  public static final LadderRules USUAL = new LadderRules(3, 2, 4);

  public LadderRules {
    if (cleanToRise < 1
        || cleanToRise > 10
        || missedToFall < 1
        || missedToFall > 10
        || !(stepPercent >= 1 && stepPercent <= 20)) {
      throw new IllegalArgumentException("no rules: " + cleanToRise + ", " + missedToFall);
    }
  }
}
