package phalanx.desktop.document;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.desktop.document.DocumentEvent.Answered;
import phalanx.desktop.document.DocumentEvent.NameChosen;
import phalanx.desktop.document.DocumentEvent.Refused;
import phalanx.desktop.document.OpenDocument.Content;
import phalanx.desktop.document.OpenDocument.Copy;
import phalanx.desktop.document.OpenDocument.Home;
import phalanx.desktop.document.OpenDocument.Reading;
import phalanx.desktop.texts.Texts;
import phalanx.formats.disk.FileStamp;
import phalanx.song.Song;
import phalanx.song.SongId;

/**
 * Decides which song goes to which file. What happens goes in, what is known then and what is asked
 * of disk and window comes out; nothing else is kept anywhere.
 *
 * <p>The disk carries out what it is asked in that order; its answers may come late, in another
 * order, or as a failure. Saves are given to it one at a time, so that each knows what the one
 * before it left in the file.
 */
public final class DocumentMachine {

  /** The document after an event, and what is asked for because of it, in order. */
  public record Step(OpenDocument document, List<Request> requests) {

    public Step {
      requests = List.copyOf(requests);
    }
  }

  private final List<Request> requests = new ArrayList<>();
  private OpenDocument now;

  private DocumentMachine(OpenDocument document) {
    now = document;
  }

  /** What an event does to a document; a closed one only finishes its saves. */
  public static Step on(OpenDocument document, DocumentEvent event) {
    DocumentMachine machine = new DocumentMachine(document);
    machine.take(event);
    machine.letGoOfQuestion();
    return new Step(machine.now, machine.requests);
  }

  private void take(DocumentEvent event) {
    if (event instanceof DocumentEvent.Saved saved) {
      saved(saved);
    } else if (event instanceof Refused refused) {
      refused(refused);
    } else if (event instanceof DocumentEvent.NotSaved failed) {
      notSaved(failed);
    } else if (!now.closed()) {
      takeWhileOpen(event);
    }
  }

  private void takeWhileOpen(DocumentEvent event) {
    if (event instanceof DocumentEvent.Edited edited) {
      now = now.with(new Content(edited.song(), now.content().saved()));
    } else if (event instanceof DocumentEvent.Asked asked) {
      // What the player wants last counts, not a file that is still on its way in.
      now = now.reading(Optional.empty());
      asked(asked.intent());
    } else if (event instanceof DocumentEvent.SaveAsked asked) {
      save(asked.fresh(), Optional.empty());
    } else if (event instanceof DocumentEvent.SaveAsAsked) {
      chooseName(Optional.empty());
    } else if (event instanceof NameChosen chosen) {
      nameChosen(chosen);
    } else if (event instanceof Answered answered) {
      now.question()
          .filter(q -> q.number() == answered.question())
          .ifPresent(q -> answered(q, answered));
    } else if (event instanceof DocumentEvent.Tick tick) {
      tick(tick.typed());
    } else if (event instanceof DocumentEvent.Read read) {
      read(read);
    } else if (event instanceof DocumentEvent.Looked looked) {
      looked(looked);
    } else if (event instanceof DocumentEvent.Kept kept) {
      kept(kept);
    }
  }

  private long number() {
    now = now.numbered();
    return now.lastNumber();
  }

  private void ask(Request request) {
    requests.add(request);
  }

  /** A question about changes that are no more, as after undo, has no answer. */
  private void letGoOfQuestion() {
    boolean settled = now.question().filter(Question.Unsaved.class::isInstance).isPresent();
    if (settled && !now.isUnsaved()) {
      now = now.askingNothing();
    }
  }

  // What puts the song away

  private void asked(Intent intent) {
    Optional<Save> last = now.lastSave();
    if (!now.isUnsaved()) {
      perform(intent, Optional.empty());
    } else if (last.filter(s -> s.then().isEmpty() && becomesSafe(s)).isPresent()) {
      // It is being written: what was wanted comes once it lies there.
      now = now.with(now.underway().replacing(last.get(), last.get().then(Optional.of(intent))));
    } else {
      now = now.asking(new Question.Unsaved(number(), intent));
    }
  }

  private boolean becomesSafe(Save save) {
    return OpenDocument.same(save.song(), identified(save, now.song()));
  }

  private static Song identified(Save save, Song song) {
    return save.song().id().map(song::withId).orElse(song);
  }

