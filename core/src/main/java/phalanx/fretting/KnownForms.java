package phalanx.fretting;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;
import java.util.Set;
import phalanx.instrument.Tuning;

/**
 * How players finger what they hold, by its form: which strings, and how many frets above the
 * lowest fret each. The same form is fingered alike all along the neck and, where nothing else is
 * known, on other strings. Sources stand in the tables, {@code forms.properties} and {@code
 * usual-forms.properties}.
 */
final class KnownForms {

  /** A form that no table has: nobody knows it by heart. */
  static final double UNKNOWN = 0.3;

  /** A form that players take hold of without a thought, fingered otherwise. */
  private static final double OTHERWISE = 1;

  /** A form that is seen fingered otherwise. */
  private static final double SELDOM = 0.4;

  private static final int BITS = 4;
  private static final int HIGHEST = (1 << BITS) - 2;

  /** Nothing is held, or one string, which any finger may hold. */
  private static final int[] ANY = {};

  private static final Map<Integer, int[]> FORMS = new HashMap<>();

  /** The forms that players take hold of without a thought. */
  private static final Set<int[]> BY_ROTE = Collections.newSetFromMap(new IdentityHashMap<>());

  /** The same with the lowest string held as the first, for other strings. */
  private static final Map<Integer, int[]> ELSEWHERE = new HashMap<>();

  static {
    read("phalanx.fretting.forms");
    read("phalanx.fretting.usual-forms").forEach(key -> BY_ROTE.add(FORMS.get(key)));
  }

  private KnownForms() {}

  private static Set<Integer> read(String table) {
    Set<Integer> keys = new HashSet<>();
    ResourceBundle rows = ResourceBundle.getBundle(table, Locale.ROOT);
    for (String form : Collections.list(rows.getKeys())) {
      List<Integer> ways = new ArrayList<>();
      for (String way : rows.getString(form).split("/")) {
        ways.add(packed(way));
      }
      int[] fingerings = ways.stream().mapToInt(w -> w).toArray();
      int key = key(form);
      FORMS.put(key, fingerings);
      keys.add(key);
      int strings = lowest(key);
      int[] moved = ways.stream().mapToInt(w -> w >>> BITS * strings).toArray();
      ELSEWHERE.put(key >>> BITS * strings, moved);
    }
    return keys;
  }

  private static int key(String form) {
    int key = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      char sign = form.charAt(s);
      key |= sign == '.' ? 0 : (sign - '0' + 1) << BITS * s;
    }
    return key;
  }

  private static int packed(String fingering) {
    int packed = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      char sign = fingering.charAt(s);
      int finger = sign == '.' ? 0 : sign == 'T' ? FingerCode.THUMB : sign - '0';
      packed |= finger << BITS * s;
    }
    return packed;
  }

  private static int lowest(int key) {
    int string = 0;
    while (string < Tuning.STRINGS && (key >>> BITS * string & (1 << BITS) - 1) == 0) {
      string++;
    }
    return string;
  }

  /** The usual fingerings of frets, packed; null where the form is not known. */
  static int[] of(int[] frets) {
    int lowestFret = Integer.MAX_VALUE;
    int held = 0;
    for (int fret : frets) {
      if (fret > 0) {
        lowestFret = Math.min(lowestFret, fret);
        held++;
      }
    }
    if (held < 2) {
      return ANY;
    }
    int key = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      int above = frets[s] > 0 ? Math.min(HIGHEST, frets[s] - lowestFret) + 1 : 0;
      key |= above << BITS * s;
    }
    int[] known = FORMS.get(key);
    if (known != null) {
      return known;
    }
    int strings = lowest(key);
    int[] elsewhere = ELSEWHERE.get(key >>> BITS * strings);
    if (elsewhere == null) {
      return null;
    }
    int[] moved = new int[elsewhere.length];
    for (int w = 0; w < moved.length; w++) {
      moved[w] = elsewhere[w] << BITS * strings;
    }
    return moved;
  }

  /** Whether players take hold of a form without a thought, and otherwise. */
  static boolean isNotByRote(GripTable grips) {
    return BY_ROTE.contains(grips.known) && units(grips) == OTHERWISE;
  }

  /**
   * How far a fingering is from what players know: 0 for a usual one, 1 for another of a form they
   * know by rote.
   */
  static double units(GripTable grips) {
    if (grips.known == null) {
      return UNKNOWN;
    } else if (grips.known == ANY) {
      return 0;
    }
    int packed = 0;
    for (int g = 0; g < grips.count; g++) {
      for (int s = grips.low[g]; s <= grips.high[g]; s++) {
        if (grips.frets[s] == grips.fret[g]) {
          packed |= grips.finger[g] << BITS * s;
        }
      }
    }
    for (int way : grips.known) {
      if (way == packed) {
        return 0;
      }
    }
    return BY_ROTE.contains(grips.known) ? OTHERWISE : SELDOM;
  }
}
