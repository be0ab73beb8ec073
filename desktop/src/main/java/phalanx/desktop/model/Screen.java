package phalanx.desktop.model;

/** The screens, in the order of the work. */
public enum Screen {
  CHART("Chart", "chords, form"),
  SHAPES("Shapes", "fretting hand"),
  PICKING("Picking", "right hand"),
  MELODY("Melody", "tune on top"),
  ARRANGE("Arrange", "both hands"),
  GUITAR("Guitar", "strings");

  private final String title;
  private final String about;

  Screen(String title, String about) {
    this.title = title;
    this.about = about;
  }

  /** Its name in the rail. */
  public String title() {
    return title;
  }

  /** What it is for, in two words. */
  public String about() {
    return about;
  }
}
