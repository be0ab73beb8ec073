package phalanx.notation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NoteValueTest {

  /** Note values as every theory book has them; 5040 ticks are a quarter. */
  @ParameterizedTest
  @CsvSource({
    "20160,whole",
    "15120,half.",
    "10080,half",
    "7560,quarter.",
    "5040,quarter",
    "3780,eighth.",
    "2520,eighth",
    "1260,16th",
    "12600,half+eighth",
    "17640,half.+eighth",
    "25200,whole+quarter"
  })
  void writesALengthWithAsFewTiesAsItCan(int ticks, String values) {
    List<String> written =
        NoteValue.lasting(ticks).stream().map(v -> v.type() + (v.dotted() ? "." : "")).toList();
    assertThat(String.join("+", written)).isEqualTo(values);
  }

  @Property
  void theValuesLastExactlyAsLong(@ForAll @IntRange(min = 0, max = 96) int thirtySeconds) {
    int ticks = thirtySeconds * 630;
    assertThat(NoteValue.lasting(ticks).stream().mapToInt(NoteValue::ticks).sum()).isEqualTo(ticks);
  }

  @Test
  void aTripletHasNoPlainValue() {
    assertThatThrownBy(() -> NoteValue.lasting(1680)).isInstanceOf(IllegalArgumentException.class);
  }
}
