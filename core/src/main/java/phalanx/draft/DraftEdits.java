package phalanx.draft;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import phalanx.advice.Variations;
import phalanx.draft.Manner.Repeat;
import phalanx.embellishment.Frame;
import phalanx.embellishment.TuneInThirds;
import phalanx.melody.BarTune;
import phalanx.picking.Density;
import phalanx.picking.PatternEdits;
import phalanx.picking.ThumbRoute;
import phalanx.picking.WrittenPattern;
import phalanx.song.Bar;
import phalanx.song.Patterns.Scope;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.ThumbRoutes;
import phalanx.text.ShelfTexts;
import phalanx.text.Texts;

/**
 * The edits that make a draft of a song, in the order a player would make them, and what each did
 * to which section. What the player decided stays: sections with a pattern, a density or a thumb of
 * their own keep it.
 */
final class DraftEdits {

  private final Manner manner;
  private final Density most;
  private final Map<Integer, List<String>> did = new LinkedHashMap<>();
  private Song song;

  private DraftEdits(Song song, Manner manner, Density most) {
    this.song = song;
    this.manner = manner;
    this.most = most;
  }

  /**
   * A song in a manner.
   *
   * @param did what was done in each section, by its identity
   */
  record Edited(Song song, Map<Integer, List<String>> did) {}

  /** What is done beside the manner, for a level. */
  enum Extra {
    /** Slurs of the tune are plucked. */
    PLUCKED,
    /** The same each time, so that there is less to remember. */
    SAME,
    /** A second voice under the tune. */
    THIRDS,
    /** The thumb walks before every other root. */
    WALKING
  }

  static Edited of(Song song, Manner manner, Density most, Set<Extra> extras) {
    DraftEdits edits = new DraftEdits(song, manner, most);
    edits.pattern();
    if (!extras.contains(Extra.SAME)) {
      edits.contrast();
      edits.repeats();
    }
    if (extras.contains(Extra.PLUCKED)) {
      edits.plucked();
    }
    if (extras.contains(Extra.WALKING)) {
      edits.walking();
    }
    if (manner.thirds() || extras.contains(Extra.THIRDS)) {
      edits.thirds();
    }
    edits.rings();
    edits.frames();
    return new Edited(edits.song, edits.did);
  }

  private void say(Section section, String words) {
    did.computeIfAbsent(section.id(), s -> new ArrayList<>()).add(words);
  }

  private Scope scope(Section section) {
    return new Scope.OfSection(section.id());
  }

  private boolean hasOwnDensity(Section section) {
    return song.picking().densities().own(scope(section)).isPresent();
  }

  private void pattern() {
    song =
        song.withPattern(manner.in(song.meter()).orElseThrow())
            .withThumb(new ThumbRoutes(manner.thumb(), song.picking().thumb().sections()))
            .withDensities(
                song.picking().densities().with(new Scope.WholeSong(), Optional.of(most)));
    boolean first = true;
    for (Section section : song.sections()) {
      if (song.patterns().has(scope(section))) {
        say(section, Texts.of("draftEdits.itsOwnPatternAs"));
      } else if (first) {
        say(section, ShelfTexts.of(manner.about()));
        first = false;
      }
      if (!song.tune().isEmpty() && hasOwnDensity(section)) {
        say(section, Texts.of("draftEdits.asItWas", density(section).words()));
      }
    }
  }

  private Density density(Section section) {
    int bar = section.bars().isEmpty() ? 0 : section.bars().get(0).id();
    return song.picking().densities().at(bar, song.chart()).orElse(most);
  }

  /** The sections with a tune, or all where there is none. */
  private List<Section> sung() {
    List<Section> sung =
        song.sections().stream()
            .filter(
                s ->
                    s.bars().stream()
                        .anyMatch(b -> !song.tune().at(b.id(), song.chart()).isSilent()))
            .toList();
    return sung.isEmpty() ? song.sections() : sung;
  }

  /** Less at first, so that the rest can grow; all of it the last time. */
  private void contrast() {
    List<Section> sung = sung();
    if (sung.size() < 2 || song.tune().isEmpty()) {
      return;
    }
    Section first = sung.get(0);
    Section last = sung.get(sung.size() - 1);
    if (most.number() > Density.TUNE.number() && !hasOwnDensity(first)) {
      set(first, Density.of(most.number() - 1).orElseThrow(), Texts.of("draftEdits.atFirstSoThat"));
    }
    if (!hasOwnDensity(last)) {
      say(
          last,
          most.words() + (most == Density.FULL ? Texts.of("draftEdits.theFullestAtThe") : ""));
    }
  }

