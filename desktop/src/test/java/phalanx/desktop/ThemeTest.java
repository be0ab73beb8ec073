package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.paint.Color;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.desktop.drawing.Palette;

class ThemeTest {

  private final Palette palette = Palette.of(PhalanxApp.class.getResource("theme-light.css"));

  /** WCAG 2.1, relative luminance of a colour. */
  private static double luminance(Color c) {
    return 0.2126 * linear(c.getRed())
        + 0.7152 * linear(c.getGreen())
        + 0.0722 * linear(c.getBlue());
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
    "ghost,neck"
  })
  void textStandsOutFromItsGround(String ink, String ground) {
    double a = luminance(palette.get(ink));
    double b = luminance(palette.get(ground));
    assertThat((Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05)).isGreaterThanOrEqualTo(4.5);
  }
}
