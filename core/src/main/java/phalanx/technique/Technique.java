package phalanx.technique;

import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import phalanx.instrument.HarmonicNode;
import phalanx.text.Texts;

/**
 * Something special about how a note is played, beside how it starts and what it is struck with. A
 * value of its own each; its word in files, its word in a tune's text and its sign stand here.
 */
public sealed interface Technique {

  /** Its word in files. */
  String word();

  /** Its word behind a note of a tune, {@code g4(v)}; empty for what no tune's text asks for. */
  String text();

  /** Its sign under the strings of a text tablature. */
  String sign();

  /** What the sign means, in the player's words. */
  String meaning();

  /** Semitones from the fretted or open string up to what sounds; 0 unless it is a harmonic. */
  default double higher() {
    return 0;
  }

  /** Techniques that are what they are, without figures. */
  enum Plain implements Technique {
    /** Cut short by a hand laid on its string: a rest follows. */
    STOPPED("stopped", "", ".", Texts.of("technique.stoppedShort")),
    /** Softer than the rest. */
    SOFT("soft", "", ",", "soft"),
    /** Damped by the heel of the picking hand on the bridge: short and dull. */
    PALM_MUTE("palm-mute", "pm", "PM", Texts.of("technique.dampedByTheHeel")),
    /** The thumb strikes the string against the neck. */
    SLAP("slap", "slap", "sl", Texts.of("technique.slappedByTheThumb")),
    /** The string is pulled away from below, so that it snaps back. */
    POP("pop", "pop", "pop", Texts.of("technique.pulledFromBelowSo")),
    /** Plucked near the bridge: bright and thin. */
    NEAR_BRIDGE("near-bridge", "pont", "pont.", Texts.of("technique.pluckedNearTheBridge")),
    /** Plucked over the end of the neck: round. */
    NEAR_NECK("near-neck", "tasto", "tasto", Texts.of("technique.pluckedOverTheEnd"));

    private final String word;
    private final String text;
    private final String sign;
    private final String meaning;

    Plain(String word, String text, String sign, String meaning) {
      this.word = word;
      this.text = text;
      this.sign = sign;
      this.meaning = meaning;
    }

    @Override
    public String word() {
      return word;
    }

    @Override
    public String text() {
      return text;
    }

    @Override
    public String sign() {
      return sign;
    }

    @Override
    public String meaning() {
      return meaning;
    }
  }

  /**
   * The fretting finger rocks while the note sounds.
   *
   * @param wide whether further than usual
   */
  record Vibrato(boolean wide) implements Technique {
    @Override
    public String word() {
      return wide ? "wide-vibrato" : "vibrato";
    }

    @Override
    public String text() {
      return wide ? "vw" : "v";
    }

    @Override
    public String sign() {
      return wide ? "~~" : "~";
    }

    @Override
    public String meaning() {
      return wide ? Texts.of("technique.wideVibrato") : "vibrato";
    }
  }

  /**
   * The string is pushed aside, so that it sounds higher.
   *
   * @param quarters how far, in quarters of a whole tone, 1 to 6
   * @param release whether it is let back while it sounds
   * @param before whether it is pushed before the pluck
   * @throws IllegalArgumentException if it is pushed no quarter or more than six
   */
  record Bend(int quarters, boolean release, boolean before) implements Technique {

    /** Furthest push, quarters of a whole tone. */
    public static final int MOST = 6;

    public Bend {
      if (quarters < 1 || quarters > MOST) {
        throw new IllegalArgumentException("bend out of range: " + quarters);
      }
    }

    /** How far, semitones. */
    public double semitones() {
      return quarters / 2.0;
    }

    @Override
    public String word() {
      return (before ? "pre" : "") + "bend-" + quarters + (release ? "-release" : "");
    }

    @Override
    public String text() {
      return (before ? "p" : "") + "b" + tones() + (release ? "r" : "");
    }

