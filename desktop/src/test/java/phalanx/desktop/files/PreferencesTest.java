package phalanx.desktop.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import phalanx.desktop.model.Appearance;
import phalanx.instrument.Finger;
import phalanx.instrument.Hand;
import phalanx.text.Language;
import phalanx.theory.NoteNaming;

class PreferencesTest {

  @Test
  void whatIsRememberedIsReadBack(@TempDir Path folder) throws IOException {
    Hand mine = Hand.measured(150, 80).withThumbOver(false).withPace(new Hand.Pace(50, 80));
    mine = mine.without(Set.of(Finger.LITTLE));
    Preferences kept =
        Preferences.NONE
            .withHand(mine)
            .withNaming(NoteNaming.GERMAN)
            .withLeftHanded(true)
            .withA4(442)
            .knowingSteps()
            .opened(folder.resolve("a.phalanx.json"))
            .withLevel(folder.resolve("a.phalanx.json"), 2.4)
            .withAppearance(
                new Appearance(Appearance.Theme.DARK, 150, true, Optional.of(Language.GERMAN)));
    PlayerFolder place = new PlayerFolder(folder);
    kept.write(place);
    assertThat(Preferences.read(place)).isEqualTo(kept);
  }

  /**
   * What nobody can mean is as usual: a size of 9000 %, a theme of another version, a level of 40.
   */
  @Test
  void aStrangeAppearanceIsDrawnIn(@TempDir Path folder) throws IOException {
    Files.writeString(
        folder.resolve("preferences.json"),
        "{\"appearance\": {\"theme\": \"SEPIA\", \"percent\": 9000},"
            + " \"recent\": [\"/a\"], \"levels\": {\"/a\": 40}}");
    Preferences read = Preferences.read(new PlayerFolder(folder));
    assertThat(read.appearance())
        .isEqualTo(new Appearance(Appearance.Theme.SYSTEM, 200, false, Optional.empty()));
    assertThat(read.levels()).isEmpty();
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
