package phalanx.picking;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import phalanx.fretting.RatedShape;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.StringSign;
import phalanx.theory.Chord;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.Meter;

class StringRolesTest {

  private static StringRoles roles(String symbol, String frets) {
    Chord chord = ((ChordReading.Read) ChordReader.read(symbol)).chord();
    List<Integer> numbers = frets.chars().mapToObj(c -> c == 'x' ? -1 : c - '0').toList();
    RatedShape shape =
        ShapeSearch.find(ShapeQuery.of(chord, Guitar.STEEL, Hand.MEDIUM).withBass(Optional.empty()))
            .fingering(numbers)
            .orElseThrow();
    return StringRoles.on(shape.shape(), chord, Guitar.STEEL);
  }

  private static int string(StringRoles roles, Role role) {
    return StringSign.number(roles.string(role).orElseThrow());
  }

  /** The thumb's two strings in open position (common practice, no source). */
  @ParameterizedTest
  @CsvSource({
    "C,x32010,5,4",
    "G,320003,6,4",
    "Am,x02210,5,4",
    "F,133211,6,4",
    "F,xx3211,4,3",
    "Dm,xx0231,4,5",
    "G,xx0003,4,3",
    "D,xx0232,4,5",
    "E,022100,6,4",
    "A,x02220,5,4",
    "B7,x21202,5,4",
    "D/F#,200232,6,4"
  })
  void theThumbAlternatesAsPlayersDo(String symbol, String frets, int root, int alternate) {
    StringRoles roles = roles(symbol, frets);
    assertThat(string(roles, Role.ROOT)).isEqualTo(root);
    assertThat(string(roles, Role.ALTERNATE)).isEqualTo(alternate);
  }

  /**
   * The thumb's routes of three voices in open position (common practice, no source). C rings its
   * open sixth string, its third; with the little finger on ⑤ the sixth string has the fifth.
   */
  @ParameterizedTest
  @CsvSource({
    "C,332010,5 4 6 4",
    "C,x32010,5 4 6 4",
    "G,320003,6 4 5 4",
    "Am,x02210,5 4 6 4",
    "E,022100,6 4 5 4",
    "A,x02220,5 4 6 4",
    "D/F#,200232,6 4 5 4"
  })
  void threeVoicesGoOverTheStringBetween(String symbol, String frets, String route) {
    StringRoles.Route laid = roles(symbol, frets).route(ThumbRoute.THREE_VOICES, Optional.empty());
    assertThat(laid.strings().stream().map(s -> "" + StringSign.number(s)).toList())
        .containsExactly(route.split(" "));
    assertThat(laid.remarks()).isEmpty();
  }

  @Test
  void aRouteSaysWhatItDoesInsteadWhereTheShapeHasNoString() {
    StringRoles b7 = roles("B7", "x21202");
    StringRoles.Route three = b7.route(ThumbRoute.THREE_VOICES, Optional.empty());
    assertThat(three.strings()).containsExactly(1, 2);
    assertThat(three.remarks()).containsExactly("no third bass here: the thumb alternates");
    StringRoles.Route pedal = b7.route(ThumbRoute.PEDAL, Optional.of(1));
    assertThat(pedal.strings()).containsExactly(1);
    assertThat(pedal.remarks()).isNotEmpty();
    assertThat(b7.route(ThumbRoute.PEDAL, Optional.of(0)).strings()).containsExactly(0);
    assertThat(b7.route(ThumbRoute.STEADY, Optional.empty()).strings()).containsExactly(1);
  }

  @ParameterizedTest
  @CsvSource({"C,x32010", "G,320003", "D,xx0232", "F,133211"})
  void theFingersTakeTheTrebleStrings(String symbol, String frets) {
    StringRoles roles = roles(symbol, frets);
    assertThat(string(roles, Role.MIDDLE)).isEqualTo(3);
    assertThat(string(roles, Role.UPPER)).isEqualTo(2);
    assertThat(string(roles, Role.TUNE)).isEqualTo(1);
    assertThat(roles.remarks()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"G,32000x"})
  void aDeadStringsRoleMovesToTheNearestAndSaysSo(String symbol, String frets) {
    StringRoles roles = roles(symbol, frets);
    assertThat(string(roles, Role.TUNE)).isEqualTo(2);
    assertThat(roles.remarks()).containsExactly("① does not sound: played on ②");
  }

  @ParameterizedTest
  @EnumSource(AlternatingThumb.class)
  void thePatternPutsTheThumbOnEveryBeatOfBothMetres(AlternatingThumb pattern) {
    for (Pattern bar : List.of(pattern.in(Meter.FOUR_FOUR), pattern.in(new Meter(6, 8)))) {
      int beat = bar.lengthTicks() == 20160 ? 5040 : 7560;
      assertThat(bar.steps())
          .allSatisfy(
              s ->
                  assertThat(s.roles().stream().anyMatch(Role::isThumb))
                      .isEqualTo(s.tick() % beat == 0));
    }
  }
}
