package phalanx.desktop.manual;

import java.net.URL;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import org.commonmark.ext.gfm.tables.TableBlock;
import org.commonmark.ext.gfm.tables.TableCell;
import org.commonmark.ext.gfm.tables.TableRow;
import org.commonmark.node.BulletList;
import org.commonmark.node.Code;
import org.commonmark.node.Emphasis;
import org.commonmark.node.FencedCodeBlock;
import org.commonmark.node.Heading;
import org.commonmark.node.Image;
import org.commonmark.node.ListBlock;
import org.commonmark.node.ListItem;
import org.commonmark.node.Paragraph;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.StrongEmphasis;

/** A page of the manual as text, lists, tables and examples; words searched for stand out. */
final class MarkdownView extends VBox {

  private static final double GAP = 8;

  /** The share of a table’s width that its first of two columns has, per cent. */
  private static final double FIRST_COLUMN = 34;

  /** How wide pictures are, px. */
  private static final double PICTURE = 640;

  private final List<String> sought;

  MarkdownView(org.commonmark.node.Node page, String sought) {
    super(GAP);
    this.sought =
        Stream.of(sought.toLowerCase(Locale.ROOT).split("\\s+")).filter(w -> !w.isEmpty()).toList();
    getStyleClass().add("manual-page");
    getChildren().addAll(blocks(page));
  }

  private static List<org.commonmark.node.Node> children(org.commonmark.node.Node node) {
    List<org.commonmark.node.Node> children = new ArrayList<>();
    for (var child = node.getFirstChild(); child != null; child = child.getNext()) {
      children.add(child);
    }
    return children;
  }

  private List<Node> blocks(org.commonmark.node.Node node) {
    return children(node).stream().map(this::block).toList();
  }

  private Node block(org.commonmark.node.Node node) {
    if (node instanceof Heading heading) {
      return flow(heading, heading.getLevel() == 1 ? "manual-title" : "manual-heading");
    } else if (node instanceof FencedCodeBlock code) {
      Label example = new Label(code.getLiteral().stripTrailing());
      example.getStyleClass().add("manual-example");
      return example;
    } else if (node instanceof ListBlock list) {
      return list(list);
    } else if (node instanceof TableBlock table) {
      return table(table);
    } else if (node.getFirstChild() instanceof Image image) {
      return picture(image);
    } else if (node instanceof Paragraph) {
      return flow(node, "manual-text");
    }
    return new VBox(GAP, blocks(node).toArray(Node[]::new));
  }

  /** A picture as wide as the page, read while the page is there already; its words without one. */
  private Node picture(Image image) {
    URL file = ManualPage.class.getResource(ManualPage.resource(image.getDestination()));
    if (file == null) {
      return flow(image, "manual-text");
    }
    ImageView view =
        new ImageView(
            new javafx.scene.image.Image(file.toExternalForm(), PICTURE, 0, true, true, true));
    StringBuilder words = new StringBuilder();
    children(image).stream()
        .filter(org.commonmark.node.Text.class::isInstance)
        .forEach(t -> words.append(((org.commonmark.node.Text) t).getLiteral()));
    view.setAccessibleText(words.toString());
    view.getStyleClass().add("manual-picture");
    return view;
  }

  private Node list(ListBlock list) {
    VBox rows = new VBox(GAP / 2);
    int number = 1;
    for (org.commonmark.node.Node item : children(list)) {
      Label mark = new Label(list instanceof BulletList ? "•" : number++ + ".");
      mark.getStyleClass().add("manual-mark");
      VBox content = new VBox(GAP / 2, blocks((ListItem) item).toArray(Node[]::new));
      HBox.setHgrow(content, Priority.ALWAYS);
      rows.getChildren().add(new HBox(mark, content));
    }
    return rows;
  }

  private Node table(TableBlock table) {
    GridPane grid = new GridPane();
    grid.getStyleClass().add("manual-table");
    int row = 0;
    int columns = 0;
    for (org.commonmark.node.Node part : children(table)) {
      for (org.commonmark.node.Node line : children(part)) {
        int column = 0;
        for (org.commonmark.node.Node cell : children((TableRow) line)) {
          String style = ((TableCell) cell).isHeader() ? "manual-heading" : "manual-text";
          grid.add(flow(cell, style), column++, row);
        }
        columns = Math.max(columns, column);
        row++;
      }
    }
    for (int c = 0; c < columns; c++) {
      ColumnConstraints width = new ColumnConstraints();
      width.setPercentWidth(
          c == 0 ? FIRST_COLUMN : (100 - FIRST_COLUMN) / Math.max(1, columns - 1));
      grid.getColumnConstraints().add(width);
    }
    return grid;
  }

  private TextFlow flow(org.commonmark.node.Node node, String style) {
    TextFlow flow = new TextFlow();
    flow.getStyleClass().add(style);
    inline(node, "manual-plain", flow);
    return flow;
  }

  private void inline(org.commonmark.node.Node node, String style, TextFlow flow) {
    for (org.commonmark.node.Node child : children(node)) {
      if (child instanceof org.commonmark.node.Text text) {
        words(text.getLiteral(), style, flow);
      } else if (child instanceof Code code) {
        words(code.getLiteral(), "manual-code", flow);
      } else if (child instanceof StrongEmphasis) {
        inline(child, "manual-strong", flow);
      } else if (child instanceof Emphasis) {
        inline(child, "manual-emphasis", flow);
      } else if (child instanceof SoftLineBreak) {
        words(" ", style, flow);
      } else {
        inline(child, style, flow);
      }
    }
  }

  /** What is sought stands in pieces of its own, which stand out. */
  private void words(String words, String style, TextFlow flow) {
    String low = words.toLowerCase(Locale.ROOT);
    int from = 0;
    for (int at = 0; at < words.length(); at++) {
      int here = at;
      int length =
          sought.stream()
              .filter(w -> low.startsWith(w, here))
              .mapToInt(String::length)
              .max()
              .orElse(0);
      if (length > 0) {
        piece(words.substring(from, at), flow, style);
        piece(words.substring(at, at + length), flow, style, "manual-found");
        from = at + length;
        at = from - 1;
      }
    }
    piece(words.substring(from), flow, style);
  }

  private static void piece(String words, TextFlow flow, String... styles) {
    if (!words.isEmpty()) {
      Text text = new Text(words);
      text.getStyleClass().addAll(styles);
      flow.getChildren().add(text);
    }
  }
}
