package phalanx.desktop.files;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import phalanx.desktop.model.SoundPreset;
import phalanx.desktop.model.SoundPreset.OwnResponse;
import phalanx.desktop.texts.Texts;
import phalanx.formats.disk.AtomicFile;
import phalanx.formats.disk.DiskTrouble;
import phalanx.picking.PickFinger;
import phalanx.sound.Layer;
import phalanx.sound.render.ImpulseFile;
import phalanx.sound.sequence.Interpretation;
import phalanx.sound.sequence.PickingHand;
import phalanx.sound.strings.Levels;
import phalanx.sound.strings.Plucker;

/**
 * How songs sound, as a small file: levels, hand, place, room, and where a body or a room of the
 * player’s own lies. What is out of range is drawn in, what is missing is as usual.
 */
public final class SoundPresetFile {

  /** The ending of such files. */
  public static final String ENDING = ".phalanx-sound.json";

  private static final String FORMAT = "phalanx-sound";

  private SoundPresetFile() {}

  /** Why a file could not be used, in words for the player. */
  public static final class Refused extends IOException {
    private static final long serialVersionUID = 1;

    Refused(String words) {
      super(words);
    }
  }

  /** Writes one, whole or not at all. */
  public static void write(Path file, SoundPreset preset) throws IOException {
    ObjectNode root = JsonNodeFactory.instance.objectNode();
    root.put("format", FORMAT);
    ObjectNode levels = root.putObject("levelsDb");
    for (Layer layer : Layer.values()) {
      levels.put(layer.word(), preset.levels().decibels().get(layer));
    }
    root.put("freedom", preset.interpretation().freedom());
    ObjectNode plucks = root.putObject("plucks");
    ArrayNode rests = root.putArray("restStrokes");
    PickingHand hand = preset.interpretation().hand();
    for (PickFinger finger : PickFinger.values()) {
      plucks.put(finger.letter(), hand.of(finger).word());
      if (hand.rests(finger)) {
        rests.add(finger.letter());
      }
    }
    root.put("placeMm", preset.interpretation().place());
    root.put("room", preset.room());
    preset.body().ifPresent(b -> root.put("bodyResponse", b.file().toString()));
    preset.hall().ifPresent(h -> root.put("roomResponse", h.file().toString()));
    AtomicFile.write(file, root.toPrettyString());
  }

  /**
   * Reads one.
   *
   * @throws Refused if it is none, or what it names cannot be read
   */
  public static SoundPreset read(Path file) throws IOException {
    JsonNode root = tree(file);
    if (!root.path("format").asText().equals(FORMAT)) {
      throw new Refused(Texts.of("soundPresetFile.isNoFileOf", file.getFileName()));
    }
    SoundPreset usual = SoundPreset.USUAL;
    Levels levels = usual.levels();
    for (Layer layer : Layer.values()) {
      double decibels =
          root.path("levelsDb").path(layer.word()).asDouble(levels.decibels().get(layer));
      levels = levels.with(layer, decibels);
    }
    Interpretation hand = usual.interpretation();
    hand =
        hand.free(root.path("freedom").asDouble(hand.freedom()))
            .with(h -> hand(h, root))
            .at(root.path("placeMm").asDouble(0));
    double room = Math.max(0, Math.min(1, root.path("room").asDouble(usual.room())));
    return new SoundPreset(
        levels, hand, room, named(root, "bodyResponse"), named(root, "roomResponse"));
  }

  private static PickingHand hand(PickingHand usual, JsonNode root) {
    PickingHand hand = usual;
    for (PickFinger finger : PickFinger.values()) {
      Optional<Plucker> said = Plucker.worded(root.path("plucks").path(finger.letter()).asText());
      hand = hand.with(List.of(finger), said.orElse(usual.of(finger)));
    }
    for (JsonNode letter : root.path("restStrokes")) {
      hand = hand.resting(PickFinger.lettered(letter.asText()).stream().toList(), true);
    }
    return hand;
  }

  private static JsonNode tree(Path file) throws IOException {
    try {
      return new ObjectMapper().readTree(Files.readString(file));
    } catch (JsonProcessingException e) {
      throw new Refused(Texts.of("soundPresetFile.isNoFileOf", file.getFileName()));
    } catch (IOException e) {
      throw new Refused(file.getFileName() + ": " + DiskTrouble.reading(e));
    }
  }

  private static Optional<OwnResponse> named(JsonNode root, String name) throws IOException {
    String text = root.path(name).asText();
    return text.isEmpty() ? Optional.empty() : Optional.of(response(Path.of(text)));
  }

  /**
   * Reads a body or a room.
   *
   * @throws Refused if it is none
   */
  public static OwnResponse response(Path file) throws IOException {
    try {
      return new OwnResponse(file.toAbsolutePath(), ImpulseFile.read(file));
    } catch (ImpulseFile.Unreadable e) {
      throw new Refused(file.getFileName() + ": " + e.getMessage());
    } catch (IOException e) {
      throw new Refused(file.getFileName() + ": " + DiskTrouble.reading(e));
    }
  }
}
