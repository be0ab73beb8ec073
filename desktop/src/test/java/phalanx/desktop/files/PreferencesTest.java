package phalanx.desktop.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import phalanx.instrument.Hand;
import phalanx.theory.NoteNaming;

class PreferencesTest {

  @Test
  void whatIsRememberedIsReadBack(@TempDir Path folder) throws IOException {
    Hand mine = Hand.measured(150, 80).withThumbOver(false).withPace(new Hand.Pace(50, 80));
    Preferences kept =
        Preferences.NONE
            .withHand(mine)
            .withNaming(NoteNaming.GERMAN)
            .withLeftHanded(true)
            .withA4(442)
            .knowingSteps()
            .opened(folder.resolve("a.phalanx.json"));
    PlayerFolder place = new PlayerFolder(folder);
    kept.write(place);
    assertThat(Preferences.read(place)).isEqualTo(kept);
  }

  /** Nobody tunes to 4400 Hz: a damaged figure is the usual pitch. */
  @Test
  void anA4ThatNobodyTunesToIsTheUsualOne(@TempDir Path folder) throws IOException {
    Files.writeString(folder.resolve("preferences.json"), "{\"a4\": 4400}");
    assertThat(Preferences.read(new PlayerFolder(folder)).a4()).isEqualTo(440);
  }

  /** Preferences of a version without a hand, or with a damaged one, have the medium hand. */
  @Test
  void aHandThatCannotBeReadIsTheMediumOne(@TempDir Path folder) throws IOException {
    for (String hand : new String[] {"", ", \"hand\": {\"size\": \"huge\"}", ", \"hand\": 3"}) {
      Files.writeString(folder.resolve("preferences.json"), "{\"leftHanded\": true" + hand + "}");
      Preferences read = Preferences.read(new PlayerFolder(folder));
      assertThat(read.hand()).isEqualTo(Hand.MEDIUM);
      assertThat(read.leftHanded()).isTrue();
    }
  }
}
