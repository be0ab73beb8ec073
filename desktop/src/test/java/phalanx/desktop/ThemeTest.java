package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.desktop.drawing.Palette;

class ThemeTest {

  private static final List<Palette> THEMES =
      Stream.of("theme-light.css", "theme-dark.css")
          .map(name -> Palette.of(PhalanxApp.class.getResource(name)))
          .toList();

  /**
   * What eyes without the cones for long or for middle waves see of red, green and blue light, on
   * linear channels (F. Viénot, H. Brettel, J. Mollon 1999; from memory).
   */
  private static final double[][][] EYES = {
    {{1, 0, 0}, {0, 1, 0}, {0, 0, 1}},
    {{0.11238, 0.88762, 0}, {0.11238, 0.88762, 0}, {0.00401, -0.00401, 1}},
    {{0.29275, 0.70725, 0}, {0.29275, 0.70725, 0}, {-0.02234, 0.02234, 1}}
  };

  /** WCAG 2.1, relative luminance of a colour as some eyes see it. */
  private static double luminance(Color c, double[][] eyes) {
    double[] light = {linear(c.getRed()), linear(c.getGreen()), linear(c.getBlue())};
    double[] weights = {0.2126, 0.7152, 0.0722};
    double sum = 0;
    for (int row = 0; row < 3; row++) {
      for (int k = 0; k < 3; k++) {
        sum += weights[row] * eyes[row][k] * light[k];
      }
    }
    return Math.max(0, sum);
  }

  private static double linear(double channel) {
    return channel <= 0.03928 ? channel / 12.92 : Math.pow((channel + 0.055) / 1.055, 2.4);
  }

  /** WCAG 2.1, success criterion 1.4.3: text of this size needs 4.5 to 1. */
  @ParameterizedTest
  @CsvSource({
    "text,panel",
    "text,background",
    "text-2,background",
    "text-2,panel",
    "muted,paper",
    "muted,panel",
    "muted,rail",
    "muted,selection",
    "attention,paper",
    "attention,selection",
    "text,attention-back",
    "text,hold",
    "text,hold-guide",
    "pick-p,paper",
    "pick-i,paper",
    "pick-m,paper",
    "pick-a,paper",
    "pick-c,paper",
    "pick-p,selection",
    "pick-i,selection",
    "pick-m,selection",
    "pick-a,selection",
    "finger-text,finger",
    "text-2,rail",
    "text-2,field",
    "text-2,selection",
    "text,pull-fit",
    "text,pull-tight",
    "field,accent",
    "accent,panel",
    "ghost,neck"
  })
  void textStandsOutFromItsGround(String ink, String ground) {
    for (Palette palette : THEMES) {
      for (double[][] eyes : EYES) {
        double a = luminance(palette.get(ink), eyes);
        double b = luminance(palette.get(ground), eyes);
        assertThat((Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05))
            .as("theme %d, eyes %s", THEMES.indexOf(palette), List.of(EYES).indexOf(eyes))
            .isGreaterThanOrEqualTo(4.5);
      }
    }
  }

  /** Both themes have the same tokens: whoever adds one says its dark colour as well. */
  @Test
  void bothThemesHaveTheSameTokens() throws IOException {
    assertThat(tokens("theme-dark.css")).isEqualTo(tokens("theme-light.css"));
  }

  private static List<String> tokens(String theme) throws IOException {
    try (InputStream in = PhalanxApp.class.getResourceAsStream(theme)) {
      String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      return text.lines().filter(l -> l.contains("-px-")).map(l -> l.split(":")[0]).toList();
    }
  }
}
