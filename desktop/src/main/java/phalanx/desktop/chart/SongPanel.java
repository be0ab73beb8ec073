package phalanx.desktop.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import phalanx.chart.Transposition;
import phalanx.desktop.model.ChartCursor;
import phalanx.desktop.model.Workspace;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
import phalanx.song.Bar;
import phalanx.song.ChordChange;
import phalanx.song.Feel;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.song.Swing;
import phalanx.theory.Borrowing;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;
import phalanx.theory.NoteNaming;
import phalanx.theory.Phrase;
import phalanx.theory.Ticks;

/** Beside the chart: the song's settings, the guitar, the hand, and what is to say of the bar. */
public final class SongPanel extends VBox {

  static final double WIDTH = 320;
  private static final List<Mode> MODES =
      List.of(Mode.values()).stream().filter(Mode::hasSignature).toList();

  private final Workspace workspace;
  private final ChartCursor cursor;
  private final Label about = new Label();

  public SongPanel(Workspace workspace, ChartCursor cursor) {
    this.workspace = workspace;
    this.cursor = cursor;
    setId("song-panel");
    getStyleClass().add("inspector");
    setMinWidth(WIDTH);
    setMaxWidth(WIDTH);
    about.setId("bar-about");
    about.getStyleClass().add("bar-about");
    about.setWrapText(true);
    about.setMaxWidth(WIDTH - 28);
    about.setMinHeight(USE_PREF_SIZE);
    VBox forms = new VBox(songForm(), guitarForm(), handForm());
    forms.getStyleClass().add("forms");
    ScrollPane scroll = new ScrollPane(forms);
    scroll.setFitToWidth(true);
    scroll.setFocusTraversable(false);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(about, scroll);
    workspace.historyProperty().addListener(o -> tell());
    workspace.namingProperty().addListener(o -> tell());
    cursor.barProperty().addListener(o -> tell());
    tell();
  }

  private NoteNaming naming() {
    return workspace.namingProperty().get();
  }

  private Form songForm() {
    Form form = new Form(workspace, "Song");
    form.text(
        "title",
        "Title",
        "a title",
        Song::title,
        (s, t) -> Optional.of(s.withTitle(t)).filter(n -> !t.isEmpty()));
    form.field("Key", keyRow());
    form.field("Move to", moveBox());
    form.text(
        "meter",
        "Metre",
        "a metre such as 4/4 or 6/8",
        s -> s.meter().toString(),
        (s, t) -> Meter.parse(t).map(m -> s.withFeel(s.feel().withMeter(m))));
    form.text(
        "tempo-field",
        "Tempo",
        Phrase.of("%.0f to %.0f quarters a minute", Feel.SLOWEST, Feel.FASTEST),
        s -> plain(s.tempo()),
        (s, t) -> Optional.of(s.withTempo(Double.parseDouble(t.replace(',', '.')))));
    form.choice(
        "swing",
        "Eighths",
        List.of(Swing.STRAIGHT, new Swing(58), Swing.TRIPLET, new Swing(72)),
        Swing::words,
        s -> s.feel().swing(),
        (s, v) -> s.withFeel(s.feel().withSwing(v)));
    form.choice(
        "pickup",
        "Pick-up",
        IntStream.range(0, 12).map(n -> n * Ticks.PER_QUARTER / 2).boxed().toList(),
        SongPanel::pickupWords,
        s -> s.feel().pickupTicks(),
        (s, v) -> s.withFeel(s.feel().withPickup(v)));
    return form.done();
  }

  private static String plain(double number) {
    return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
  }

  private static String pickupWords(int ticks) {
    int eighths = 2 * ticks / Ticks.PER_QUARTER;
    return eighths == 0 ? "none" : eighths == 1 ? "1 eighth" : eighths + " eighths";
  }

