package phalanx.song;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import phalanx.fretting.FretRow;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.picking.HandSchool;
import phalanx.picking.PickingStyle;
import phalanx.picking.ThumbRoute;
import phalanx.theory.Key;
import phalanx.theory.Meter;

/**
 * A song as the player decided it. What both hands do with it is derived, never kept here.
 *
 * @param id what it is known by, whatever it is called; none before it was first saved
 * @param title its title
 * @param credits who made and who arranged it
 * @param key the key the chart is written in, if it says so
 * @param player the guitar and the hand it is planned for; chords are counted from the capo
 * @param picking what the picking hand does
 * @param feel metre, tempo, swing, pick-up
 * @param chart sections and bars
 * @param tune the tune, if the song has one
 * @param words the words, under their bars and beside them
 * @param pins what the player insists on
 * @throws SongBounds.TooLarge if a part is larger than a file could keep
 */
public record Song(
    Optional<SongId> id,
    String title,
    Credits credits,
    Optional<Key> key,
    Player player,
    PickingHand picking,
    Feel feel,
    Chart chart,
    Tune tune,
    Lyrics words,
    Pins pins) {

  public Song {
    SongBounds.check(title, credits, picking, chart, tune, words, pins);
  }

  /** An empty song with the usual settings: steel-string guitar, medium hand, thumb and three. */
  public static Song untitled() {
    return new Song(
        Optional.empty(),
        "Untitled",
        Credits.NONE,
        Optional.empty(),
        Player.USUAL,
        PickingHand.USUAL,
        Feel.USUAL,
        Chart.EMPTY,
        Tune.NONE,
        Lyrics.NONE,
        Pins.NONE);
  }

  /** Whether there is a tune and not one chord to plan it over. */
  public boolean isTuneAlone() {
    return !tune.isEmpty()
        && chart.bars().stream()
            .flatMap(b -> b.changes().stream())
            .noneMatch(c -> c.harmony() instanceof Harmony.Sounding);
  }

  /**
   * Whether nothing was decided yet about what the hands play: chords and tune are all there is.
   */
  public boolean isUndecided() {
    return picking.withSchool(PickingHand.USUAL.school()).equals(PickingHand.USUAL)
        && pins.equals(Pins.NONE);
  }

  /** What planning depends on: songs with the same have the same plan. */
  public Song planned() {
    return new Song(
        Optional.empty(),
        "",
        Credits.NONE,
        key,
        player.withOwnHand(false),
        picking,
        feel,
        chart,
        tune,
        Lyrics.NONE,
        pins.withoutAccepted());
  }

  /** The metre of every written bar by its id; that of a pick-up is as long as the pick-up. */
  public Map<Integer, Meter> meters() {
    Map<Integer, Meter> meters = new HashMap<>(chart.meters(meter()));
    chart.bars().stream()
        .findFirst()
        .ifPresent(b -> feel.pickupMeter().ifPresent(m -> meters.put(b.id(), m)));
    return meters;
  }

  /** The guitar with tuning and capo. */
  public Guitar guitar() {
    return player.guitar();
  }

  /** The fretting hand. */
  public Hand hand() {
    return player.hand();
  }

  /** Whether it asks for this hand, whoever plays it. */
  public boolean hasOwnHand() {
    return player.ownHand();
  }

  /** How the picking hand shares the strings. */
  public HandSchool school() {
    return picking.school();
  }

  /** What the picking hand plays where. */
  public Patterns patterns() {
    return picking.patterns();
  }

  /** The way the thumb takes over the bass strings, where no section has its own. */
  public ThumbRoute thumb() {
    return picking.thumb().song();
  }

  /** The way the thumb takes in a bar. */
  public ThumbRoute thumbAt(int bar) {
    return picking.thumb().at(bar, chart);
  }

  /** The metre it begins in. */
  public Meter meter() {
    return feel.meter();
  }

  /** The pattern of the whole song, where nothing else is said. */
  public PickingStyle pattern() {
    return patterns().song();
  }

  /** Quarter notes a minute. */
  public double tempo() {
    return feel.tempo();
  }

  /** The number of the first written bar: 1, or 0 where it is a pick-up. */
  public int firstBarNumber() {
    return feel.pickupTicks() > 0 ? 0 : 1;
  }

  /** The number of a written bar: from 1, or from 0 where a pick-up comes first. */
  public int barNumber(int bar) {
    return chart.number(bar) - 1 + firstBarNumber();
  }

  /** The identity of the written bar with a number. */
  public Optional<Integer> barNumbered(int number) {
    int place = number - firstBarNumber();
    List<Bar> bars = chart.bars();
    return place >= 0 && place < bars.size() ? Optional.of(bars.get(place).id()) : Optional.empty();
  }

  /** The sections of the chart. */
  public List<Section> sections() {
    return chart.sections();
  }

  /**
   * With a chart made from this song's by an edit. Pins stay where their chord stayed; what
   * borrowed from bars that are gone keeps its chords.
   */
  public Song editChart(UnaryOperator<Chart> edit) {
    Chart next = edit.apply(chart).settled(chart);
    return withChart(next)
        .withPins(keptPins(next))
        .withPatterns(keptPatterns(next))
        .withDensities(keptDensities(next))
        .withThumb(picking.thumb().in(s -> next.section(s).isPresent()))
        .withTune(tune.in(next.byId()::containsKey, s -> next.section(s).isPresent()))
        .withWords(words.in(next.byId()::containsKey));
  }

  private Patterns keptPatterns(Chart next) {
    Set<Integer> bars = next.byId().keySet();
    return patterns().in(bars::contains, s -> next.section(s).isPresent());
  }

  private Densities keptDensities(Chart next) {
    Set<Integer> bars = next.byId().keySet();
    return picking.densities().in(bars::contains, s -> next.section(s).isPresent());
  }

  /** What belongs to a chord goes with it, also where the chord goes on from before. */
  private Pins keptPins(Chart next) {
    Map<Integer, TreeMap<Integer, Harmony>> before = chart.harmonies();
    Map<Integer, TreeMap<Integer, Harmony>> after = next.harmonies();
    Pins kept = pins.in(after::containsKey);
    for (SlotRef at : kept.chords()) {
      if (!harmony(at, before).equals(harmony(at, after))) {
        kept = kept.withoutChord(at);
      }
    }
    return kept;
  }

  private static Optional<Harmony> harmony(
      SlotRef at, Map<Integer, TreeMap<Integer, Harmony>> bars) {
    return Optional.ofNullable(bars.get(at.bar()))
        .map(b -> b.floorEntry(at.tick()))
        .map(Map.Entry::getValue);
  }

  /** With a shape pinned where a chord is written. */
  public Song pin(SlotRef at, Shape shape) {
    return withPins(pins.with(at, shape));
  }

  /** With frets pinned where a chord is written; the plan fingers them. */
  public Song pin(SlotRef at, FretRow frets) {
    return withPins(pins.with(at, frets));
  }

  /** With a shape pinned wherever the same harmony stands. */
  public Song pinEverywhere(Harmony harmony, Shape shape) {
    Pins more = pins;
    for (Timeline.PlayedSlot slot : Timeline.of(this).slots()) {
      if (slot.harmony().equals(harmony)) {
        more = slot.isPart() ? more.without(slot.ref()) : more.with(slot.ref(), shape);
      }
    }
    return withPins(more);
  }

  /** Without the pin at a place. */
  public Song unpin(SlotRef at) {
    return withPins(pins.without(at));
  }

  /** Known by an id. */
  public Song withId(SongId other) {
    return new Song(
        Optional.of(other), title, credits, key, player, picking, feel, chart, tune, words, pins);
  }

  /** Under another title. */
  public Song withTitle(String other) {
    return new Song(id, other, credits, key, player, picking, feel, chart, tune, words, pins);
  }

  /** In another key; the chords stay as they are written. */
  public Song withKey(Optional<Key> other) {
    return new Song(id, title, credits, other, player, picking, feel, chart, tune, words, pins);
  }

  /** For another player. */
  public Song withPlayer(Player other) {
    return new Song(id, title, credits, key, other, picking, feel, chart, tune, words, pins);
  }

  /** With another picking hand. */
  public Song withPicking(PickingHand other) {
    return new Song(id, title, credits, key, player, other, feel, chart, tune, words, pins);
  }

  /** With another metre, tempo, swing or pick-up. */
  public Song withFeel(Feel other) {
    return new Song(id, title, credits, key, player, picking, other, chart, tune, words, pins);
  }

  /** On another guitar, or the same with another tuning or capo. */
  public Song withGuitar(Guitar other) {
    return withPlayer(player.withGuitar(other));
  }

  /** For another hand. */
  public Song withHand(Hand other) {
    return withPlayer(player.withHand(other));
  }

  /** The same song asking for its hand, or leaving that to who plays it. */
  public Song withOwnHand(boolean own) {
    return withPlayer(player.withOwnHand(own));
  }

  /** For another way of sharing the strings. */
  public Song withSchool(HandSchool other) {
    return withPicking(picking.withSchool(other));
  }

  /** With one pattern for the whole song, where nothing else is said. */
  public Song withPattern(PickingStyle other) {
    return withPatterns(patterns().with(new Patterns.Scope.WholeSong(), other));
  }

  /** With other patterns. */
  public Song withPatterns(Patterns other) {
    return withPicking(picking.withPatterns(other));
  }

  /** With more or less played in some parts. */
  public Song withDensities(Densities other) {
    return withPicking(picking.withDensities(other));
  }

  /** With the thumb on another way in the whole song. */
  public Song withThumb(ThumbRoute other) {
    return withThumb(ThumbRoutes.of(other));
  }

  /** With the thumb on other ways. */
  public Song withThumb(ThumbRoutes other) {
    return withPicking(picking.withThumb(other));
  }

  /** With another chart; edits go through {@link #editChart}. */
  public Song withChart(Chart other) {
    return new Song(id, title, credits, key, player, picking, feel, other, tune, words, pins);
  }

  /** With another tune. */
  public Song withTune(Tune other) {
    return new Song(id, title, credits, key, player, picking, feel, chart, other, words, pins);
  }

  /** The words that belong to no bar, line by line. */
  public List<String> lyrics() {
    return words.lines();
  }

  /** With other words that belong to no bar. */
  public Song withLyrics(List<String> other) {
    return withWords(words.withLines(other));
  }

  /** With other words. */
  public Song withWords(Lyrics other) {
    return new Song(id, title, credits, key, player, picking, feel, chart, tune, other, pins);
  }

  /** Made or arranged by others. */
  public Song withCredits(Credits other) {
    return new Song(id, title, other, key, player, picking, feel, chart, tune, words, pins);
  }

  /** With other pins. */
  public Song withPins(Pins other) {
    return new Song(id, title, credits, key, player, picking, feel, chart, tune, words, other);
  }

  /** At another tempo to begin with, its changes of tempo in proportion; quarter notes a minute. */
  public Song paced(double first) {
    double ratio = first / tempo();
    Chart scaled = chart;
    for (Bar bar : chart.bars()) {
      if (bar.tempo().isPresent()) {
        double other = Math.rint(10 * ratio * bar.tempo().get()) / 10;
        double played = Math.max(Feel.SLOWEST, Math.min(Feel.FASTEST, other));
        scaled = ChartEdits.replace(scaled, bar.withTempo(Optional.of(played)));
      }
    }
    return withChart(scaled).withTempo(first);
  }

  /** At another tempo, quarter notes a minute. */
  public Song withTempo(double other) {
    return withFeel(feel.withTempo(other));
  }
}
