package phalanx.fretting;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The one table of weights, and its page. */
class CostTableTest {

  /** Set to write the page anew: {@code -Dphalanx.test.options=-Dphalanx.costs.write=true}. */
  private static final String WRITE = "phalanx.costs.write";

  private static final Path PAGE = Path.of("..", "docs", "costs.md");

  private static String row(CostTerm term) {
    return String.format(
        Locale.ROOT,
        "| %s | %s | %s | %s |",
        term.words(),
        Double.toString(term.weight()).replaceAll("\\.0$", ""),
        term.unit(),
        term.source().name().toLowerCase(Locale.ROOT));
  }

  @Test
  void thePageHasEveryWeightAsThePlanUsesIt() throws IOException {
    StringBuilder table = new StringBuilder();
    for (CostTerm term : CostTerm.values()) {
      table.append(row(term)).append('\n');
    }
    String page = Files.readString(PAGE);
    int from = page.indexOf("|---|---|---|---|\n") + "|---|---|---|---|\n".length();
    if (Boolean.getBoolean(WRITE)) {
      page = page.substring(0, from) + table;
      Files.writeString(PAGE, page);
    }
    assertThat(page.substring(from)).isEqualTo(table.toString());
  }

  @ParameterizedTest
  @EnumSource
  void everyTermSaysWhatItIsAndWhatItIsCountedIn(CostTerm term) {
    assertThat(term.words()).isNotBlank();
    assertThat(term.unit()).isNotBlank();
    assertThat(term.weight()).isNotZero();
  }

  /** Most that any shape of a hand's choice costs stays below one finding that is heard. */
  @Test
  void findingsWeighMoreThanEase() {
    assertThat(CostTerm.CANNOT_BE_DONE.weight())
        .isGreaterThan(10 * CostTerm.WILL_BE_HEARD.weight());
    assertThat(CostTerm.WILL_BE_HEARD.weight()).isGreaterThan(CostTerm.CUT_OFF.weight());
  }
}
