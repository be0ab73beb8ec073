package phalanx.findings;

import phalanx.text.Texts;

/**
 * What rules are called in the language spoken. Files, the command line and accepted findings know
 * them by their names, which are the same in every language.
 */
public final class RuleWords {

  private RuleWords() {}

  /** A rule by its name; the name itself for one that is not known. */
  public static String of(String rule) {
    return switch (rule) {
      case BrokenPins.NAME -> Texts.of("rule.brokenPins");
      case BusyFingers.NAME -> Texts.of("rule.busyFingers");
      case Crossings.NAME -> Texts.of("rule.crossings");
      case DeadStrings.NAME -> Texts.of("rule.deadStrings");
      case FingersTooSoon.NAME -> Texts.of("rule.fingersTooSoon");
      case ForeignBass.NAME -> Texts.of("rule.foreignBass");
      case HardBends.NAME -> Texts.of("rule.hardBends");
      case LateChanges.NAME -> Texts.of("rule.lateChanges");
      case LostSlurs.NAME -> Texts.of("rule.lostSlurs");
      case MissingShapes.NAME -> Texts.of("rule.missingShapes");
      case RingsOver.NAME -> Texts.of("rule.ringsOver");
      case Stretches.NAME -> Texts.of("rule.stretches");
      case TuneAway.NAME -> Texts.of("rule.tuneAway");
      case TuneCutOff.NAME -> Texts.of("rule.tuneCutOff");
      case TuneOnTop.NAME -> Texts.of("rule.tuneOnTop");
      case TuneReach.NAME -> Texts.of("rule.tuneReach");
      case UnheardTones.NAME -> Texts.of("rule.unheardTones");
      case UnmutedStrings.NAME -> Texts.of("rule.unmutedStrings");
      default -> rule;
    };
  }
}
