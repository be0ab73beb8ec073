package phalanx.desktop.document;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.formats.disk.FileStamp;
import phalanx.instrument.Hand;
import phalanx.song.Song;

/**
 * What is known of the open song and its file.
 *
 * @param id tells documents apart: another song shown is another document
 * @param lastNumber the number given last to a document, a request or a question
 * @param content the song and what of it is safe
 * @param home the file it is saved into
 * @param copy the recovery copy
 * @param underway what the disk was asked and has not answered
 * @param question what the player is asked
 * @param closed whether the window has been closed
 */
public record OpenDocument(
    long id,
    long lastNumber,
    Content content,
    Home home,
    Copy copy,
    Underway underway,
    Optional<Question> question,
    boolean closed) {

  /**
   * The song.
   *
   * @param song as it is now
   * @param saved as it lies in its file, or as a new song began; empty where it lies nowhere
   */
  record Content(Song song, Optional<Song> saved) {

    /** A song as it lies in its file, or as a new one begins. */
    static Content of(Song song) {
      return new Content(song, Optional.of(song));
    }

    boolean isUnsaved(Song now) {
      return saved.filter(s -> same(s, now)).isEmpty();
    }
  }

  /**
   * Where a song is saved.
   *
   * @param file its file, if it has one
   * @param stamp what the file was like when it was last read or written here
   * @param putOff another program’s version of it, which the player wants to hear no more of
   */
  record Home(Optional<Path> file, Optional<FileStamp> stamp, Optional<FileStamp> putOff) {

    static final Home NONE = new Home(Optional.empty(), Optional.empty(), Optional.empty());

    static Home of(Optional<Path> file, Optional<FileStamp> stamp) {
      return new Home(file, file.isPresent() ? stamp : Optional.empty(), Optional.empty());
    }

    Home puttingOff(FileStamp theirs) {
      return new Home(file, stamp, Optional.of(theirs));
    }
  }

  /**
   * The recovery copy.
   *
   * @param song what the disk was last asked to keep
   * @param number the number of that request
   * @param left a copy of another program’s that goes once this one lies there
   */
  record Copy(Optional<Song> song, long number, Optional<LeftCopy> left) {

    static final Copy NONE = new Copy(Optional.empty(), 0, Optional.empty());
  }

  /**
   * What the disk was asked and has not answered.
   *
   * @param reading a file on its way in
   * @param saves songs on their way out, the one the disk has first
   * @param looking the number of the request to look at the file; 0 for none
   */
  record Underway(Optional<Reading> reading, List<Save> saves, long looking) {

    static final Underway NOTHING = new Underway(Optional.empty(), List.of(), 0);

    Underway {
      saves = List.copyOf(saves);
    }

    Underway reading(Optional<Reading> now) {
      return new Underway(now, saves, looking);
    }

    Underway saves(List<Save> now) {
      return new Underway(reading, now, looking);
    }

    /** The one that the disk has. */
    Optional<Save> first() {
      return saves.stream().findFirst();
    }

    Underway replacing(Save before, Save after) {
      return saves(saves.stream().map(s -> s.equals(before) ? after : s).toList());
    }

    /**
     * The disk has answered the first: those that follow it into its file find what it left there.
     */
    Underway withoutFirst(Optional<FileStamp> left) {
      Save done = saves.get(0);
      return saves(
          saves.stream()
              .skip(1)
              .map(s -> s.follows(done) ? left.map(s::knowing).orElse(s) : s)
              .toList());
    }

    Underway looking(long now) {
      return new Underway(reading, saves, now);
    }
  }

  /**
   * A file on its way in.
   *
   * @param number the number of the request
   * @param givenUp the song as the player gave it up for this, if it had changes
   */
  record Reading(long number, Optional<Song> givenUp) {}

  /** A song that nobody has typed in yet. */
  public static OpenDocument begun(Song song) {
    return new OpenDocument(
        1, 1, Content.of(song), Home.NONE, Copy.NONE, Underway.NOTHING, Optional.empty(), false);
  }

  /** The song now. */
  public Song song() {
    return content.song();
  }

  /** The file the song is saved into, if it has one. */
  public Optional<Path> file() {
    return home.file();
  }

  /** Whether the song has changes that lie in no file. */
  public boolean isUnsaved() {
    return content.isUnsaved(song());
  }

  /** Whether two songs are the same but for the hand of whoever plays them. */
  static boolean same(Song one, Song other) {
    return one.equals(other) || anyHand(one).equals(anyHand(other));
  }

  private static Song anyHand(Song song) {
    return song.hasOwnHand() ? song : song.withHand(Hand.MEDIUM);
  }

  /** The last save of this document that the disk has not answered. */
  Optional<Save> lastSave() {
    return underway.saves().stream().filter(s -> s.document() == id).reduce((a, b) -> b);
  }

  OpenDocument numbered() {
    return new OpenDocument(id, lastNumber + 1, content, home, copy, underway, question, closed);
  }

  OpenDocument with(Content now) {
    return new OpenDocument(id, lastNumber, now, home, copy, underway, question, closed);
  }

  OpenDocument with(Home now) {
    return new OpenDocument(id, lastNumber, content, now, copy, underway, question, closed);
  }

  OpenDocument with(Copy now) {
    return new OpenDocument(id, lastNumber, content, home, now, underway, question, closed);
  }

  OpenDocument with(Underway now) {
    return new OpenDocument(id, lastNumber, content, home, copy, now, question, closed);
  }

  OpenDocument asking(Question now) {
    return new OpenDocument(
        id, lastNumber, content, home, copy, underway, Optional.of(now), closed);
  }

  OpenDocument askingNothing() {
    return new OpenDocument(
        id, lastNumber, content, home, copy, underway, Optional.empty(), closed);
  }

  OpenDocument reading(Optional<Reading> now) {
    return with(underway.reading(now));
  }

  /** With another save asked for. */
  OpenDocument saving(Save save) {
    List<Save> more = new ArrayList<>(underway.saves());
    more.add(save);
    return with(underway.saves(more));
  }

  OpenDocument closing() {
    return new OpenDocument(
        id,
        lastNumber,
        content,
        home,
        Copy.NONE,
        underway.reading(Optional.empty()),
        Optional.empty(),
        true);
  }

  /** Another document in place of this one; saves on their way go on. */
  OpenDocument replacedBy(Content next, Home at) {
    return new OpenDocument(
        lastNumber + 1,
        lastNumber + 1,
        next,
        at,
        copy,
        underway.reading(Optional.empty()).looking(0),
        Optional.empty(),
        closed);
  }
}
