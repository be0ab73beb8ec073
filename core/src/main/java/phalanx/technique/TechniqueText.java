package phalanx.technique;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import phalanx.instrument.HarmonicNode;

/** The words of techniques behind a note of a tune: {@code (v)}, {@code (b1r,pm)}. */
public final class TechniqueText {

  private static final Map<String, Technique> BY_WORD = words();

  private TechniqueText() {}

  private static Map<String, Technique> words() {
    List<Technique> all = new ArrayList<>();
    all.add(Technique.NaturalHarmonic.ANYWHERE);
    all.addAll(Technique.NaturalHarmonic.ALL);
    for (int above : new int[] {12, 7, 5}) {
      all.add(new Technique.TouchedHarmonic(above));
    }
    for (boolean yes : new boolean[] {false, true}) {
      all.add(new Technique.Vibrato(yes));
      for (int quarters = 1; quarters <= Technique.Bend.MOST; quarters++) {
        all.add(new Technique.Bend(quarters, yes, false));
        all.add(new Technique.Bend(quarters, yes, true));
      }
    }
    all.add(Technique.Plain.PALM_MUTE);
    all.add(Technique.Plain.SLAP);
    all.add(Technique.Plain.POP);
    all.add(Technique.Plain.NEAR_BRIDGE);
    all.add(Technique.Plain.NEAR_NECK);
    Map<String, Technique> words = new LinkedHashMap<>();
    all.forEach(t -> words.put(t.text(), t));
    // Players say fret 4 for 3.9, 9 for 8.8: the lowest overtone near a whole fret.
    for (Technique.NaturalHarmonic node : Technique.NaturalHarmonic.ALL) {
      long near = Math.round(HarmonicNode.fret(node.harmonic(), node.node()));
      words.putIfAbsent("h" + near, node);
    }
    return words;
  }

  /** The words there are. */
  public static Set<String> all() {
    return BY_WORD.keySet();
  }

  /** The technique of a word. */
  public static Optional<Technique> of(String word) {
    return Optional.ofNullable(BY_WORD.get(word));
  }

  /** The technique that is called so in files, with all that its figures say. */
  public static Optional<Technique> named(String word) {
    return BY_WORD.values().stream().filter(t -> t.word().equals(word)).findFirst();
  }

  /**
   * Reads words with commas between them; empty if one of them is none, or two exclude each other.
   */
  public static Optional<Set<Technique>> read(String text) {
    Set<Technique> techniques = new HashSet<>();
    for (String word : text.split(",", -1)) {
      Optional<Technique> read = of(word.strip());
      if (read.isEmpty()) {
        return Optional.empty();
      }
      techniques.add(read.get());
    }
    return areTogether(techniques) ? Optional.of(techniques) : Optional.empty();
  }

  /**
   * Whether one note can have them all: one harmonic, one bend, one vibrato; no bend of a harmonic.
   */
  public static boolean areTogether(Set<Technique> techniques) {
    long harmonics = techniques.stream().filter(TechniqueText::isHarmonic).count();
    long bends = techniques.stream().filter(Technique.Bend.class::isInstance).count();
    long vibratos = techniques.stream().filter(Technique.Vibrato.class::isInstance).count();
    return harmonics <= 1
        && bends <= 1
        && vibratos <= 1
        && (harmonics == 0 || bends + vibratos == 0)
        && !techniques.containsAll(Set.of(Technique.Plain.SLAP, Technique.Plain.POP))
        && !techniques.containsAll(Set.of(Technique.Plain.NEAR_BRIDGE, Technique.Plain.NEAR_NECK));
  }

  /** Whether a technique makes an overtone sound. */
  public static boolean isHarmonic(Technique technique) {
    return technique instanceof Technique.NaturalHarmonic
        || technique instanceof Technique.TouchedHarmonic;
  }

  /** Whether a stroke of a pattern can have a technique: what needs no place of its own. */
  public static boolean isOfStrokes(Technique technique) {
    return technique == Technique.Plain.PALM_MUTE
        || technique == Technique.Plain.SLAP
        || technique == Technique.Plain.POP
        || isPlace(technique)
        || technique instanceof Technique.TouchedHarmonic;
  }

  /** Whether it says where along the string it is plucked. */
  public static boolean isPlace(Technique technique) {
    return technique == Technique.Plain.NEAR_BRIDGE || technique == Technique.Plain.NEAR_NECK;
  }

  /** The words of techniques as they are read back, in brackets; nothing where there are none. */
  public static String write(Set<Technique> techniques) {
    return techniques.isEmpty()
        ? ""
        : techniques.stream()
            .map(Technique::text)
            .filter(t -> !t.isEmpty())
            .sorted()
            .collect(Collectors.joining(",", "(", ")"));
  }
}
