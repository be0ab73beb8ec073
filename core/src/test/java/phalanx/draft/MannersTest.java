package phalanx.draft;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.picking.Density;
import phalanx.picking.ThumbRoute;

class MannersTest {

  @Test
  void aMannerIsReadFromText() {
    Manners.Result read =
        Manners.read(
            """
            # a remark
            manner: Mine
            about: two strokes
            thumb: walking
            tempo: 60-90
            density: 1-2
            rings: yes
            ending: slower
            metre: 4/4
            upper | . | o | . | o |
            thumb | o | . | o | . |
            """);
    assertThat(read.problems()).isEmpty();
    Manner mine = read.manners().get(0);
    assertThat(mine.thumb()).isEqualTo(ThumbRoute.WALKING);
    assertThat(mine.least()).isEqualTo(Density.TUNE);
    assertThat(mine.most()).isEqualTo(Density.HELD);
    assertThat(mine.rings()).isTrue();
    assertThat(mine.fastest()).isEqualTo(90);
    assertThat(mine.patterns()).hasSize(1);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "thumb: sideways|there is no way of the thumb sideways",
        "tempo: quick|tempo: expected two numbers such as 40-200",
        "tempo: 90-60|tempo: the first number is the smaller one",
        "density: 2-9|a density is 0 to 3",
        "ending: fireworks|there is no ending fireworks"
      })
  void whatIsWrongIsSaidWithItsPlaceAndTheOthersAreKept(String line, String said) {
    String rows = "metre: 4/4\nthumb ! o ! . ! o ! . !\n".replace('!', '|');
    Manners.Result read =
        Manners.read("manner: Bad\n" + line + "\n" + rows + "manner: Good\n" + rows);
    assertThat(read.manners()).extracting(Manner::name).containsExactly("Good");
    assertThat(read.problems()).containsExactly(new Manners.Problem(1, said));
  }

  @Test
  void aMannerWithoutAPatternIsNone() {
    Manners.Result read = Manners.read("manner: Empty\nabout: nothing\n");
    assertThat(read.manners()).isEmpty();
    assertThat(read.problems().get(0).message()).isEqualTo("a manner has a pattern: Empty");
  }
}
