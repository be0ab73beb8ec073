package phalanx.desktop.practice;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import phalanx.desktop.drawing.Controls;
import phalanx.desktop.texts.Texts;
import phalanx.text.Language;

/** How long was practised on each day of the last four weeks: the longer, the darker. */
final class MinutesCalendar extends GridPane {

  private static final int WEEKS = 4;
  private static final List<String> DAYS =
      List.of(
          Texts.of("minutesCalendar.mon"),
          Texts.of("minutesCalendar.tue"),
          Texts.of("minutesCalendar.wed"),
          Texts.of("minutesCalendar.thu"),
          Texts.of("minutesCalendar.fri"),
          Texts.of("minutesCalendar.sat"),
          Texts.of("minutesCalendar.sun"));
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern(Texts.of("minutesCalendar.dMmm"), Language.spoken().dates());

  MinutesCalendar() {
    setId("minutes-calendar");
    setHgap(3);
    setVgap(3);
  }

  /** Shows the weeks up to a day. */
  void show(Map<LocalDate, Integer> minutes, LocalDate today) {
    getChildren().clear();
    for (int d = 0; d < DAYS.size(); d++) {
      add(Controls.styled(DAYS.get(d), "calendar-head"), d + 1, 0);
    }
    LocalDate monday = today.minusDays(today.getDayOfWeek().getValue() - 1L);
    for (int week = 0; week < WEEKS; week++) {
      LocalDate first = monday.minusWeeks(WEEKS - 1L - week);
      add(Controls.styled(DAY.format(first), "calendar-week"), 0, week + 1);
      for (int d = 0; d < DAYS.size(); d++) {
        add(cell(first.plusDays(d), minutes, today), d + 1, week + 1);
      }
    }
  }

  private static Label cell(LocalDate day, Map<LocalDate, Integer> minutes, LocalDate today) {
    int done = minutes.getOrDefault(day, 0);
    boolean future = day.isAfter(today);
    Label cell =
        new Label(
            future ? "" : done == 0 ? Texts.of("minutesCalendar.rest") : String.valueOf(done));
    cell.getStyleClass().add("calendar-day");
    cell.getStyleClass().add(level(done, future));
    if (day.equals(today)) {
      cell.getStyleClass().add("calendar-today");
    }
    cell.setTooltip(new Tooltip(Texts.of("minutesCalendar.minutes", DAY.format(day), done)));
    return cell;
  }

  private static String level(int minutes, boolean future) {
    if (future) {
      return "calendar-future";
    }
    return minutes == 0 ? "calendar-rest" : minutes < 15 ? "calendar-some" : "calendar-much";
  }
}
