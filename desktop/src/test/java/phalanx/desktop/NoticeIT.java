package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * The notice names every library that the program is packed with, and no other, with its licence.
 */
class NoticeIT {

  private static final Path ROOT = Path.of("..");

  private static final Pattern LINE = Pattern.compile("- [^:]+:(\\S+) (\\S+): (.+)");

  /** Licences the program may ship; the last two with a reason of their own, see NOTICE. */
  private static final List<String> ALLOWED =
      List.of(
          "(Apache-2.0)",
          "(Apache License, Version 2.0)",
          "(The Apache Software License, Version 2.0)",
          "(The Apache Software License, version 2.0)",
          "(BSD 2-Clause)",
          "(BSD-2-Clause)",
          "(MIT)",
          "(MIT License)",
          "(EDL 1.0)",
          "(Eclipse Distribution License - v 1.0)",
          "(Eclipse Public License - v 1.0) (GNU Lesser General Public License)",
          "(GPLv2+CE)");

  private static Map<String, String> noticed() throws IOException {
    Map<String, String> libraries = new TreeMap<>();
    for (String line : Files.readAllLines(ROOT.resolve("NOTICE"))) {
      Matcher library = LINE.matcher(line);
      if (library.matches()) {
        libraries.put(library.group(1) + "-" + library.group(2), library.group(3));
      }
    }
    return libraries;
  }

  private static TreeSet<String> packed() throws IOException {
    TreeSet<String> jars = new TreeSet<>();
    for (String module : List.of("cli", "desktop")) {
      try (Stream<Path> all = Files.list(ROOT.resolve(module).resolve("target/lib"))) {
        all.map(p -> p.getFileName().toString())
            .filter(n -> n.endsWith(".jar") && !n.startsWith("phalanx-"))
            .map(n -> n.replaceAll("(-(linux|mac|win)[^.]*)?\\.jar$", ""))
            .forEach(jars::add);
      }
    }
    return jars;
  }

  @Test
  void itListsWhatShips() throws IOException {
    assertThat(noticed().keySet()).containsExactlyElementsOf(packed());
  }

  @Test
  void everyLicenceIsOneThatMayShip() throws IOException {
    noticed()
        .forEach(
            (library, licence) -> {
              if (library.startsWith("proxymusic")) {
                assertThat(licence).contains("LGPL");
                assertThat(ROOT.resolve("licences/LGPL-3.0.txt")).isNotEmptyFile();
                assertThat(ROOT.resolve("licences/GPL-3.0.txt")).isNotEmptyFile();
              } else {
                assertThat(ALLOWED).as(library).contains(licence);
              }
            });
  }
}