  private HBox keyRow() {
    TextField tonic = new TextField();
    tonic.setId("tonic");
    tonic.setPrefColumnCount(3);
    tonic.setPromptText("none");
    tonic.getStyleClass().add("form-field");
    ComboBox<String> mode = new ComboBox<>();
    mode.setId("mode");
    mode.getStyleClass().add("form-field");
    mode.setMaxWidth(Double.MAX_VALUE);
    mode.getItems().setAll(MODES.stream().map(Mode::words).toList());
    HBox.setHgrow(mode, Priority.ALWAYS);
    Runnable show =
        () -> {
          Optional<Key> key = workspace.song().key();
          tonic.setText(key.map(k -> naming().name(k.tonic())).orElse(""));
          mode.setValue(key.map(Key::mode).orElse(Mode.MAJOR).words());
        };
    Runnable take =
        () -> {
          Optional<NoteName> note = naming().parse(tonic.getText().strip());
          Mode scale = Mode.parse(String.valueOf(mode.getValue())).orElse(Mode.MAJOR);
          boolean clear = tonic.getText().isBlank();
          if (clear || note.isPresent()) {
            workspace.edit(s -> s.withKey(note.map(n -> new Key(n, scale))));
          }
          show.run();
        };
    tonic.setOnAction(e -> take.run());
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
                  .filter(k -> k.mode().words().equals(mode.getValue()))
                  .isPresent();
          if (!same && workspace.song().key().isPresent()) {
            take.run();
          }
        });
    workspace.historyProperty().addListener(o -> show.run());
    workspace.namingProperty().addListener(o -> show.run());
    show.run();
    HBox row = new HBox(6, tonic, mode);
    row.getStyleClass().add("form-row");
    return row;
  }

  /** The keys the whole song can be moved to. */
  private ComboBox<String> moveBox() {
    ComboBox<String> box = new ComboBox<>();
    box.setId("move-to");
    box.setPromptText("another key …");
    box.getStyleClass().add("form-field");
    box.setMaxWidth(Double.MAX_VALUE);
    Runnable fill =
        () -> {
          List<String> words = new ArrayList<>();
          List<Key> keys = Transposition.keys(workspace.song());
          for (int up = 1; up < keys.size(); up++) {
            words.add(Phrase.of("%s  (up %d, down %d)", keys.get(up).text(naming()), up, 12 - up));
          }
          box.getItems().setAll(words);
          box.setValue(null);
        };
    box.setOnAction(
        e -> {
          int chosen = box.getSelectionModel().getSelectedIndex();
          if (chosen >= 0) {
            workspace.edit(s -> Transposition.bySemitones(s, chosen + 1));
          }
        });
    workspace.historyProperty().addListener(o -> fill.run());
    workspace.namingProperty().addListener(o -> fill.run());
    fill.run();
    return box;
  }

  private Form guitarForm() {
    Form form = new Form(workspace, "Guitar");
    form.choice(
        "build",
        "Build",
        List.of(Guitar.STEEL, Guitar.NYLON),
        g -> g.equals(Guitar.STEEL) ? "steel strings, 645 mm" : "nylon strings, 650 mm",
        s -> s.guitar().nutSpan() < 40 ? Guitar.STEEL : Guitar.NYLON,
        (s, g) -> s.withGuitar(s.guitar().builtAs(g)));
    form.text(
        "tuning",
        "Tuning",
        "six notes, ⑥ to ①, such as D A D G A D",
        s -> tuningWords(s.guitar().tuning()),
        (s, t) -> tuning(t).map(n -> s.withGuitar(s.guitar().withTuning(n))));
    form.choice(
        "capo-fret",
        "Capo",
        IntStream.rangeClosed(0, Guitar.HIGHEST_CAPO).boxed().toList(),
        n -> n == 0 ? "none" : "fret " + n,
        s -> s.guitar().capo(),
        (s, n) -> s.withGuitar(s.guitar().withCapo(n, s.guitar().capoStrings())));
    form.field("on strings", capoStrings());
    form.choice(
        "body",
        "Body from",
        List.of(12, 13, 14),
        n -> "fret " + n,
        s -> s.guitar().bodyJoin(),
        (s, n) -> s.withGuitar(s.guitar().withBody(n, s.guitar().cutaway())));
    form.tick(
        "cutaway",
        "",
        "cutaway",
        s -> s.guitar().cutaway(),
        (s, on) -> s.withGuitar(s.guitar().withBody(s.guitar().bodyJoin(), on)));
    return form.done();
  }

  private String tuningWords(Tuning tuning) {
    return String.join(" ", tuning.strings().stream().map(p -> naming().name(p.name())).toList());
  }

  /** Six notes as the player calls them. */
  private Optional<Tuning> tuning(String typed) {
    List<String> english = new ArrayList<>();
    for (String word : typed.split("\\s+")) {
      String octave = word.replaceFirst("^.*?(-?\\d?)$", "$1");
      String name = word.substring(0, word.length() - octave.length());
      english.add(naming().parse(name).map(NoteName::ascii).orElse("?") + octave);
    }
    return Tuning.parse(String.join(" ", english));
  }

  private HBox capoStrings() {
    HBox row = new HBox(4);
    row.getStyleClass().add("form-row");
    for (int string = 0; string < Tuning.STRINGS; string++) {
      int s = string;
      ToggleButton button = new ToggleButton(StringSign.of(string));
      button.setId("capo-string-" + StringSign.number(string));
      button.getStyleClass().add("string-toggle");
      button.setMinWidth(USE_PREF_SIZE);
      Runnable show =
          () -> {
            button.setSelected(workspace.song().guitar().capoStrings().contains(s));
            button.setDisable(workspace.song().guitar().capo() == 0);
          };
      button.setOnAction(
          e -> {
            Set<Integer> strings = new TreeSet<>(workspace.song().guitar().capoStrings());
            if (!strings.remove(s)) {
              strings.add(s);
            }
            workspace.edit(n -> n.withGuitar(n.guitar().withCapo(n.guitar().capo(), strings)));
            show.run();
          });
      workspace.historyProperty().addListener(o -> show.run());
      show.run();
      row.getChildren().add(button);
    }
    return row;
  }

  private Form handForm() {
    Form form = new Form(workspace, "Fretting hand");
    form.choice(
        "hand-size",
        "Size",
        List.of(Hand.Size.values()),
        size -> size.name().toLowerCase(Locale.ROOT),
        s -> s.hand().size(),
        (s, size) -> s.withHand(s.hand().sizedAs(Hand.of(size))));
    TextField spread =
        form.text(
            "spread",
            "Spread, mm",
            Phrase.of("%.0f to %.0f mm", Hand.LEAST_SPREAD, Hand.MOST_SPREAD),
            n -> Phrase.of("%.0f", n.hand().spread()),
            (n, t) ->
                Optional.of(n.withHand(n.hand().sizedAs(Hand.measured(Double.parseDouble(t))))));
    spread.setTooltip(new Tooltip("from index tip to little finger tip, hand spread on a table"));
    form.choice(
        "pace",
        "Changes",
        List.of(new Hand.Pace(45, 70), Hand.Pace.USUAL, new Hand.Pace(90, 130)),
        p -> Phrase.of("%.0f ms for 20 mm", p.reactionMs() + p.doublingMs() * 1.585),
        s -> s.hand().pace(),
        (s, p) -> s.withHand(s.hand().withPace(p)));
    form.tick(
        "thumb-over",
        "Thumb",
        "comes over the neck",
        s -> s.hand().thumbOver(),
        (s, on) -> s.withHand(s.hand().withThumbOver(on)));
    form.tick(
        "stretches",
        "Stretches",
        "beyond the limit, warmed up",
        s -> s.hand().stretches(),
        (s, on) -> s.withHand(s.hand().withStretches(on)));
    form.tick(
        "left-handed",
        "Drawn",
        "for a left-handed player",
        s -> s.hand().leftHanded(),
        (s, on) -> s.withHand(s.hand().withLeftHanded(on)));
    return form.done();
  }

  /** What is to say of the bar at the cursor. */
  private void tell() {
    Song song = workspace.song();
    List<String> lines = new ArrayList<>();
    Optional<Bar> bar = cursor.bar();
    bar.ifPresent(b -> lines.addAll(lines(song, b)));
    if (bar.isEmpty()) {
      lines.add("Type chords to begin: G, a bar line, Em7 C, a bar line …");
    }
    about.setText(String.join("\n", lines));
  }

  private List<String> lines(Song song, Bar bar) {
    List<String> lines = new ArrayList<>();
    int number = song.chart().number(bar.id());
    String text = cursor.text(bar);
    lines.add(
        "Bar " + number + " · " + (text.equals(".") ? "goes on with the chord before" : text));
    bar.borrows()
        .map(song.chart()::number)
        .ifPresent(
            n -> lines.add("Has the chords of bar " + n + "; what you type changes them here."));
    for (ChordChange change : song.chart().changes(bar)) {
      if (change.harmony() instanceof Harmony.Sounding s && song.key().isPresent()) {
        Key key = song.key().get();
        Borrowing.of(key, s.chord())
            .ifPresent(
                b ->
                    lines.add(
                        Phrase.of(
                            "%s is %s, %s.",
                            s.label(naming()), key.numeral(s.chord()), b.words())));
      } else if (change.harmony() instanceof Harmony.Unread u) {
        lines.add("“" + u.text() + "” is not a chord: the hands rest.");
      }
    }
    return lines;
  }
}
