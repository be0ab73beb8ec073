package phalanx.fuzz;

import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilder;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;
import phalanx.formats.SongReading;
import phalanx.formats.musicxml.MusicXmlReader;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;

/**
 * Counts how many notes of the upper voice of real scores arrive in the tune, against a second,
 * plain reading of the same files: every note of the voice that is highest for most of its part, at
 * its place in its measure. Started by {@code tools/check-scores}.
 */
final class ScoreCheck {

  private static final int QUARTER = 5040;

  /** A note: measure from 0, tick in it, MIDI number. */
  private record Struck(int measure, int tick, int midi) {}

  /** What a plain reading finds in one voice. */
  private static final class Voice {
    private final Set<Struck> notes = new HashSet<>();
    private final Map<Integer, TreeMap<Integer, Integer>> tops = new HashMap<>();
  }

  /** How many semitones higher than written the part sounds here. */
  private static int up;

  private ScoreCheck() {}

  /** Prints a line a score and the sum. */
  public static void main(String[] args) throws IOException {
    int wanted = 0;
    int arrived = 0;
    int files = 0;
    int silent = 0;
    List<Path> scores;
    try (Stream<Path> all = Files.walk(Path.of(args[0]))) {
      scores = all.filter(f -> f.toString().endsWith(".xml")).sorted().toList();
    }
    for (Path file : scores) {
      byte[] bytes = Files.readAllBytes(file);
      SongReading reading = MusicXmlReader.read(bytes);
      if (reading.song().chart().isEmpty()) {
        System.out.printf("%-40s refused: %s%n", file.getFileName(), reading.problems());
        continue;
      }
      Set<Struck> there = upper(bytes);
      Set<Struck> ours = tune(reading);
      long kept = there.stream().filter(ours::contains).count();
      boolean said = !reading.remarks().isEmpty();
      System.out.printf(
          "%-40s %4d of %4d notes, %d remarks%n",
          file.getFileName(), kept, there.size(), reading.remarks().size());
      wanted += there.size();
      arrived += (int) kept;
      silent += kept < there.size() && !said ? 1 : 0;
      files++;
    }
    System.out.printf(
        "%d scores: %d of %d notes arrive (%.1f %%); %d scores lose some without a word%n",
        files, arrived, wanted, 100.0 * arrived / Math.max(1, wanted), silent);
  }

  /** The tune as read, in written measures, as it sounds. */
  private static Set<Struck> tune(SongReading reading) {
    Set<Struck> notes = new HashSet<>();
    reading
        .song()
        .tune()
        .bars()
        .forEach(
            (bar, tune) -> {
              for (TuneNote note : tune.notes()) {
                for (Want want : note.wants()) {
                  notes.add(new Struck(bar - 1, note.tick(), ((Want.Sound) want).pitch().midi()));
                }
              }
            });
    return notes;
  }

  private static Set<Struck> upper(byte[] bytes) throws IOException {
    Map<String, Voice> voices = voices(root(bytes));
    Map<String, Integer> highest = new HashMap<>();
    Set<Integer> measures = new HashSet<>();
    voices.values().forEach(v -> measures.addAll(v.tops.keySet()));
    for (int measure : measures) {
      String top = null;
      double best = -1;
      for (Map.Entry<String, Voice> voice : voices.entrySet()) {
        TreeMap<Integer, Integer> line = voice.getValue().tops.get(measure);
        double mean =
            line == null ? -1 : line.values().stream().mapToInt(m -> m).average().orElse(-1);
        if (mean > best) {
          best = mean;
          top = voice.getKey();
        }
      }
      highest.merge(top, voices.get(top).tops.get(measure).size(), Integer::sum);
    }
    return highest.entrySet().stream()
        .max(Map.Entry.comparingByValue())
        .map(e -> voices.get(e.getKey()).notes)
        .orElse(Set.of());
  }

  private static Element root(byte[] bytes) throws IOException {
    String text = new String(bytes, StandardCharsets.UTF_8);
    String body = text.substring(text.indexOf('<')).replaceFirst("(?s)<\\?xml.*?\\?>", "");
    body = body.replaceFirst("(?s)<!DOCTYPE.*?>", "");
    try {
      DocumentBuilder builder = DocumentBuilderFactory.newInstance().newDocumentBuilder();
      return builder.parse(new InputSource(new StringReader(body))).getDocumentElement();
    } catch (ParserConfigurationException | SAXException e) {
      throw new IOException(e);
    }
  }

  private static Map<String, Voice> voices(Element score) {
    for (Element part : children(score, "part")) {
      Map<String, Voice> voices = new HashMap<>();
      double divisions = 1;
      up = 0;
      int measure = 0;
      for (Element m : children(part, "measure")) {
        divisions = measure(m, measure++, divisions, voices);
      }
      if (!voices.isEmpty()) {
        return voices;
      }
    }
    return Map.of();
  }

  private static double measure(Element m, int number, double was, Map<String, Voice> voices) {
    double divisions = was;
    double at = 0;
    double start = 0;
    String voice = "";
    for (Node n = m.getFirstChild(); n != null; n = n.getNextSibling()) {
      if (n instanceof Element e) {
        double duration = number(e, "duration", 0) / divisions;
        switch (e.getTagName()) {
          case "attributes" -> {
            divisions = number(e, "divisions", divisions);
            for (Element t : children(e, "transpose")) {
              up = (int) (number(t, "chromatic", 0) + 12 * number(t, "octave-change", 0));
            }
          }
          case "backup" -> at = Math.max(0, at - duration);
          case "forward" -> at += duration;
          case "note" -> {
            boolean chord = has(e, "chord");
            voice = chord ? voice : text(e, "voice", "1") + "/" + text(e, "staff", "1");
            start = chord ? start : at;
            at += chord || has(e, "grace") ? 0 : duration;
            boolean sounds = has(e, "pitch") && !has(e, "grace") && !has(e, "cue");
            if (sounds && !isTied(e)) {
              int tick = (int) Math.round(start * QUARTER);
              Voice in = voices.computeIfAbsent(voice, v -> new Voice());
              in.notes.add(new Struck(number, tick, midi(e) + up));
              in.tops.computeIfAbsent(number, k -> new TreeMap<>()).merge(tick, midi(e), Math::max);
            }
          }
          default -> {
            // Directions, harmonies and the like take no time and are no notes.
          }
        }
      }
    }
    return divisions;
  }

  private static boolean isTied(Element note) {
    return children(note, "tie").stream().anyMatch(t -> t.getAttribute("type").equals("stop"));
  }

  private static int midi(Element note) {
    Element pitch = children(note, "pitch").get(0);
    int step = List.of(0, 2, 4, 5, 7, 9, 11).get("CDEFGAB".indexOf(text(pitch, "step", "C")));
    return 12 * ((int) number(pitch, "octave", 4) + 1) + step + (int) number(pitch, "alter", 0);
  }

  private static List<Element> children(Element in, String name) {
    List<Element> found = new ArrayList<>();
    NodeList all = in.getChildNodes();
    for (int i = 0; i < all.getLength(); i++) {
      if (all.item(i) instanceof Element e && e.getTagName().equals(name)) {
        found.add(e);
      }
    }
    return found;
  }

  private static boolean has(Element in, String name) {
    return !children(in, name).isEmpty();
  }

  private static String text(Element in, String name, String otherwise) {
    return has(in, name) ? children(in, name).get(0).getTextContent().strip() : otherwise;
  }

  private static double number(Element in, String name, double otherwise) {
    String text = text(in, name, "");
    return text.isEmpty() ? otherwise : Double.parseDouble(text);
  }
}
