package phalanx.song;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import phalanx.theory.Meter;

/**
 * A song as it is played: repeats unrolled, bars numbered from 1, or from 0 where a pick-up comes
 * first, ticks from the start.
 *
 * @param bars the bars in playing order
 * @param slots the chords in playing order, each with the time it lasts; a chord that goes on into
 *     a new bar is a slot of its own there
 */
public record Timeline(List<PlayedBar> bars, List<PlayedSlot> slots) {

  /**
   * A bar at its time.
   *
   * @param number from 1, as played; 0 for a pick-up
   * @param section place of its section, from 0
   * @param written identity of the bar as it is written
   * @param startTick start of the bar
   * @param lengthTicks its length
   * @param meter its metre
   * @param metreTick where in a full bar of its metre it starts; more than 0 only in a pick-up
   * @param tempo quarter notes a minute
   */
  public record PlayedBar(
      int number,
      int section,
      int written,
      int startTick,
      int lengthTicks,
      Meter meter,
      int metreTick,
      double tempo) {

    /** When it ends. */
    public int endTick() {
      return startTick + lengthTicks;
    }

    /** Where in a full bar of the metre a tick of the song falls. */
    public int inMetre(int tick) {
      return tick - startTick + metreTick;
    }

    /** When a written tick of this bar is played with swing; compound metres do not swing. */
    public int played(int tick, Swing swing) {
      return meter.isCompound()
          ? tick
          : (int) (startTick - metreTick + swing.played(inMetre(tick)));
    }

    /** The words of the count that fall into this bar, with their ticks in the song. */
    public List<Meter.Syllable> count() {
      return meter.syllables().stream()
          .filter(s -> s.tick() >= metreTick)
          .map(s -> new Meter.Syllable(s.tick() - metreTick + startTick, s.word(), s.onBeat()))
          .toList();
    }
  }

  /**
   * A chord at its time.
   *
   * @param ref where it is written
   * @param bar number of its bar as played
   * @param tick where it starts
   * @param lengthTicks how long it lasts, at most to the end of its bar
   * @param harmony what sounds
   * @param offset how long the chord has lasted here: 0, but for the later parts of one that is
   *     held in several shapes within a bar
   * @param wholeTicks how long it lasts with all its parts
   */
  public record PlayedSlot(
      SlotRef ref,
      int bar,
      int tick,
      int lengthTicks,
      Harmony harmony,
      int offset,
      int wholeTicks) {

    /** Whether no chord is written here: another shape of the one before begins. */
    public boolean isPart() {
      return offset > 0;
    }

    /** How much of the chord’s time in its bar this is, above 0 up to 1. */
    public double share() {
      return (double) lengthTicks / wholeTicks;
    }

    /** When it ends. */
    public int endTick() {
      return tick + lengthTicks;
    }

    /** Whether it is the chord of another slot that goes on. */
    public boolean goesOnFrom(PlayedSlot before) {
      return harmony.equals(before.harmony) && tick == before.endTick();
    }
  }

  public Timeline {
    bars = List.copyOf(bars);
    slots = List.copyOf(slots);
  }

  /**
   * Unrolls a song. A repeat without a start goes back to the start of its section. Where the
   * player pinned a shape while a chord lasts, a part of the chord begins.
   */
  public static Timeline of(Song song) {
    Builder builder = new Builder(song);
    for (int s = 0; s < song.sections().size(); s++) {
      for (Bar bar : unrolled(song.sections().get(s).bars())) {
        builder.add(bar, s);
      }
    }
    return new Timeline(builder.bars, builder.slots);
  }

  /**
   * The same with chords in parts.
   *
   * @param ticks where a part of the chord begins that sounds there
   */
  public Timeline cut(Set<Integer> ticks) {
    TreeSet<Integer> cuts = new TreeSet<>(ticks);
    List<PlayedSlot> parts = new ArrayList<>();
    for (PlayedSlot slot : slots) {
      addParts(slot, cuts.subSet(slot.tick(), false, slot.endTick(), false), parts);
    }
    return new Timeline(bars, parts);
  }

  private static void addParts(PlayedSlot slot, Set<Integer> cuts, List<PlayedSlot> parts) {
    int from = slot.tick();
    List<Integer> ends = new ArrayList<>(cuts);
    ends.add(slot.endTick());
    for (int end : ends) {
      parts.add(
          new PlayedSlot(
              new SlotRef(slot.ref().bar(), slot.ref().tick() + from - slot.tick()),
              slot.bar(),
              from,
              end - from,
              slot.harmony(),
              slot.offset() + from - slot.tick(),
              slot.wholeTicks()));
      from = end;
    }
  }

