package phalanx.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import phalanx.song.Bar;
import phalanx.song.BarLyrics;
import phalanx.song.Chart;
import phalanx.song.ChartEdits;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.song.Lyrics;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.theory.Meter;

/**
 * Corrects bars that were proposed for chords without any: a chord longer or shorter by one step,
 * or so many chords a bar in the whole song. Words go along with their chords. A bar with a tune is
 * never joined with another.
 */
public final class Rebarring {

  private Rebarring() {}

  /**
   * A bar’s chords last longer: two that share it get a bar each, one alone gets a bar more.
   *
   * @param bar identity of the bar
   */
  public static Song longer(Song song, int bar) {
    Optional<Bar> here = song.chart().bar(bar);
    if (here.isEmpty() || here.get().borrows().isPresent()) {
      return song;
    }
    List<ChordChange> changes = here.get().changes();
    if (changes.size() < 2) {
      return song.editChart(c -> ChartEdits.insertAfter(c, bar, List.of(Bar.of(1, List.of()))));
    }
    int from = changes.size() / 2;
    int cut = changes.get(from).tick();
    List<ChordChange> second = new ArrayList<>();
    for (ChordChange change : changes.subList(from, changes.size())) {
      second.add(new ChordChange(change.tick() - cut, change.harmony()));
    }
    Song parted =
        song.editChart(
            c ->
                ChartEdits.insertAfter(
                    ChartEdits.replace(c, here.get().withChanges(changes.subList(0, from))),
                    bar,
                    List.of(Bar.of(1, second))));
    BarLyrics words = song.words().at(bar);
    int behind = next(parted.chart(), bar).map(Bar::id).orElse(bar);
    return parted.withWords(
        parted
            .words()
            .with(bar, between(words, 0, cut))
            .with(behind, between(words, cut, Integer.MAX_VALUE)));
  }

  /**
   * A bar’s chord lasts shorter: it loses a bar that it goes on into, or shares its bar with the
   * next chord.
   *
   * @param bar identity of the bar
   */
  public static Song shorter(Song song, int bar) {
    Optional<Bar> here = song.chart().bar(bar);
    Optional<Bar> behind = next(song.chart(), bar);
    boolean joins =
        here.isPresent()
            && behind.isPresent()
            && here.get().borrows().isEmpty()
            && behind.get().borrows().isEmpty()
            && behind.get().meter().isEmpty()
            && !behind.get().repeatStart()
            && here.get().plays() == 1
            && here.get().passes().equals(behind.get().passes())
            && song.tune().own(behind.get().id()).isEmpty()
            && song.tune().own(bar).isEmpty();
    if (!joins) {
      return song;
    }
    Meter meter = song.chart().meters(song.meter()).get(bar);
    int half = half(meter);
    List<ChordChange> all = new ArrayList<>();
    boolean goesOn = behind.get().changes().isEmpty();
    for (ChordChange change : here.get().changes()) {
      all.add(goesOn ? change : new ChordChange(change.tick() / 2, change.harmony()));
    }
    for (ChordChange change : behind.get().changes()) {
      all.add(new ChordChange(half + change.tick() / 2, change.harmony()));
    }
    BarLyrics words =
        joined(song.words().at(bar), song.words().at(behind.get().id()), goesOn ? -1 : half);
    Bar joined = here.get().withChanges(all).endingRepeat(behind.get().plays());
    Song shorter =
        song.editChart(
            c -> ChartEdits.delete(ChartEdits.replace(c, joined), List.of(behind.get().id())));
    return shorter.withWords(shorter.words().with(bar, words));
  }

  /** Half of a bar on a beat: in three quarters the second chord comes on the third. */
  private static int half(Meter meter) {
    int beats = meter.beats();
    return beats % 2 == 0
        ? meter.barTicks() / 2
        : (beats + 1) / 2 * meter.beatTicks() % meter.barTicks();
  }

  private static Optional<Bar> next(Chart chart, int bar) {
    return chart
        .sectionOf(bar)
        .flatMap(
            s -> {
              int place = s.bars().stream().map(Bar::id).toList().indexOf(bar);
              return place + 1 < s.bars().size()
                  ? Optional.of(s.bars().get(place + 1))
                  : Optional.empty();
            });
  }

  private static BarLyrics between(BarLyrics words, int from, int to) {
    List<List<BarLyrics.Piece>> verses = new ArrayList<>();
    for (List<BarLyrics.Piece> verse : words.verses()) {
      verses.add(
          verse.stream()
              .filter(p -> p.tick() >= from && p.tick() < to)
              .map(p -> new BarLyrics.Piece(p.tick() - from, p.text()))
              .toList());
    }
    return new BarLyrics(verses);
  }

