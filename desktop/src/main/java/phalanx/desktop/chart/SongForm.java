package phalanx.desktop.chart;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import phalanx.chart.ProbableKey;
import phalanx.desktop.form.Form;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.song.Feel;
import phalanx.song.Ritard;
import phalanx.song.Song;
import phalanx.song.Swing;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;
import phalanx.theory.NoteNaming;
import phalanx.theory.Ticks;

/** Title, key, metre, tempo and the like. */
final class SongForm {

  private static final List<Mode> MODES =
      List.of(Mode.values()).stream().filter(Mode::hasSignature).toList();

  private final Workspace workspace;

  private SongForm(Workspace workspace) {
    this.workspace = workspace;
  }

  /** The form. */
  static Form of(Workspace workspace) {
    return new SongForm(workspace).form();
  }

  private Form form() {
    Form form = new Form(workspace, Texts.of("songForm.song"));
    form.text(
        "title",
        Texts.of("songForm.title"),
        Texts.of("songForm.aTitle"),
        Song::title,
        (s, t) -> Optional.of(s.withTitle(t)).filter(n -> !t.isEmpty()));
    form.field(Texts.of("songForm.key"), keyRow());
    form.field(Texts.of("songForm.moveTo"), new MoveBox(workspace));
    form.text(
        "meter",
        Texts.of("songForm.metre"),
        Texts.of("songForm.aMetreSuchAs"),
        s -> s.meter().toString(),
        (s, t) -> Meter.parse(t).map(m -> s.withFeel(s.feel().withMeter(m))));
    form.text(
        "tempo-field",
        Texts.of("songForm.tempo"),
        Texts.of("songForm.toQuartersAMinute", Feel.SLOWEST, Feel.FASTEST),
        s -> plain(s.tempo()),
        (s, t) -> Optional.of(s.withTempo(Double.parseDouble(t.replace(',', '.')))));
    form.choice(
        "swing",
        Texts.of("songForm.eighths"),
        List.of(Swing.STRAIGHT, new Swing(58), Swing.TRIPLET, new Swing(72)),
        Swing::words,
        s -> s.feel().swing(),
        (s, v) -> s.withFeel(s.feel().withSwing(v)));
    form.choiceOf(
        "pickup",
        Texts.of("songForm.pickUp"),
        SongForm::pickups,
        SongForm::pickupWords,
        s -> s.feel().pickupTicks(),
        (s, v) -> s.withFeel(s.feel().withPickup(v)));
    form.choice(
        "ritard",
        Texts.of("songForm.ending"),
        List.of(
            Optional.<Ritard>empty(),
            Optional.of(new Ritard(1, Ritard.USUAL.to())),
            Optional.of(Ritard.USUAL),
            Optional.of(new Ritard(4, Ritard.USUAL.to()))),
        r -> r.map(Ritard::words).orElse(Texts.of("songForm.inTime")),
        s -> s.feel().ritard(),
        (s, v) -> s.withFeel(s.feel().withRitard(v)));
    return form.done();
  }

  private static String plain(double number) {
    return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
  }

  /** Eighths before the first full bar, fewer than it has. */
  private static List<Integer> pickups(Song song) {
    int eighth = Ticks.PER_QUARTER / 2;
    return IntStream.range(0, (song.meter().barTicks() + eighth - 1) / eighth)
        .map(n -> n * eighth)
        .boxed()
        .toList();
  }

  private static String pickupWords(int ticks) {
    int eighths = 2 * ticks / Ticks.PER_QUARTER;
    return eighths == 0
        ? Texts.of("songForm.none")
        : eighths == 1 ? Texts.of("songForm.eighth") : Texts.of("songForm.eighths2", eighths);
  }

  private HBox keyRow() {
    TextField tonic = new TextField();
    tonic.setId("tonic");
    tonic.setPrefColumnCount(3);
    Button proposed = new Button();
    proposed.setId("propose-key");
    proposed.getStyleClass().addAll("tool", "small-tool");
    proposed.setMinWidth(Region.USE_PREF_SIZE);
    proposed.setTooltip(new Tooltip(Texts.of("songForm.theKeyTheseChords")));
    proposed.managedProperty().bind(proposed.visibleProperty());
    proposed.setOnAction(
        e -> proposal().ifPresent(k -> workspace.edit(s -> s.withKey(Optional.of(k)))));
    tonic.getStyleClass().add("form-field");
    ComboBox<String> mode = new ComboBox<>();
    mode.setId("mode");
    mode.getStyleClass().add("form-field");
    mode.setMaxWidth(Double.MAX_VALUE);
    mode.getItems().setAll(MODES.stream().map(Mode::title).toList());
    HBox.setHgrow(mode, Priority.ALWAYS);
    Runnable show =
        () -> {
          Optional<Key> key = workspace.song().key();
          tonic.setText(key.map(k -> naming().name(k.tonic())).orElse(""));
          Optional<Key> offer = proposal();
          proposed.setVisible(offer.isPresent());
          proposed.setText(offer.map(k -> Texts.of("songForm.take", k.text(naming()))).orElse(""));
          tonic.setPromptText(
              offer.map(k -> naming().name(k.tonic()) + "?").orElse(Texts.of("songForm.none")));
          mode.setValue(key.map(Key::mode).orElse(Mode.MAJOR).title());
        };
    Runnable take =
        () -> {
          Optional<NoteName> note = naming().parse(tonic.getText().strip());
          Mode scale = titled(mode.getValue());
          boolean clear = tonic.getText().isBlank();
          if (clear || note.isPresent()) {
            workspace.edit(s -> s.withKey(note.map(n -> new Key(n, scale))));
          }
          show.run();
        };
    tonic.setOnAction(
        e -> {
          if (tonic.getText().isBlank() && proposal().isPresent()) {
            proposed.fire();
          } else {
            take.run();
          }
        });
    tonic
        .focusedProperty()
        .addListener(
            (o, was, now) -> {
              if (!now) {
                take.run();
              }
            });
    mode.setOnAction(
        e -> {
          boolean same =
              workspace
                  .song()
                  .key()
                  .filter(k -> k.mode().title().equals(mode.getValue()))
                  .isPresent();
          if (!same && workspace.song().key().isPresent()) {
            take.run();
          }
        });
    workspace.historyProperty().addListener(o -> show.run());
    workspace.viewing().namingProperty().addListener(o -> show.run());
    show.run();
    HBox row = new HBox(6, tonic, mode, proposed);
    row.getStyleClass().add("form-row");
    return row;
  }

  private static Mode titled(String title) {
    return MODES.stream().filter(m -> m.title().equals(title)).findFirst().orElse(Mode.MAJOR);
  }

  /** What a song without a key may be in. */
  private Optional<Key> proposal() {
    Song song = workspace.song();
    return song.key().isPresent() ? Optional.empty() : ProbableKey.of(song.chart());
  }

  private NoteNaming naming() {
    return workspace.viewing().namingProperty().get();
  }
}
