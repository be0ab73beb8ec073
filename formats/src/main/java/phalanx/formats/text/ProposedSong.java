package phalanx.formats.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.chart.ProbableKey;
import phalanx.formats.imported.ImportedBar;
import phalanx.formats.imported.ImportedSong;
import phalanx.song.BarLyrics;
import phalanx.song.Song;
import phalanx.song.SongBounds;
import phalanx.theory.Meter;
import phalanx.theory.Quoted;

/** Lines of words and chords as they are read, put together into bars that are proposed. */
public final class ProposedSong {

  private final List<Part> parts = new ArrayList<>();
  private String label = "";
  private boolean labelled;

  /** A line with the heading it stands under, or bars that were written as such. */
  private record Part(Optional<String> label, ChordedLine line, List<ImportedBar> bars) {}

  /** A heading: the next line begins a section. */
  public void heading(String text) {
    label = text;
    labelled = true;
  }

  /** A line with chords, or with words alone. */
  public void line(ChordedLine line) {
    parts.add(new Part(take(), line, List.of()));
  }

  /** Bars that were written with bar lines. */
  public void bars(List<ImportedBar> bars) {
    parts.add(new Part(take(), new ChordedLine(List.of(), ""), bars));
  }

  private Optional<String> take() {
    Optional<String> taken = labelled ? Optional.of(label) : Optional.empty();
    labelled = false;
    return taken;
  }

  /** Whether a chord stands anywhere. */
  public boolean hasChords() {
    return parts.stream().anyMatch(p -> !p.bars().isEmpty() || !p.line().chords().isEmpty());
  }

  /**
   * The song.
   *
   * @param plain its title, its key if it says one, its guitar
   */
  public Song over(Song plain, Meter meter) {
    BarProposal proposal = new BarProposal(parts.stream().map(Part::line).toList());
    List<ImportedBar> bars = new ArrayList<>();
    List<String> rest = new ArrayList<>();
    Optional<String> waiting = Optional.empty();
    for (Part part : parts) {
      Optional<String> begins = part.label().isPresent() ? part.label() : waiting;
      if (!part.bars().isEmpty()) {
        part.bars().get(0).label = begins;
        bars.addAll(part.bars());
        waiting = Optional.empty();
      } else if (!part.line().chords().isEmpty()) {
        boolean goesOn = !bars.isEmpty() && begins.isEmpty();
        List<ImportedBar> proposed = proposal.bars(part.line(), meter, begins, goesOn);
        if (part.line().times() > 1) {
          proposed.get(0).repeatStart = true;
          proposed.get(proposed.size() - 1).plays = part.line().times();
        }
        bars.addAll(proposed);
        waiting = Optional.empty();
      } else if (part.line().isSung()) {
        waiting = begins;
        words(bars, part.line().words().strip(), begins.isPresent(), rest);
      }
    }
    List<ImportedBar> kept = bars.subList(0, Math.min(bars.size(), SongBounds.MOST_BARS));
    Song song = ImportedSong.of(plain.withLyrics(rest), kept);
    return song.key().isPresent() ? song : song.withKey(ProbableKey.of(song.chart()));
  }

  /**
   * A line without chords is sung on over the last bar, where it stands right behind a line with
   * chords; elsewhere it belongs to no bar.
   */
  private static void words(
      List<ImportedBar> bars, String line, boolean begins, List<String> rest) {
    ImportedBar last = bars.isEmpty() ? null : bars.get(bars.size() - 1);
    boolean sung = last != null && !begins && last.words.verses().size() == 1;
    if (sung && last.words.verse(0).length() + line.length() < 200) {
      List<BarLyrics.Piece> pieces = new ArrayList<>(last.words.verses().get(0));
      BarLyrics.Piece end = pieces.remove(pieces.size() - 1);
      pieces.add(new BarLyrics.Piece(end.tick(), end.text() + " " + line));
      last.words = new BarLyrics(List.of(pieces));
    } else if (rest.size() < SongBounds.MOST_LINES) {
      rest.add(Quoted.start(line, SongBounds.LONGEST_LINE));
    }
  }
}
