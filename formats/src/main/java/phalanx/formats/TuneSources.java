package phalanx.formats;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.text.Phrase;

/**
 * The parts and voices of a file that a tune can be taken from.
 *
 * @param names what they are called, each name once, in the order of the file
 * @param taken the name of the one the tune was taken from, which is one of them
 */
public record TuneSources(List<String> names, String taken) {

  public TuneSources {
    names = List.copyOf(names);
  }

  /** Names of parts as a player can tell them apart: the second “Violin” is “Violin (2)”. */
  public static List<String> apart(List<String> names) {
    Set<String> apart = new LinkedHashSet<>();
    for (String name : names) {
      String own = name;
      for (int n = 2; !apart.add(own); n++) {
        own = Phrase.of("%s (%d)", name, n);
      }
    }
    return new ArrayList<>(apart);
  }

  /** From which the tune is taken and what other parts there are; empty where there are none. */
  public Optional<String> words() {
    return words(Texts.of("tuneSources.theTuneIs"));
  }

  /** The same of something else: {@code both hands are}. */
  public Optional<String> words(String what) {
    List<String> others = names.stream().filter(n -> !n.equals(taken) && !isVoice(n)).toList();
    return Optional.of(others)
        .filter(o -> !o.isEmpty())
        .map(o -> Texts.of("tuneSources.takenFromThereAre", what, taken, String.join(", ", o)));
  }

  private boolean isVoice(String name) {
    return names.stream().anyMatch(part -> name.startsWith(voice(part, "")));
  }

  /** The name of a voice of a part. */
  public static String voice(String part, String voice) {
    return part + ": " + voice;
  }
}
