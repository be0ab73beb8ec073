package phalanx.desktop.chart;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import phalanx.chart.ChartLine;
import phalanx.chart.Rebarring;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.ScrolledCanvas;
import phalanx.desktop.model.ChartCursor;
import phalanx.desktop.model.HeardPlace;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.song.Bar;
import phalanx.song.Section;
import phalanx.song.Timeline.PlayedBar;

/**
 * The lead sheet on the screen: scrolls, selects, and is typed into. Only what can be seen is
 * drawn, on a canvas of the size of the view.
 */
public final class ChartView extends ScrolledCanvas {

  private final Workspace workspace;
  private final ChartCursor cursor;
  private final ChartPainter painter;
  private final BarEditor editor;

  /** The bar that came with a bar line typed at the end; 0 for none. */
  private int fresh;

  private Set<Integer> phrases = Set.of();

  /** The beginning of a phrase that is being moved. */
  private Optional<Integer> moved = Optional.empty();

  private final TextField sectionName = new TextField();
  private final WordsField words;
  private ChartLayout layout;

  public ChartView(Workspace workspace, ChartCursor cursor, Palette palette) {
    super("chart");
    this.workspace = workspace;
    this.cursor = cursor;
    painter = new ChartPainter(graphics(), palette);
    editor = new BarEditor(workspace, cursor);
    setUpSectionName();
    words = new WordsField(workspace);
    getChildren().addAll(editor, sectionName, words);
    workspace.historyProperty().addListener(o -> rebuild());
    workspace.viewing().namingProperty().addListener(o -> repaint());
    workspace.viewing().soundingProperty().addListener(o -> repaint());
    cursor.barProperty().addListener(o -> showCursor());
    cursor.anchorProperty().addListener(o -> repaint());
    focusedProperty().addListener(o -> repaint());
    workspace.models().sound().placeProperty().addListener((o, before, now) -> follow(now));
    setOnMousePressed(this::press);
    setOnMouseDragged(this::drag);
    setOnMouseReleased(this::release);
    setOnKeyPressed(this::pressed);
    setOnKeyTyped(this::typed);
  }

