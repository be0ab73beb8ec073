package phalanx.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import phalanx.arrangement.Note;
import phalanx.picking.PickFinger;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.Texts;
import phalanx.theory.Meter;

/** The strokes of a bar in words, as they are said aloud: the count, and the motions. */
public final class StrokeWords {

  private static final Map<PickFinger, String> SAID =
      Map.of(
          PickFinger.P,
          Texts.of("strokeWords.thumb"),
          PickFinger.I,
          Texts.of("strokeWords.index"),
          PickFinger.M,
          Texts.of("strokeWords.middle"),
          PickFinger.A,
          Texts.of("strokeWords.ring"),
          PickFinger.C,
          Texts.of("strokeWords.little"));

  private StrokeWords() {}

  /** The count with the letters on each: {@code 1 pm · & i}. */
  public static String letters(PlayedBar bar, List<Note> notes) {
    List<String> steps = new ArrayList<>();
    for (int tick : ticks(notes)) {
      steps.add(count(bar, tick) + " " + at(notes, tick, PickFinger::letter));
    }
    return String.join(" · ", steps);
  }

  /** The motions one after the other: {@code pinch, thumb, index}. */
  public static String motions(List<Note> notes) {
    List<String> words = new ArrayList<>();
    for (int tick : ticks(notes)) {
      Set<PickFinger> fingers =
          notes.stream()
              .filter(n -> n.tick() == tick)
              .flatMap(n -> n.pick().stream())
              .collect(Collectors.toCollection(TreeSet::new));
      boolean brushed = notes.stream().anyMatch(n -> n.tick() == tick && n.isBrushed());
      if (brushed) {
        words.add(Texts.of("strokeWords.brush"));
      } else if (fingers.size() > 1) {
        words.add(
            fingers.contains(PickFinger.P)
                ? Texts.of("strokeWords.pinch")
                : Texts.of("strokeWords.block"));
      } else {
        fingers.forEach(f -> words.add(SAID.get(f)));
      }
    }
    return String.join(", ", words);
  }

  private static TreeSet<Integer> ticks(List<Note> notes) {
    return notes.stream().map(Note::tick).collect(Collectors.toCollection(TreeSet::new));
  }

  private static String at(List<Note> notes, int tick, Function<PickFinger, String> word) {
    return notes.stream()
        .filter(n -> n.tick() == tick)
        .flatMap(n -> n.pick().stream())
        .distinct()
        .sorted()
        .map(word)
        .collect(Collectors.joining());
  }

  /** What a player counts at a tick, on a grid of sixteenths or triplets where need be. */
  public static String count(PlayedBar bar, int tick) {
    return count(bar.meter(), bar.inMetre(tick));
  }

  /** The same at a place of the metre. */
  static String count(Meter meter, int inBar) {
    for (int parts : new int[] {2, 3, 4}) {
      Optional<String> word =
          meter.syllables(parts).stream()
              .filter(s -> s.tick() == inBar)
              .map(Meter.Syllable::word)
              .findFirst();
      if (word.isPresent()) {
        return word.get();
      }
    }
    return "·";
  }
}
