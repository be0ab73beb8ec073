package phalanx.desktop.document;

import java.nio.file.Path;
import java.util.Optional;
import phalanx.formats.disk.FileStamp;
import phalanx.song.Song;
import phalanx.song.SongId;

/** What happens to the open document: by the player, by time, or as an answer of the disk. */
public sealed interface DocumentEvent {

  /** The song is another by an edit, undo or redo. */
  record Edited(Song song) implements DocumentEvent {}

  /** The player wants something that puts the song away. */
  record Asked(Intent intent) implements DocumentEvent {}

  /**
   * The player saves.
   *
   * @param fresh an id no other song has, for a song that has none
   */
  record SaveAsked(SongId fresh) implements DocumentEvent {}

  /** The player wants to save under another name. */
  record SaveAsAsked() implements DocumentEvent {}

  /**
   * The player chose a file to save into.
   *
   * @param naming the request it answers
   * @param file the file
   * @param confirmed whether the player was asked already if something lies there
   * @param fresh an id no other song has
   */
  record NameChosen(Request.ChooseName naming, Path file, boolean confirmed, SongId fresh)
      implements DocumentEvent {}

  /** The player answered a question. */
  record Answered(long question, Question.Answer answer, SongId fresh) implements DocumentEvent {}

  /**
   * Time has passed: what is unsaved is kept, and the file looked at.
   *
   * @param typed the song with what stands in a cell that is still being typed in
   */
  record Tick(Song typed) implements DocumentEvent {}

  /** A file was read; empty where it cannot be used, which the disk has told. */
  record Read(long number, Optional<OpenedSong> song) implements DocumentEvent {}

  /** A song lies in its file. */
  record Saved(long number, Optional<FileStamp> stamp) implements DocumentEvent {}

  /** Why a song was not written although the disk could have. */
  enum Reason {
    /** Something else lies there. */
    OTHER,
    /** It may only be read. */
    READ_ONLY
  }

  /** A song was not written because the player has to be asked. */
  record Refused(long number, Reason reason, Optional<FileStamp> theirs) implements DocumentEvent {}

  /** A song could not be written. */
  record NotSaved(long number, String words) implements DocumentEvent {}

  /** A file was looked at; with its stamp where it has other contents than it had. */
  record Looked(long number, Optional<FileStamp> theirs) implements DocumentEvent {}

  /**
   * The recovery copy was written, or could not be.
   *
   * @param whole whether all of the song is in it
   */
  record Kept(long number, boolean done, boolean whole) implements DocumentEvent {}
}