    @Override
    public String sign() {
      return text();
    }

    /** How far in whole tones as players write it: {@code 1/4}, {@code 1}, {@code 1.5}. */
    private String tones() {
      int whole = quarters / 4;
      return switch (quarters % 4) {
        case 0 -> String.valueOf(whole);
        case 1 -> whole == 0 ? "1/4" : whole + ".25";
        case 2 -> whole == 0 ? "1/2" : whole + ".5";
        default -> whole == 0 ? "3/4" : whole + ".75";
      };
    }

    @Override
    public String meaning() {
      return (before ? Texts.of("technique.bentBeforeThePluck") : Texts.of("technique.bentBy"))
          + (quarters == 4
              ? Texts.of("technique.aWholeTone")
              : quarters == 2
                  ? Texts.of("technique.aHalfTone")
                  : Texts.of("technique.tones", tones()))
          + (release ? Texts.of("technique.andLetBack") : "");
    }
  }

  /**
   * An open string touched at a node, so that an overtone sounds. In a tune's text {@code (h)}
   * leaves the node to the plan, {@code (h7)}, {@code (h3.2)} name it by the fret it lies over.
   *
   * @param harmonic the overtone, 2 for the octave; 0 while the plan has yet to choose its place
   * @param node which of its nodes, from the nut, 1 to harmonic − 1; 0 with no place yet
   */
  record NaturalHarmonic(int harmonic, int node) implements Technique {

    /** A harmonic that the plan finds a place for. */
    public static final NaturalHarmonic ANYWHERE = new NaturalHarmonic(0, 0);

    /** Every node that speaks well enough to be played, the octave first. */
    public static final List<NaturalHarmonic> ALL =
        IntStream.rangeClosed(2, HarmonicNode.HIGHEST)
            .boxed()
            .flatMap(
                n ->
                    IntStream.range(1, n)
                        .filter(k -> HarmonicNode.isOwn(n, k))
                        .mapToObj(k -> new NaturalHarmonic(n, k)))
            .toList();

    /** Whether the player may touch a node for it. */
    public boolean allows(HarmonicNode place) {
      return harmonic == 0 || place.harmonic() == harmonic && place.node() == node;
    }

    @Override
    public String word() {
      return "natural-harmonic";
    }

    @Override
    public String text() {
      return harmonic == 0 ? "h" : "h" + HarmonicNode.over(HarmonicNode.fret(harmonic, node));
    }

    @Override
    public String sign() {
      return "<>";
    }

    @Override
    public String meaning() {
      return Texts.of("technique.naturalHarmonicTouchedOver");
    }

    @Override
    public double higher() {
      return harmonic == 0 ? 0 : 12 * Math.log(harmonic) / Math.log(2);
    }
  }

  /**
   * A fretted string touched by the picking hand so many frets above, plucked behind that.
   *
   * @param above 12, 7 or 5
   */
  record TouchedHarmonic(int above) implements Technique {

    /** The overtone that sounds over a touch so many frets above, by the ideal string. */
    public static OptionalInt overtone(int above) {
      return switch (above) {
        case 12 -> OptionalInt.of(2);
        case 7 -> OptionalInt.of(3);
        case 5 -> OptionalInt.of(4);
        default -> OptionalInt.empty();
      };
    }

    public TouchedHarmonic {
      if (overtone(above).isEmpty()) {
        throw new IllegalArgumentException("no harmonic is touched " + above + " frets above");
      }
    }

    @Override
    public String word() {
      return "touched-harmonic-" + above;
    }

    @Override
    public String text() {
      return "t" + above;
    }

    @Override
    public String sign() {
      return "<" + above + ">";
    }

    @Override
    public String meaning() {
      return Texts.of("technique.thePickingHandTouches", above);
    }

    @Override
    public double higher() {
      return 12 * Math.log(overtone(above).getAsInt()) / Math.log(2);
    }
  }
}
