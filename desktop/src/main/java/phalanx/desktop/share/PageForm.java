package phalanx.desktop.share;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.model.ShareViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.engraving.Paper;
import phalanx.engraving.SheetOptions;
import phalanx.engraving.SheetOptions.Show;
import phalanx.song.Credits;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.SongBounds;
import phalanx.text.Phrase;
import phalanx.theory.Quoted;

/** Beside the page: paper, size, what stands on it, whose song it is. */
final class PageForm extends VBox {

  private final Workspace workspace;
  private final ShareViewModel model;

  /** What papers there are, upright and lying. */
  private record Sheet(Paper paper, boolean lies) {
    String words() {
      return paper.words() + (lies ? Texts.of("pageForm.landscape") : "");
    }
  }

  /** How large the staves are. */
  private record Size(String words, double staff) {}

  private static final List<Size> SIZES =
      List.of(
          new Size(Texts.of("pageForm.small"), 14),
          new Size(Texts.of("pageForm.medium"), SheetOptions.USUAL_STAFF),
          new Size(Texts.of("pageForm.large"), 21),
          new Size(Texts.of("pageForm.veryLarge"), 26));

  PageForm(Workspace workspace) {
    this.workspace = workspace;
    model = workspace.models().share();
    setId("page-form");
    getStyleClass().add("side-part");
    GridPane form = new GridPane();
    form.getStyleClass().add("form");
    int row = 0;
    form.addRow(row++, name(Texts.of("pageForm.paper")), papers());
    form.addRow(row++, name(Texts.of("pageForm.size")), sizes());
    form.addRow(row++, name(Texts.of("pageForm.bars")), bars());
    form.addRow(
        row++,
        name(Texts.of("pageForm.composer")),
        credit("composer", Credits::composer, PageForm::composed));
    form.addRow(
        row,
        name(Texts.of("pageForm.arranger")),
        credit("arranger", Credits::arranger, PageForm::arranged));
    getChildren().addAll(Controls.styled(Texts.of("pageForm.thePage"), "inspector-title"), form);
    getChildren().add(Controls.styled(Texts.of("pageForm.onThePage"), "cards-title"));
    for (Show show : Show.values()) {
      getChildren().add(check(show));
    }
    getChildren().add(Controls.line(Texts.of("pageForm.repeatsStandAsRepeats")));
  }

  private static Label name(String words) {
    return Controls.styled(words, "form-name");
  }

  private CheckBox check(Show show) {
    CheckBox box = new CheckBox(show.words());
    box.setId("show-" + show.name().toLowerCase(Locale.ROOT));
    box.setSelected(model.optionsProperty().get().has(show));
    box.setOnAction(
        e -> {
          SheetOptions next = model.optionsProperty().get().with(show, box.isSelected());
          boolean nothing = !next.has(Show.NOTATION) && !next.has(Show.TABLATURE);
          // One of the two staves always stands there.
          Show other = show == Show.NOTATION ? Show.TABLATURE : Show.NOTATION;
          model.optionsProperty().set(nothing ? next.with(other, true) : next);
        });
    model.optionsProperty().addListener((o, was, now) -> box.setSelected(now.has(show)));
    return box;
  }

  private MenuButton papers() {
    List<Sheet> papers = new ArrayList<>();
    for (Paper paper : Paper.values()) {
      papers.add(new Sheet(paper, false));
      papers.add(new Sheet(paper, true));
    }
    return choice(
        "paper",
        papers,
        Sheet::words,
        o -> new Sheet(o.paper(), o.landscape()),
        (o, p) -> o.on(p.paper(), p.lies()));
  }

  private MenuButton sizes() {
    return choice(
        "staff-size",
        SIZES,
        Size::words,
        o -> SIZES.stream().filter(s -> s.staff() == o.staff()).findFirst().orElse(SIZES.get(1)),
        (o, s) -> o.withStaff(s.staff()));
  }

