package phalanx.song;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class SongIdTest {

  private static final SongId ID = SongId.of(new UUID(7, 11));

  /** The text of a UUID is 36 digits and hyphens (RFC 4122). */
  @Test
  void isReadAsItIsWritten() {
    assertThat(ID.text()).hasSize(36);
    assertThat(SongId.parse(ID.text())).contains(ID);
  }

  @Test
  void noOtherTextIsAnId() {
    for (String text : List.of("", " ", "a b", "../x", "ä", "x".repeat(65))) {
      assertThat(SongId.parse(text)).as(text).isEmpty();
      assertThatThrownBy(() -> new SongId(text)).isInstanceOf(IllegalArgumentException.class);
    }
  }

  @Test
  void changesNoPlan() {
    Song song = Song.untitled();
    assertThat(song.withId(ID).planned()).isEqualTo(song.planned());
    assertThat(song.withTempo(99).planned()).isNotEqualTo(song.planned());
  }

  @Test
  void isGivenToEverythingTheSongWas() {
    History<Song> history =
        History.of(Song.untitled())
            .edit(s -> s.withTitle("A"))
            .edit(s -> s.withTitle("B"))
            .undo()
            .throughout(s -> s.withId(ID));
    assertThat(history.present().title()).isEqualTo("A");
    assertThat(List.of(history.undo().present(), history.present(), history.redo().present()))
        .extracting(Song::id)
        .containsOnly(Optional.of(ID));
  }
}
