package phalanx.fuzz;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import phalanx.arrangement.Arrangement;
import phalanx.chart.ChartLine;
import phalanx.chart.ChartReader;
import phalanx.chart.Notation;
import phalanx.embellishment.Fill;
import phalanx.embellishment.FillReader;
import phalanx.formats.FileProblem;
import phalanx.formats.SongFiles;
import phalanx.formats.SongReading;
import phalanx.formats.abc.AbcReader;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.formats.midi.MidiReader;
import phalanx.formats.midi.MidiWriter;
import phalanx.formats.musicxml.MusicXmlReader;
import phalanx.formats.songfile.SongFileReader;
import phalanx.formats.tab.TextTab;
import phalanx.instrument.Tuning;
import phalanx.melody.BarTune;
import phalanx.melody.TuneReader;
import phalanx.picking.PatternReader;
import phalanx.picking.WrittenPattern;
import phalanx.planning.Arranger;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.Tune;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.Meter;
import phalanx.theory.NoteName;
import phalanx.theory.NoteNaming;

/** The readers of the program, each with what it reads every day. */
final class Jobs {

  private static final String CHART =
      "|: G . . . | D/F# . Em7 . |1 Am7@1/7 . :|2 % | =3 . D7 | 3/4 N.C. | C |";
  private static final String TUNE = "g4 . [b ^c'] - {a}b@2 2:3+4:5 _d /e [[a b] . c5,]";

  private static final String WORDS =
      "{title: Quay}\n{key: G}\n{sov: One}\n[G]Down to the [C]quay\n{eov}\n"
          + "{define: G base-fret 1 frets 3 2 0 0 0 3 fingers 2 1 - - - 3}\n[Am]we [D7]go\n";
  private static final String ABOVE =
      "Quay\nKey: G\n\n[Verse 1]\nG       C\nDown to the quay\n| 1 | 4 5 | vi | V7 |\nChorus:\nEm  D\n";
  private static final String ABC =
      "X:1\nT:Quay\nM:6/8\nL:1/8\nQ:3/8=60\nK:Ador\n|: \"Am\"A2B {g}c2d | (3ABc d>e [Ac]2 :|\n"
          + "w: down to the quay\n[1 \"D\"z6 :|[2 Z2 |]\n";

  private final Path root;
  private final KeptSong kept = new KeptSong();

  /**
   * The jobs of a checkout.
   *
   * @param root where it lies: its demo songs and test scores are inputs to start from
   */
  Jobs(Path root) {
    this.root = root;
  }

  List<Job> all() {
    return List.of(
        new Job(
            "chart", texts(CHART, "C", "| Cmaj7#11 G7alt | x2 :| x3"), JobWords.CHART, this::chart),
        new Job(
            "chord",
            texts("Cmaj7#11/E", "F#m7b5", "Bb13(b9,#11)", "Do7"),
            JobWords.CHORD,
            this::chord),
        new Job(
            "tune",
            texts(TUNE, "c", ". . - b"),
            List.of("[", "]", "'", ",", "+", "{a}", "^", "(h)", "(t12)", "(b1r,pm)", "(v", ")"),
            this::tune),
        new Job(
            "pattern",
            files("formats/src/main/resources", ".pattern", ".patterns", ".txt"),
            JobWords.PATTERN,
            this::pattern),
        new Job(
            "fill",
            files("formats/src/main/resources", ".fills"),
            List.of("name: x\n", "beats: 2\n", "major: 5 3\n", "bluesy: b3\n", "b7", ",", "(h)"),
            this::fill),
        new Job(
            "tuning",
            texts("E A D G B E", "D2 A2 D3 G3 A3 D4"),
            List.of("b", "#", "-5", "0"),
            this::tuning),
        new Job("chordpro", files("demo", ".cho"), JobWords.CHORDPRO, this::chordPro),
        new Job("words", texts(WORDS, ABOVE), JobWords.WORDS, this::words),
        new Job("abc", texts(ABC), JobWords.ABC, this::abc),
        new Job("tab", tabs(), JobWords.TAB, this::words),
        new Job("midi", midi(), List.of("MThd", "MTrk", "\u0000"), this::midi),
        new Job("song", songs(), JobWords.JSON, this::song),
        new Job("score", scores(), JobWords.SCORE, this::score),
        new Job(
            "packed", scores().stream().map(Jobs::packed).toList(), List.of("PK"), this::score));
  }

