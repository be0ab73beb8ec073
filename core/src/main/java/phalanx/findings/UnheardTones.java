package phalanx.findings;

import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;
import phalanx.performance.Performance;

/** Chords whose third or seventh no stroke brings: worth knowing, nothing is wrong. */
public final class UnheardTones implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "tone unheard";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    return Found.remarked(a, NAME, Grade.NOTE, Remark.Kind.UNHEARD);
  }
}
