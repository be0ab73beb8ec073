package phalanx.embellishment;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import phalanx.instrument.HarmonicNode;
import phalanx.instrument.Tuning;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.TuneReader;
import phalanx.picking.Pattern;
import phalanx.picking.Role;
import phalanx.picking.Roll;
import phalanx.picking.WrittenPattern;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.song.Patterns.Scope;
import phalanx.song.Ritard;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.Timeline.PlayedBar;
import phalanx.song.Timeline.PlayedSlot;
import phalanx.text.Texts;
import phalanx.theory.Chord;
import phalanx.theory.Meter;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;

/**
 * How a song begins and ends (common practice, no source): each is an edit that the player could
 * have made by hand.
 */
public enum Frame {
  /** The pattern over the first two chords, before the tune. */
  INTRO_OF_TWO(Texts.of("frame.introOfTwoBars"), true),
  /** The same over four bars. */
  INTRO_OF_FOUR(Texts.of("frame.introOfFourBars"), true),
  /** The last two bars slow down. */
  SLOWER(Texts.of("frame.slowerAtTheEnd"), false),
  /** The last chord is rolled from the bass up. */
  ROLLED(Texts.of("frame.theLastChordRolled"), false),
  /** The last chord is brushed with the flesh of the thumb. */
  BRUSHED(Texts.of("frame.theLastChordBrushed"), false),
  /** A natural harmonic of the last chord rings over it. */
  HARMONIC(Texts.of("frame.aHarmonicOverThe"), false);

  /** Time from string to string of a roll, sixty-fourths. */
  private static final int ROLLS = 3;

  /** The overtones over frets 12, 7 and 5, the surest first. */
  private static final List<Integer> OVERTONES = List.of(2, 3, 4);

  private final String words;
  private final boolean begins;

  Frame(String words, boolean begins) {
    this.words = words;
    this.begins = begins;
  }

  /** In the player's words. */
  public String words() {
    return words;
  }

  /** Whether it is about the beginning. */
  public boolean begins() {
    return begins;
  }

  /** The ways that can be taken in a song as it is. */
  public static Set<Frame> possible(Song song) {
    Set<Frame> possible = EnumSet.noneOf(Frame.class);
    for (Frame frame : values()) {
      if (frame.in(song).isPresent()) {
        possible.add(frame);
      }
    }
    return possible;
  }

  /** The song with it; empty where it cannot be. */
  public Optional<Song> in(Song song) {
    Timeline timeline = Timeline.of(song);
    if (timeline.bars().isEmpty() || timeline.slots().isEmpty()) {
      return Optional.empty();
    }
    return switch (this) {
      case INTRO_OF_TWO -> intro(song, timeline, 2);
      case INTRO_OF_FOUR -> intro(song, timeline, 4);
      case SLOWER ->
          Optional.of(song)
              .filter(s -> s.feel().ritard().isEmpty())
              .map(s -> s.withFeel(s.feel().withRitard(Optional.of(Ritard.USUAL))));
      case ROLLED -> lastChord(timeline).map(s -> rolled(song, timeline, s));
      case BRUSHED ->
          lastChord(timeline)
              .filter(s -> !song.patterns().softEnding())
              .map(s -> song.withPatterns(song.patterns().endingSoftly(true)));
      case HARMONIC -> lastChord(timeline).flatMap(s -> harmonic(song, timeline, s));
    };
  }

  /** A pick-up leads into the song and not into an intro. */
  private static Optional<Song> intro(Song song, Timeline timeline, int bars) {
    if (song.feel().pickupTicks() > 0 || timeline.bars().size() < bars) {
      return Optional.empty();
    }
    int fresh = song.chart().freshId();
    List<Bar> before = new ArrayList<>();
    for (PlayedBar bar : timeline.bars().subList(0, bars)) {
      List<ChordChange> changes =
          timeline.slots().stream()
              .filter(s -> s.bar() == bar.number() && !s.isPart())
              .map(s -> new ChordChange(s.tick() - bar.startTick(), s.harmony()))
              .toList();
      before.add(Bar.of(fresh + before.size(), changes));
    }
    Section intro = Section.of(fresh + before.size(), "Intro", before);
    return Optional.of(
        song.editChart(
            c -> {
              List<Section> sections = new ArrayList<>(c.sections());
              sections.add(0, intro);
              return new Chart(sections);
            }));
  }

