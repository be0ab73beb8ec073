package phalanx.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import phalanx.formats.disk.DiskTrouble;
import phalanx.picking.PickFinger;
import phalanx.sound.Layer;
import phalanx.sound.render.ImpulseFile;
import phalanx.sound.render.Playing;
import phalanx.sound.render.RenderOptions;
import phalanx.sound.sequence.Interpretation;
import phalanx.sound.sequence.PickingHand;
import phalanx.sound.strings.ImpulseResponse;
import phalanx.sound.strings.Levels;
import phalanx.sound.strings.Plucker;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;

/** How a song sounds in a file. */
final class SoundOptions {

  private static final String OFF = "off";
  private static final String LETTERS = "p, i, m, a or c";
  private static final double PERCENT = 100;

  @Option(
      names = "--rate",
      paramLabel = "44100|48000|96000",
      defaultValue = "44100",
      description = "frames a second")
  private int rate;

  @Option(
      names = "--bits",
      paramLabel = "16|24",
      defaultValue = "16",
      description = "bits a sample")
  private int bits;

  @Option(names = "--mono", description = "one channel, the mean of both sides")
  private boolean mono;

  @Option(names = "--a4", paramLabel = "HZ", defaultValue = "440", description = "390 to 490")
  private double a4;

  @Option(
      names = "--loudness",
      paramLabel = "LUFS",
      defaultValue = "-18",
      description = "what the whole song is brought to, -40 to -6, or off")
  private String loudness;

  @Option(
      names = "--room",
      paramLabel = "0-100",
      defaultValue = "30",
      description = "from none over a small room to a hall")
  private double room;

  @Option(
      names = "--body-response",
      paramLabel = "FILE.wav",
      description = "the answer of a guitar’s body of your own to a short blow, in place of ours")
  private Path body;

  @Option(names = "--room-response", paramLabel = "FILE.wav", description = "the same of a room")
  private Path hall;

  @Option(names = "--dry", description = "no room")
  private boolean dry;

  @Option(
      names = "--freedom",
      paramLabel = "0-100",
      defaultValue = "50",
      description = "from exactly as planned to as freely as a good player plays")
  private double freedom;

  @Option(names = "--exact", description = "every stroke as planned, to the sample")
  private boolean exact;

  @Option(
      names = "--touch",
      paramLabel = "WHAT",
      split = ",",
      description =
          "thumb=flesh, fingers=nail, or a finger by its letter, m=flesh: flesh, fingertip, nail or"
              + " pick")
  private List<String> touch = List.of();

  @Option(
      names = "--rest-strokes",
      description = "the fingers that play the tune come to rest on the next string")
  private boolean rested;

  @Option(
      names = "--rest-fingers",
      paramLabel = "FINGER",
      split = ",",
      description = "of p, i, m, a, c: these come to rest on the next string, the others do not")
  private List<String> resting = List.of();

  @Option(
      names = "--place",
      paramLabel = "MM",
      defaultValue = "0",
      description = "plucked nearer the bridge, to -90, or the neck, to 120")
  private double place;

  @Option(
      names = "--levels",
      paramLabel = "LAYER=DB",
      split = ",",
      description = "tune=3,thumb=-2: a layer louder or softer, -40 to 12")
  private List<String> levels = List.of();

  /**
   * The same with what was asked for.
   *
   * @throws IllegalArgumentException if a figure is out of range; the message says what is expected
   */
  RenderOptions of(RenderOptions usual, CommandSpec spec) throws UnusableInput {
    if (room < 0 || room > PERCENT || freedom < 0 || freedom > PERCENT) {
      throw usage(spec, "--room and --freedom: expected 0 to 100");
    }
    if (place < Interpretation.BRIDGE || place > Interpretation.NECK) {
      throw usage(spec, "--place: expected -90 to 120");
    }
    Interpretation hand =
        Interpretation.USUAL.free(exact ? 0 : freedom / PERCENT).with(h -> hand(h, spec)).at(place);
    Playing playing =
        Playing.USUAL
            .by(hand)
            .tunedTo(a4)
            .in(dry ? 0 : room / PERCENT)
            .sounding(response(body), response(hall))
            .asLoudAs(loudness(spec));
    return usual
        .with(rate, bits)
        .inChannels(mono ? 1 : 2)
        .withLevels(levels(usual.levels(), spec))
        .played(p -> playing);
  }

