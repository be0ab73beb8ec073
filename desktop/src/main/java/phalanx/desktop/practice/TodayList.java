package phalanx.desktop.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import javafx.beans.property.BooleanProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.TypeFace;
import phalanx.desktop.model.LoopBars;
import phalanx.desktop.model.PracticeDay;
import phalanx.desktop.model.PracticeViewModel;
import phalanx.desktop.texts.Texts;
import phalanx.practice.Drill;
import phalanx.practice.PracticeOrder;
import phalanx.practice.Today;

/** What is practised today, in order, each with its minutes and why it is there. */
final class TodayList extends VBox {

  private static final String CAUTION = Texts.of("todayList.stopIfItHurts");

  /** From so many days without practice on it is a long break. */
  private static final int LONG_BREAK = 14;

  /** How wide what stands on a card is, px. */
  private static final double CARD = 174;

  private static final double TITLE = 108;

  /** How wide the row of ways to practise is, px. */
  private static final double WAYS = 200;

  private static final double TITLE_SIZE = 12.5;

  private final PracticeViewModel model;
  private final Label done = Controls.wrapped("", "where");
  private final VBox items = new VBox(6);

  TodayList(PracticeViewModel model) {
    this.model = model;
    setId("today");
    getStyleClass().add("today");
    items.getStyleClass().add("cards");
    getChildren().addAll(head(), done, ways(), Controls.scroll(items));
    model.dayProperty().addListener(o -> show());
    model.placeProperty().addListener(o -> show());
    model.diaryProperty().addListener(o -> show());
    show();
  }

  private HBox head() {
    Spinner<Integer> minutes = new Spinner<>(5, 180, model.wishes().minutesProperty().get(), 5);
    minutes.setId("practice-minutes");
    minutes.setPrefWidth(82);
    minutes.setTooltip(new Tooltip(Texts.of("todayList.howMuchTimeThere")));
    minutes.valueProperty().addListener((o, was, now) -> model.wishes().minutesProperty().set(now));
    Label title = Controls.styled(Texts.of("todayList.today"), "form-title");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox row = new HBox(6, title, gap, minutes, new Label(Texts.of("todayList.minutes")));
    row.getStyleClass().add("card-row");
    return row;
  }

  /** Which hand comes first, and why. */
  private ToggleButton order() {
    ToggleButton first = new ToggleButton(Texts.of("todayList.frettingFirst"));
    first.setId("practice-order");
    first.getStyleClass().addAll("tool", "small-tool");
    first.setTooltip(new Tooltip(PracticeOrder.FRETTING_FIRST.words()));
    first.setOnAction(
        e ->
            model
                .wishes()
                .orderProperty()
                .set(
                    first.isSelected() ? PracticeOrder.FRETTING_FIRST : PracticeOrder.THUMB_FIRST));
    return first;
  }

  private static ToggleButton way(String id, String words, String why, BooleanProperty wish) {
    ToggleButton way = new ToggleButton(words);
    way.setId(id);
    way.getStyleClass().addAll("tool", "small-tool");
    way.setTooltip(new Tooltip(why));
    way.selectedProperty().bindBidirectional(wish);
    return way;
  }

  /** Only the bars that are looped. */
  private ToggleButton loop() {
    ToggleButton only = new ToggleButton();
    only.setId("practice-loop");
    only.getStyleClass().addAll("tool", "small-tool");
    only.setTooltip(new Tooltip(Texts.of("todayList.practiseOnlyTheBars")));
    only.selectedProperty().bindBidirectional(model.wishes().loopOnlyProperty());
    Runnable name =
        () -> {
          Optional<LoopBars> bars = model.wishes().loopProperty().get();
          only.setText(bars.map(b -> Texts.of("todayList.only", b.words())).orElse(""));
          only.setVisible(bars.isPresent());
          only.setManaged(bars.isPresent());
        };
    model.wishes().loopProperty().addListener(o -> name.run());
    name.run();
    return only;
  }

