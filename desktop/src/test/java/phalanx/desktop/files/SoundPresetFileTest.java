package phalanx.desktop.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.desktop.model.SoundPreset;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.performance.Performance;
import phalanx.picking.PickFinger;
import phalanx.planning.Arranger;
import phalanx.sound.Layer;
import phalanx.sound.render.RenderOptions;
import phalanx.sound.render.Rendering;
import phalanx.sound.sequence.Interpretation;
import phalanx.sound.sequence.PickingHand;
import phalanx.sound.strings.Levels;
import phalanx.sound.strings.Plucker;

/** Sounds as files: what is kept comes back, and what is none is said. */
class SoundPresetFileTest {

  @TempDir private Path folder;

  @Test
  void aSoundComesBackAsItWasKept() throws Exception {
    Path response = folder.resolve("box.wav");
    try (var out = Files.newOutputStream(response)) {
      Performance one =
          Performance.of(
              new Arranger().arrange(ChordProReader.read("{sog}\n| G |\n{eog}\n").song()));
      new Rendering(one, RenderOptions.USUAL).write(out, share -> true);
    }
    SoundPreset kept =
        new SoundPreset(
            Levels.USUAL.with(Layer.HITS, -7),
            new Interpretation(
                0.8,
                PickingHand.USUAL
                    .with(List.of(PickFinger.P, PickFinger.A), Plucker.PICK)
                    .with(List.of(PickFinger.M), Plucker.FINGERTIP)
                    .resting(List.of(PickFinger.P, PickFinger.M), true),
                -40),
            0.9,
            Optional.of(SoundPresetFile.response(response)),
            Optional.empty());
    Path file = folder.resolve("mine" + SoundPresetFile.ENDING);
    SoundPresetFile.write(file, kept);
    SoundPreset read = SoundPresetFile.read(file);
    assertThat(read.levels().decibels()).isEqualTo(kept.levels().decibels());
    assertThat(read.interpretation()).isEqualTo(kept.interpretation());
    assertThat(read.room()).isEqualTo(0.9);
    assertThat(read.body().orElseThrow().file()).isEqualTo(response.toAbsolutePath());
    assertThat(read.hall()).isEmpty();
    Files.delete(response);
    assertThatThrownBy(() -> SoundPresetFile.read(file)).hasMessageContaining("box.wav");
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "{", "[]", "{\"format\":\"another\"}", "not json at all"})
  void whatIsNoSoundIsSaid(String text) throws Exception {
    Path file = Files.writeString(folder.resolve("x.json"), text);
    assertThatThrownBy(() -> SoundPresetFile.read(file))
        .isInstanceOf(SoundPresetFile.Refused.class)
        .hasMessageContaining("x.json is no file of a sound");
  }

  /** Figures out of range are drawn in, words that are none are as usual. */
  @Test
  void strangeFiguresAreDrawnIn() throws Exception {
    Path file =
        Files.writeString(
            folder.resolve("x.json"),
            "{\"format\":\"phalanx-sound\",\"levelsDb\":{\"tune\":900},\"freedom\":7,"
                + "\"plucks\":{\"p\":\"spoon\",\"q\":3},\"restStrokes\":[\"toe\"],\"placeMm\":-4000,\"room\":\"large\"}");
    SoundPreset read = SoundPresetFile.read(file);
    assertThat(read.levels().decibels().get(Layer.TUNE)).isEqualTo(Levels.LOUDEST);
    assertThat(read.interpretation().freedom()).isEqualTo(1);
    assertThat(read.interpretation().hand()).isEqualTo(PickingHand.USUAL);
    assertThat(read.interpretation().place()).isEqualTo(Interpretation.BRIDGE);
    assertThat(read.room()).isEqualTo(SoundPreset.USUAL.room());
  }
}
