package phalanx.draft;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import phalanx.embellishment.Frame;
import phalanx.melody.TuneNote;
import phalanx.picking.Density;
import phalanx.picking.PatternEdits;
import phalanx.picking.ThumbRoute;
import phalanx.picking.WrittenPattern;
import phalanx.song.Feel;
import phalanx.song.Patterns.Scope;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.theory.Meter;

/**
 * The manner that a player arranged a song in, to arrange others in: its pattern in each metre, the
 * thumb’s way, how much is played where, what is different when a section comes again, and the end.
 */
public final class SongManner {

  /** Other songs may be so much slower or faster. */
  private static final double SLOWER = 0.7;

  private static final double FASTER = 1.4;

  private final Song song;

  private SongManner(Song song) {
    this.song = song;
  }

  /** The manner of a song, under a name of the player’s. */
  public static Manner of(Song song, String name) {
    return new SongManner(song).manner(name);
  }

  private Manner manner(String name) {
    String about = "as in " + song.title();
    List<Density> densities =
        song.chart().bars().stream()
            .map(b -> song.picking().densities().at(b.id(), song.chart()).orElse(Density.FULL))
            .sorted()
            .toList();
    return new Manner(
        name,
        about,
        song.thumb(),
        Math.max(Feel.SLOWEST, Math.floor(SLOWER * song.tempo())),
        Math.min(Feel.FASTEST, Math.ceil(FASTER * song.tempo())),
        densities.isEmpty() ? Density.TUNE : densities.get(0),
        densities.isEmpty() ? Density.FULL : densities.get(densities.size() - 1),
        !song.tune().ringing().isEmpty(),
        hasTwoVoices(),
        repeats(),
        endings(),
        patterns(name, about));
  }

  private boolean hasTwoVoices() {
    return song.tune().bars().values().stream()
        .flatMap(b -> b.notes().stream())
        .map(TuneNote::wants)
        .anyMatch(w -> w.size() > 1);
  }

  private List<WrittenPattern> patterns(String name, String about) {
    Stream<Meter> meters =
        Stream.concat(Stream.of(song.meter()), song.chart().meters(song.meter()).values().stream())
            .distinct();
    return meters
        .map(m -> PatternEdits.written(song.pattern(), m))
        .map(p -> new WrittenPattern(name, about, p.meter(), p.pattern(), p.ending()))
        .toList();
  }

  /** What a section has of its own that is not the song’s. */
  private List<Manner.Repeat> repeats() {
    List<Manner.Repeat> repeats = new ArrayList<>();
    for (Section section : song.sections()) {
      Scope scope = new Scope.OfSection(section.id());
      ThumbRoute thumb = song.picking().thumb().atSection(section, song.chart());
      if (thumb != song.thumb() && !repeats.contains(Manner.Repeat.WALK)) {
        repeats.add(Manner.Repeat.WALK);
      }
      if (song.patterns().has(scope) && !repeats.contains(Manner.Repeat.INNER)) {
        repeats.add(Manner.Repeat.INNER);
      }
      boolean own = song.picking().densities().own(scope).isPresent();
      if (own && !repeats.contains(Manner.Repeat.DENSITY)) {
        repeats.add(Manner.Repeat.DENSITY);
      }
    }
    return repeats;
  }

  private Set<Frame> endings() {
    Set<Frame> endings = EnumSet.noneOf(Frame.class);
    if (song.feel().ritard().isPresent()) {
      endings.add(Frame.SLOWER);
    }
    if (song.patterns().softEnding()) {
      endings.add(Frame.BRUSHED);
    }
    return endings;
  }
}