  private FlowPane ways() {
    FlowPane row =
        new FlowPane(
            6,
            6,
            order(),
            way(
                "practice-interleaved",
                Texts.of("todayList.mixed"),
                Texts.of("todayList.keepWhatIsAlike"),
                model.wishes().interleavedProperty()),
            way(
                "practice-compound",
                Texts.of("todayList.relay"),
                Texts.of("todayList.alsoThePatternThrough"),
                model.wishes().compoundProperty()),
            loop());
    row.setPrefWrapLength(WAYS);
    return row;
  }

  private void show() {
    PracticeDay day = model.dayProperty().get();
    int minutes = model.history().doneToday();
    done.setText(
        day.today().items().isEmpty()
            ? model.isEmpty()
                ? Texts.of("todayList.thereIsNothingTo")
                : Texts.of("todayList.theDayIsBeing")
            : Texts.of("todayList.doneToGo", minutes, Math.max(0, day.today().minutes() - minutes))
                + away());
    List<Node> rows = new ArrayList<>();
    int number = 0;
    for (int p = 0; p < day.today().items().size(); p++) {
      Today.Item item = day.today().items().get(p);
      Optional<Today.DrillItem> drill = day.at(p);
      if (drill.isPresent()) {
        number++;
        rows.add(card(drill.get(), p, number));
        if (p == model.placeProperty().get()) {
          rows.add(Controls.wrapped(drill.get().why(), "drill-why"));
        }
        if (number == 1) {
          rows.add(Controls.wrapped(CAUTION, "caution"));
        }
      } else {
        rows.add(
            Controls.wrapped(Texts.of("todayList.minBreak", item.minutes(), item.why()), "where"));
      }
    }
    items.getChildren().setAll(rows);
  }

  /** After a long break nothing waits in a heap, which is said. */
  private String away() {
    OptionalLong days = model.history().daysAway();
    return days.isPresent() && days.getAsLong() >= LONG_BREAK
        ? Texts.of("todayList.weeksAwayTheDay", days.getAsLong() / 7)
        : "";
  }

  /**
   * Words in lines that fit a card: a button asks what stands on it for its height before it says
   * how wide that may be, so that nothing wraps there by itself.
   */
  private static String inLines(String words) {
    StringBuilder lines = new StringBuilder();
    String line = "";
    for (String word : words.split(" ")) {
      String longer = line.isEmpty() ? word : line + " " + word;
      if (!line.isEmpty() && Lettering.width(longer, TypeFace.bold(TITLE_SIZE)) > TITLE) {
        lines.append(line).append('\n');
        line = word;
      } else {
        line = longer;
      }
    }
    return lines.append(line).toString();
  }

  private Button card(Today.DrillItem item, int place, int number) {
    Drill drill = item.drill();
    long attempts = model.attemptsToday(place);
    Label sign = Controls.styled(attempts > 0 ? "✓" : String.valueOf(number), "drill-number");
    sign.setMinWidth(Region.USE_PREF_SIZE);
    String[] words = drill.title().split(", ", 2);
    Label title = Controls.styled(inLines(words[0]), "drill-title");
    HBox.setHgrow(title, Priority.ALWAYS);
    title.setMaxWidth(Double.MAX_VALUE);
    Label minutes = Controls.styled(Texts.of("todayList.min", item.minutes()), "where");
    minutes.setMinWidth(Region.USE_PREF_SIZE);
    HBox head = new HBox(8, sign, title, minutes);
    VBox content = new VBox(2, head);
    String where = words.length > 1 ? words[1] : "";
    String song =
        item.song() == 0 ? "" : model.dayProperty().get().songs().get(item.song()).title();
    String below = where.isEmpty() || song.isEmpty() ? where + song : where + " · " + song;
    if (!below.isEmpty()) {
      content.getChildren().add(Controls.styled(below, "where"));
    }
    Button card = new Button();
    card.setGraphic(content);
    card.setId("drill-" + number);
    card.setMaxWidth(Double.MAX_VALUE);
    card.getStyleClass().add("card");
    card.setAccessibleText(drill.title() + ": " + item.why());
    card.setTooltip(new Tooltip(item.why()));
    content.setPrefWidth(CARD);
    if (place == model.placeProperty().get()) {
      card.getStyleClass().add("chosen");
    }
    card.setOnAction(e -> model.choose(place));
    return card;
  }
}