  /**
   * How long a written bar is, ticks; a pick-up is shorter than its metre.
   *
   * @return empty if it is never played
   */
  public OptionalInt lengthOf(int written) {
    return bars.stream()
        .filter(b -> b.written() == written)
        .mapToInt(PlayedBar::lengthTicks)
        .findFirst();
  }

  /** The bars of a section in the order they are played, endings in their times through. */
  static List<Bar> unrolled(List<Bar> bars) {
    List<Bar> order = new ArrayList<>();
    int from = 0;
    int pass = 1;
    boolean passageOver = false;
    int at = 0;
    while (at < bars.size()) {
      Bar bar = bars.get(at);
      if (bar.repeatStart() && at > from || passageOver && bar.passes().isEmpty()) {
        from = at;
        pass = 1;
        passageOver = false;
      }
      boolean skipped = !bar.passes().isEmpty() && !bar.passes().contains(pass);
      if (!skipped) {
        order.add(bar);
      }
      if (bar.plays() > 1 && !skipped && pass < bar.plays()) {
        pass++;
        at = from;
        passageOver = false;
      } else {
        passageOver |= bar.plays() > 1;
        at++;
      }
    }
    return order;
  }

  /** Lays bars one after the other. */
  private static final class Builder {

    private final Map<Integer, Bar> index;
    private final Map<Integer, Meter> meters;
    private final Map<Integer, Double> tempos;
    private final int pickup;
    private final Map<Integer, Set<Integer>> pinned;
    private final List<PlayedBar> bars = new ArrayList<>();
    private final List<PlayedSlot> slots = new ArrayList<>();
    private Harmony current = new Harmony.NoChord();
    private int tick;

    Builder(Song song) {
      index = song.chart().byId();
      meters = song.chart().meters(song.meter());
      tempos = song.chart().tempos(song.tempo());
      pickup = song.feel().pickupTicks();
      pinned = song.pins().ticksHeld();
    }

    void add(Bar bar, int section) {
      Meter meter = meters.get(bar.id());
      boolean isPickup = bars.isEmpty() && pickup > 0;
      int length = isPickup ? Math.min(pickup, meter.barTicks()) : meter.barTicks();
      int number = bars.size() + (pickup > 0 ? 0 : 1);
      bars.add(
          new PlayedBar(
              number,
              section,
              bar.id(),
              tick,
              length,
              meter,
              meter.barTicks() - length,
              tempos.get(bar.id())));
      // Chords written beyond a bar that became shorter wait there unheard.
      List<ChordChange> changes =
          Chart.changes(bar, index).stream().filter(c -> c.tick() < length).toList();
      if (changes.isEmpty() || changes.get(0).tick() > 0) {
        slot(bar, number, 0, changes.isEmpty() ? length : changes.get(0).tick());
      }
      for (int c = 0; c < changes.size(); c++) {
        current = changes.get(c).harmony();
        int end = c + 1 < changes.size() ? changes.get(c + 1).tick() : length;
        slot(bar, number, changes.get(c).tick(), end);
      }
      tick += length;
    }

    private void slot(Bar bar, int number, int from, int to) {
      SlotRef ref = new SlotRef(bar.id(), from);
      PlayedSlot slot = new PlayedSlot(ref, number, tick + from, to - from, current, 0, to - from);
      TreeSet<Integer> cuts = new TreeSet<>();
      pinned.getOrDefault(bar.id(), Set.of()).stream()
          .filter(t -> from < t && t < to)
          .forEach(t -> cuts.add(tick + t));
      addParts(slot, cuts, slots);
    }
  }

  /** The place of a bar among the bars as played, from 0. */
  public int placeOf(PlayedBar bar) {
    return bar.number() - bars.get(0).number();
  }

  /** Whether another tempo begins with a bar than was before it. */
  public boolean beginsTempo(PlayedBar bar) {
    int place = placeOf(bar);
    return place > 0 && bars.get(place - 1).tempo() != bar.tempo();
  }

  /** The bar a slot is played in. */
  public PlayedBar barOf(PlayedSlot slot) {
    return bars.get(slot.bar() - bars.get(0).number());
  }

  /**
   * The bar a tick lies in; the first before the song, the last after it.
   *
   * @throws IndexOutOfBoundsException if the song has no bars
   */
  public PlayedBar barAt(int tick) {
    int low = 0;
    int high = bars.size() - 1;
    while (low < high) {
      int middle = (low + high + 1) >>> 1;
      if (bars.get(middle).startTick() <= tick) {
        low = middle;
      } else {
        high = middle - 1;
      }
    }
    return bars.get(low);
  }

  /** Length of the whole song in ticks. */
  public int lengthTicks() {
    return bars.isEmpty() ? 0 : bars.get(bars.size() - 1).endTick();
  }
}
