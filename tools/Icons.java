import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.RoundRectangle2D;
import java.awt.image.BufferedImage;
import java.io.File;
import javax.imageio.ImageIO;

/** Draws the program's icon in the usual sizes: java tools/Icons.java FOLDER. */
public final class Icons {

  /** Sides of the pictures, px, as the freedesktop.org icon theme specification has them. */
  private static final int[] SIDES = {16, 24, 32, 48, 64, 128, 256};

  private static final Color BACK = new Color(0x1F5C57);
  private static final Color STRING = new Color(0xE8DFCB);
  private static final Color FINGER = new Color(0xE98A4B);

  /** The strings that are stopped, from the left, in the frets from the nut down. */
  private static final int[] STOPPED = {2, 1, 0};

  public static void main(String[] args) throws Exception {
    for (int side : SIDES) {
      BufferedImage image = new BufferedImage(side, side, BufferedImage.TYPE_INT_ARGB);
      Graphics2D g = image.createGraphics();
      g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
      g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
      g.scale(side / 256.0, side / 256.0);
      g.setColor(BACK);
      g.fill(new RoundRectangle2D.Double(8, 8, 240, 240, 64, 64));
      g.setColor(STRING);
      for (int s = 0; s < 4; s++) {
        double x = 62 + s * 44;
        g.setStroke(new BasicStroke(side < 32 ? 14 : 11 - 2 * s));
        g.draw(new Line2D.Double(x, 54, x, 214));
      }
      for (int fret = 0; fret < 4; fret++) {
        double y = 54 + fret * 53;
        g.setStroke(new BasicStroke(fret == 0 ? 20 : 5));
        g.draw(new Line2D.Double(56, y, 200, y));
      }
      g.setColor(FINGER);
      for (int fret = 0; fret < STOPPED.length; fret++) {
        g.fill(new Ellipse2D.Double(62 + STOPPED[fret] * 44 - 21, 62 + fret * 53 - 2, 42, 42));
      }
      g.dispose();
      ImageIO.write(image, "png", new File(args[0], "phalanx-" + side + ".png"));
    }
  }
}
