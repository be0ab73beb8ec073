package phalanx.theory;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A chord as its symbol names it.
 *
 * @param root the root
 * @param suffix the canonical suffix in plain characters, such as {@code m7b5}; empty for major
 * @param tones the tones from the root upward, the root first
 * @param slash the bass, where the symbol names one after a slash
 * @throws IllegalArgumentException if the first tone is not the root
 */
public record Chord(NoteName root, String suffix, List<ChordTone> tones, Optional<NoteName> slash) {

  private static final int FIFTH = 5;

  public Chord {
    tones = List.copyOf(tones);
    if (tones.isEmpty() || !tones.get(0).interval().isUnison()) {
      throw new IllegalArgumentException("a chord starts with its root");
    }
  }

  /** The note the bass is expected on: the slash note, otherwise the root. */
  public NoteName bass() {
    return slash.orElse(root);
  }

  /** The intervals above the root, ascending. */
  public List<Interval> intervals() {
    return tones.stream().map(ChordTone::interval).toList();
  }

  /**
   * The spelled notes in the order of {@link #intervals()}; a foreign slash bass is not among them.
   */
  public List<NoteName> notes() {
    return tones.stream().map(t -> root.plus(t.interval())).toList();
  }

  /** The chord's own spelling of a pitch class (0 to 11), if the chord or its bass has it. */
  public Optional<NoteName> spelling(int chroma) {
    return slash
        .filter(b -> b.chroma() == chroma)
        .or(() -> notes().stream().filter(n -> n.chroma() == chroma).findFirst());
  }

  /** The interval above the root that a pitch class (0 to 11) has here, if it is a chord tone. */
  public Optional<Interval> intervalOf(int chroma) {
    int above = Math.floorMod(chroma - root.chroma(), 12);
    for (ChordTone tone : tones) {
      if (tone.interval().chroma() == above) {
        return Optional.of(tone.interval());
      }
    }
    return Optional.empty();
  }

  /** Whether a pitch class (0 to 11) is its fifth, whether perfect or altered. */
  public boolean isFifth(int chroma) {
    return intervalOf(chroma).filter(i -> i.number() == FIFTH).isPresent();
  }

  /** Whether a pitch class (0 to 11) is its root or its fifth, what a bass stands firm on. */
  public boolean isRootOrFifth(int chroma) {
    return chroma == root.chroma() || isFifth(chroma);
  }

  /** The same chord with another slash bass. */
  public Chord over(NoteName bass) {
    return new Chord(root, suffix, tones, Optional.of(bass));
  }

  /** The same chord without its slash bass. */
  public Chord withoutSlash() {
    return new Chord(root, suffix, tones, Optional.empty());
  }

  /** The same chord an interval higher, its notes spelled with one accidental at most. */
  public Chord up(Interval interval) {
    return new Chord(
        root.plus(interval).simplified(),
        suffix,
        tones,
        slash.map(b -> b.plus(interval).simplified()));
  }

  /** The same chord, in which a tone may be left out. */
  public Chord easing(Interval interval) {
    List<ChordTone> eased =
        tones.stream()
            .map(t -> t.interval().equals(interval) ? new ChordTone(interval, false) : t)
            .toList();
    return new Chord(root, suffix, eased, slash);
  }

  /** The canonical symbol in plain characters, {@code F#m7b5/C}. */
  public String ascii() {
    return root.ascii() + suffix + slash.map(b -> "/" + b.ascii()).orElse("");
  }

  /** The canonical symbol with music signs, {@code F♯m7♭5/C}. */
  @Override
  public String toString() {
    return text(NoteName::toString);
  }

  String text(Function<NoteName, String> name) {
    return name.apply(root)
        + suffix.replaceAll("b(?=\\d)", "♭").replace('#', '♯')
        + slash.map(b -> "/" + name.apply(b)).orElse("");
  }

  /** The spelled notes in one line, for messages. */
  public String noteList() {
    return notes().stream().map(NoteName::toString).collect(Collectors.joining(" "));
  }
}