  private void perform(Intent intent, Optional<Song> givenUp) {
    if (intent instanceof Intent.New) {
      replace(Content.of(Song.untitled()), Home.NONE, List.of());
      ask(new Request.Begin());
      ask(new Request.Forget());
    } else if (intent instanceof Intent.Open open) {
      long number = number();
      now = now.reading(Optional.of(new Reading(number, givenUp)));
      ask(new Request.Read(number, open.file(), open.part()));
    } else if (intent instanceof Intent.Show show) {
      OpenedSong opened = show.song();
      replace(Content.of(opened.song()), Home.of(opened.home(), opened.stamp()), opened.told());
      ask(new Request.Remember(opened.from()));
      ask(new Request.Forget());
    } else if (intent instanceof Intent.Recover recover) {
      recover(recover.left());
    } else if (intent instanceof Intent.Close) {
      now = now.closing();
      ask(new Request.Forget());
      ask(new Request.Close());
    }
  }

  private void replace(Content next, Home at, List<String> told) {
    now = now.replacedBy(next, at).with(Copy.NONE);
    ask(new Request.Show(next.song(), told));
  }

  /** The copy that was left behind goes only once this window has one of its own. */
  private void recover(LeftCopy left) {
    Home home = Home.of(left.home(), left.stamp());
    replace(new Content(left.song(), Optional.empty()), home, List.of());
    keep(left.song(), Optional.of(left));
  }

  private void read(DocumentEvent.Read read) {
    Optional<Reading> reading = now.underway().reading().filter(r -> r.number() == read.number());
    if (reading.isEmpty()) {
      return;
    }
    now = now.reading(Optional.empty());
    boolean word =
        reading.get().givenUp().filter(s -> OpenDocument.same(s, now.song())).isPresent();
    read.song()
        .ifPresent(
            song -> {
              if (word) {
                perform(new Intent.Show(song), Optional.empty());
              } else {
                // The song may have been worked on while the file was read.
                asked(new Intent.Show(song));
              }
            });
  }

  // Saving

  private void save(SongId fresh, Optional<Intent> then) {
    Optional<Save> last = now.lastSave();
    // Once another name is chosen the next save goes there, also while the disk is still at it.
    Optional<Path> file = last.map(Save::file).or(now::file);
    if (file.isEmpty()) {
      chooseName(then);
    } else if (last.isEmpty() || then.isPresent() || !becomesSafe(last.get())) {
      Song song = now.song().id().isEmpty() ? now.song().withId(fresh) : now.song();
      // A song whose first save is on its way has its id from there.
      Song known = last.map(s -> identified(s, now.song())).orElse(song);
      write(Save.of(number(), now, file.get(), known).then(then));
    }
  }

  private void chooseName(Optional<Intent> then) {
    ask(new Request.ChooseName(now.id(), then));
  }

  private void nameChosen(NameChosen chosen) {
    if (chosen.naming().document() != now.id()) {
      ask(
          new Request.Tell(
              Texts.of("documentMachine.anotherSongCameUp", chosen.file().getFileName())));
      return;
    }
    boolean own = now.file().filter(chosen.file()::equals).isPresent();
    boolean copied = now.file().isPresent() && !own;
    Song song = now.song();
    Song known = song.id().isEmpty() || copied ? song.withId(chosen.fresh()) : song;
    Save save = Save.of(number(), now, chosen.file(), known).then(chosen.naming().then());
    write(chosen.confirmed() && !own ? save.overAnyFile() : save);
  }

  private void write(Save save) {
    boolean first = now.underway().first().isEmpty();
    now = now.saving(save);
    if (first) {
      ask(new Request.Write(save));
    }
  }

  /** The save that the disk has answered; the next one goes to it. */
  private Optional<Save> answered(long number, Optional<FileStamp> left) {
    Optional<Save> done = now.underway().first().filter(s -> s.number() == number);
    if (done.isPresent()) {
      now = now.with(now.underway().withoutFirst(left));
      now.underway().first().ifPresent(s -> ask(new Request.Write(s)));
    }
    return done;
  }

  private boolean isOpen(Save save) {
    return save.document() == now.id() && !now.closed();
  }

  private void saved(DocumentEvent.Saved answer) {
    Optional<Save> done = answered(answer.number(), answer.stamp());
    done.ifPresent(s -> ask(new Request.Remember(s.file())));
    done.filter(this::isOpen).ifPresent(s -> lies(s, answer.stamp()));
  }

  private void lies(Save save, Optional<FileStamp> stamp) {
    now =
        now.with(new Content(identified(save, now.song()), Optional.of(save.song())))
            .with(Home.of(Optional.of(save.file()), stamp))
            .with(now.underway().looking(0));
    ask(new Request.Identify(save.song()));
    if (now.question().filter(q -> !(q instanceof Question.Unsaved)).isPresent()) {
      now = now.askingNothing();
    }
    if (!now.isUnsaved()) {
      letGoOfCopy();
    }
    save.then().ifPresent(this::asked);
  }

