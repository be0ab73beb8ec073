package phalanx.theory;

import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Names the scale that notes make. The scales and their names are common practice, no source. */
public final class ScaleNaming {

  private static final int OCTAVE = 12;

  /**
   * A scale with its name.
   *
   * @param root what it is built on
   * @param kind what it is called on any root
   * @param major whether it has a major third
   */
  public record Scale(NoteName root, String kind, boolean major) {

    /** Whether a note belongs to it, 0 for C to 11. */
    public boolean has(int chroma) {
      return on(root, SCALES.get(kind)).contains(Math.floorMod(chroma, OCTAVE));
    }

    /** What of it is not among some notes, rising from its root. */
    public List<NoteName> missing(Collection<Integer> chromas) {
      return SCALES.get(kind).stream()
          .map(step -> key().nameOf((root.chroma() + step) % OCTAVE))
          .filter(n -> !chromas.contains(n.chroma()))
          .toList();
    }

    /** {@code A minor pentatonic}. */
    public String words() {
      return root + " " + kind;
    }

    /** The key in which its notes are spelled. */
    public Key key() {
      return new Key(root, major ? Mode.MAJOR : Mode.MINOR);
    }
  }

  /** From few notes to many, so that the first that has all of some notes is the closest. */
  private static final Map<String, List<Integer>> SCALES = scales();

  private ScaleNaming() {}

  private static Map<String, List<Integer>> scales() {
    Map<String, List<Integer>> scales = new LinkedHashMap<>();
    scales.put("minor pentatonic", List.of(0, 3, 5, 7, 10));
    scales.put("major pentatonic", List.of(0, 2, 4, 7, 9));
    scales.put("suspended pentatonic", List.of(0, 2, 5, 7, 10));
    scales.put("dominant pentatonic", List.of(0, 2, 4, 7, 10));
    scales.put("blues scale", List.of(0, 3, 5, 6, 7, 10));
    scales.put("major blues scale", List.of(0, 2, 3, 4, 7, 9));
    scales.put("whole-tone scale", List.of(0, 2, 4, 6, 8, 10));
    scales.put("major", List.of(0, 2, 4, 5, 7, 9, 11));
    scales.put("Mixolydian", List.of(0, 2, 4, 5, 7, 9, 10));
    scales.put("Dorian", List.of(0, 2, 3, 5, 7, 9, 10));
    scales.put("minor", List.of(0, 2, 3, 5, 7, 8, 10));
    scales.put("Lydian", List.of(0, 2, 4, 6, 7, 9, 11));
    scales.put("Lydian dominant", List.of(0, 2, 4, 6, 7, 9, 10));
    scales.put("Phrygian", List.of(0, 1, 3, 5, 7, 8, 10));
    scales.put("harmonic minor", List.of(0, 2, 3, 5, 7, 8, 11));
    scales.put("melodic minor", List.of(0, 2, 3, 5, 7, 9, 11));
    scales.put("Locrian", List.of(0, 1, 3, 5, 6, 8, 10));
    return scales;
  }

  /**
   * The scale that notes make: one that has these notes and no others on the first root that has
   * one, else the smallest that has them all.
   *
   * @param chromas the notes, 0 for C to 11
   * @param roots notes that it may be built on, the likeliest first
   */
  public static Optional<Scale> of(Collection<Integer> chromas, List<NoteName> roots) {
    Set<Integer> all = new HashSet<>(chromas);
    for (boolean exactly : new boolean[] {true, false}) {
      for (NoteName root : roots) {
        for (Map.Entry<String, List<Integer>> scale : SCALES.entrySet()) {
          Set<Integer> notes = on(root, scale.getValue());
          if (notes.containsAll(all) && (!exactly || notes.size() == all.size())) {
            return Optional.of(new Scale(root, scale.getKey(), scale.getValue().contains(4)));
          }
        }
      }
    }
    return Optional.empty();
  }

  private static Set<Integer> on(NoteName root, List<Integer> steps) {
    Set<Integer> notes = new HashSet<>();
    steps.forEach(s -> notes.add((root.chroma() + s) % OCTAVE));
    return notes;
  }
}
