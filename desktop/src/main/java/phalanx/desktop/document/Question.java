package phalanx.desktop.document;

import phalanx.formats.disk.FileStamp;

/**
 * What only the player can decide. A question belongs to one document; it is gone as soon as it no
 * longer applies, and an answer to a question that is gone does nothing.
 */
public sealed interface Question {

  /** What the player may answer. */
  enum Answer {
    /** Save first, then go on. */
    SAVE,
    /** Give the changes up. */
    DROP,
    /** Write over what lies there. */
    OVER,
    /** Choose another name. */
    OTHER_NAME,
    /** Show what lies in the file instead. */
    THEIRS,
    /** Leave everything as it is. */
    LEAVE
  }

  /** The number an answer has to name. */
  long number();

  /** The song has changes, and something would put it away. */
  record Unsaved(long number, Intent then) implements Question {}

  /**
   * Another program has written the file that the song is saved into.
   *
   * @param asked whether the player was saving; otherwise it was noticed while they worked
   */
  record Changed(long number, Save save, FileStamp theirs, boolean asked) implements Question {}

  /** Something lies under the name that the player chose. */
  record Taken(long number, Save save, FileStamp theirs) implements Question {}

  /** The file may only be read. */
  record ReadOnly(long number, Save save) implements Question {}
}