  private void refused(Refused answer) {
    Optional<Save> asked = answered(answer.number(), Optional.empty());
    if (asked.filter(s -> !isOpen(s)).isPresent()) {
      ask(
          new Request.Tell(
              Texts.of("documentMachine.wasNotWrittenOver", asked.get().file().getFileName())));
    }
    asked.filter(this::isOpen).ifPresent(s -> now = now.asking(about(s, answer)));
  }

  private Question about(Save save, Refused answer) {
    if (answer.reason() == DocumentEvent.Reason.READ_ONLY) {
      return new Question.ReadOnly(number(), save);
    }
    FileStamp theirs = answer.theirs().orElseThrow();
    boolean own = now.file().filter(save.file()::equals).isPresent();
    return own
        ? new Question.Changed(number(), save, theirs, true)
        : new Question.Taken(number(), save, theirs);
  }

  private void notSaved(DocumentEvent.NotSaved answer) {
    answered(answer.number(), Optional.empty())
        .ifPresent(s -> ask(new Request.Tell(answer.words())));
  }

  // Questions

  private void answered(Question question, Answered answer) {
    now = now.askingNothing();
    if (question instanceof Question.Unsaved unsaved) {
      switch (answer.answer()) {
        case SAVE -> save(answer.fresh(), Optional.of(unsaved.then()));
        case DROP -> perform(unsaved.then(), Optional.of(now.song()));
        case OVER, OTHER_NAME, THEIRS, LEAVE -> {
          // To go on editing needs nothing; the others are not offered here.
        }
      }
    } else if (question instanceof Question.Changed changed) {
      about(changed.save(), Optional.of(changed.theirs()), answer);
    } else if (question instanceof Question.Taken taken) {
      about(taken.save(), Optional.of(taken.theirs()), answer);
    } else if (question instanceof Question.ReadOnly readOnly) {
      about(readOnly.save().evenReadOnly(), Optional.empty(), answer);
    }
  }

  private void about(Save save, Optional<FileStamp> theirs, Answered answer) {
    switch (answer.answer()) {
      // What lies there counts as known from now on; should it change once more it is asked again.
      case OVER -> {
        Save known = theirs.map(save::knowing).orElse(save);
        write(known.again(number(), identified(save, now.song())));
      }
      case OTHER_NAME -> chooseName(save.then());
      case THEIRS -> perform(new Intent.Open(save.file()), Optional.of(now.song()));
      case LEAVE -> theirs.ifPresent(t -> now = now.with(now.home().puttingOff(t)));
      case SAVE, DROP -> {
        // Not offered here: nothing of the player's may go by an answer to another question.
      }
    }
  }

  // What happens in turn

  private void tick(Song typed) {
    boolean idle = now.underway().first().isEmpty() && now.underway().looking() == 0;
    if (idle && now.file().isPresent() && now.home().stamp().isPresent()) {
      long number = number();
      now = now.with(now.underway().looking(number));
      ask(new Request.Look(number, now.file().get(), now.home().stamp().get()));
    }
    boolean unsaved = now.content().isUnsaved(typed);
    if (unsaved && !now.copy().song().equals(Optional.of(typed))) {
      keep(typed, now.copy().left());
    } else if (!unsaved) {
      letGoOfCopy();
    }
  }

  private void keep(Song song, Optional<LeftCopy> left) {
    long number = number();
    now = now.with(new Copy(Optional.of(song), number, left));
    ask(new Request.Keep(number, song, now.file(), now.home().stamp()));
  }

  private void letGoOfCopy() {
    if (now.copy().song().isPresent()) {
      now.copy().left().ifPresent(l -> ask(new Request.Discard(l.name())));
      now = now.with(Copy.NONE);
      ask(new Request.Forget());
    }
  }

  private void kept(DocumentEvent.Kept answer) {
    Copy copy = now.copy();
    if (copy.number() != answer.number()) {
      return;
    } else if (!answer.done()) {
      // Tried again in its turn.
      now = now.with(new Copy(Optional.empty(), 0, copy.left()));
    } else if (copy.left().isPresent()) {
      if (answer.whole()) {
        ask(new Request.Discard(copy.left().get().name()));
      }
      now = now.with(new Copy(copy.song(), copy.number(), Optional.empty()));
    }
  }

  private void looked(DocumentEvent.Looked answer) {
    if (answer.number() != now.underway().looking()) {
      return;
    }
    now = now.with(now.underway().looking(0));
    Optional<FileStamp> theirs = answer.theirs();
    boolean busy = now.question().isPresent() || now.underway().first().isPresent();
    if (theirs.isPresent()
        && !busy
        && !theirs.get().hasContentOf(now.home().putOff())
        && !theirs.get().hasContentOf(now.home().stamp())) {
      Save mine = Save.of(number(), now, now.file().orElseThrow(), now.song());
      now = now.asking(new Question.Changed(number(), mine, theirs.get(), false));
    }
  }
}
