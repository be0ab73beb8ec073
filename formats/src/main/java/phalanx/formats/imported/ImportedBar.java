package phalanx.formats.imported;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.song.BarLyrics;
import phalanx.song.ChordChange;
import phalanx.theory.Meter;

/** A bar as a file is read; a reader fills it in as it goes. */
public final class ImportedBar {

  /** The metre it is counted in. */
  public Meter meter;

  /** A tempo that begins with it, quarter notes a minute. */
  public Optional<Double> tempo = Optional.empty();

  /** The name of a section that begins with it. */
  public Optional<String> label = Optional.empty();

  public boolean repeatStart;
  public int plays = 1;
  public final Set<Integer> passes = new HashSet<>();
  public final List<ChordChange> chords = new ArrayList<>();
  public final List<ImportedNote> tune = new ArrayList<>();
  public BarLyrics words = BarLyrics.NONE;

  /** How long it is in the file, ticks; 0 where it is as long as its metre says. */
  public int lengthTicks;

  /** An empty bar. */
  public ImportedBar(Meter meter) {
    this.meter = meter;
  }

  /** With a chord; a second one at the same time takes the first one’s place. */
  public void chord(ChordChange chord) {
    chords.removeIf(c -> c.tick() == chord.tick());
    chords.add(chord);
    chords.sort(java.util.Comparator.comparingInt(ChordChange::tick));
  }
}
