package phalanx.formats.songfile;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import phalanx.formats.FileProblem;
import phalanx.formats.ReaderGuard;
import phalanx.formats.Texts;
import phalanx.instrument.Hand;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.HandSchool;
import phalanx.picking.ThumbRoute;
import phalanx.song.BarLyrics;
import phalanx.song.Chart;
import phalanx.song.Credits;
import phalanx.song.Densities;
import phalanx.song.Lyrics;
import phalanx.song.Patterns;
import phalanx.song.Pins;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.SongBounds;
import phalanx.song.SongId;
import phalanx.song.ThumbRoutes;
import phalanx.song.Tune;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;

/**
 * Reads songs in the program's own format, as far as they go: a fault costs the value it is in and
 * is told with its place, never the song. Only what is no song at all, or of a newer version, is
 * refused. A file is never changed by reading.
 */
public final class SongFileReader {

  private SongFileReader() {}

  /** What came of reading: a song, or what is wrong with the file. */
  public sealed interface Result {

    /**
     * The song.
     *
     * @param song everything that could be read
     * @param problems what could not, by place
     */
    record Read(Song song, List<FileProblem> problems) implements Result {
      public Read {
        problems = List.copyOf(problems);
      }
    }

    /**
     * The file cannot be used.
     *
     * @param problem what is wrong, with its place
     */
    record Refused(FileProblem problem) implements Result {}
  }

  /** Reads a whole file. */
  public static Result read(String text) {
    return ReaderGuard.guarded(
        Texts.of("songFileReader.songFiles"), () -> song(text), Result.Refused::new);
  }

  private static Result song(String text) {
    LocatedJson json = LocatedJson.read(text);
    Faults faults = new Faults(json.end().isPresent());
    try {
      Song song = song(current(new Field(json.root(), "")), faults);
      return new Result.Read(song, problems(json, faults));
    } catch (Field.Fault e) {
      FileProblem problem = json.located(List.of(e)).get(e);
      return new Result.Refused(json.end().filter(p -> e.isOfNothing()).orElse(problem));
    }
  }

  private static List<FileProblem> problems(LocatedJson json, Faults faults) {
    Map<Field.Fault, FileProblem> located = json.located(faults.all());
    List<FileProblem> problems = new ArrayList<>(located.values());
    problems.addAll(json.twice());
    json.end().ifPresent(problems::add);
    problems.sort(Comparator.comparingInt(FileProblem::line).thenComparingInt(FileProblem::column));
    return problems;
  }

  private static Field current(Field root) {
    root.object();
    if (!root.at("format").node().asText().equals(SongFileWriter.FORMAT)) {
      throw root.at("format").fault("“" + SongFileWriter.FORMAT + "”");
    }
    int version = root.at("version").whole(1, Integer.MAX_VALUE);
    if (version > SongFileWriter.VERSION) {
      String words = Texts.of("songFileReader.thisSongWasWritten", version, SongFileWriter.VERSION);
      throw new Field.Fault("/version", words);
    }
    return new Field(Upgrades.upgrade((ObjectNode) root.node(), version), "");
  }