  private static Optional<PlayedSlot> lastChord(Timeline timeline) {
    PlayedSlot last = timeline.slots().get(timeline.slots().size() - 1);
    return Optional.of(last).filter(s -> s.harmony() instanceof Harmony.Sounding);
  }

  private static Song rolled(Song song, Timeline timeline, PlayedSlot last) {
    PlayedBar bar = timeline.barOf(last);
    Pattern.Step block =
        Pattern.Step.of(bar.inMetre(last.tick()), Role.ROOT, Role.MIDDLE, Role.UPPER, Role.TUNE);
    Pattern.Step roll =
        new Pattern.Step(block.tick(), block.strokes(), Optional.of(new Roll(true, ROLLS)), false);
    Pattern pattern = new Pattern("", bar.meter().barTicks(), List.of(roll));
    WrittenPattern style =
        new WrittenPattern("rolled end", "one roll from the bass up", bar.meter(), pattern);
    return song.withPatterns(song.patterns().with(new Scope.OfChord(last.ref()), style));
  }

  /** Over the second half of the last bar, where the tune is silent or rests by then. */
  private static Optional<Song> harmonic(Song song, Timeline timeline, PlayedSlot last) {
    PlayedBar bar = timeline.barOf(last);
    Meter meter = bar.meter();
    int beats = meter.beats();
    int from = (beats + 1) / 2 * meter.beatTicks();
    Chord chord = ((Harmony.Sounding) last.harmony()).chord();
    BarTune tune = song.tune().at(bar.written(), song.chart());
    boolean late = tune.notes().stream().anyMatch(n -> n.tick() >= from);
    if (late || from >= bar.lengthTicks() || last.tick() > bar.startTick()) {
      return Optional.empty();
    }
    return node(song, chord)
        .map(
            n -> {
              int midi = n.midi() - song.guitar().capo();
              NoteName name = chord.spelling(Math.floorMod(midi, 12)).orElseThrow();
              Pitch pitch = Pitch.of(midi, name);
              List<TuneNote> notes = new ArrayList<>();
              for (TuneNote note : tune.notes()) {
                notes.add(note.endTick() > from ? note.lasting(from - note.tick()) : note);
              }
              notes.addAll(rings(pitch, n, meter, from, bar.lengthTicks()));
              BarTune more = new BarTune(Math.min(tune.heldTicks(), from), notes);
              return song.withTune(song.tune().with(bar.written(), more));
            });
  }

  private static List<TuneNote> rings(
      Pitch pitch, HarmonicNode node, Meter meter, int from, int to) {
    String name = pitch.name().ascii().toLowerCase(Locale.ROOT);
    String text = name + pitch.octave() + "(h" + Math.round(node.fret()) + ")";
    return TuneReader.read(text, meter).tune().notes().stream()
        .map(n -> new TuneNote(from, to - from, n.wants(), n.slur(), n.graces(), n.techniques()))
        .toList();
  }

  /** The surest node of a treble string that belongs to a chord, root and fifth first. */
  private static Optional<HarmonicNode> node(Song song, Chord chord) {
    List<HarmonicNode> all = HarmonicNode.all(song.guitar());
    for (Set<Integer> wanted : List.of(Set.of(1, 5), Set.of(1, 3, 5))) {
      for (int overtone : OVERTONES) {
        for (int string = Tuning.STRINGS - 1; string >= 2; string--) {
          for (HarmonicNode node : all) {
            boolean there =
                node.string() == string && node.harmonic() == overtone && node.node() == 1;
            int chroma = Math.floorMod(node.midi() - song.guitar().capo(), 12);
            boolean fits =
                chord.intervalOf(chroma).filter(i -> wanted.contains(i.number())).isPresent();
            if (there && fits) {
              return Optional.of(node);
            }
          }
        }
      }
    }
    return Optional.empty();
  }
}