  private static List<byte[]> texts(String... texts) {
    return Stream.of(texts).map(t -> t.getBytes(StandardCharsets.UTF_8)).toList();
  }

  private List<byte[]> files(String folder, String... endings) {
    try (Stream<Path> all = Files.walk(root.resolve(folder))) {
      List<byte[]> read = new ArrayList<>();
      for (Path file :
          all.filter(f -> Stream.of(endings).anyMatch(f.toString()::endsWith)).sorted().toList()) {
        read.add(Files.readAllBytes(file));
      }
      if (read.isEmpty()) {
        throw new IllegalStateException("no files to start from in " + folder);
      }
      return read;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private List<byte[]> songs() {
    List<byte[]> all = new ArrayList<>(files("demo", ".phalanx.json"));
    all.addAll(files("formats/src/test/resources", ".phalanx.json"));
    return all;
  }

  private List<byte[]> scores() {
    List<byte[]> all = new ArrayList<>(files("formats/src/test/resources", ".musicxml"));
    all.addAll(files("fuzz/src/main/resources", ".musicxml"));
    return all;
  }

  /** A score in a packed file. */
  static byte[] packed(byte[] score) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      zip.putNextEntry(new ZipEntry("META-INF/container.xml"));
      zip.write("<rootfile full-path=\"score.xml\"/>".getBytes(StandardCharsets.UTF_8));
      zip.closeEntry();
      zip.putNextEntry(new ZipEntry("score.xml"));
      zip.write(score);
      zip.closeEntry();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  private static String text(byte[] input) {
    return new String(input, StandardCharsets.UTF_8);
  }

  private Runnable chart(byte[] input) {
    String text = text(input);
    ChartLine line =
        ChartReader.read(
            text, Notation.in(Meter.FOUR_FOUR), n -> Optional.of(n).filter(i -> i < 3));
    line.problems().forEach(p -> said(p.message(), 1, p.column() + 1));
    return () -> kept.check(song(line.bars()));
  }

  private static Song song(List<Bar> bars) {
    return Song.untitled().editChart(c -> new Chart(List.of(Section.of(100_000, "", bars))));
  }

  private Runnable chord(byte[] input) {
    String text = text(input);
    List<Harmony> read = new ArrayList<>();
    for (NoteNaming naming : NoteNaming.values()) {
      ChordReading reading = ChordReader.read(text, naming);
      if (reading instanceof ChordReading.Read r) {
        read.add(new Harmony.Sounding(r.chord()));
        String shown = naming.name(r.chord());
        if (!ChordReader.read(shown, naming).equals(reading)) {
          throw new KeptSong.Lost(shown + " is shown and not read back");
        }
      } else {
        said(((ChordReading.Unreadable) reading).expected(), 1, 1);
      }
    }
    return () ->
        read.forEach(h -> kept.check(song(List.of(Bar.of(1, List.of(new ChordChange(0, h)))))));
  }

  private Runnable tune(byte[] input) {
    TuneReader.Result read = TuneReader.read(text(input), Meter.FOUR_FOUR);
    read.problems().forEach(p -> said(p.message(), 1, p.column()));
    return () -> kept.check(sung(read.tune()));
  }

  private Runnable words(byte[] input) {
    SongFiles.Opened opened = SongFiles.pasted(text(input));
    opened.told().forEach(Jobs::said);
    return () -> opened.song().ifPresent(kept::check);
  }

  private Runnable abc(byte[] input) {
    return told(AbcReader.read(input));
  }

  private Runnable midi(byte[] input) {
    return told(MidiReader.read(input));
  }

  private static List<byte[]> tabs() {
    return planned().stream().map(a -> TextTab.write(a).getBytes(StandardCharsets.UTF_8)).toList();
  }

  private static List<byte[]> midi() {
    return planned().stream().map(MidiWriter::write).toList();
  }

  /** Two short songs as they are planned: what is read of them is planned again each time. */
  private static List<Arrangement> planned() {
    Song plain = ChordProReader.read("{key: G}\n{sog}\n| G | D/F# . Em7 . |\n{eog}\n").song();
    BarTune tune = TuneReader.read("g4 . b ^d' . - a", Meter.FOUR_FOUR).tune();
    return List.of(
        new Arranger().arrange(plain),
        new Arranger()
            .arrange(plain.withTune(Tune.NONE.with(plain.chart().bars().get(0).id(), tune))));
  }

  private static Song sung(BarTune tune) {
    List<Bar> bars =
        ChartReader.read("C", Notation.in(Meter.FOUR_FOUR), Notation.Numbers.NONE).bars();
    return song(bars).withTune(Tune.NONE.with(1, tune));
  }

  private Runnable pattern(byte[] input) {
    PatternReader.Result read = PatternReader.read(text(input));
    read.problems().forEach(p -> said(p.message(), p.line(), p.column()));
    return () -> read.patterns().stream().limit(3).forEach(this::played);
  }

  private Runnable fill(byte[] input) {
    FillReader.Result read = FillReader.read(text(input));
    read.problems().forEach(p -> said(p.message(), p.line(), 1));
    NoteName root = NoteName.parse("G").orElseThrow();
    return () ->
        read.fills().stream()
            .limit(3)
            .forEach(f -> kept.check(sung(f.over(Fill.Colour.BLUESY, 55, root))));
  }

  private void played(WrittenPattern pattern) {
    List<Bar> bars =
        ChartReader.read("C | G7", Notation.in(pattern.meter()), Notation.Numbers.NONE).bars();
    Song song = song(bars).withPattern(pattern);
    kept.check(song.withFeel(song.feel().withMeter(pattern.meter())));
  }

  private Runnable tuning(byte[] input) {
    Optional<Tuning> read = Tuning.parse(text(input));
    return () ->
        read.ifPresent(
            t ->
                kept.check(
                    sung(BarTune.SILENT).withGuitar(Song.untitled().guitar().withTuning(t))));
  }

  private Runnable chordPro(byte[] input) {
    return told(ChordProReader.read(text(input)));
  }

  private Runnable score(byte[] input) {
    SongReading reading = MusicXmlReader.read(input);
    if (reading.song().chart().isEmpty() && reading.problems().isEmpty()) {
      throw new KeptSong.Lost("a score without bars, and no word of it");
    }
    return told(reading);
  }

  private Runnable told(SongReading reading) {
    reading.problems().forEach(Jobs::said);
    reading.remarks().forEach(Jobs::said);
    return () -> kept.check(reading.song());
  }

  private Runnable song(byte[] input) {
    SongFileReader.Result result = SongFileReader.read(text(input));
    if (result instanceof SongFileReader.Result.Read read) {
      read.problems().forEach(Jobs::said);
      return () -> kept.check(read.song());
    }
    said(((SongFileReader.Result.Refused) result).problem());
    return () -> {};
  }

  private static void said(FileProblem problem) {
    said(problem.message(), problem.line(), problem.column());
  }

  /** Every problem has a place and a sentence of ours. */
  private static void said(String message, int line, int column) {
    boolean foreign =
        message == null
            || message.isBlank()
            || message.contains("Exception")
            || message.contains("java.")
            || message.contains("null");
    if (foreign
            && !String.valueOf(message).contains("“")
            && !String.valueOf(message).contains("found null")
        || line < 1
        || column < 0) {
      throw new KeptSong.Lost(
          "a problem without words or place: " + message + " at " + line + ":" + column);
    }
  }
}
