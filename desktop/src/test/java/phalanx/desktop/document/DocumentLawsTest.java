package phalanx.desktop.document;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import phalanx.formats.disk.FileStamp;
import phalanx.song.Song;
import phalanx.testing.Draws;

/**
 * Any order of what two windows, their players, another program and a slow disk do: no song goes
 * into another's file, and nothing unsaved is gone without the player's word.
 */
class DocumentLawsTest {

  private static final List<Path> FILES =
      List.of(Path.of("/a.phalanx.json"), Path.of("/b.phalanx.json"), Path.of("/c.phalanx.json"));

  @Property(tries = 4000)
  void everyOrderOfEventsKeepsEverySong(@ForAll Draws draws) {
    World world = new World(draws);
    for (int i = 0; i < 130; i++) {
      world.step();
      world.check();
    }
    world.end();
  }

  /** Two windows over one disk, and what the players have said of which song. */
  private static final class World {

    private final Draws draws;
    private final FakeDisk disk = new FakeDisk(this::written);
    private final List<FakeWindow> windows = new ArrayList<>();

    /** Titles of songs that players have said may go, or that other programs wrote over. */
    private final Set<String> givenUp = new HashSet<>();

    /** Which document the player has let write over whatever is in which file. */
    private final Set<String> overwritten = new HashSet<>();

    /** Which document has shown its player which state of which file, or has written it. */
    private final Set<String> seen = new HashSet<>();

    /** Titles of all that ever lay in a file. */
    private final Set<String> written = new HashSet<>();

    private int titles;

    private int starts;

    World(Draws draws) {
      this.draws = draws;
      FILES.forEach(f -> disk.write(f, named("file " + ++titles)));
      windows.add(start());
      windows.add(start());
    }

    private FakeWindow start() {
      return new FakeWindow(disk, "window " + ++starts);
    }

    private static Song named(String title) {
      return Song.untitled().withTitle(title);
    }

    void step() {
      int which = draws.nextInt(windows.size());
      FakeWindow window = windows.get(which);
      OpenDocument was = window.document;
      step(which, window);
      if (window.document.id() != was.id()) {
        window
            .document
            .home()
            .stamp()
            .ifPresent(t -> sees(window, window.document.file().get(), t));
      }
      if (window.document.id() != was.id() || window.closed) {
        assertThat(isSafe(was.song())).as("%s is put away", was.song().title()).isTrue();
      }
      if (window.closed) {
        window.disk.settle();
        window.disk.end();
        windows.set(which, start());
      }
    }

    private boolean isSafe(Song song) {
      String title = song.title();
      return title.equals("Untitled") || givenUp.contains(title) || written.contains(title);
    }

    private void step(int which, FakeWindow window) {
      switch (draws.nextInt(16)) {
        case 0, 1, 2 -> window.edit("song " + ++titles);
        case 3 -> window.wants(new Intent.New());
        case 4, 5 -> window.wants(new Intent.Open(draws.of(FILES)));
        case 6 -> window.save();
        case 7 -> chooseName(window, true);
        case 8 -> answer(window);
        case 9 -> window.tick();
        case 10 -> otherProgram();
        case 11, 12 -> window.disk.carryOut(draws.nextInt(6) == 1);
        case 13 -> window.disk.answer(draws.nextInt(4));
        case 14 -> {
          switch (draws.nextInt(4)) {
            case 0 -> crash(which);
            case 1 -> window.wants(new Intent.Close());
            case 2 ->
                disk.left().stream()
                    .findFirst()
                    .ifPresent(l -> window.wants(new Intent.Recover(l)));
            default -> toggleReadOnly();
          }
        }
        default -> window.naming.ifPresent(n -> chooseName(window, false));
      }
    }

    private void sees(FakeWindow window, Path file, FileStamp stamp) {
      seen.add(document(window) + file + stamp.changed());
    }

    private static String document(FakeWindow window) {
      return window.disk.name + "#" + window.document.id();
    }

    private void chooseName(FakeWindow window, boolean asks) {
      if (asks) {
        window.happens(new DocumentEvent.SaveAsAsked());
      }
      Path file = draws.of(FILES);
      boolean confirmed = draws.nextBoolean();
      if (confirmed
          && window.naming.filter(n -> n.document() == window.document.id()).isPresent()) {
        // The chooser asked, and the player said that what lies there may go, now or soon.
        overwritten.add(document(window) + file);
      }
      if (window.naming.isPresent()) {
        window.choose(file, confirmed);
      }
    }

    private void answer(FakeWindow window) {
      Optional<Question> question = window.document.question();
      if (question.isEmpty()) {
        return;
      }
      Question.Answer answer = draws.of(List.of(Question.Answer.values()));
      if (answer == Question.Answer.DROP || answer == Question.Answer.THEIRS) {
        givenUp.add(window.title());
      }
      if (answer == Question.Answer.OVER) {
        theirs(window, question.get());
      }
      window.answer(answer);
    }

    private void theirs(FakeWindow window, Question question) {
      if (question instanceof Question.Changed changed) {
        sees(window, changed.save().file(), changed.theirs());
      } else if (question instanceof Question.Taken taken) {
        sees(window, taken.save().file(), taken.theirs());
      }
    }

    private void otherProgram() {
      Path file = draws.of(FILES);
      disk.write(file, named("other " + ++titles));
    }

    private void toggleReadOnly() {
      Path file = draws.of(FILES);
      if (!disk.readOnly.remove(file)) {
        disk.readOnly.add(file);
      }
    }

    /** After the disk has had its time nothing is lost by a crash but what no tick has seen. */
    private void crash(int which) {
      FakeWindow window = windows.get(which);
      window.tick();
      window.disk.settle();
      window.tick();
      window.disk.settle();
      boolean unsaved = window.document.isUnsaved();
      Song song = window.document.song();
      window.disk.end();
      windows.set(which, start());
      if (unsaved) {
        assertThat(disk.left()).as("what a crash leaves").extracting(LeftCopy::song).contains(song);
      }
    }

    private void written(Path file, Optional<FakeDisk.Lying> before, FakeDisk.Lying now) {
      written.add(now.song().title());
      if (before.isPresent() && !now.writer().isEmpty()) {
        assertThat(
                before.get().writer().equals(now.writer())
                    || seen.contains(now.writer() + file + before.get().stamp().changed())
                    || overwritten.contains(now.writer() + file))
            .as("%s: %s was written over %s", file, now, before.get())
            .isTrue();
      }
    }

    void check() {
      windows.forEach(this::checkQuestion);
    }

    private void checkQuestion(FakeWindow window) {
      OpenDocument document = window.document;
      document
          .question()
          .ifPresent(
              q -> {
                if (q instanceof Question.Unsaved) {
                  assertThat(document.isUnsaved()).as("a question that no longer applies").isTrue();
                } else {
                  long of =
                      q instanceof Question.Changed c
                          ? c.save().document()
                          : q instanceof Question.Taken t
                              ? t.save().document()
                              : ((Question.ReadOnly) q).save().document();
                  assertThat(of).as("whose question it is").isEqualTo(document.id());
                }
              });
    }

    /** With time the disk has everything: what is saved leaves no copy, what is not has one. */
    void end() {
      for (FakeWindow window : windows) {
        window.disk.settle();
        window.tick();
        window.disk.settle();
        List<Song> kept = disk.copies.values().stream().map(FakeDisk.Copy::song).toList();
        if (window.document.isUnsaved()) {
          assertThat(kept).contains(window.document.song());
        }
      }
    }
  }
}