  private static Song song(Field root, Faults faults) {
    Song plain = Song.untitled();
    Field picking = root.at("picking");
    for (String part : List.of("feel", "guitar", "hand", "picking", "sections")) {
      faults.maybe(() -> part.equals("sections") ? root.at(part).list() : root.at(part).object());
    }
    PlayerField player = new PlayerField(faults);
    ChartField chart = new ChartField(root.at("sections"), faults);
    List<Section> sections =
        root.at("sections").node().isArray() ? chart.sections(root.at("sections")) : List.of();
    Optional<Field> handField = part(root, "hand");
    Hand hand = handField.map(player::hand).orElse(plain.hand());
    Song song =
        plain
            .withTitle(
                faults.or(plain.title(), () -> root.at("title").text(SongBounds.LONGEST_NAME)))
            .withKey(root.maybe("key").flatMap(k -> faults.maybe(() -> key(k))))
            .withFeel(part(root, "feel").map(player::feel).orElse(plain.feel()))
            .withGuitar(part(root, "guitar").map(player::guitar).orElse(plain.guitar()))
            .withHand(hand)
            .withOwnHand(handField.filter(f -> player.isOwn(f, hand)).isPresent())
            .withCredits(
                new Credits(name(root, "composer", faults), name(root, "arranger", faults)))
            .withLyrics(root.maybe("lyrics").map(l -> words(l, faults)).orElse(List.of()));
    // Settling mends what was written by hand: a section that is like another one gets its bars.
    song = song.editChart(c -> new Chart(sections));
    for (Field bar : root.maybe("words").map(w -> bars(w, faults)).orElse(List.of())) {
      Song before = song;
      song = faults.maybe(() -> before.withWords(words(bar, before))).orElse(before);
    }
    Tune tune =
        root.maybe("tune").isPresent()
            ? chart.tune(root.at("tune"), song.chart(), song.feel())
            : Tune.NONE;
    boolean onTop = root.maybe("tuneOnTop").map(f -> faults.or(true, f::truth)).orElse(true);
    Optional<SongId> id =
        root.maybe("id")
            .flatMap(
                f ->
                    faults.maybe(
                        () -> f.parsed(SongId::parse, Texts.of("songFileReader.anIdOfLetters"))));
    song = id.map(song::withId).orElse(song);
    Set<Integer> ringing =
        Set.copyOf(
            root.maybe("tuneRings")
                .map(f -> faults.each(f::list, n -> n.whole(1, Chart.HIGHEST_ID)))
                .orElse(List.of()));
    return song.withTune(tune.withOnTop(onTop).withRinging(ringing))
        .withPins(root.maybe("pins").map(f -> new PinsField(faults).pins(f)).orElse(Pins.NONE))
        .withSchool(
            part(root, "picking")
                .map(p -> faults.or(plain.school(), () -> p.at("school").word(HandSchool.class)))
                .orElse(plain.school()))
        .withThumb(
            picking
                .maybe("thumb")
                .map(f -> faults.or(plain.thumb(), () -> f.word(ThumbRoute.class)))
                .map(t -> new PickingField(faults).thumbs(t, picking))
                .orElse(ThumbRoutes.of(plain.thumb())))
        .withPatterns(
            part(root, "picking")
                .map(p -> new PickingField(faults).read(p))
                .orElse(Patterns.of(AlternatingThumb.FINGERS_BETWEEN)))
        .withDensities(
            part(root, "picking")
                .map(p -> new PickingField(faults).densities(p))
                .orElse(Densities.NONE));
  }

  private static List<String> words(Field lyrics, Faults faults) {
    return faults.each(
        () -> lyrics.list(SongBounds.MOST_LINES, faults), l -> l.text(SongBounds.LONGEST_LINE));
  }

  private static String name(Field root, String field, Faults faults) {
    return root.maybe(field)
        .map(f -> faults.or("", () -> f.text(SongBounds.LONGEST_NAME)))
        .orElse("");
  }

  private static List<Field> bars(Field words, Faults faults) {
    return faults.maybe(() -> words.list(SongBounds.MOST_BARS, faults)).orElse(List.of());
  }

  /** The words under one bar. */
  private static Lyrics words(Field field, Song song) {
    int bar = field.object().at("bar").whole(1, Chart.HIGHEST_ID);
    if (song.chart().bar(bar).isEmpty()) {
      throw field.at("bar").fault(Texts.of("songFileReader.aBarOfThe"));
    }
    List<List<BarLyrics.Piece>> verses = new ArrayList<>();
    for (Field verse : field.at("verses").list()) {
      List<BarLyrics.Piece> pieces = new ArrayList<>();
      int last = -1;
      for (Field piece : verse.list()) {
        int tick = piece.object().at("tick").whole(last + 1, Meter.LONGEST_TICKS);
        pieces.add(new BarLyrics.Piece(tick, piece.at("text").text(SongBounds.LONGEST_LINE)));
        last = tick;
      }
      verses.add(pieces);
    }
    if (verses.size() > BarLyrics.MOST_VERSES) {
      throw field
          .at("verses")
          .fault(Texts.of("songFileReader.atMostVerses", BarLyrics.MOST_VERSES));
    }
    return song.words().with(bar, new BarLyrics(verses));
  }

  private static Optional<Field> part(Field root, String name) {
    return Optional.of(root.at(name)).filter(f -> f.node().isObject());
  }

  private static Key key(Field field) {
    NoteName tonic =
        field.object().at("tonic").parsed(NoteName::parse, Texts.of("songFileReader.aNoteSuchAs"));
    return new Key(tonic, field.at("mode").word(Mode.class));
  }
}
