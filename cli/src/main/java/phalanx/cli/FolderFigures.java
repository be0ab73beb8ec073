package phalanx.cli;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.findings.TempoCeiling;
import phalanx.formats.SongFiles;
import phalanx.planning.Arranger;
import phalanx.review.MusicFigures;
import phalanx.song.Song;
import phalanx.text.Phrase;

/** {@code tools/judge FOLDER}: the figures of docs/music.md for every song in a folder. */
public final class FolderFigures {

  private static final String HEAD = "%-32s %15s %15s %15s %13s %6s %6s %9s";
  private static final String ROW = "%-32s %15s %15s %15s %13s %6d %6.1f %9s";

  private FolderFigures() {}

  /** Prints them; exits with 1 where there is no song. */
  public static void main(String[] args) throws IOException {
    PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
    List<Path> files;
    try (Stream<Path> all = Files.walk(Path.of(args[0]))) {
      files = all.filter(Files::isRegularFile).sorted().toList();
    }
    MusicFigures sum = MusicFigures.NONE;
    int songs = 0;
    out.println(
        Phrase.of(
            HEAD, "", "third", "seventh", "own bass", "octave leaps", "alone", "open", "ceiling"));
    for (Path file : files) {
      Optional<Song> song = SongFiles.open(file, Optional.empty()).song();
      if (song.isPresent()) {
        Arrangement a = new Arranger().arrange(song.get());
        MusicFigures figures = MusicFigures.of(a);
        sum = sum.and(figures);
        songs++;
        out.println(row(song.get().title(), figures, ceiling(a)));
      }
    }
    out.println(row(songs + " songs", sum, ""));
    if (songs == 0) {
      System.exit(1);
    }
  }

  private static String ceiling(Arrangement a) {
    return TempoCeiling.of(a)
        .song()
        .map(c -> Phrase.of("%.0f / %.0f", c, a.song().tempo()))
        .orElse("any");
  }

  private static String row(String name, MusicFigures f, String ceiling) {
    String shown = name.length() > 32 ? name.substring(0, 31) + "…" : name;
    double open = f.bars().of() == 0 ? 0 : (double) f.open() / f.bars().of();
    return Phrase.of(
        ROW,
        shown,
        share(f.thirds()),
        share(f.sevenths()),
        share(f.basses()),
        share(f.leaps()),
        f.repeats(),
        open,
        ceiling);
  }

  private static String share(MusicFigures.Share of) {
    return of.of() == 0 ? "–" : Phrase.of("%d/%d %.1f %%", of.are(), of.of(), of.percent());
  }
}
