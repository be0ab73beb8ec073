package phalanx.fuzz;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Random;

/** Makes odd input of good input, the same for the same seed. */
final class Mutation {

  /** Values at which readers of numbers go wrong. */
  private static final List<String> NUMBERS =
      List.of(
          "0",
          "-1",
          "1",
          "7",
          "13",
          "99",
          "128",
          "255",
          "65536",
          "2147483647",
          "2147483648",
          "-2147483648",
          "9223372036854775808",
          "99999999999999999999",
          "1E99999999",
          "1e-99999999",
          "1E999999999",
          "0.0000001",
          "-0",
          "NaN",
          "Infinity",
          "0x10",
          "٣",
          "½",
          "1000000000");

  /** Signs at which readers of text go wrong. */
  private static final List<String> SIGNS =
      List.of(
          "\u0000",
          "\uFEFF",
          "\u200F",
          "\u2028",
          "\uD83C\uDFB8",
          "\u0301",
          "\u00A0",
          "İ",
          "ß",
          "\r",
          "\r\n",
          "\t",
          "\u001b[2J",
          "♯",
          "𝄪",
          "\\u0000",
          "\\ud800",
          "&amp;",
          "&x;",
          "]]>",
          "<!--",
          "\"",
          "'",
          "\\",
          "|",
          "{",
          "}",
          "[",
          "]",
          ":",
          "%",
          "=",
          "@",
          "~",
          "/");

  /** Inputs do not grow beyond this. */
  private static final int LONGEST = 400_000;

  private final Random random;
  private final Job job;

  Mutation(Job job, long seed) {
    this.job = job;
    random = new Random(seed);
  }

  /** One input. */
  byte[] next() {
    byte[] input = start();
    int turns = 1 + random.nextInt(random.nextInt(4) == 0 ? 12 : 3);
    for (int turn = 0; turn < turns; turn++) {
      input = spoilt(input);
    }
    return input.length > LONGEST ? Arrays.copyOf(input, LONGEST) : input;
  }

  private byte[] start() {
    if (random.nextInt(20) == 0) {
      byte[] noise = new byte[random.nextInt(200)];
      random.nextBytes(noise);
      return noise;
    }
    return job.starts().get(random.nextInt(job.starts().size()));
  }

  private byte[] spoilt(byte[] in) {
    int at = random.nextInt(in.length + 1);
    int end = Math.min(in.length, at + 1 + random.nextInt(random.nextBoolean() ? 4 : 60));
    return switch (random.nextInt(12)) {
      case 0 -> with(in, at, Math.min(in.length, at + 1), new byte[] {(byte) random.nextInt(256)});
      case 1 -> with(in, at, end, new byte[0]);
      case 2 -> with(in, at, at, Arrays.copyOfRange(in, at, end));
      case 3 -> with(in, at, at, bytes(of(SIGNS)));
      case 4 -> number(in, at);
      case 5, 6 -> with(in, at, random.nextBoolean() ? at : end, bytes(word()));
      case 7 -> splice(in, at);
      case 8 -> with(in, at, at, repeated(Arrays.copyOfRange(in, at, end)));
      case 9 -> with(in, at, at, repeated(bytes(random.nextBoolean() ? of(SIGNS) : word())));
      case 10 -> Arrays.copyOf(in, at);
      default -> flipped(in, at);
    };
  }

  private <T> T of(List<T> values) {
    return values.get(random.nextInt(values.size()));
  }

  private String word() {
    return job.words().isEmpty() ? of(SIGNS) : of(job.words());
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private static byte[] with(byte[] in, int from, int to, byte[] put) {
    byte[] out = new byte[in.length - (to - from) + put.length];
    System.arraycopy(in, 0, out, 0, from);
    System.arraycopy(put, 0, out, from, put.length);
    System.arraycopy(in, to, out, from + put.length, in.length - to);
    return out;
  }

  /** Another number in the place of the next one. */
  private byte[] number(byte[] in, int at) {
    int from = at;
    while (from < in.length && !Character.isDigit(in[from])) {
      from++;
    }
    int to = from;
    while (to < in.length && Character.isDigit(in[to])) {
      to++;
    }
    String put = random.nextInt(8) == 0 ? "9".repeat(1 + random.nextInt(5000)) : of(NUMBERS);
    return with(in, from, to, bytes(put));
  }

  /** The start of this input and the end of another. */
  private byte[] splice(byte[] in, int at) {
    byte[] other = of(job.starts());
    int from = random.nextInt(other.length + 1);
    byte[] tail = Arrays.copyOfRange(other, from, other.length);
    return with(in, at, in.length, tail);
  }

  /** Nesting and long lines. */
  private byte[] repeated(byte[] piece) {
    int times = 1 + random.nextInt(random.nextInt(6) == 0 ? 20_000 : 100);
    int most = Math.max(1, Math.min(times, LONGEST / 4 / Math.max(1, piece.length)));
    byte[] out = new byte[most * piece.length];
    for (int t = 0; t < most; t++) {
      System.arraycopy(piece, 0, out, t * piece.length, piece.length);
    }
    return out;
  }

  private byte[] flipped(byte[] in, int at) {
    byte[] out = in.clone();
    if (at < out.length) {
      out[at] ^= (byte) (1 << random.nextInt(8));
    }
    return out;
  }
}
