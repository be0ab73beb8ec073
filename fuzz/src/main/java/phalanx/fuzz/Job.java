package phalanx.fuzz;

import java.util.List;

/**
 * One reader to be fuzzed.
 *
 * @param name its name, also that of its folder of found inputs
 * @param starts inputs that it reads, from which others are made
 * @param words pieces that mean something to it
 * @param reader reads an input
 */
record Job(String name, List<byte[]> starts, List<String> words, Reader reader) {

  /** Takes any bytes and answers. */
  interface Reader {

    /** What is to be done with what was read; throws nothing whatever the bytes are. */
    Runnable read(byte[] input);
  }

  @Override
  public String toString() {
    return name;
  }
}
