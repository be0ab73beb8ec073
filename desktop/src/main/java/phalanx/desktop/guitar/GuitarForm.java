package phalanx.desktop.guitar;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import phalanx.desktop.drawing.ToolRow;
import phalanx.desktop.form.Form;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.instrument.Guitar;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
import phalanx.text.Phrase;

/** The guitar's build and its capo. */
final class GuitarForm {

  private final Workspace workspace;

  private GuitarForm(Workspace workspace) {
    this.workspace = workspace;
  }

  /** The form. */
  static Form of(Workspace workspace) {
    return new GuitarForm(workspace).form();
  }

  private Form form() {
    Form form = new Form(workspace, Texts.of("guitarForm.theGuitarOfThis"));
    form.choice(
        "build",
        Texts.of("guitarForm.build"),
        List.of(Guitar.STEEL, Guitar.NYLON),
        Guitar::buildWords,
        s -> s.guitar().build(),
        (s, g) -> s.withGuitar(s.guitar().builtAs(g)));
    form.text(
        "scale",
        Texts.of("guitarForm.scaleMm"),
        Texts.of("guitarForm.toMm"),
        s -> Phrase.of("%.0f", s.guitar().scaleLength()),
        (s, t) -> Optional.of(s.withGuitar(s.guitar().withScale(millimetres(t)))));
    form.text(
        "nut",
        Texts.of("guitarForm.nutMm"),
        Texts.of("guitarForm.toAtTheNut"),
        s -> Phrase.of("%.1f", s.guitar().nutSpan()),
        (s, t) -> Optional.of(s.withGuitar(s.guitar().withNut(millimetres(t)))));
    form.choice(
        "frets",
        Texts.of("guitarForm.frets"),
        IntStream.rangeClosed(12, 24).boxed().toList(),
        String::valueOf,
        s -> s.guitar().frets(),
        (s, n) -> s.withGuitar(s.guitar().withFrets(n)));
    form.choice(
        "capo-fret",
        Texts.of("guitarForm.capo"),
        IntStream.rangeClosed(0, Guitar.HIGHEST_CAPO).boxed().toList(),
        n -> n == 0 ? Texts.of("guitarForm.none") : Texts.of("guitarForm.fret", n),
        s -> s.guitar().capo(),
        (s, n) -> s.withGuitar(s.guitar().withCapo(n, s.guitar().capoStrings())));
    form.field(Texts.of("guitarForm.onStrings"), capoStrings());
    form.choice(
        "body",
        Texts.of("guitarForm.bodyFrom"),
        List.of(12, 13, 14),
        n -> Texts.of("guitarForm.fret", n),
        s -> s.guitar().bodyJoin(),
        (s, n) -> s.withGuitar(s.guitar().withBody(n, s.guitar().cutaway())));
    form.tick(
        "cutaway",
        "",
        Texts.of("guitarForm.cutaway"),
        s -> s.guitar().cutaway(),
        (s, on) -> s.withGuitar(s.guitar().withBody(s.guitar().bodyJoin(), on)));
    return form.done();
  }

  private static double millimetres(String typed) {
    return Double.parseDouble(typed.replace(',', '.'));
  }

  private HBox capoStrings() {
    HBox row = new ToolRow();
    row.setSpacing(3);
    row.getStyleClass().add("form-row");
    for (int string = 0; string < Tuning.STRINGS; string++) {
      int s = string;
      ToggleButton button = new ToggleButton(StringSign.of(string));
      button.setId("capo-string-" + StringSign.number(string));
      button.getStyleClass().add("string-toggle");
      button.setMinWidth(Region.USE_PREF_SIZE);
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
}
