package phalanx.fuzz;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import phalanx.text.Phrase;

/**
 * How a reader’s work grows with its input: families of inputs of some size and of twice, four and
 * eight times as much, made of one piece repeated, nested, left open, or of blanks.
 */
final class Growth {

  /**
   * Signs of the smallest input of a family; pieces that make sense in their place come in more.
   */
  private static final int SMALLEST = 16_000;

  private static final int SMALLEST_WHOLE = 100_000;

  /** Times the smallest. */
  private static final List<Integer> STEPS = List.of(1, 2, 4, 8);

  /** Each input is read so often, the best time counts: what disturbs only ever adds to it. */
  private static final int TIMES = 5;

  private static final int GLANCES = 2;

  /** Below this the clock and the first run of code say more than the reader, ns. */
  private static final long NOTICED = 15_000_000;

  /**
   * What takes as long does not come to an end, ns. Far above what any reader takes on a slow
   * machine: how long one takes is for the benchmarks, here it is how that grows.
   */
  private static final long HOPELESS = 60_000_000_000L;

  private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();

  private Growth() {}

  /**
   * Inputs that differ in size alone.
   *
   * @param before what stands in front
   * @param piece what is repeated
   * @param close what closes each piece again behind all of them; empty for none
   * @param after what stands at the end
   * @param whole whether the input as a whole is one that the reader reads
   */
  record Family(
      String name, String before, String piece, String close, String after, boolean whole) {

    Family(String name, String before, String piece, String close, String after) {
      this(name, before, piece, close, after, false);
    }

    byte[] of(int signs) {
      int times = Math.max(1, signs / (piece.length() + close.length()));
      return (before + piece.repeat(times) + close.repeat(times) + after)
          .getBytes(StandardCharsets.UTF_8);
    }
  }

  /**
   * What reading a family took.
   *
   * @param nanos processor time for each size, ns
   */
  record Measured(String reader, Family family, List<Long> nanos) {

    /** How many times as long eight times as much takes: 8 where work grows linearly. */
    double growth() {
      return (double) nanos.get(3) / Math.max(NOTICED / 8, nanos.get(0));
    }

    /** Whether the largest takes so little that nothing is to be learnt from it. */
    boolean isNothing() {
      return nanos.get(3) < NOTICED;
    }

    @Override
    public String toString() {
      return Phrase.of(
          "%s, %s: %.1f %.1f %.1f %.1f ms (%.1f times)",
          reader,
          family.name(),
          nanos.get(0) / 1e6,
          nanos.get(1) / 1e6,
          nanos.get(2) / 1e6,
          nanos.get(3) / 1e6,
          growth());
    }
  }

  /** The families of a reader: each of its words and some that mean something to most of them. */
  static List<Family> families(Job job) {
    List<String> pieces = new ArrayList<>(job.words());
    pieces.addAll(
        List.of(
            " ",
            "\t",
            "\n",
            "(",
            "[",
            "{",
            "\"",
            "'",
            "<",
            "<!DOCTYPE[",
            "<!--",
            "<![CDATA[",
            "&",
            "a",
            "9",
            ".",
            ",",
            ":",
            "=",
            "|",
            "#",
            "-",
            "@",
            "name:",
            "\r",
            "\u00e9",
            "~",
            "_"));
    String start = new String(job.starts().get(0), StandardCharsets.UTF_8);
    String half = start.substring(0, start.length() / 2);
    List<Family> families = new ArrayList<>();
    for (String piece : pieces.stream().distinct().toList()) {
      String shown = piece.replace("\n", "\\n").replace("\r", "\\r").replace("\t", "\\t");
      families.add(new Family("“" + shown + "” repeated", "", piece, "", ""));
      families.add(new Family("“" + shown + "” behind the half of one", half, piece, "", "x"));
      families.add(new Family("“" + shown + "” with blanks", "x", piece + " ", "", "x"));
    }
    families.add(new Family("blanks between words", "name", " ", "", "x"));
    families.add(new Family("blanks behind a colon", "name:", " ", "", "x"));
    families.add(new Family("nested ( )", "", "(", ")", ""));
    families.add(new Family("nested [ ]", "", "[", "]", ""));
    families.add(new Family("nested { }", "", "{", "}", ""));
    families.add(new Family("nested elements", "", "<a>", "</a>", ""));
    families.add(new Family("lines", start, "\n" + lastLine(start), "", ""));
    families.addAll(WholeFamilies.of(job.name()));
    return families;
  }

  private static String lastLine(String text) {
    List<String> lines = text.lines().filter(l -> !l.isBlank()).toList();
    return lines.isEmpty() ? text : lines.get(lines.size() - 1);
  }

  /** Reads a family’s inputs, each only twice: enough to tell what is far from suspicious. */
  static Measured glance(Job job, Family family) {
    return measure(job, family, GLANCES);
  }

  /** Reads a family’s inputs. */
  static Measured measure(Job job, Family family) {
    return measure(job, family, TIMES);
  }

  private static Measured measure(Job job, Family family, int times) {
    List<Long> nanos = new ArrayList<>();
    for (int step : STEPS) {
      byte[] input = family.of(step * (family.whole() ? SMALLEST_WHOLE : SMALLEST));
      long best = Long.MAX_VALUE;
      for (int time = 0; time < times; time++) {
        long before = THREADS.getCurrentThreadCpuTime();
        job.reader().read(input);
        long took = THREADS.getCurrentThreadCpuTime() - before;
        best = Math.min(best, took);
        if (best > HOPELESS) {
          return new Measured(job.name(), family, List.of(1L, 1L, 1L, best));
        }
        if (took > 400_000_000 || best < NOTICED / 8) {
          break;
        }
      }
      nanos.add(best);
    }
    return new Measured(job.name(), family, nanos);
  }
}
