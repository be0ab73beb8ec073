package phalanx.desktop.files;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.Optional;
import phalanx.text.Language;

/**
 * The language the player chose, read before anything else of the preferences: what those name is
 * already said in a language.
 */
public final class ChosenLanguage {

  private ChosenLanguage() {}

  /** That of a player's folder; empty for that of the system. */
  public static Optional<Language> of(PlayerFolder folder) {
    try {
      String kept = Files.readString(folder.path().resolve(Preferences.FILE));
      return of(new ObjectMapper().readTree(kept).path("appearance"));
    } catch (IOException e) {
      // None was chosen, or it cannot be read: then all preferences are read anew and that is said.
      return Optional.empty();
    }
  }

  static Optional<Language> of(JsonNode appearance) {
    return Arrays.stream(Language.values())
        .filter(l -> l.code().equals(appearance.path("language").asText()))
        .findFirst();
  }
}
