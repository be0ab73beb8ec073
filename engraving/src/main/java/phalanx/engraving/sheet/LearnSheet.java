package phalanx.engraving.sheet;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.engraving.EngravedSheet;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.engraving.SheetOptions;
import phalanx.engraving.SheetOptions.Show;
import phalanx.engraving.Texts;
import phalanx.engraving.font.Face;
import phalanx.findings.Review;
import phalanx.fretting.Shape;
import phalanx.practice.HardChanges;
import phalanx.practice.StrokeWords;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.Phrase;

/**
 * What a player puts on the stand to learn a song by: its form, its shapes, its pattern in letters
 * and motions, the three hardest changes with their reason, and how fast both hands hold.
 */
public final class LearnSheet {

  /** What players say to themselves (common practice, no source). */
  private static final double SIZE = 10;

  private static final double LINE = 13.5;
  private static final int HARDEST = 3;

  /** Patterns shown; more are told by their number. */
  private static final int MOST_PATTERNS = 3;

  /** Shapes that leave room for the rest of one page. */
  private static final int MOST_SHAPES = 24;

  private final Arrangement arrangement;
  private final Review review;
  private final Song song;
  private final double width;
  private final List<Block> blocks = new ArrayList<>();

  private final boolean leftHanded;

  private LearnSheet(Arrangement arrangement, Review review, SheetOptions options) {
    this.arrangement = arrangement;
    this.review = review;
    song = arrangement.song();
    width = Paging.width(options);
    leftHanded = options.has(Show.LEFT_HANDED);
  }

  /** The page of a song. */
  public static EngravedSheet of(Arrangement arrangement, Review review, SheetOptions options) {
    LearnSheet sheet = new LearnSheet(arrangement, review, options);
    sheet.form();
    sheet.shapes();
    sheet.patterns();
    sheet.changes();
    sheet.tempo();
    return Paging.pages(
        sheet.song.title(), Heading.of(sheet.song, sheet.width), sheet.blocks, options);
  }

  private void heading(String text) {
    List<Mark> marks = new ArrayList<>();
    marks.add(new Mark.Text(Role.SECTION, text, 0, 12, Face.BOLD, 12));
    marks.add(new Mark.Line(Role.STAFF, 0, 16, width, 16, 0.6));
    blocks.add(new Block(marks, 17, 13, true));
  }

  private void text(String text) {
    for (String line : Lines.broken(text, Face.PLAIN, SIZE, width)) {
      blocks.add(
          new Block(
              List.of(new Mark.Text(Role.TEXT, line, 0, SIZE, Face.PLAIN, SIZE)),
              SIZE + 2,
              LINE - SIZE - 2,
              false));
    }
  }

  private void form() {
    heading(Texts.of("learnSheet.form"));
    List<String> parts = new ArrayList<>();
    for (Section section : song.sections()) {
      int bars = section.bars().size();
      int plays = section.bars().stream().mapToInt(b -> b.plays()).max().orElse(1);
      String label = section.label().isBlank() ? Texts.of("learnSheet.song") : section.label();
      parts.add(
          Phrase.of("%s: %d %s", label, bars, bars == 1 ? "bar" : "bars")
              + (plays > 1 ? Texts.of("learnSheet.times", plays) : ""));
    }
    text(String.join(" · ", parts));
    text(
        song.meter()
            + " · "
            + Tempo.of(song.meter(), song.tempo())
            + song.key().map(k -> Texts.of("learnSheet.keyOf", k)).orElse("")
            + Texts.of("learnSheet.barsAsPlayed", arrangement.timeline().bars().size()));
  }

  private void shapes() {
    var all = ChartSheet.shapes(arrangement);
    if (all.isEmpty()) {
      return;
    }
    heading(Texts.of("learnSheet.shapes"));
    var first = new java.util.LinkedHashMap<Shape, String>();
    all.entrySet().stream().limit(MOST_SHAPES).forEach(e -> first.put(e.getKey(), e.getValue()));
    blocks.addAll(ShapeRows.of(first, width, leftHanded));
    if (all.size() > first.size()) {
      text(Texts.of("learnSheet.andMoreSeeThe", all.size() - first.size()));
    }
  }

  private void patterns() {
    Set<String> seen = new HashSet<>();
    int others = 0;
    boolean titled = false;
    for (PlayedBar bar : arrangement.timeline().bars()) {
      List<Note> notes =
          arrangement.notesFrom(bar.startTick(), bar.endTick()).stream()
              .filter(n -> n.pick().isPresent())
              .toList();
      String letters = StrokeWords.letters(bar, notes);
      if (notes.isEmpty() || !seen.add(letters)) {
        continue;
      }
      if (seen.size() > MOST_PATTERNS) {
        others++;
        continue;
      }
      if (!titled) {
        heading(Texts.of("learnSheet.pickingHand"));
        titled = true;
      }
      text(Texts.of("learnSheet.bar", bar.number(), letters));
      text(StrokeWords.motions(notes));
    }
    if (others > 0) {
      text(Texts.of("learnSheet.andMoreBarsThat", others));
    }
  }

  private void changes() {
    List<HardChanges.HardChange> hardest =
        HardChanges.of(arrangement).stream().limit(HARDEST).toList();
    if (hardest.isEmpty()) {
      return;
    }
    heading(Texts.of("learnSheet.theHardestChanges"));
    for (HardChanges.HardChange change : hardest) {
      text(
          Texts.of(
              "learnSheet.barTheFurthestFinger",
              change.to().played().bar(),
              change.pair(),
              change.needed(),
              change.has(),
              change.share() > 1 ? Texts.of("learnSheet.slowerUntilItIs") : ""));
    }
  }

  private void tempo() {
    heading(Texts.of("learnSheet.tempo"));
    Optional<Double> ceiling = review.ceiling().song();
    String begin =
        Tempo.of(song.meter(), Math.min(song.tempo(), ceiling.orElse(song.tempo())) * 0.6);
    text(
        ceiling
            .map(
                c ->
                    Texts.of(
                        "learnSheet.bothHandsHoldUp",
                        Tempo.of(song.meter(), Math.floor(c)),
                        review
                            .ceiling()
                            .bar()
                            .map(b -> Texts.of("learnSheet.setByBar", b))
                            .orElse("")))
            .orElse(Texts.of("learnSheet.nothingInThisSong")));
    text(Texts.of("learnSheet.beginNearAndFaster", begin));
    text(Texts.of("learnSheet.warmUpFirstAnd"));
  }
}
