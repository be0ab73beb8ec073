package phalanx.desktop.arrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.arrangement.board.ChordParts;
import phalanx.arrangement.board.FingerWork;
import phalanx.arrangement.board.OtherString;
import phalanx.arrangement.board.ShapeChoice;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.DensityMenu;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.DensityViewModel;
import phalanx.desktop.model.FingerChoice;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.neck.NeckPicture;
import phalanx.desktop.neck.NeckSize;
import phalanx.desktop.neck.NeckView;
import phalanx.desktop.shapes.ShapeCard;
import phalanx.desktop.texts.Texts;
import phalanx.fretting.Muting;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.StringSign;
import phalanx.theory.NoteNaming;

/** What is known of the selected slot: its shape on the neck, its span, and what else would do. */
public final class Inspector extends VBox {

  static final double WIDTH = 320;

  /** Cards shown; the digit keys reach as many. */
  public static final int CARDS = 9;

  private static final String TUNE_ALONE = Texts.of("inspector.noChordIsHeld");

  private final Label heading = label("cards-title");
  private final Workspace workspace;
  private final Palette palette;
  private final NeckView neck;
  private final Label title = label("inspector-title");
  private final Label span = label("inspector-span");
  private final Label details = label("inspector-details");
  private final VBox cards = new VBox();
  private final List<ShapeCard> made = new ArrayList<>();
  private List<ShapeChoice> choices = List.of();

  public Inspector(Workspace workspace, Palette palette) {
    this.workspace = workspace;
    this.palette = palette;
    neck =
        new NeckView(
            WIDTH - 28, 152, palette, NeckSize.SMALL, workspace.viewing().leftHandedProperty());
    setMinWidth(0);
    neck.fill(this, 0);
    setId("inspector");
    getStyleClass().add("side-part");
    cards.getStyleClass().add("cards");
    ScrollPane scroll = Controls.scroll(cards);
    heading.setText(Texts.of("inspector.shapesTheBestFor"));
    DensityViewModel density = workspace.models().density();
    DensityMenu plays = new DensityMenu(workspace, density::selected, density::here);
    getChildren()
        .addAll(
            title,
            neck,
            span,
            details,
            new FlowPane(6, 6, plays, new PartsMenu(workspace)),
            new LevelStepRow(workspace),
            new DampRow(workspace),
            heading,
            scroll);
    workspace.arrangementProperty().addListener(o -> show());
    workspace.chord().placeProperty().addListener(o -> show());
    workspace.viewing().namingProperty().addListener(o -> show());
    workspace.notes().property().addListener(o -> show());
    workspace.fingerProperty().addListener(o -> show());
    workspace.viewing().leftHandedProperty().addListener(o -> show());
    show();
  }

  private static Label label(String style) {
    Label label = new Label();
    label.setId(style);
    label.getStyleClass().add(style);
    label.setWrapText(true);
    label.setMaxWidth(WIDTH - 28);
    label.setMinHeight(USE_PREF_SIZE);
    return label;
  }

  private NoteNaming naming() {
    return workspace.viewing().namingProperty().get();
  }

  private void show() {
    Optional<Slot> selected = workspace.chord().slot();
    setVisible(selected.isPresent());
    if (selected.isEmpty()) {
      choices = List.of();
      return;
    }
    Arrangement arrangement = workspace.arrangementProperty().get();
    int index = workspace.chord().placeProperty().get();
    Slot slot = selected.get();
    Shape shape = slot.shape().orElse(Shape.NOTHING);
    Optional<Slot> next =
        index + 1 < arrangement.slots().size()
            ? Optional.of(arrangement.slots().get(index + 1))
            : Optional.empty();
    String pinned = slot.pinned() ? Texts.of("inspector.pinned") : "";
    String from =
        workspace
            .pins()
            .parts()
            .flatMap(ChordParts::fromBeat)
            .map(b -> Texts.of("inspector.from", b))
            .orElse("");
    title.setText(
        Texts.of(
            "inspector.bar",
            slot.played().harmony().label(naming()),
            slot.played().bar(),
            from,
            pinned));
    neck.show(
        new NeckPicture(
                arrangement.song().guitar(),
                arrangement.song().hand(),
                shape,
                next.flatMap(Slot::shape),
                List.of())
            .resting(slot.resting()));
    choices = ShapeChoice.of(arrangement, index, CARDS);
    span.setText(slot.isTuneAlone() ? TUNE_ALONE : spanWords(next));
    heading.setVisible(!choices.isEmpty());
    String words = detailWords(arrangement, index, slot, shape);
    details.setText(
        workspace.fingerProperty().get().map(f -> fingerWords(arrangement, f) + "\n").orElse("")
            + workspace.notes().property().get().map(n -> noteWords(n) + "\n").orElse("")
            + words);
    details.setManaged(!details.getText().isEmpty());
    showCards(slot.pinned());
  }

