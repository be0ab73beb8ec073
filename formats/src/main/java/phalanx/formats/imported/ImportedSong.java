package phalanx.formats.imported;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import phalanx.chart.ChordProposal;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.song.Bar;
import phalanx.song.BarLyrics;
import phalanx.song.Chart;
import phalanx.song.ChordChange;
import phalanx.song.Feel;
import phalanx.song.Lyrics;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.SongBounds;
import phalanx.song.Tune;
import phalanx.theory.Key;
import phalanx.theory.Quoted;

/** Puts bars that were read together into a song. */
public final class ImportedSong {

  private ImportedSong() {}

  /**
   * A song of bars: its sections begin where a bar is labelled, its tempo and metre are those of
   * its first bar.
   *
   * @param plain title, key and guitar
   */
  public static Song of(Song plain, List<ImportedBar> bars) {
    List<Section> sections = new ArrayList<>();
    List<Bar> open = new ArrayList<>();
    Map<Integer, BarTune> tunes = new HashMap<>();
    Map<Integer, BarLyrics> words = new HashMap<>();
    String label = "";
    int id = 1;
    ImportedBar before = null;
    for (ImportedBar bar : bars) {
      if (bar.label.isPresent()) {
        id = close(sections, open, label, id);
        label = Quoted.start(bar.label.get(), SongBounds.LONGEST_NAME);
      }
      boolean turns = before != null && !before.meter.equals(bar.meter);
      Bar written =
          Bar.of(id, inside(bar))
              .withMeter(turns ? Optional.of(bar.meter) : Optional.empty())
              .withTempo(before == null ? Optional.empty() : bar.tempo.filter(Feel::isTempo))
              .startingRepeat(bar.repeatStart)
              .endingRepeat(Math.min(Bar.MOST_PLAYS, Math.max(1, bar.plays)))
              .inPasses(bar.passes);
      open.add(written);
      tunes.put(id, tune(bar));
      words.put(id, bar.words);
      id++;
      before = bar;
    }
    close(sections, open, label, id);
    tunes.values().removeIf(BarTune::isSilent);
    ImportedBar first = bars.get(0);
    boolean pickup = first.lengthTicks > 0 && first.lengthTicks < first.meter.barTicks();
    Feel feel =
        plain
            .feel()
            .withMeter(first.meter)
            .withTempo(first.tempo.filter(Feel::isTempo).orElse(plain.tempo()))
            .withPickup(pickup && bars.size() > 1 ? first.lengthTicks : 0);
    return plain
        .withFeel(feel)
        .withChart(new Chart(sections))
        .withTune(new Tune(tunes, true))
        .withWords(new Lyrics(plain.lyrics(), words));
  }

  private static int close(List<Section> sections, List<Bar> open, String label, int id) {
    if (open.isEmpty()) {
      return id;
    }
    // Sections have numbers of their own, far from those of the bars.
    sections.add(Section.of(SECTIONS + sections.size(), label, List.copyOf(open)));
    open.clear();
    return id;
  }

  private static final int SECTIONS = 100_000;

  private static List<ChordChange> inside(ImportedBar bar) {
    int length = bar.lengthTicks > 0 ? bar.lengthTicks : bar.meter.barTicks();
    return bar.chords.stream().filter(c -> c.tick() < length).toList();
  }

  /** The tune of a bar: what is tied over its first line is held, each note ends by the next. */
  static BarTune tune(ImportedBar bar) {
    int held = 0;
    List<TuneNote> notes = new ArrayList<>();
    for (ImportedNote note : bar.tune) {
      if (note.endTick() > BarTune.LONGEST) {
        continue;
      }
      int last = notes.size() - 1;
      if (note.lengthTicks() < 1 || last >= 0 && notes.get(last).tick() >= note.tick()) {
        continue;
      }
      if (note.goesOn() && last < 0 && note.tick() <= held) {
        held = note.endTick();
      } else if (note.goesOn() && last >= 0 && notes.get(last).endTick() >= note.tick()) {
        notes.set(last, notes.get(last).lasting(note.endTick() - notes.get(last).tick()));
      } else {
        if (last >= 0 && notes.get(last).endTick() > note.tick()) {
          notes.set(last, notes.get(last).lasting(note.tick() - notes.get(last).tick()));
        }
        held = Math.min(held, note.tick());
        notes.add(
            new TuneNote(
                note.tick(),
                note.lengthTicks(),
                note.wants().stream().distinct().limit(TuneNote.MOST_TOGETHER).toList(),
                note.slur(),
                note.graces().stream().limit(TuneNote.MOST_GRACES).toList(),
                note.techniques()));
      }
    }
    return new BarTune(held, notes);
  }

  /**
   * Proposes chords for bars that have none.
   *
   * @param tones what sounds in each bar
   * @param key the key they are in; the likeliest one where the file says none
   * @return the key they were found in
   */
  public static Key propose(
      List<ImportedBar> bars, List<List<ChordProposal.Tone>> tones, Optional<Key> key) {
    List<ChordProposal.Tone> all = tones.stream().flatMap(List::stream).toList();
    Key in = key.orElseGet(() -> ChordProposal.key(all));
    ChordProposal proposal = new ChordProposal(in);
    for (int b = 0; b < bars.size(); b++) {
      ImportedBar bar = bars.get(b);
      int length = bar.lengthTicks > 0 ? bar.lengthTicks : bar.meter.barTicks();
      boolean pickup = b == 0 && length < bar.meter.barTicks() && bars.size() > 1;
      if (!pickup) {
        proposal.bar(tones.get(b), length).forEach(bar::chord);
      }
    }
    return in;
  }
}
