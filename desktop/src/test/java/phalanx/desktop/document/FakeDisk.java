package phalanx.desktop.document;

import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Consumer;
import phalanx.formats.disk.FileStamp;
import phalanx.song.Song;

/**
 * A disk in memory that several windows share. What it is asked waits until {@link Line#carryOut},
 * its answers wait until they are taken, one of those waiting: so it is as slow, late and out of
 * order as a test wants, and may refuse.
 */
final class FakeDisk {

  /**
   * What lies in a file.
   *
   * @param time when it was written
   * @param writer the window and the number of its document that wrote it; empty for other programs
   */
  record Lying(Song song, long time, String writer) {

    @Override
    public String toString() {
      return song.title() + " at " + time + (writer.isEmpty() ? "" : " by " + writer);
    }

    FileStamp stamp() {
      return new FileStamp(1, FileTime.fromMillis(time), "", song.title().hashCode());
    }
  }

  /** A recovery copy and the window that holds it. */
  record Copy(Song song, Optional<Path> home, Optional<FileStamp> stamp, boolean held) {}

  final Map<Path, Lying> files = new TreeMap<>();
  final Map<String, Copy> copies = new TreeMap<>();
  final Set<Path> readOnly = new TreeSet<>();
  private final Overwriting watch;
  private long time;

  /** Sees what is written over what. */
  interface Overwriting {
    void see(Path file, Optional<Lying> before, Lying now);
  }

  FakeDisk() {
    this((file, before, now) -> {});
  }

  FakeDisk(Overwriting watch) {
    this.watch = watch;
  }

  private void put(Path file, Lying lying) {
    watch.see(file, Optional.ofNullable(files.put(file, lying)), lying);
  }

  /** Another program writes a file. */
  void write(Path file, Song song) {
    put(file, new Lying(song, ++time, ""));
  }

  /** The copies that no window holds. */
  List<LeftCopy> left() {
    return copies.entrySet().stream()
        .filter(e -> !e.getValue().held())
        .map(
            e ->
                new LeftCopy(
                    e.getKey(),
                    e.getValue().song(),
                    e.getValue().home(),
                    e.getValue().stamp(),
                    Optional.empty()))
        .toList();
  }

  /** The disk as one window uses it. */
  final class Line implements Disk {

    final String name;
    private final Deque<Runnable> waiting = new ArrayDeque<>();
    private final List<Runnable> answers = new ArrayList<>();
    private boolean failing;

    Line(String name) {
      this.name = name;
    }

    @Override
    public void carryOut(Request.OfDisk request, Consumer<DocumentEvent> answer) {
      waiting.add(() -> answer(request).ifPresent(e -> answers.add(() -> answer.accept(e))));
    }

    boolean hasWork() {
      return !waiting.isEmpty();
    }

    boolean hasAnswers() {
      return !answers.isEmpty();
    }

    /** Carries out what was asked first, or refuses to. */
    void carryOut(boolean fails) {
      failing = fails;
      if (!waiting.isEmpty()) {
        waiting.remove().run();
      }
      failing = false;
    }

    /** Hands over one of the answers that wait. */
    void answer(int which) {
      if (!answers.isEmpty()) {
        answers.remove(which % answers.size()).run();
      }
    }

    void settle() {
      while (hasWork() || hasAnswers()) {
        carryOut(false);
        answer(0);
      }
    }

    /** The program ends: nothing more is carried out, and its copy is nobody's. */
    void end() {
      waiting.clear();
      answers.clear();
      copies.computeIfPresent(name, (n, c) -> new Copy(c.song(), c.home(), c.stamp(), false));
    }

    private Optional<DocumentEvent> answer(Request.OfDisk request) {
      if (request instanceof Request.Read read) {
        return Optional.of(new DocumentEvent.Read(read.number(), read(read.file())));
      } else if (request instanceof Request.Write write) {
        return Optional.of(write(write.save()));
      } else if (request instanceof Request.Look look) {
        return Optional.of(new DocumentEvent.Looked(look.number(), look(look)));
      } else if (request instanceof Request.Keep keep) {
        if (!failing) {
          copies.put(name, new Copy(keep.song(), keep.home(), keep.stamp(), true));
        }
        return Optional.of(new DocumentEvent.Kept(keep.number(), !failing, !failing));
      } else if (request instanceof Request.Forget) {
        if (!failing) {
          copies.remove(name);
        }
      } else if (request instanceof Request.Discard discard && !failing) {
        copies.computeIfPresent(discard.left(), (n, c) -> c.held() ? c : null);
      }
      return Optional.empty();
    }

    private Optional<OpenedSong> read(Path file) {
      return Optional.ofNullable(failing ? null : files.get(file))
          .map(
              f ->
                  new OpenedSong(
                      file, f.song(), Optional.of(file), Optional.of(f.stamp()), List.of()));
    }

    private Optional<FileStamp> look(Request.Look look) {
      return Optional.ofNullable(failing ? null : files.get(look.file()))
          .map(Lying::stamp)
          .filter(s -> !s.hasContentOf(Optional.of(look.known())));
    }

    private DocumentEvent write(Save save) {
      Optional<FileStamp> there = Optional.ofNullable(files.get(save.file())).map(Lying::stamp);
      if (failing) {
        return new DocumentEvent.NotSaved(save.number(), "the disk is full");
      } else if (!save.overOther()
          && there.filter(s -> !s.hasContentOf(save.known())).isPresent()) {
        return new DocumentEvent.Refused(save.number(), DocumentEvent.Reason.OTHER, there);
      } else if (readOnly.contains(save.file()) && !save.overReadOnly()) {
        return new DocumentEvent.Refused(
            save.number(), DocumentEvent.Reason.READ_ONLY, Optional.empty());
      }
      put(save.file(), new Lying(save.song(), ++time, name + "#" + save.document()));
      return new DocumentEvent.Saved(save.number(), Optional.of(files.get(save.file()).stamp()));
    }
  }
}
