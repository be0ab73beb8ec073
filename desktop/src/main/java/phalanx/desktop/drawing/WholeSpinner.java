package phalanx.desktop.drawing;

import java.util.regex.Pattern;
import javafx.scene.control.Spinner;
import javafx.scene.control.SpinnerValueFactory.IntegerSpinnerValueFactory;
import javafx.util.StringConverter;

/** A field for a whole number with steps up and down; what is no number leaves it as it was. */
public final class WholeSpinner {

  private static final Pattern WHOLE = Pattern.compile("\\d{1,4}");

  private WholeSpinner() {}

  /** One from a number to another. */
  public static Spinner<Integer> of(String id, int least, int most, int now) {
    IntegerSpinnerValueFactory values =
        new IntegerSpinnerValueFactory(least, most, Math.max(least, Math.min(most, now)));
    values.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(Integer value) {
            return String.valueOf(value);
          }

          @Override
          public Integer fromString(String typed) {
            String digits = typed.strip();
            return WHOLE.matcher(digits).matches() ? Integer.valueOf(digits) : values.getValue();
          }
        });
    Spinner<Integer> spinner = new Spinner<>(values);
    spinner.setId(id);
    spinner.setEditable(true);
    spinner.getStyleClass().add("form-field");
    return spinner;
  }
}