  private void showCards(boolean pinned) {
    for (int c = 0; c < choices.size(); c++) {
      if (c == made.size()) {
        made.add(new ShapeCard(c + 1, palette, workspace.pins()::pin));
      }
      made.get(c).show(choices.get(c), pinned, workspace.viewing().leftHandedProperty().get());
    }
    if (cards.getChildren().size() != choices.size()) {
      cards.getChildren().setAll(made.subList(0, choices.size()));
    }
  }

  private String spanWords(Optional<Slot> next) {
    Optional<Reach.Span> widest =
        choices.stream().filter(ShapeChoice::chosen).findFirst().flatMap(ShapeChoice::span);
    String words =
        widest
            .map(
                s ->
                    Texts.of(
                        "inspector.spanMmAtEase",
                        s.from().sign(),
                        s.to().sign(),
                        s.millimetres(),
                        s.comfortable(),
                        s.limit()))
            .orElse(Texts.of("inspector.noSpanToStretch"));
    return words
        + next.filter(n -> n.shape().isPresent())
            .map(
                n ->
                    Texts.of(
                        "inspector.dashedWhereFingersGo", n.played().harmony().label(naming())))
            .orElse("");
  }

  private static String detailWords(Arrangement arrangement, int index, Slot slot, Shape shape) {
    List<String> lines = new ArrayList<>();
    String moves =
        ShapeChoice.movesAfter(arrangement, index).stream()
            .map(m -> m.words())
            .collect(Collectors.joining(", "));
    if (!moves.isEmpty()) {
      lines.add(Texts.of("inspector.then", moves));
    }
    if (slot.shape().isPresent()) {
      String muted =
          Muting.of(shape).stream()
              .map(m -> StringSign.of(m.string()) + " " + m.words())
              .collect(Collectors.joining(", "));
      if (!muted.isEmpty()) {
        lines.add(muted + ".");
      }
    }
    if (!slot.resting().isEmpty()) {
      lines.add(restWords(slot));
    }
    arrangement.dampsFrom(slot.fromTick(), slot.toTick()).stream()
        .map(d -> damped(d) + ".")
        .distinct()
        .forEach(lines::add);
    slot.remarks().forEach(r -> lines.add(r + "."));
    return String.join("\n", lines);
  }

  /** {@code Finger 3 may rest: nothing it presses is struck.} */
  private static String restWords(Slot slot) {
    String fingers =
        slot.resting().stream()
            .sorted()
            .map(Finger::sign)
            .collect(Collectors.joining(Texts.of("inspector.and")));
    boolean one = slot.resting().size() == 1;
    return Texts.of(
        "inspector.mayRestNothingIs",
        one ? Texts.of("inspector.finger") : Texts.of("inspector.fingers"),
        fingers,
        one ? Texts.of("inspector.itPresses") : Texts.of("inspector.theyPress"));
  }

  private static String damped(Damp damp) {
    return Texts.of(
        "inspector.stopped",
        damp.strings().stream().map(StringSign::of).collect(Collectors.joining()),
        damp.planned() ? Texts.of("inspector.notBeingInThe") : ": ",
        damp.by().words());
  }

  private static String fingerWords(Arrangement a, FingerChoice choice) {
    if (choice instanceof FingerChoice.Picking p) {
      FingerWork.PickingWork work = FingerWork.of(a, p.finger());
      String quick =
          work.quickestMillis()
              .map(m -> Texts.of("inspector.againAfterMsAt", m, work.bar()))
              .orElse("");
      return Texts.of("inspector.strikesTimes", p.finger().letter(), work.strokes(), quick);
    }
    FingerWork.FrettingWork work = FingerWork.of(a, ((FingerChoice.Fretting) choice).finger());
    double share = 100.0 * work.busyTicks() / Math.max(1, a.timeline().lengthTicks());
    return Texts.of(
        "inspector.fingerComesDownTimes",
        ((FingerChoice.Fretting) choice).finger().sign(),
        work.holds(),
        Math.max(0, 100 - share));
  }

  private String noteWords(Note note) {
    boolean pinned = OtherString.isWanted(workspace.song(), note);
    return Texts.of(
        "inspector.noteOnFretDrag",
        StringSign.of(note.string()),
        note.fret(),
        note.pick()
            .map(p -> Texts.of("inspector.finger2", p.letter()))
            .orElse(Texts.of("inspector.slurred")),
        pinned ? Texts.of("inspector.pinnedHereDeleteLet") : "");
  }

  /** Pins the shape of a card, counted from 1; nothing where there is no such card. */
  public void pinCard(int number) {
    if (number >= 1 && number <= choices.size()) {
      workspace.pins().pin(choices.get(number - 1).shape());
    }
  }
}
