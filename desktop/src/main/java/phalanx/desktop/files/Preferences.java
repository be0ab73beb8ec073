package phalanx.desktop.files;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;
import phalanx.desktop.model.Appearance;
import phalanx.desktop.model.PracticeSettings;
import phalanx.formats.disk.AtomicFile;
import phalanx.formats.songfile.HandFields;
import phalanx.instrument.Hand;
import phalanx.level.PlanLevel;
import phalanx.practice.LadderRules;
import phalanx.theory.NoteNaming;
import phalanx.theory.Pitch;

/**
 * What the program remembers from one start to the next.
 *
 * @param recent files opened or saved, the newest first
 * @param levels how hard the songs in the recent files are, where that is known
 * @param naming how the player calls the notes
 * @param leftHanded whether necks are drawn for a left-handed player
 * @param hand the player's hand
 * @param a4 frequency to which the player tunes A4, Hz
 * @param knowsSteps whether the steps of a first start were done or put away
 * @param practice how the player practises
 * @param appearance how the window looks
 */
public record Preferences(
    List<Path> recent,
    Map<Path, Double> levels,
    NoteNaming naming,
    boolean leftHanded,
    Hand hand,
    double a4,
    boolean knowsSteps,
    PracticeSettings practice,
    Appearance appearance) {

  /** Nothing remembered yet. */
  static final Preferences NONE =
      new Preferences(
          List.of(),
          Map.of(),
          NoteNaming.ENGLISH,
          false,
          Hand.MEDIUM,
          Pitch.A4_HZ,
          false,
          PracticeSettings.USUAL,
          Appearance.USUAL);

  private static final int MOST_RECENT = 8;

  /** No device is later than this, s. */
  private static final double MOST_LATE = 1;

  static final String FILE = "preferences.json";

  public Preferences {
    recent = List.copyOf(recent);
    levels = Map.copyOf(levels);
  }

  /** Reads them; the usual ones where there are none or they cannot be read. */
  public static Preferences read(PlayerFolder folder) {
    try {
      JsonNode root = new ObjectMapper().readTree(Files.readString(folder.file(FILE)));
      List<Path> recent = new ArrayList<>();
      root.path("recent").forEach(p -> path(p.asText()).ifPresent(recent::add));
      NoteNaming naming =
          Arrays.stream(NoteNaming.values())
              .filter(n -> n.name().equals(root.path("naming").asText()))
              .findFirst()
              .orElse(NoteNaming.ENGLISH);
      return new Preferences(
          recent,
          levels(root.path("levels"), recent),
          naming,
          root.path("leftHanded").asBoolean(),
          HandFields.read(root.path("hand")).orElse(Hand.MEDIUM),
          a4(root.path("a4").asDouble(Pitch.A4_HZ)),
          root.path("knowsSteps").asBoolean(),
          practice(root.path("practice")),
          appearance(root.path("appearance")));
    } catch (NoSuchFileException e) {
      // Nothing was remembered yet.
      return NONE;
    } catch (IOException e) {
      LoggerFactory.getLogger(Preferences.class).warn("preferences cannot be read", e);
      return NONE;
    }
  }

  /** Of recent files only, from 1 to 5. */
  private static Map<Path, Double> levels(JsonNode node, List<Path> recent) {
    Map<Path, Double> levels = new HashMap<>();
    for (Path file : recent) {
      double level = node.path(file.toString()).asDouble();
      if (level >= PlanLevel.LOWEST && level <= PlanLevel.HIGHEST) {
        levels.put(file, level);
      }
    }
    return levels;
  }

  private static Optional<Path> path(String text) {
    try {
      return Optional.of(Path.of(text));
    } catch (InvalidPathException e) {
      // No file has such a name here; it was written on another system.
      return Optional.empty();
    }
  }

  /** Keeps them for the next start. */
  public void write(PlayerFolder folder) throws IOException {
    ObjectNode root = JsonNodeFactory.instance.objectNode();
    ArrayNode files = root.putArray("recent");
    recent.forEach(p -> files.add(p.toString()));
    ObjectNode known = root.putObject("levels");
    levels.forEach((file, level) -> known.put(file.toString(), level));
    root.put("naming", naming.name());
    root.put("leftHanded", leftHanded);
    HandFields.write(root.putObject("hand"), hand);
    root.put("a4", a4);
    root.put("knowsSteps", knowsSteps);
    write(root.putObject("practice"), practice);
    ObjectNode look =
        root.putObject("appearance")
            .put("theme", appearance.theme().name())
            .put("percent", appearance.percent())
            .put("calm", appearance.calm());
    appearance.language().ifPresent(l -> look.put("language", l.code()));
    AtomicFile.write(folder.file(FILE), root.toPrettyString());
  }

  /** With a file at the head of the recent ones. */
  public Preferences opened(Path file) {
    Path whole = file.toAbsolutePath().normalize();
    return new Preferences(
        Stream.concat(Stream.of(whole), recent.stream().filter(p -> !p.equals(whole)))
            .limit(MOST_RECENT)
            .toList(),
        levels,
        naming,
        leftHanded,
        hand,
        a4,
        knowsSteps,
        practice,
        appearance);
  }

  /** With how hard the song in a file is, 1 to 5. */
  public Preferences withLevel(Path file, double level) {
    Map<Path, Double> more = new HashMap<>(levels);
    more.keySet().retainAll(recent);
    more.put(file.toAbsolutePath().normalize(), level);
    return new Preferences(
        recent, more, naming, leftHanded, hand, a4, knowsSteps, practice, appearance);
  }

  /** With the steps of a first start done or put away. */
  public Preferences knowingSteps() {
    return new Preferences(
        recent, levels, naming, leftHanded, hand, a4, true, practice, appearance);
  }

  /** With notes called otherwise. */
  public Preferences withNaming(NoteNaming other) {
    return new Preferences(
        recent, levels, other, leftHanded, hand, a4, knowsSteps, practice, appearance);
  }

  /** With necks drawn for the left or the right hand. */
  public Preferences withLeftHanded(boolean left) {
    return new Preferences(
        recent, levels, naming, left, hand, a4, knowsSteps, practice, appearance);
  }

  /** With the hand of the player. */
  public Preferences withHand(Hand other) {
    return new Preferences(
        recent, levels, naming, leftHanded, other, a4, knowsSteps, practice, appearance);
  }

  /** With A4 tuned otherwise, Hz. */
  public Preferences withA4(double hertz) {
    return new Preferences(
        recent, levels, naming, leftHanded, hand, hertz, knowsSteps, practice, appearance);
  }

  /** With another way to practise. */
  public Preferences withPractice(PracticeSettings other) {
    return new Preferences(
        recent, levels, naming, leftHanded, hand, a4, knowsSteps, other, appearance);
  }

  /** With another look of the window. */
  public Preferences withAppearance(Appearance other) {
    return new Preferences(
        recent, levels, naming, leftHanded, hand, a4, knowsSteps, practice, other);
  }

  private static Appearance appearance(JsonNode node) {
    Appearance usual = Appearance.USUAL;
    Appearance.Theme theme =
        Arrays.stream(Appearance.Theme.values())
            .filter(t -> t.name().equals(node.path("theme").asText()))
            .findFirst()
            .orElse(usual.theme());
    return new Appearance(
        theme,
        node.path("percent").asInt(usual.percent()),
        node.path("calm").asBoolean(usual.calm()),
        ChosenLanguage.of(node));
  }

  private static void write(ObjectNode node, PracticeSettings practice) {
    LadderRules rules = practice.rules();
    node.put("cleanToRise", rules.cleanToRise());
    node.put("missedToFall", rules.missedToFall());
    node.put("stepPercent", rules.stepPercent());
    ObjectNode latencies = node.putObject("latencies");
    practice.latencies().forEach(latencies::put);
  }

  /** The usual ones where they are missing, or are none. */
  private static PracticeSettings practice(JsonNode node) {
    LadderRules usual = LadderRules.USUAL;
    Map<String, Double> latencies = new TreeMap<>();
    for (Map.Entry<String, JsonNode> of : node.path("latencies").properties()) {
      double late = of.getValue().asDouble();
      if (Math.abs(late) <= MOST_LATE) {
        latencies.put(of.getKey(), late);
      }
    }
    try {
      LadderRules rules =
          new LadderRules(
              node.path("cleanToRise").asInt(usual.cleanToRise()),
              node.path("missedToFall").asInt(usual.missedToFall()),
              node.path("stepPercent").asDouble(usual.stepPercent()));
      return new PracticeSettings(rules, latencies);
    } catch (IllegalArgumentException e) {
      LoggerFactory.getLogger(Preferences.class).warn("rules of ladders cannot be read", e);
      return new PracticeSettings(usual, latencies);
    }
  }

  /** Within what anybody tunes to. */
  private static double a4(double hertz) {
    return hertz >= Pitch.LOWEST_A4_HZ && hertz <= Pitch.HIGHEST_A4_HZ ? hertz : Pitch.A4_HZ;
  }

  /** The same as another object, so that everybody looks who waits for a change. */
  Preferences copy() {
    return new Preferences(
        recent, levels, naming, leftHanded, hand, a4, knowsSteps, practice, appearance);
  }
}