  private <T> MenuButton choice(
      String id,
      List<T> values,
      Function<T, String> words,
      Function<SheetOptions, T> now,
      BiFunction<SheetOptions, T, SheetOptions> with) {
    MenuButton button = new MenuButton(words.apply(now.apply(model.optionsProperty().get())));
    button.setId(id);
    button.getStyleClass().add("chip-button");
    button.setMinWidth(Region.USE_PREF_SIZE);
    ToggleGroup group = new ToggleGroup();
    for (T value : values) {
      RadioMenuItem item = new RadioMenuItem(words.apply(value));
      item.setToggleGroup(group);
      item.setSelected(value.equals(now.apply(model.optionsProperty().get())));
      item.setOnAction(
          e -> model.optionsProperty().set(with.apply(model.optionsProperty().get(), value)));
      button.getItems().add(item);
    }
    model.optionsProperty().addListener((o, was, is) -> button.setText(words.apply(now.apply(is))));
    return button;
  }

  /** The whole song, or one of its sections by the bars it has on the page. */
  private MenuButton bars() {
    MenuButton button = new MenuButton(Texts.of("pageForm.all"));
    button.setId("page-bars");
    button.getStyleClass().add("chip-button");
    button.setMaxWidth(190);
    button.setOnShowing(e -> fill(button));
    fill(button);
    model.optionsProperty().addListener((o, was, now) -> button.setText(words(now.bars())));
    return button;
  }

  private void fill(MenuButton button) {
    Song song = workspace.song();
    ToggleGroup group = new ToggleGroup();
    button.getItems().setAll(item(Texts.of("pageForm.all"), Optional.empty(), group));
    int number = song.firstBarNumber();
    for (Section section : song.sections()) {
      int to = number + section.bars().size() - 1;
      String label = section.label().isBlank() ? Texts.of("pageForm.section") : section.label();
      String words = Texts.of("pageForm.bars2", label, number, to);
      button.getItems().add(item(words, Optional.of(new SheetOptions.Bars(number, to)), group));
      number = to + 1;
    }
  }

  private RadioMenuItem item(String words, Optional<SheetOptions.Bars> bars, ToggleGroup group) {
    RadioMenuItem item = new RadioMenuItem(words);
    item.setToggleGroup(group);
    item.setSelected(model.optionsProperty().get().bars().equals(bars));
    item.setOnAction(e -> model.optionsProperty().set(model.optionsProperty().get().of(bars)));
    return item;
  }

  private static String words(Optional<SheetOptions.Bars> bars) {
    return bars.map(b -> Phrase.of("%d–%d", b.from(), b.to())).orElse(Texts.of("pageForm.all"));
  }

  private static Credits composed(Credits credits, String name) {
    return new Credits(name, credits.arranger());
  }

  private static Credits arranged(Credits credits, String name) {
    return new Credits(credits.composer(), name);
  }

  private TextField credit(
      String id, Function<Credits, String> now, BiFunction<Credits, String, Credits> with) {
    TextField field = new TextField(now.apply(workspace.song().credits()));
    field.setId(id);
    field.setAccessibleText(id);
    field.setPrefColumnCount(14);
    GridPane.setHgrow(field, Priority.ALWAYS);
    Runnable put =
        () -> {
          String name = Quoted.start(field.getText(), SongBounds.LONGEST_NAME);
          Credits next = with.apply(workspace.song().credits(), name);
          if (!next.equals(workspace.song().credits())) {
            workspace.edit(song -> song.withCredits(with.apply(song.credits(), name)));
          }
        };
    field.setOnAction(e -> put.run());
    field
        .focusedProperty()
        .addListener(
            (o, was, has) -> {
              if (!has) {
                put.run();
              }
            });
    workspace
        .historyProperty()
        .addListener(
            o -> {
              if (!field.isFocused()) {
                field.setText(now.apply(workspace.song().credits()));
              }
            });
    return field;
  }
}
