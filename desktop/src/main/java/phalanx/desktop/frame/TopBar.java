package phalanx.desktop.frame;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.StringBinding;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.shape.SVGPath;
import phalanx.desktop.drawing.ChoiceChips;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.model.Screen;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.instrument.Hand;
import phalanx.song.History;
import phalanx.song.Pulse;
import phalanx.song.Song;
import phalanx.text.Phrase;
import phalanx.theory.NoteNaming;

/** The song's settings as chips; those with a mark open a small choice, the others their field. */
final class TopBar extends ToolRow {

  /** Tempos to choose from, quarter notes a minute. */
  private static final List<Double> TEMPOS =
      List.of(50.0, 60.0, 70.0, 80.0, 92.0, 104.0, 116.0, 132.0, 152.0);

  private static final List<Integer> CAPOS = List.of(0, 1, 2, 3, 4, 5, 6, 7);

  /** What a chip shows, by the field it leads to. */
  private static final Map<String, String> TIPS =
      Map.of(
          "tonic", Texts.of("topBar.keyOfTheChart"),
          "meter", Texts.of("topBar.metreItBeginsIn"),
          "tuning-standard", Texts.of("topBar.tuningFromStringTo"));

  private final Workspace workspace;
  private final ChoiceChips chips;

  TopBar(Workspace workspace, SongMenu menu, Transport transport) {
    this.workspace = workspace;
    chips = new ChoiceChips(workspace);
    getStyleClass().add("top-bar");
    Label title = new Label();
    title.setId("song-title");
    title.getStyleClass().add("song-title");
    title.setMinWidth(60);
    title
        .textProperty()
        .bind(
            Bindings.createStringBinding(
                () -> workspace.song().title() + (workspace.unsaved().get() ? " *" : ""),
                workspace.historyProperty(),
                workspace.unsaved()));
    Region grow = new Region();
    HBox.setHgrow(grow, Priority.ALWAYS);
    getChildren().addAll(mark(), menu, title);
    getChildren()
        .addAll(
            chip(
                "key-chip",
                Screen.CHART,
                "tonic",
                s -> s.key().map(k -> k.text(naming())).orElse(Texts.of("topBar.key"))),
            chip("meter-chip", Screen.CHART, "meter", s -> s.meter().toString()),
            chip("tuning-chip", Screen.GUITAR, "tuning-standard", this::tuning));
    getChildren()
        .addAll(
            chips.of(
                "capo",
                s -> Texts.of("topBar.capo", s.guitar().capoWords()),
                CAPOS,
                c -> c == 0 ? Texts.of("topBar.noCapo") : Texts.of("topBar.fret", c),
                (s, c) -> s.withGuitar(s.guitar().withCapo(c))),
            chips.of(
                "hand",
                s -> Texts.of("topBar.hand", s.hand().size().words()),
                List.of(Hand.Size.SMALL, Hand.Size.MEDIUM, Hand.Size.LARGE),
                Hand.Size::words,
                (s, size) -> s.withHand(s.hand().sizedAs(Hand.of(size)))),
            chips.of(
                "tempo",
                s -> Pulse.of(s).mark(s.tempo()),
                TEMPOS,
                t -> Phrase.of("%.0f", Pulse.of(workspace.song()).beats(t)),
                Song::withTempo),
            grow,
            new TempoGauge(workspace),
            step("undo", "↶", Texts.of("topBar.undo"), workspace::undo, h -> h.canUndo()),
            step("redo", "↷", Texts.of("topBar.redo"), workspace::redo, h -> h.canRedo()),
            transport);
  }

  private NoteNaming naming() {
    return workspace.viewing().namingProperty().get();
  }

  private String tuning(Song song) {
    return String.join(
        " ", song.guitar().tuning().strings().stream().map(p -> naming().name(p.name())).toList());
  }

  /** Four fingers on a string: the program's mark. */
  private static SVGPath mark() {
    SVGPath mark = new SVGPath();
    mark.setContent(
        "M2 10h3.6v13h-3.6z M7.2 5h3.6v18h-3.6z M12.4 3h3.6v20h-3.6z M17.6 6h3.6v17h-3.6z");
    mark.getStyleClass().add("mark");
    return mark;
  }

  /** A chip that leads to its field on a screen. */
  private Button chip(String id, Screen screen, String field, Function<Song, String> words) {
    Button chip = new Button();
    chip.setId(id);
    chip.getStyleClass().add("chip");
    chip.setTooltip(new Tooltip(TIPS.get(field)));
    chip.setMinWidth(USE_PREF_SIZE);
    StringBinding text =
        Bindings.createStringBinding(
            () -> words.apply(workspace.song()),
            workspace.historyProperty(),
            workspace.viewing().namingProperty());
    chip.textProperty().bind(text);
    chip.setOnAction(
        e -> {
          workspace.screenProperty().set(screen);
          // A screen that was never open is put together only when it is laid out.
          chip.getScene().getRoot().applyCss();
          chip.getScene().getRoot().layout();
          Optional.ofNullable(chip.getScene().lookup("#" + field)).ifPresent(Node::requestFocus);
        });
    return chip;
  }

  private Button step(
      String id, String sign, String words, Runnable action, Predicate<History<Song>> possible) {
    Button button = new Button(sign);
    button.setId(id);
    button.setAccessibleText(words);
    button.setTooltip(new Tooltip(words));
    button.getStyleClass().add("tool");
    button.setMinWidth(USE_PREF_SIZE);
    button.setOnAction(e -> action.run());
    button
        .disableProperty()
        .bind(
            Bindings.createBooleanBinding(
                () -> !possible.test(workspace.historyProperty().get()),
                workspace.historyProperty()));
    return button;
  }
}
