package phalanx.desktop.document;

import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import phalanx.song.Song;
import phalanx.song.SongId;

/** A window without a toolkit: it hands events to the machine and carries out what it asks. */
final class FakeWindow {

  final FakeDisk.Line disk;
  final List<Request> asked = new ArrayList<>();
  private final Deque<DocumentEvent> events = new ArrayDeque<>();
  private boolean busy;
  OpenDocument document = OpenDocument.begun(Song.untitled());
  Optional<Request.ChooseName> naming = Optional.empty();
  boolean closed;
  private long ids;

  FakeWindow(FakeDisk disk, String name) {
    this.disk = disk.new Line(name);
  }

  void happens(DocumentEvent event) {
    events.add(event);
    if (busy) {
      return;
    }
    busy = true;
    while (!events.isEmpty()) {
      DocumentMachine.Step step = DocumentMachine.on(document, events.remove());
      document = step.document();
      step.requests().forEach(this::carryOut);
    }
    busy = false;
  }

  private void carryOut(Request request) {
    asked.add(request);
    if (request instanceof Request.OfDisk work) {
      disk.carryOut(work, this::happens);
    } else if (request instanceof Request.Show show) {
      happens(new DocumentEvent.Edited(show.song()));
    } else if (request instanceof Request.Identify known) {
      Song song = document.song();
      happens(new DocumentEvent.Edited(known.saved().id().map(song::withId).orElse(song)));
    } else if (request instanceof Request.ChooseName choose) {
      naming = Optional.of(choose);
    } else if (request instanceof Request.Close) {
      closed = true;
    }
  }

  SongId fresh() {
    return SongId.of(new UUID(0, ++ids));
  }

  void edit(String title) {
    happens(new DocumentEvent.Edited(document.song().withTitle(title)));
  }

  void wants(Intent intent) {
    happens(new DocumentEvent.Asked(intent));
  }

  void save() {
    happens(new DocumentEvent.SaveAsked(fresh()));
  }

  void saveAs(Path file, boolean confirmed) {
    happens(new DocumentEvent.SaveAsAsked());
    choose(file, confirmed);
  }

  void choose(Path file, boolean confirmed) {
    Request.ChooseName request = naming.orElseThrow();
    naming = Optional.empty();
    happens(new DocumentEvent.NameChosen(request, file, confirmed, fresh()));
  }

  void answer(Question.Answer answer) {
    document
        .question()
        .ifPresent(q -> happens(new DocumentEvent.Answered(q.number(), answer, fresh())));
  }

  void tick() {
    happens(new DocumentEvent.Tick(document.song()));
  }

  String title() {
    return document.song().title();
  }
}
