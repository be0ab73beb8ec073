package phalanx.desktop.guitar;

import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.WholeSpinner;
import phalanx.desktop.model.GuitarBench;
import phalanx.desktop.model.GuitarBench.Sheet;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.instrument.StringPull;
import phalanx.instrument.StringSet;
import phalanx.instrument.StringSign;
import phalanx.text.Phrase;
import phalanx.theory.Pitch;

/** The strings of the tuning on the bench: note, pitch, change, pull, and how that feels. */
final class StringTable extends VBox {

  private static final String[] HEADINGS = {
    Texts.of("stringTable.string"),
    Texts.of("stringTable.note"),
    "Hz",
    Texts.of("stringTable.change"),
    Texts.of("stringTable.pullN"),
    Texts.of("stringTable.slackFitTight"),
    ""
  };

  private static final double WIDTH = 418;

  private final Workspace workspace;
  private final GuitarBench bench;
  private final GridPane table = new GridPane();
  private final Label sum = Controls.line("");
  private final Label caution = Controls.line("");

  StringTable(Workspace workspace) {
    this.workspace = workspace;
    bench = workspace.models().bench();
    getStyleClass().add("bench-part");
    Label title = new Label(Texts.of("stringTable.strings"));
    title.getStyleClass().add("form-title");
    Label a4 = Controls.styled(Texts.of("stringTable.aHz"), "where");
    a4.setMinWidth(USE_PREF_SIZE);
    HBox head = new HBox(8, title, sets(), a4, pitch());
    head.getStyleClass().add("form-row");
    table.setId("string-table");
    table.getStyleClass().add("bench-table");
    sum.setId("pull-sum");
    sum.setMaxWidth(WIDTH);
    caution.setId("pull-caution");
    caution.setMaxWidth(WIDTH);
    caution.getStyleClass().setAll("label", "notice");
    caution.managedProperty().bind(caution.visibleProperty());
    getChildren().addAll(head, table, sum, caution);
    bench.sheetProperty().addListener(o -> show());
    workspace.viewing().namingProperty().addListener(o -> show());
    show();
  }

  private ComboBox<StringSet> sets() {
    ComboBox<StringSet> box = new ComboBox<>();
    box.setId("string-set");
    box.setAccessibleText(Texts.of("stringTable.setOfStrings"));
    box.getStyleClass().add("form-field");
    box.getItems().setAll(StringSet.values());
    box.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(StringSet set) {
            return set == null ? "" : set.words();
          }

          @Override
          public StringSet fromString(String words) {
            throw new UnsupportedOperationException("the box is not typed into");
          }
        });
    box.setValue(bench.stringsProperty().get());
    // A key can take the choice away; there is always one set of strings.
    box.valueProperty()
        .addListener(
            (o, before, now) -> {
              if (now == null) {
                Platform.runLater(() -> box.setValue(bench.stringsProperty().get()));
              } else {
                bench.stringsProperty().set(now);
              }
            });
    bench.stringsProperty().addListener((o, before, now) -> box.setValue(now));
    return box;
  }

  private Spinner<Integer> pitch() {
    Spinner<Integer> spinner =
        WholeSpinner.of("a4", Pitch.LOWEST_A4_HZ, Pitch.HIGHEST_A4_HZ, (int) bench.a4().get());
    spinner.setPrefWidth(80);
    spinner.valueProperty().addListener((o, before, hz) -> bench.a4().set(hz));
    return spinner;
  }

  private void show() {
    Sheet sheet = bench.sheetProperty().get();
    table.getChildren().clear();
    for (int c = 0; c < HEADINGS.length; c++) {
      table.add(styled(HEADINGS[c], "bench-head"), c, 0);
    }
    for (int row = 1; row <= sheet.pulls().size(); row++) {
      add(row, sheet.pulls().get(sheet.pulls().size() - row));
    }
    sum.setText(
        Texts.of(
            "stringTable.allSixPullN",
            StringPull.newtons(sheet.pulls()),
            StringPull.newtons(sheet.pulls()) / StringSet.NEWTONS_PER_KGF,
            StringPull.standardNewtons(sheet.pulls()),
            sheet.guitar().scaleLength()));
    caution.setText(Texts.of("stringTable.aStringThatGoes"));
    caution.setVisible(StringPull.goUp(sheet.pulls()));
  }

  private void add(int row, StringPull pull) {
    String note = workspace.viewing().namingProperty().get().name(pull.note().name());
    Label name = styled(note + pull.note().octave(), "bench-note");
    Label change = styled(pull.changeWords(), "where");
    if (pull.semitones() != 0) {
      name.getStyleClass().add("bench-moved");
      change.getStyleClass().add("bench-moved");
    }
    Button hear =
        Controls.smallTool(
            "hear-string-" + StringSign.number(pull.string()),
            Texts.of("stringTable.hear"),
            () -> bench.hear(pull.string()));
    hear.setAccessibleText(Texts.of("stringTable.hearString", StringSign.number(pull.string())));
    table.addRow(
        row,
        styled(StringSign.of(pull.string()), "where"),
        name,
        styled(Phrase.shown("%.2f", pull.hz()), "where"),
        change,
        styled(Phrase.shown("%.0f", pull.newtons()), "where"),
        new PullGauge(pull),
        hear);
  }

  private static Label styled(String words, String style) {
    Label label = new Label(words);
    label.getStyleClass().add(style);
    label.setMinWidth(USE_PREF_SIZE);
    return label;
  }
}
