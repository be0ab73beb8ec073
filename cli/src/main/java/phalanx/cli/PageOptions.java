package phalanx.cli;

import java.util.Optional;
import phalanx.engraving.Paper;
import phalanx.engraving.SheetOptions;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;

/** How pages are to look. */
final class PageOptions {

  @Option(names = "--paper", paramLabel = "PAPER", description = "a4 or letter (default a4)")
  private String paper = "a4";

  @Option(names = "--landscape", description = "pages on their long side")
  private boolean landscape;

  @Option(
      names = "--sheet",
      paramLabel = "KIND",
      description = "what stands on the pages: tab, chart or learn (default tab)")
  private String sheet = "tab";

  @Option(
      names = "--bars",
      paramLabel = "FROM-TO",
      description = "bars of the page, such as 3-6 (default all)")
  private String bars;

  /** The sheet that is asked for. */
  SheetOptions sheet(CommandSpec spec) {
    SheetOptions.Kind kind =
        SheetOptions.Kind.named(sheet)
            .orElseThrow(() -> usage(spec, "--sheet " + sheet + ": expected tab, chart or learn"));
    Paper on =
        Paper.named(paper)
            .orElseThrow(() -> usage(spec, "--paper " + paper + ": expected a4 or letter"));
    return SheetOptions.USUAL.of(kind).on(on, landscape).of(range(spec));
  }

  private Optional<SheetOptions.Bars> range(CommandSpec spec) {
    if (bars == null) {
      return Optional.empty();
    }
    BarsText range = BarsText.of(spec, bars);
    return Optional.of(new SheetOptions.Bars(range.from(), range.to()));
  }

  private static ParameterException usage(CommandSpec spec, String words) {
    return new ParameterException(spec.commandLine(), words);
  }
}
