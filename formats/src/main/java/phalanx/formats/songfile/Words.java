package phalanx.formats.songfile;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Constants as files write them: {@code thumb-and-three} for {@code THUMB_AND_THREE}. */
final class Words {

  private Words() {}

  static String of(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  static <E extends Enum<E>> Optional<E> read(Class<E> type, String word) {
    return Arrays.stream(type.getEnumConstants()).filter(e -> of(e).equals(word)).findFirst();
  }

  static <E extends Enum<E>> List<String> all(Class<E> type) {
    return Arrays.stream(type.getEnumConstants()).map(Words::of).toList();
  }
}