  private static Optional<ImpulseResponse> response(Path file) throws UnusableInput {
    if (file == null) {
      return Optional.empty();
    }
    try {
      return Optional.of(ImpulseFile.read(file));
    } catch (ImpulseFile.Unreadable e) {
      throw new UnusableInput(file + ": " + e.getMessage());
    } catch (IOException e) {
      throw new UnusableInput(file + ": " + DiskTrouble.reading(e));
    }
  }

  private OptionalDouble loudness(CommandSpec spec) {
    if (loudness.equals(OFF)) {
      return OptionalDouble.empty();
    }
    return OptionalDouble.of(number("--loudness", loudness, "-40 to -6, or off", spec));
  }

  private static double number(String option, String text, String expected, CommandSpec spec) {
    try {
      return Double.parseDouble(text);
    } catch (NumberFormatException e) {
      throw usage(spec, option + ": expected " + expected + ", found " + text);
    }
  }

  private static Map.Entry<String, String> pair(
      String option, String text, String expected, CommandSpec spec) {
    int sign = text.indexOf('=');
    if (sign < 1) {
      throw usage(spec, option + ": expected " + expected + ", found " + text);
    }
    return Map.entry(text.substring(0, sign).strip(), text.substring(sign + 1).strip());
  }

  private PickingHand hand(PickingHand usual, CommandSpec spec) {
    PickingHand hand = usual;
    for (String one : touch) {
      Map.Entry<String, String> said = pair("--touch", one, "thumb=flesh or fingers=nail", spec);
      hand = hand.with(fingers(said.getKey(), spec), plucker(said.getValue(), spec));
    }
    hand = rested ? hand.resting(PickingHand.FINGERS, true) : hand;
    for (String one : resting) {
      Optional<PickFinger> finger = PickFinger.lettered(one.strip());
      hand =
          hand.resting(
              List.of(
                  finger.orElseThrow(
                      () -> usage(spec, "--rest-fingers: expected " + LETTERS + ", found " + one))),
              true);
    }
    return hand;
  }

  private static List<PickFinger> fingers(String who, CommandSpec spec) {
    return switch (who) {
      case "thumb" -> List.of(PickFinger.P);
      case "fingers" -> PickingHand.FINGERS;
      default ->
          List.of(
              PickFinger.lettered(who)
                  .orElseThrow(
                      () ->
                          usage(
                              spec,
                              "--touch: expected thumb, fingers, " + LETTERS + ", found " + who)));
    };
  }

  private static Plucker plucker(String word, CommandSpec spec) {
    return Plucker.worded(word)
        .orElseThrow(
            () -> {
              String words =
                  Stream.of(Plucker.values()).map(Plucker::word).collect(Collectors.joining(", "));
              return usage(spec, "--touch: expected one of " + words + ", found " + word);
            });
  }

  private Levels levels(Levels usual, CommandSpec spec) {
    Levels changed = usual;
    for (String one : new ArrayList<>(levels)) {
      Map.Entry<String, String> said = pair("--levels", one, "tune=3", spec);
      Layer layer = layer("--levels", said.getKey(), spec);
      double by = number("--levels", said.getValue(), "a number of dB", spec);
      changed = changed.with(layer, usual.decibels().get(layer) + by);
    }
    return changed;
  }

  /** The layer of a word. */
  static Layer layer(String option, String word, CommandSpec spec) {
    return Layer.worded(word.strip())
        .orElseThrow(
            () -> {
              String words =
                  Stream.of(Layer.values()).map(Layer::word).collect(Collectors.joining(", "));
              return usage(spec, option + ": expected some of " + words + ", found " + word);
            });
  }

  private static ParameterException usage(CommandSpec spec, String message) {
    return new ParameterException(spec.commandLine(), message);
  }
}
