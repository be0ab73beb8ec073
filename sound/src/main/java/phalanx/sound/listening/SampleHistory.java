package phalanx.sound.listening;

/** The last samples of a stream, by their number from its beginning. */
final class SampleHistory {

  private final float[] ring;
  private long end;

  /** Keeps so many samples at least. */
  SampleHistory(int least) {
    ring = new float[Integer.highestOneBit(Math.max(2, least - 1)) * 2];
  }

  void add(float sample) {
    ring[(int) (end & (ring.length - 1))] = sample;
    end++;
  }

  /** The number of the next sample. */
  long end() {
    return end;
  }

  /** A sample; 0 before the beginning, behind the end and where it was forgotten. */
  float at(long number) {
    return number < 0 || number >= end || number < end - ring.length
        ? 0
        : ring[(int) (number & (ring.length - 1))];
  }
}
