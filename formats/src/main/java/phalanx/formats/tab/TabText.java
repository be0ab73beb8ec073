package phalanx.formats.tab;

import java.util.BitSet;
import java.util.List;

/** The lines of a text, and which of them are lines of a tablature: each is looked at once. */
final class TabText {

  private final List<String> lines;
  private final BitSet strings = new BitSet();
  private final BitSet rules = new BitSet();
  private final BitSet frets = new BitSet();

  TabText(List<String> lines) {
    this.lines = List.copyOf(lines);
    for (int at = 0; at < lines.size(); at++) {
      String line = lines.get(at);
      strings.set(at, TabReader.isLine(line));
      rules.set(at, strings.get(at) && TabLines.isRule(line));
      frets.set(at, strings.get(at) && TabLines.hasFrets(line));
    }
  }

  List<String> lines() {
    return lines;
  }

  int size() {
    return lines.size();
  }

  String get(int at) {
    return lines.get(at);
  }

  /** Whether a line of a tablature is nothing but dashes. */
  boolean isRule(int at) {
    return rules.get(at);
  }

  /** Whether one of the lines from one up to, not including, another has a fret or a bar line. */
  boolean hasFrets(int from, int to) {
    int next = frets.nextSetBit(from);
    return next >= 0 && next < to;
  }

  /** Whether a line is one of a tablature. */
  boolean isString(int at) {
    return strings.get(at);
  }
}
