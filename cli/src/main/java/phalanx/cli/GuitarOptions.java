package phalanx.cli;

import java.util.List;
import java.util.stream.Collectors;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.UsualTuning;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** The options that say which guitar and which hand. */
final class GuitarOptions {

  @Spec(Spec.Target.MIXEE)
  private CommandSpec command;

  @Option(
      names = "--tuning",
      paramLabel = "\"E A D G B E\"",
      description =
          "six notes, low to high, apart or together, with or without octaves, or a name: open-g")
  private String tuning;

  @Option(names = "--capo", paramLabel = "FRET", description = "fret the capo lies on")
  private Integer capo;

  @Option(names = "--hand", description = "${COMPLETION-CANDIDATES}")
  private Hand.Size hand;

  @Option(
      names = "--without-fingers",
      paramLabel = "1-4",
      split = ",",
      description = "fingers that press nothing: hurt, or not there")
  private List<Integer> missing = List.of();

  /** The guitar asked for, starting from another. */
  Guitar guitar(Guitar from) {
    Guitar guitar = from;
    if (tuning != null) {
      guitar =
          guitar.withTuning(
              UsualTuning.read(tuning).orElseThrow(() -> usage("--tuning: " + noTuning(tuning))));
    }
    if (capo != null && (capo < 0 || capo > Guitar.HIGHEST_CAPO)) {
      throw usage("--capo: expected a fret from 0 to " + Guitar.HIGHEST_CAPO);
    }
    return capo == null ? guitar : guitar.withCapo(capo);
  }

  /** What is said of a text that is no tuning. */
  static String noTuning(String found) {
    return "expected six notes, each within an octave of standard tuning, or a tuning's name, found \""
        + found
        + "\"";
  }

  /** The hand asked for, or another. */
  Hand hand(Hand otherwise) {
    Hand asked = hand == null ? otherwise : Hand.of(hand);
    boolean fingers = missing.stream().allMatch(f -> f >= 1 && f <= Finger.LITTLE.ordinal());
    if (!fingers || missing.stream().distinct().count() > Hand.MOST_MISSING) {
      throw usage("--without-fingers: expected up to three of 1 to 4");
    }
    return missing.isEmpty()
        ? asked
        : asked.without(missing.stream().map(Finger::numbered).collect(Collectors.toSet()));
  }

  private ParameterException usage(String message) {
    return new ParameterException(command.commandLine(), message);
  }
}
