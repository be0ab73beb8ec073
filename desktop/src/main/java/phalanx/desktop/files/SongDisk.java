package phalanx.desktop.files;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import phalanx.desktop.document.Disk;
import phalanx.desktop.document.DocumentEvent;
import phalanx.desktop.document.OpenedSong;
import phalanx.desktop.document.Request;
import phalanx.desktop.document.Save;
import phalanx.desktop.texts.Texts;
import phalanx.formats.SongFiles;
import phalanx.formats.disk.AtomicFile;
import phalanx.formats.disk.DiskTrouble;
import phalanx.formats.disk.FileStamp;

/** Songs on the real disk, one thing after the other, away from the interface's thread. */
final class SongDisk implements Disk {

  private final Executor disk;
  private final Executor interfaceThread;
  private final Recovery recovery;
  private final SaveLock lock;
  private final Predicate<Path> isPattern;
  private final Trouble trouble;

  /** Takes what went wrong; on the interface's thread. */
  interface Trouble {

    /** In the player's words. */
    void tell(List<String> words);

    /** A fault of the program's own. */
    void fault(String what, Throwable fault);
  }

  /**
   * A disk.
   *
   * @param isPattern whether a file is one to start from, such as a demo song, never saved into
   */
  SongDisk(
      Executor disk,
      Executor interfaceThread,
      PlayerFolder folder,
      Predicate<Path> isPattern,
      Trouble trouble) {
    this.disk = disk;
    this.interfaceThread = interfaceThread;
    recovery = new Recovery(folder);
    lock = new SaveLock(folder);
    this.isPattern = isPattern;
    this.trouble = trouble;
  }

  Recovery recovery() {
    return recovery;
  }

  @Override
  public void carryOut(Request.OfDisk request, Consumer<DocumentEvent> answer) {
    disk.execute(
        () -> answer(request).ifPresent(e -> interfaceThread.execute(() -> answer.accept(e))));
  }

  private Optional<DocumentEvent> answer(Request.OfDisk request) {
    if (request instanceof Request.Read read) {
      return Optional.of(
          guarded(
              Texts.of("songDisk.couldNotBeRead", read.file().getFileName()),
              () -> new DocumentEvent.Read(read.number(), read(read.file(), read.part())),
              why -> new DocumentEvent.Read(read.number(), Optional.empty())));
    } else if (request instanceof Request.Write write) {
      Save save = write.save();
      return Optional.of(
          guarded(
              Texts.of("songDisk.couldNotBeSaved", save.file().getFileName()),
              () -> write(save),
              why -> new DocumentEvent.NotSaved(save.number(), why)));
    } else if (request instanceof Request.Look look) {
      return Optional.of(
          guarded(
              Texts.of("songDisk.couldNotBeLooked", look.file().getFileName()),
              () -> new DocumentEvent.Looked(look.number(), look.known().outdatedBy(look.file())),
              why -> new DocumentEvent.Looked(look.number(), Optional.empty())));
    }
    return ofCopies(request);
  }

  private Optional<DocumentEvent> ofCopies(Request.OfDisk request) {
    String what = Texts.of("songDisk.theRecoveryCopyCould");
    if (request instanceof Request.Keep keep) {
      return Optional.of(
          guarded(
              what, () -> keep(keep), w -> new DocumentEvent.Kept(keep.number(), false, false)));
    } else if (request instanceof Request.Forget) {
      return guarded(what, () -> none(recovery::forget), why -> Optional.empty());
    } else if (request instanceof Request.Discard discard) {
      return guarded(
          what, () -> none(() -> recovery.discard(discard.left())), w -> Optional.empty());
    }
    throw new IllegalStateException("nothing carries out " + request);
  }

  private interface Work<T> {
    T run() throws IOException;
  }

  private interface Deed {
    void run() throws IOException;
  }

  private static Optional<DocumentEvent> none(Deed deed) throws IOException {
    deed.run();
    return Optional.empty();
  }

  /** Always answers, also where the disk refuses or the program fails; both are told. */
  private <T> T guarded(String what, Work<T> work, Function<String, T> failed) {
    try {
      return work.run();
    } catch (IOException e) {
      tell(what + ": " + DiskTrouble.why(e) + ".");
      return failed.apply(what + ": " + DiskTrouble.why(e) + ".");
    } catch (RuntimeException | Error e) {
      interfaceThread.execute(() -> trouble.fault(what, e));
      return failed.apply(what + ".");
    }
  }

  private void tell(String... words) {
    interfaceThread.execute(() -> trouble.tell(List.of(words)));
  }

  private Optional<OpenedSong> read(Path file, Optional<String> part) {
    Optional<FileStamp> stamp = FileStamp.of(file);
    SongFiles.Opened opened = SongFiles.open(file, part);
    String name = file.getFileName().toString();
    List<String> told = new ArrayList<>(opened.told().stream().map(p -> p.in(name)).toList());
    if (opened.song().isEmpty()) {
      interfaceThread.execute(() -> trouble.tell(told));
      return Optional.empty();
    }
    boolean whole = opened.problems().isEmpty();
    if (SongFiles.isOwn(file) && !whole) {
      // Saved over, it would lose what could not be read of it.
      told.add(0, Texts.of("songDisk.wasReadInPart", name));
    }
    if (opened.song().get().isTuneAlone()) {
      told.add(0, Texts.of("songDisk.thereAreNoChords", name));
    }
    boolean saved = SongFiles.isOwn(file) && whole && !isPattern.test(file);
    return Optional.of(
        new OpenedSong(
            file,
            opened.song().get(),
            saved ? Optional.of(file) : Optional.empty(),
            saved ? stamp : Optional.empty(),
            told));
  }

  /** Looks and writes in one, so that two windows never do so at once. */
  private DocumentEvent write(Save save) {
    SaveLock.Held held = lock.take();
    try {
      return writeAlone(save);
    } finally {
      held.close();
    }
  }

  private static DocumentEvent writeAlone(Save save) {
    Optional<FileStamp> theirs = save.overOther() ? Optional.empty() : theirs(save);
    if (theirs.isPresent()) {
      return new DocumentEvent.Refused(save.number(), DocumentEvent.Reason.OTHER, theirs);
    }
    try {
      SongFiles.save(save.song(), save.file(), save.overReadOnly());
    } catch (AtomicFile.ReadOnly e) {
      return new DocumentEvent.Refused(
          save.number(), DocumentEvent.Reason.READ_ONLY, Optional.empty());
    } catch (IOException e) {
      return new DocumentEvent.NotSaved(
          save.number(), Texts.of("songDisk.nothingIsLost", save.file(), DiskTrouble.writing(e)));
    }
    return new DocumentEvent.Saved(save.number(), FileStamp.of(save.file()));
  }

  private static Optional<FileStamp> theirs(Save save) {
    return save.known().isPresent()
        ? save.known().get().outdatedBy(save.file())
        : FileStamp.of(save.file());
  }

  private DocumentEvent keep(Request.Keep keep) throws IOException {
    Optional<Path> raw = recovery.keep(keep.song(), keep.home(), keep.stamp());
    raw.ifPresent(r -> tell(Texts.of("songDisk.thisSongCannotBe", r)));
    return new DocumentEvent.Kept(keep.number(), true, raw.isEmpty());
  }
}