  private void setUpSectionName() {
    sectionName.setId("section-name-field");
    sectionName.getStyleClass().add("bar-text");
    sectionName.setPromptText(Texts.of("chartView.sectionName"));
    sectionName.setManaged(false);
    sectionName.setVisible(false);
    sectionName.setOnAction(e -> keepSectionName());
    sectionName.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            sectionName.setVisible(false);
            requestFocus();
          }
          e.consume();
        });
    sectionName
        .focusedProperty()
        .addListener(
            (o, before, focused) -> {
              if (!focused && sectionName.isVisible()) {
                keepSectionName();
              }
            });
  }

  private void keepSectionName() {
    sectionName.setVisible(false);
    cursor.nameSection(sectionName.getText().strip());
    requestFocus();
  }

  @Override
  protected double layOut(double width) {
    painter.prepare(workspace.song());
    phrases = cursor.phraseStarts();
    layout = new ChartLayout(workspace.song(), width);
    return layout.height();
  }

  @Override
  protected void paint(double top, double width, double height) {
    if (layout == null) {
      return;
    }
    painter.paint(
        new ChartPainter.Sheet(
            workspace.song(),
            workspace.viewing().namingProperty().get(),
            cursor.notation(Optional.empty()).up(),
            cursor.barProperty().get(),
            cursor.selection().stream().map(Bar::id).collect(Collectors.toSet()),
            isFocused(),
            phrases),
        layout,
        top,
        width,
        height);
    setAccessibleText(
        cursor
            .bar()
            .map(
                b ->
                    ChartWords.of(
                        workspace.song(),
                        b,
                        workspace.viewing().namingProperty().get(),
                        cursor.selection().size()))
            .orElse(Texts.of("chartView.emptyChart")));
  }

  private void showCursor() {
    if (layout == null) {
      return;
    }
    layout
        .cell(cursor.barProperty().get())
        .ifPresent(
            c -> reveal(c.y() - ChartLayout.HEADING, c.y() + c.height() + ChartLayout.ROW_GAP));
    repaint();
  }

  /** The line runs over the written bars with what is heard of them. */
  private void follow(Optional<HeardPlace> heard) {
    if (layout == null || getScene() == null || heard.isEmpty()) {
      standStill();
      return;
    }
    PlayedBar bar = heard.get().bar();
    double share = heard.get().share();
    layout
        .cell(bar.written())
        .ifPresentOrElse(
            c -> runAlong(c.x() + share * layout.barWidth(), c.y(), c.y() + c.height()),
            this::standStill);
  }

  private void press(MouseEvent event) {
    requestFocus();
    if (layout == null) {
      return;
    }
    double y = event.getY() + scrolled();
    moved = layout.beginningAt(event.getX(), y).filter(phrases::contains);
    if (moved.isPresent()) {
      return;
    }
    Optional<Integer> bar = layout.barAt(event.getX(), y);
    bar.ifPresent(b -> cursor.place(b, event.isShiftDown()));
    if (event.getClickCount() == 2) {
      bar.ifPresentOrElse(
          b -> edit(Optional.empty()),
          () -> layout.headingAt(y).filter(s -> !s.bars().isEmpty()).ifPresent(this::editHeading));
    }
  }

  private void editHeading(Section section) {
    cursor.place(section.bars().get(0).id(), false);
    nameSection();
  }

  private void drag(MouseEvent event) {
    if (layout != null && moved.isEmpty()) {
      layout.barAt(event.getX(), event.getY() + scrolled()).ifPresent(b -> cursor.place(b, true));
    }
  }

  /** The beginning of a phrase is let go over another bar. */
  private void release(MouseEvent event) {
    Optional<Integer> from = moved;
    moved = Optional.empty();
    from.flatMap(f -> layout.nearest(event.getX(), event.getY() + scrolled()))
        .filter(to -> !to.equals(from.get()))
        .ifPresent(to -> cursor.movePhrase(from.get(), to));
  }

  private void pressed(KeyEvent event) {
    if (event.getTarget() != this) {
      return;
    }
    boolean handled = event.isShortcutDown() ? command(event) : plain(event);
    if (handled) {
      event.consume();
    }
  }

  private boolean command(KeyEvent event) {
    switch (event.getCode()) {
      case C -> copy();
      case X -> {
        copy();
        cursor.delete();
      }
      case V -> paste();
      case A -> cursor.selectAll();
      case D -> cursor.repeatSection();
      case ENTER -> nameSection();
      case BACK_SPACE -> cursor.joinSection();
      default -> {
        return false;
      }
    }
    return true;
  }

  private boolean plain(KeyEvent event) {
    boolean extend = event.isShiftDown();
    int row = layout == null ? 1 : layout.perRow();
    switch (event.getCode()) {
      case LEFT -> step(event, -1);
      case RIGHT -> step(event, 1);
      case UP -> cursor.move(-row, extend);
      case DOWN -> cursor.move(row, extend);
      case PAGE_UP -> cursor.move(-6 * row, extend);
      case PAGE_DOWN -> cursor.move(6 * row, extend);
      case HOME -> cursor.move(Integer.MIN_VALUE / 2, extend);
      case END -> cursor.move(Integer.MAX_VALUE / 2, extend);
      case ENTER, F2 -> edit(Optional.empty());
      case F4 -> editWords();
      case INSERT -> cursor.insertBar();
      case DELETE, BACK_SPACE -> cursor.delete();
      default -> {
        return false;
      }
    }
    return true;
  }

  private void step(KeyEvent event, int by) {
    if (event.isAltDown()) {
      cursor.shift(by);
    } else {
      cursor.move(by, event.isShiftDown());
    }
  }

  /** A letter begins to type the bar anew; signs act on the bar at once. */
  private void typed(KeyEvent event) {
    String sign = event.getCharacter();
    if (event.getTarget() != this || event.isShortcutDown() || event.isAltDown()) {
      return;
    }
    if (sign.equals("|")) {
      cursor.insertBar();
      edit(Optional.of(""));
    } else if (sign.equals("[")) {
      cursor.toggleRepeatStart();
    } else if (sign.equals("]")) {
      cursor.cycleRepeatEnd();
    } else if (sign.equals("(")) {
      cursor.togglePhrase();
    } else if (sign.equals(">")) {
      cursor.bar().ifPresent(b -> workspace.edit(s -> Rebarring.longer(s, b.id())));
    } else if (sign.equals("<")) {
      cursor.bar().ifPresent(b -> workspace.edit(s -> Rebarring.shorter(s, b.id())));
    } else if (sign.matches("[1-4]")) {
      cursor.toggleEnding(Integer.parseInt(sign));
    } else if (sign.matches("[\\p{L}=%.:]")) {
      edit(Optional.of(sign));
    } else {
      return;
    }
    event.consume();
  }

  private void copy() {
    ClipboardContent content = new ClipboardContent();
    content.putString(cursor.copied());
    Clipboard.getSystemClipboard().setContent(content);
  }

  private void paste() {
    String text = Clipboard.getSystemClipboard().getString();
    if (text != null && !text.isBlank()) {
      ChartLine line = cursor.paste(text);
      workspace
          .problems()
          .setAll(
              line.problems().stream()
                  .map(p -> Texts.of("chartView.pastedTextSign", p.column() + 1, p.message()))
                  .toList());
    }
  }

  /** Opens the line to type in over the bar at the cursor, or over the empty sheet. */
  public void edit(Optional<String> typed) {
    if (layout == null) {
      return;
    }
    Optional<ChartLayout.Cell> cell = layout.cell(cursor.barProperty().get());
    double x = cell.map(ChartLayout.Cell::x).orElse(ChartLayout.MARGIN);
    double y = cell.map(ChartLayout.Cell::y).orElse(ChartLayout.HEADING) - scrolled();
    editor.relocate(x + 4, y + 18);
    editor.setPrefWidth(Math.max(180, layout.barWidth() - 8));
    editor.open(cursor.bar(), typed, this::goOn);
    editor.autosize();
  }

  private void goOn(int bars) {
    requestFocus();
    if (bars == 0) {
      forgetEmpty();
      return;
    }
    int before = cursor.barProperty().get();
    cursor.move(1, false);
    if (cursor.barProperty().get() == before) {
      cursor.insertBar();
      fresh = cursor.barProperty().get();
      edit(Optional.of(""));
    } else {
      edit(Optional.empty());
    }
  }

  /** The bar behind a last bar line in which nothing was typed is no bar. */
  private void forgetEmpty() {
    boolean empty =
        cursor.bar().filter(b -> b.id() == fresh && b.equals(Bar.of(fresh, List.of()))).isPresent();
    fresh = 0;
    if (empty) {
      workspace.undo();
      cursor.move(Integer.MAX_VALUE / 2, false);
    }
  }

  /** Opens the line in which the words of the bar at the cursor are typed. */
  public void editWords() {
    Optional<ChartLayout.Cell> cell =
        layout == null ? Optional.empty() : layout.cell(cursor.barProperty().get());
    cell.ifPresent(
        c -> {
          words.resizeRelocate(
              c.x() + 4,
              c.y() + ChartLayout.ROW - 14 - scrolled(),
              Math.max(240, layout.barWidth() - 8),
              30);
          words.open(c.bar(), this::goOnWithWords);
        });
  }

  private void goOnWithWords(int bars) {
    requestFocus();
    int before = cursor.barProperty().get();
    if (bars > 0) {
      cursor.move(1, false);
      if (cursor.barProperty().get() != before) {
        editWords();
      }
    }
  }

  /** Opens the line in which the section at the cursor is named. */
  public void nameSection() {
    Optional<ChartLayout.Cell> cell =
        layout == null ? Optional.empty() : layout.cell(cursor.barProperty().get());
    cell.ifPresent(
        c -> {
          boolean starts =
              cursor.section().filter(s -> s.bars().get(0).id() == c.bar().id()).isPresent();
          sectionName.setText(starts ? cursor.section().map(Section::label).orElse("") : "");
          sectionName.resizeRelocate(c.x() + 2, c.y() - 31 - scrolled(), 240, 28);
          sectionName.setVisible(true);
          sectionName.requestFocus();
          sectionName.selectAll();
        });
  }
}