  private void set(Section section, Density density, String why) {
    song =
        song.withDensities(song.picking().densities().with(scope(section), Optional.of(density)));
    say(section, density.words() + (why.isEmpty() ? "" : " " + why));
  }

  /** What comes again differs in one thing. */
  private void repeats() {
    for (Section section : song.sections()) {
      if (Variations.hasChordsOfEarlier(song.chart(), section)
          && !song.patterns().has(scope(section))) {
        for (Repeat repeat : manner.repeats()) {
          if (differs(section, repeat)) {
            break;
          }
        }
      }
    }
  }

  private boolean differs(Section section, Repeat repeat) {
    return switch (repeat) {
      case FILL -> false;
      case WALK -> walks(section);
      case INNER -> exchanged(section);
      case DENSITY -> other(section);
    };
  }

  private boolean walks(Section section) {
    boolean own = song.picking().thumb().sections().containsKey(section.id());
    boolean can = manner.thumb() == ThumbRoute.ALTERNATING || manner.thumb() == ThumbRoute.STEADY;
    if (own || !can) {
      return false;
    }
    song = song.withThumb(song.picking().thumb().with(section.id(), ThumbRoute.WALKING));
    say(section, Texts.of("draftEdits.theBassWalksInto"));
    return true;
  }

  private boolean exchanged(Section section) {
    WrittenPattern now = manner.in(song.meter()).orElseThrow();
    WrittenPattern other = PatternEdits.innerExchanged(now);
    boolean heard = density(section).number() > Density.TUNE.number();
    if (!heard || other.pattern().steps().equals(now.pattern().steps())) {
      return false;
    }
    song = song.withPatterns(song.patterns().with(scope(section), other));
    say(section, Texts.of("draftEdits.theInnerNotesThe"));
    return true;
  }

  private boolean other(Section section) {
    int number = density(section).number();
    boolean fuller = number < most.number();
    Optional<Density> other =
        Density.of(number + (fuller ? 1 : -1)).filter(d -> d != Density.THUMB);
    if (song.tune().isEmpty() || hasOwnDensity(section) || other.isEmpty()) {
      return false;
    }
    set(section, other.get(), Texts.of("draftEdits.asItComesAgain"));
    return true;
  }

  private void plucked() {
    for (Section section : song.sections()) {
      boolean any = false;
      for (Bar bar : section.bars()) {
        Optional<BarTune> tune = song.tune().own(bar.id());
        if (tune.isPresent() && !tune.get().plucked().equals(tune.get())) {
          song = song.withTune(song.tune().with(bar.id(), tune.get().plucked()));
          any = true;
        }
      }
      if (any) {
        say(section, Texts.of("draftEdits.slursPlucked"));
      }
    }
  }

  private void walking() {
    song =
        song.withThumb(
            new ThumbRoutes(ThumbRoute.WALKING_ALWAYS, song.picking().thumb().sections()));
    song.sections().stream()
        .findFirst()
        .ifPresent(s -> say(s, Texts.of("draftEdits.theBassWalksBefore")));
  }

  private void thirds() {
    for (Section section : sung()) {
      Optional<Song> two = TuneInThirds.in(song, section.bars().stream().map(Bar::id).toList());
      if (two.isPresent()) {
        song = two.get();
        say(section, Texts.of("draftEdits.thirdsAndSixthsUnder"));
      }
    }
  }

  private void rings() {
    if (manner.rings() && !song.tune().isEmpty()) {
      Set<Integer> all = new HashSet<>();
      song.sections().forEach(s -> all.add(s.id()));
      song = song.withTune(song.tune().withRinging(all));
      sung().forEach(s -> say(s, Texts.of("draftEdits.theNotesOfThe")));
    }
  }

  private void frames() {
    for (Frame frame : Frame.values()) {
      Optional<Song> framed = manner.endings().contains(frame) ? frame.in(song) : Optional.empty();
      if (framed.isPresent()) {
        song = framed.get();
        List<Section> sections = song.sections();
        Section where = frame.begins() ? sections.get(0) : sections.get(sections.size() - 1);
        say(where, frame.words());
      }
    }
  }
}
