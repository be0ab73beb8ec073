package phalanx.desktop;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.application.Application;
import phalanx.desktop.files.ChosenLanguage;
import phalanx.desktop.files.PlayerFolder;
import phalanx.desktop.files.Preferences;
import phalanx.formats.disk.ProgramFolder;
import phalanx.text.Language;

/**
 * Starts the window. What the toolkit and the log have to know before they start is read here: how
 * large everything is drawn, and where the player's folder is.
 */
public final class Main {

  /** How large the toolkit draws, by the system it runs on. */
  private static final List<String> SCALES = List.of("glass.gtk.uiScale", "glass.win.uiScale");

  private static final int USUAL = 100;

  private Main() {}

  /** Starts the program, with the song named as the first argument if there is one. */
  public static void main(String[] args) {
    ProgramFolder.settle();
    PlayerFolder folder = PlayerFolder.usual();
    speak(ChosenLanguage.of(folder));
    scale(Preferences.read(folder).appearance().percent());
    Application.launch(PhalanxApp.class, args);
  }

  /** The player's language counts, or else that of the system, also in the toolkit's own menus. */
  static void speak(Optional<Language> chosen) {
    if (System.getProperty(Language.PROPERTY) == null) {
      String code = chosen.map(Language::code).orElse(Locale.getDefault().getLanguage());
      System.setProperty(Language.PROPERTY, code);
    }
    Locale spoken = Language.spoken().dates();
    if (!Locale.getDefault().getLanguage().equals(spoken.getLanguage())) {
      Locale.setDefault(spoken);
    }
  }

  /**
   * The system's own scale counts where the player has chosen none, and where it was said by hand.
   */
  static void scale(int percent) {
    for (String name : SCALES) {
      if (percent != USUAL && System.getProperty(name) == null) {
        System.setProperty(name, percent + "%");
      }
    }
  }
}
