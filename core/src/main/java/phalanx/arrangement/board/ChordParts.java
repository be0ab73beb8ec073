package phalanx.arrangement.board;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.fretting.Shape;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.Texts;

/**
 * A chord that is held in one shape, or in several one after the other, and how the player changes
 * that.
 *
 * @param parts the chord’s slots in order, at least one
 * @param here which of them is looked at
 * @param bar the bar it is played in
 */
public record ChordParts(List<Slot> parts, int here, PlayedBar bar) {

  public ChordParts {
    parts = List.copyOf(parts);
  }

  /** The parts of the chord that a slot belongs to. */
  public static ChordParts of(Arrangement a, int slot) {
    int from = slot;
    while (a.slots().get(from).played().isPart()) {
      from--;
    }
    int to = from + 1;
    while (to < a.slots().size() && a.slots().get(to).played().isPart()) {
      to++;
    }
    PlayedBar bar = a.timeline().barOf(a.slots().get(slot).played());
    return new ChordParts(a.slots().subList(from, to), slot - from, bar);
  }

  /**
   * A beat on which another shape may begin.
   *
   * @param word what the beat is counted as
   * @param tick when it is, from the start of the bar
   */
  public record Beat(String word, int tick) {}

  /** The beats of the chord, after its first, on which no part begins yet. */
  public List<Beat> beats() {
    int from = parts.get(0).played().tick();
    int to = parts.get(parts.size() - 1).endTick();
    return bar.count().stream()
        .filter(word -> word.onBeat() && word.tick() > from && word.tick() < to)
        .filter(word -> parts.stream().noneMatch(p -> p.played().tick() == word.tick()))
        .map(word -> new Beat(word.word(), word.tick() - bar.startTick()))
        .toList();
  }

  /** The beat from which the part looked at is held; empty for the chord’s first. */
  public Optional<String> fromBeat() {
    int tick = parts.get(here).played().tick();
    return here == 0
        ? Optional.empty()
        : bar.count().stream()
            .filter(w -> w.tick() == tick)
            .map(w -> w.word())
            .findFirst()
            .or(() -> Optional.of(Texts.of("chordParts.anotherNote")));
  }

  /** The song with a shape pinned for the part looked at; the other parts stay as they are. */
  public Song pinned(Song song, Shape shape) {
    return others(song).pin(parts.get(here).played().ref(), shape);
  }

  /** The song in which the other parts are pinned to what they hold, if there are any. */
  public Song others(Song song) {
    Song pinned = song;
    for (int i = 0; i < parts.size(); i++) {
      SlotRef ref = parts.get(i).played().ref();
      Optional<Shape> held = parts.get(i).shape();
      if (i != here && held.isPresent() && !song.pins().holds(ref)) {
        pinned = pinned.pin(ref, held.get());
      }
    }
    return pinned;
  }

  /** The song in which a part of its own, held as now, begins on a beat of the chord. */
  public Song beginning(Song song, Beat beat) {
    int at =
        IntStream.range(0, parts.size())
            .filter(i -> parts.get(i).played().ref().tick() < beat.tick())
            .max()
            .orElse(0);
    SlotRef ref = new SlotRef(parts.get(0).played().ref().bar(), beat.tick());
    return parts.get(at).shape().map(s -> song.pin(ref, s)).orElse(song);
  }

  /** The song in which the chord is held in one shape throughout: that of the part looked at. */
  public Song whole(Song song) {
    Song one = song;
    for (Slot part : parts) {
      one = one.unpin(part.played().ref());
    }
    Song free = one;
    SlotRef ref = parts.get(0).played().ref();
    return parts.get(here).shape().map(s -> free.pin(ref, s)).orElse(free);
  }
}
