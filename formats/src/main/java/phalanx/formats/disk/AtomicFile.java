package phalanx.formats.disk;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.FileSystemLoopException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermission;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.CRC32C;
import org.slf4j.LoggerFactory;
import phalanx.formats.Texts;
import phalanx.text.Phrase;
import phalanx.theory.Quoted;

/**
 * Writes files that appear whole or not at all: to a draft beside it first, which is flushed to the
 * disk and then takes the file's name. Whoever is stopped in between leaves the old file as it was.
 *
 * <p>Every writer has a draft of its own, so that two programs saving one file leave the one's or
 * the other's. A draft's name holds the number of its process; drafts of processes that are gone
 * are cleared away. A link stays a link and what it leads to is written; permissions stay.
 */
public final class AtomicFile {

  private static final AtomicLong DRAFTS = new AtomicLong();
  private static final String ENDING = ".part";

  /** Systems allow 255 bytes, of which the rest of a draft's name takes some thirty. */
  private static final int LONGEST_STEM = 200;

  /** Links that lead to links further than this lead in a circle. */
  private static final int MOST_LINKS = 40;

  private AtomicFile() {}

  /** The file may only be read; writing over it is for the player to decide. */
  public static final class ReadOnly extends IOException {
    private static final long serialVersionUID = 1;

    ReadOnly() {
      super(Texts.of("atomicFile.theFileIsMarked"));
    }
  }

  /**
   * Puts text into a file as UTF-8, replacing what was there.
   *
   * @throws ReadOnly if it may only be read
   * @throws IOException if it cannot be written; it is then as it was
   */
  public static void write(Path file, String text) throws IOException {
    write(file, text, false);
  }

  /**
   * Puts text into a file as UTF-8, replacing what was there.
   *
   * @param overReadOnly whether a file that may only be read is written over
   * @throws ReadOnly if it may only be read and that is not wanted
   * @throws IOException if it cannot be written; it is then as it was
   */
  public static void write(Path file, String text, boolean overReadOnly) throws IOException {
    write(file, text.getBytes(StandardCharsets.UTF_8), overReadOnly);
  }

  /**
   * Puts bytes into a file, replacing what was there.
   *
   * @param overReadOnly whether a file that may only be read is written over
   * @throws ReadOnly if it may only be read and that is not wanted
   * @throws IOException if it cannot be written; it is then as it was
   */
  public static void write(Path file, byte[] bytes, boolean overReadOnly) throws IOException {
    write(file, out -> out.write(bytes), overReadOnly);
  }

  /** What is put into a file, piece by piece. */
  public interface Content {
    /** Writes all of it; whatever it throws leaves the file as it was. */
    void into(OutputStream out) throws IOException;
  }

  /**
   * Puts something into a file that is not all in hand at once, replacing what was there.
   *
   * @param overReadOnly whether a file that may only be read is written over
   * @throws ReadOnly if it may only be read and that is not wanted
   * @throws IOException if it cannot be written; it is then as it was
   */
  public static void write(Path file, Content content, boolean overReadOnly) throws IOException {
    Path target = target(file.toAbsolutePath());
    boolean there = Files.exists(target);
    if (there && Files.isDirectory(target)) {
      throw new DiskTrouble(Texts.of("atomicFile.cannotBeWrittenIt"));
    } else if (there && !Files.isRegularFile(target)) {
      throw new DiskTrouble(Texts.of("atomicFile.cannotBeWrittenIt2"));
    } else if (there && !overReadOnly && isReadOnly(target)) {
      throw new ReadOnly();
    }
    String name = target.getFileName().toString();
    long process = ProcessHandle.current().pid();
    Path draft =
        target.resolveSibling(
            Phrase.of(".%s.%d-%d%s", stem(name), process, DRAFTS.incrementAndGet(), ENDING));
    boolean moved = false;
    try {
      fill(draft, content);
      if (there) {
        takeOver(target, draft);
      }
      Files.move(
          draft, target, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
      moved = true;
    } catch (NoSuchFileException e) {
      throw new DiskTrouble(Texts.of("atomicFile.cannotBeWrittenThere", target.getParent()));
    } finally {
      if (!moved) {
        clear(draft);
      }
    }
    flushFolder(target.getParent());
    clearLeft(target.getParent(), name);
  }

  /** What a file's drafts are called after: its name, or a shorter one where there is no room. */
  private static String stem(String name) {
    byte[] bytes = name.getBytes(StandardCharsets.UTF_8);
    if (bytes.length <= LONGEST_STEM) {
      return name;
    }
    CRC32C sum = new CRC32C();
    sum.update(bytes);
    return Phrase.of("%s~%08x", Quoted.start(name, LONGEST_STEM / 4), sum.getValue());
  }

  /** What a link leads to, also where nothing is there yet. */
  private static Path target(Path file) throws IOException {
    Path at = file;
    for (int link = 0; Files.isSymbolicLink(at); link++) {
      if (link == MOST_LINKS) {
        throw new FileSystemLoopException(file.toString());
      }
      at = at.resolveSibling(Files.readSymbolicLink(at));
    }
    return at;
  }

  /** By its permissions, which also count for those who could write it all the same. */
  private static boolean isReadOnly(Path file) throws IOException {
    PosixFileAttributeView view = posix(file);
    return view == null
        ? !Files.isWritable(file)
        : !view.readAttributes().permissions().contains(PosixFilePermission.OWNER_WRITE);
  }

  private static PosixFileAttributeView posix(Path file) {
    return Files.getFileAttributeView(file, PosixFileAttributeView.class);
  }

  /** Into a file that is not there yet, so that no link is ever followed. */
  private static void fill(Path draft, Content content) throws IOException {
    try (FileChannel channel =
        FileChannel.open(
            draft,
            StandardOpenOption.CREATE_NEW,
            StandardOpenOption.WRITE,
            LinkOption.NOFOLLOW_LINKS)) {
      OutputStream out = new BufferedOutputStream(Channels.newOutputStream(channel));
      content.into(out);
      out.flush();
      channel.force(true);
    }
  }

  private static void takeOver(Path from, Path draft) throws IOException {
    PosixFileAttributeView view = posix(from);
    if (view != null) {
      posix(draft).setPermissions(view.readAttributes().permissions());
    }
  }

  /** Makes the new name last through a power cut, on systems that let a folder be opened. */
  private static void flushFolder(Path folder) {
    try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
      channel.force(true);
    } catch (IOException e) {
      LoggerFactory.getLogger(AtomicFile.class).debug("{} was not flushed", folder, e);
    }
  }

  /** Takes the drafts of a file away whose programs are gone; that the save went well stands. */
  private static void clearLeft(Path folder, String name) {
    Pattern drafts =
        Pattern.compile(
            Pattern.quote("." + stem(name) + ".") + "(\\d{1,18})-\\d+" + Pattern.quote(ENDING));
    try (DirectoryStream<Path> all = Files.newDirectoryStream(folder, ".*" + ENDING)) {
      for (Path file : all) {
        Matcher m = drafts.matcher(file.getFileName().toString());
        if (m.matches() && ProcessHandle.of(Long.parseLong(m.group(1))).isEmpty()) {
          clear(file);
        }
      }
    } catch (IOException e) {
      LoggerFactory.getLogger(AtomicFile.class).warn("{} was not looked through", folder, e);
    }
  }

  private static void clear(Path draft) {
    try {
      Files.deleteIfExists(draft);
    } catch (IOException e) {
      LoggerFactory.getLogger(AtomicFile.class).warn("the draft {} is left", draft, e);
    }
  }
}
