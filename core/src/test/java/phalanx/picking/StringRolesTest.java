package phalanx.picking;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import phalanx.fretting.RatedShape;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.fretting.StringSign;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.theory.Chord;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;

class StringRolesTest {

  private static StringRoles roles(String symbol, String frets) {
    Chord chord = ((ChordReading.Read) ChordReader.read(symbol)).chord();
    List<Integer> numbers = frets.chars().mapToObj(c -> c == 'x' ? -1 : c - '0').toList();
    RatedShape shape =
        ShapeSearch.find(ShapeQuery.of(chord, Guitar.STEEL, Hand.MEDIUM))
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
    for (Pattern bar : List.of(pattern.bar(20160, 5040, false), pattern.bar(15120, 7560, true))) {
      int beat = bar.lengthTicks() == 20160 ? 5040 : 7560;
      assertThat(bar.steps())
          .allSatisfy(
              s ->
                  assertThat(s.roles().stream().anyMatch(Role::isThumb))
                      .isEqualTo(s.tick() % beat == 0));
    }
  }
}
