package phalanx.desktop.drawing;

import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import javafx.scene.canvas.GraphicsContext;
import phalanx.desktop.texts.Texts;
import phalanx.technique.Technique;
import phalanx.technique.TechniqueText;

/** Draws the signs of techniques behind a note; that a note is a harmonic its diamond says. */
public final class TechniqueSigns {

  /** From the middle of a note to its sign, px. */
  private static final double BESIDE = 11;

  private static final double WAVE = 5;
  private static final double HEIGHT = 2.6;

  private final GraphicsContext gc;
  private final Palette palette;
  private final Lettering ink;

  /**
   * A line of the legend.
   *
   * @param sign what is drawn
   * @param meaning what it stands for
   * @param covers the techniques that are drawn so
   */
  public record Legend(String sign, String meaning, Predicate<Technique> covers) {}

  /** What the signs mean; every technique has its line. */
  public static final List<Legend> LEGEND =
      List.of(
          new Legend(
              Texts.of("techniqueSigns.roundAFret"),
              Texts.of("techniqueSigns.theStringIsTouched"),
              Technique.NaturalHarmonic.class::isInstance),
          new Legend(
              "+12 +7 +5",
              Texts.of("techniqueSigns.thePickingHandTouches"),
              Technique.TouchedHarmonic.class::isInstance),
          new Legend(
              "↑ 1/2  1",
              Texts.of("techniqueSigns.bentBySoMany"),
              Technique.Bend.class::isInstance),
          new Legend(
              Texts.of("techniqueSigns.overANote"),
              Texts.of("techniqueSigns.vibratoHigherWavesWide"),
              Technique.Vibrato.class::isInstance),
          new Legend(
              Texts.of("techniqueSigns.pmSlPop"),
              Texts.of("techniqueSigns.palmMuteSlappedSnapped"),
              TechniqueSigns::isBelow));

  public TechniqueSigns(GraphicsContext gc, Palette palette) {
    this.gc = gc;
    this.palette = palette;
    ink = new Lettering(gc, palette);
  }

  /**
   * Draws what is special about a note.
   *
   * @param end where it ends along its string
   */
  public void paint(Set<Technique> techniques, double x, double y, double end) {
    paint(techniques, x, y, end, y + BESIDE + 6);
  }

  /**
   * The same with a place for the words of a picking hand that does something to the string.
   *
   * @param words their foot
   */
  public void paint(Set<Technique> techniques, double x, double y, double end, double words) {
    for (Technique technique : techniques) {
      if (technique instanceof Technique.Vibrato v) {
        wave(x + BESIDE, end, y - BESIDE, v.wide() ? 2 * HEIGHT : HEIGHT);
      } else if (technique instanceof Technique.Bend bend) {
        bend(bend, x, y);
      } else if (isBelow(technique)) {
        ink.centre(technique.sign(), x, words, TypeFace.bold(8.5), "text-2");
      } else if (technique instanceof Technique.TouchedHarmonic touched) {
        ink.left("+" + touched.above(), x + BESIDE, y - 3, TypeFace.bold(8.5), "text-2");
      }
    }
  }

  /** Signs of a picking hand that does something to the string itself. */
  private static boolean isBelow(Technique technique) {
    return technique == Technique.Plain.PALM_MUTE
        || technique == Technique.Plain.SLAP
        || technique == Technique.Plain.POP
        || TechniqueText.isPlace(technique);
  }

  private void wave(double from, double to, double y, double height) {
    gc.setStroke(palette.get("text"));
    gc.setLineWidth(1.2);
    gc.beginPath();
    gc.moveTo(from, y);
    for (double x = from; x + WAVE <= Math.max(to, from + 3 * WAVE); x += WAVE) {
      gc.quadraticCurveTo(x + WAVE / 4, y - height, x + WAVE / 2, y);
      gc.quadraticCurveTo(x + 3 * WAVE / 4, y + height, x + WAVE, y);
    }
    gc.stroke();
  }

  /** An arrow up by so many tones, and down again where the string is let back. */
  private void bend(Technique.Bend bend, double x, double y) {
    double from = x + BESIDE - 2;
    double top = y - BESIDE - 1;
    gc.setStroke(palette.get("text"));
    gc.setLineWidth(1.3);
    double to = bend.before() ? from : from + 7;
    gc.beginPath();
    gc.moveTo(from, y);
    gc.quadraticCurveTo(to, y, to, top);
    gc.stroke();
    head(to, top, -1);
    if (bend.release()) {
      gc.beginPath();
      gc.moveTo(to, top);
      gc.quadraticCurveTo(to + 7, top, to + 7, y - 4);
      gc.stroke();
      head(to + 7, y - 4, 1);
    }
    String tones = bend.text().replaceAll("[pbr]", "");
    double beside = bend.release() ? to + 3.5 : to + 6;
    ink.centre(tones, beside, top - 3, TypeFace.bold(8.5), "text");
  }

  private void head(double x, double y, int way) {
    gc.strokeLine(x - 2.5, y - way * 3.0, x, y);
    gc.strokeLine(x + 2.5, y - way * 3.0, x, y);
  }
}