  /** The words of two bars in one, those of the second from a tick on, or behind the first. */
  private static BarLyrics joined(BarLyrics first, BarLyrics second, int half) {
    List<List<BarLyrics.Piece>> verses = new ArrayList<>();
    int count = Math.max(first.verses().size(), second.verses().size());
    for (int v = 0; v < count; v++) {
      TreeMap<Integer, String> pieces = new TreeMap<>();
      for (BarLyrics.Piece piece : verse(first, v)) {
        pieces.merge(half < 0 ? piece.tick() : piece.tick() / 2, piece.text(), Rebarring::both);
      }
      for (BarLyrics.Piece piece : verse(second, v)) {
        int at = half < 0 ? (pieces.isEmpty() ? 0 : pieces.lastKey()) : half + piece.tick() / 2;
        pieces.merge(at, piece.text(), Rebarring::both);
      }
      List<BarLyrics.Piece> verse = new ArrayList<>();
      pieces.forEach((tick, text) -> verse.add(new BarLyrics.Piece(tick, text)));
      verses.add(verse);
    }
    return new BarLyrics(verses);
  }

  private static String both(String one, String two) {
    return one + " " + two;
  }

  private static List<BarLyrics.Piece> verse(BarLyrics words, int verse) {
    return verse < words.verses().size() ? words.verses().get(verse) : List.of();
  }

  /** A chord on its way into another bar, with its words. */
  private record Loose(Harmony harmony, List<String> words) {}

  /**
   * So many chords a bar throughout, evenly; sections with repeats, endings or a tune stay as they
   * are, and so do those that are like others.
   *
   * @param chords 1 to 4
   */
  public static Song chordsABar(Song song, int chords) {
    Song now = song;
    for (Section section : song.sections()) {
      if (isPlain(song, section)) {
        now = laid(now, section, chords);
      }
    }
    return now;
  }

  private static boolean isPlain(Song song, Section section) {
    return section.borrows().isEmpty()
        && section.bars().stream()
            .allMatch(
                b ->
                    b.borrows().isEmpty()
                        && !b.repeatStart()
                        && b.plays() == 1
                        && b.passes().isEmpty()
                        && song.tune().own(b.id()).isEmpty());
  }

  private static Song laid(Song song, Section section, int chords) {
    List<Loose> loose = new ArrayList<>();
    for (Bar bar : section.bars()) {
      BarLyrics words = song.words().at(bar.id());
      List<ChordChange> changes = bar.changes();
      for (int c = 0; c < changes.size(); c++) {
        int from = c == 0 ? 0 : changes.get(c).tick();
        int to = c + 1 < changes.size() ? changes.get(c + 1).tick() : Integer.MAX_VALUE;
        List<String> mine = new ArrayList<>();
        BarLyrics here = between(words, from, to);
        for (int v = 0; v < here.verses().size(); v++) {
          mine.add(here.verse(v));
        }
        loose.add(new Loose(changes.get(c).harmony(), mine));
      }
      if (changes.isEmpty() && !words.isEmpty() && !loose.isEmpty()) {
        Loose last = loose.remove(loose.size() - 1);
        List<String> more = new ArrayList<>(last.words());
        for (int v = 0; v < words.verses().size(); v++) {
          if (v < more.size()) {
            more.set(v, both(more.get(v), words.verse(v)).strip());
          } else {
            more.add(words.verse(v));
          }
        }
        loose.add(new Loose(last.harmony(), more));
      }
    }
    if (loose.isEmpty()) {
      return song;
    }
    Meter meter = song.chart().meters(song.meter()).get(section.bars().get(0).id());
    int fresh = song.chart().freshId();
    List<Bar> bars = new ArrayList<>();
    Lyrics words = song.words();
    for (int from = 0; from < loose.size(); from += chords) {
      List<Loose> mine = loose.subList(from, Math.min(loose.size(), from + chords));
      int place = from / chords;
      Bar old =
          place < section.bars().size() ? section.bars().get(place) : Bar.of(fresh++, List.of());
      List<ChordChange> changes = new ArrayList<>();
      List<List<BarLyrics.Piece>> verses = new ArrayList<>();
      for (int c = 0; c < mine.size(); c++) {
        int tick = tick(meter, c, mine.size());
        changes.add(new ChordChange(tick, mine.get(c).harmony()));
        for (int v = 0; v < mine.get(c).words().size(); v++) {
          while (verses.size() <= v) {
            verses.add(new ArrayList<>());
          }
          verses.get(v).add(new BarLyrics.Piece(tick, mine.get(c).words().get(v)));
        }
      }
      bars.add(old.withChanges(changes));
      words = words.with(old.id(), new BarLyrics(verses));
    }
    Lyrics laid = words;
    return song.editChart(c -> c.mapSections(s -> s.id() == section.id() ? s.withBars(bars) : s))
        .withWords(kept(laid, section, bars));
  }

  /** Only what stands under bars that are still there. */
  private static Lyrics kept(Lyrics words, Section section, List<Bar> bars) {
    Lyrics kept = words;
    for (Bar bar : section.bars()) {
      boolean gone = bars.stream().noneMatch(b -> b.id() == bar.id());
      kept = gone ? kept.with(bar.id(), BarLyrics.NONE) : kept;
    }
    return kept;
  }

  /** Where the chord at a place stands, on a beat where the bar has one for each. */
  private static int tick(Meter meter, int place, int count) {
    int even = meter.barTicks() * place / count;
    return count > meter.beats()
        ? even
        : (even + meter.beatTicks() / 2) / meter.beatTicks() * meter.beatTicks();
  }
}
