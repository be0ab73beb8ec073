package phalanx.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import phalanx.draft.Manner;
import phalanx.embellishment.Fill;
import phalanx.formats.fills.FillShelf;
import phalanx.formats.manners.MannerShelf;
import phalanx.formats.patterns.PatternShelf;
import phalanx.picking.PickingStyle;
import phalanx.text.ShelfTexts;
import phalanx.theory.Meter;

/** Whatever lies on the shelf has a German name and description, and nothing else has one. */
class ShelfTextsTest {

  private static List<String> english() {
    List<String> texts = new ArrayList<>();
    for (Fill fill : FillShelf.all()) {
      texts.addAll(List.of(fill.name(), fill.about()));
    }
    for (Manner manner : MannerShelf.all()) {
      texts.addAll(List.of(manner.name(), manner.about()));
    }
    for (String metre : List.of("4/4", "3/4", "6/8", "5/4", "2/4", "9/8", "12/8", "5/8", "7/8")) {
      for (PickingStyle style : PatternShelf.in(Meter.parse(metre).orElseThrow())) {
        texts.addAll(List.of(style.title(), style.words()));
      }
    }
    return texts;
  }

  @Test
  void germanIsComplete() {
    Set<String> german = ResourceBundle.getBundle("phalanx.text.shelf", Locale.GERMAN).keySet();
    Set<String> wanted =
        english().stream()
            .map(t -> t.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]++", "-"))
            .map(t -> t.replaceAll("^-|-$", ""))
            .collect(Collectors.toCollection(TreeSet::new));
    assertThat(german).containsExactlyInAnyOrderElementsOf(wanted);
  }

  /** These tests speak English: the shelf is as it is. */
  @Test
  void englishIsTheShelfItself() {
    assertThat(Stream.of("Quiet roll", "My own pattern", "").map(ShelfTexts::of))
        .containsExactly("Quiet roll", "My own pattern", "");
  }
}
