package phalanx.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import phalanx.song.Song;

class OfferTest {

  private static final Song SONG = Song.untitled().withTitle("One");
  private static final Song OTHER = Song.untitled().withTitle("Other");

  private final Offer<String> offer = new Offer<>();

  @Test
  void whatWasHeardLastIsTaken() {
    offer.begin(SONG);
    assertThat(offer.searchingProperty().get()).isTrue();
    offer.first("a");
    offer.found(List.of("b", "a"));
    assertThat(offer.searchingProperty().get()).isFalse();
    assertThat(offer.allProperty().get()).containsExactly("b", "a");
    assertThat(offer.forTaking(SONG)).isEmpty();
    offer.choose("a");
    offer.choose("b");
    assertThat(offer.forTaking(SONG)).contains("b");
  }

  /** Taking it then would undo what came since. */
  @Test
  void nothingIsTakenIntoAnotherSong() {
    offer.begin(SONG);
    offer.found(List.of("a"));
    offer.choose("a");
    assertThat(offer.forTaking(OTHER)).isEmpty();
    offer.holdsFor(OTHER);
    assertThat(offer.forTaking(OTHER)).contains("a");
    assertThat(offer.forTaking(SONG)).isEmpty();
    offer.forget();
    assertThat(offer.forTaking(OTHER)).isEmpty();
    assertThat(offer.isFor(OTHER)).isFalse();
  }

  @Test
  void aFirstOneThatComesLateTakesNoPlace() {
    offer.begin(SONG);
    offer.found(List.of("a", "b"));
    offer.first("late");
    assertThat(offer.allProperty().get()).containsExactly("a", "b");
    offer.forget();
    offer.first("later");
    assertThat(offer.allProperty().get()).isEmpty();
    offer.begin(SONG);
    offer.first("first");
    offer.first("second");
    assertThat(offer.allProperty().get()).containsExactly("first");
  }

  @Test
  void aNewSearchBeginsWithNothing() {
    List<List<String>> shown = new ArrayList<>();
    offer.allProperty().addListener((o, before, now) -> shown.add(now));
    offer.begin(SONG);
    offer.found(List.of("a"));
    offer.choose("a");
    offer.begin(SONG);
    assertThat(offer.chosenProperty().get()).isEmpty();
    assertThat(shown).containsExactly(List.of("a"), List.of());
  }
}
