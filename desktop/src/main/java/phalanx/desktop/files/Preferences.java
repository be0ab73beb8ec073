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
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;
import phalanx.formats.disk.AtomicFile;
import phalanx.formats.songfile.HandFields;
import phalanx.instrument.Hand;
import phalanx.theory.NoteNaming;
import phalanx.theory.Pitch;

/**
 * What the program remembers from one start to the next.
 *
 * @param recent files opened or saved, the newest first
 * @param naming how the player calls the notes
 * @param leftHanded whether necks are drawn for a left-handed player
 * @param hand the player's hand
 * @param a4 frequency to which the player tunes A4, Hz
 * @param knowsSteps whether the steps of a first start were done or put away
 */
public record Preferences(
    List<Path> recent,
    NoteNaming naming,
    boolean leftHanded,
    Hand hand,
    double a4,
    boolean knowsSteps) {

  /** Nothing remembered yet. */
  static final Preferences NONE =
      new Preferences(List.of(), NoteNaming.ENGLISH, false, Hand.MEDIUM, Pitch.A4_HZ, false);

  private static final int MOST_RECENT = 8;
  private static final String FILE = "preferences.json";

  public Preferences {
    recent = List.copyOf(recent);
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
          naming,
          root.path("leftHanded").asBoolean(),
          HandFields.read(root.path("hand")).orElse(Hand.MEDIUM),
          a4(root.path("a4").asDouble(Pitch.A4_HZ)),
          root.path("knowsSteps").asBoolean());
    } catch (NoSuchFileException e) {
      // Nothing was remembered yet.
      return NONE;
    } catch (IOException e) {
      LoggerFactory.getLogger(Preferences.class).warn("preferences cannot be read", e);
      return NONE;
    }
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
    root.put("naming", naming.name());
    root.put("leftHanded", leftHanded);
    HandFields.write(root.putObject("hand"), hand);
    root.put("a4", a4);
    root.put("knowsSteps", knowsSteps);
    AtomicFile.write(folder.file(FILE), root.toPrettyString());
  }

  /** With a file at the head of the recent ones. */
  public Preferences opened(Path file) {
    Path whole = file.toAbsolutePath().normalize();
    return new Preferences(
        Stream.concat(Stream.of(whole), recent.stream().filter(p -> !p.equals(whole)))
            .limit(MOST_RECENT)
            .toList(),
        naming,
        leftHanded,
        hand,
        a4,
        knowsSteps);
  }

  /** With the steps of a first start done or put away. */
  public Preferences knowingSteps() {
    return new Preferences(recent, naming, leftHanded, hand, a4, true);
  }

  /** With notes called otherwise. */
  public Preferences withNaming(NoteNaming other) {
    return new Preferences(recent, other, leftHanded, hand, a4, knowsSteps);
  }

  /** With necks drawn for the left or the right hand. */
  public Preferences withLeftHanded(boolean left) {
    return new Preferences(recent, naming, left, hand, a4, knowsSteps);
  }

  /** With the hand of the player. */
  public Preferences withHand(Hand other) {
    return new Preferences(recent, naming, leftHanded, other, a4, knowsSteps);
  }

  /** With A4 tuned otherwise, Hz. */
  public Preferences withA4(double hertz) {
    return new Preferences(recent, naming, leftHanded, hand, hertz, knowsSteps);
  }

  /** Within what anybody tunes to. */
  private static double a4(double hertz) {
    return hertz >= Pitch.LOWEST_A4_HZ && hertz <= Pitch.HIGHEST_A4_HZ ? hertz : Pitch.A4_HZ;
  }

  /** The same as another object, so that everybody looks who waits for a change. */
  Preferences copy() {
    return new Preferences(recent, naming, leftHanded, hand, a4, knowsSteps);
  }
}
