package phalanx.picking;

import java.util.ArrayList;
import java.util.List;
import phalanx.theory.Meter;

/**
 * The family of patterns in which the thumb alternates on the beats from the chord's bass, and the
 * fingers play between. Made for any metre from the length of its beats.
 */
public enum AlternatingThumb implements PickingStyle {
  /** The thumb by itself, where learning starts. */
  THUMB_ALONE("thumb alone", "thumb on every beat"),
  /** The fingers answer between the beats. */
  FINGERS_BETWEEN("fingers between", "thumb on the beats, fingers between"),
  /** As before, and a finger pinches with the thumb on the first beat. */
  PINCH_AND_BETWEEN("pinch and between", "pinch on one, then fingers between");

  /** What the fingers play between the beats, in turn; one a beat, in compound metres two. */
  private static final List<Role> BETWEEN =
      List.of(Role.MIDDLE, Role.UPPER, Role.MIDDLE, Role.TUNE);

  private final String title;
  private final String words;

  AlternatingThumb(String title, String words) {
    this.title = title;
    this.words = words;
  }

  @Override
  public String title() {
    return title;
  }

  @Override
  public String words() {
    return words;
  }

  @Override
  public Pattern in(Meter meter) {
    int parts = meter.isCompound() ? 3 : 2;
    int beatTicks = meter.beatTicks();
    int barTicks = meter.barTicks();
    List<Pattern.Step> steps = new ArrayList<>();
    int answer = 0;
    for (int beat = 0; beat * beatTicks < barTicks; beat++) {
      int start = beat * beatTicks;
      boolean pinch = this == PINCH_AND_BETWEEN && beat == 0;
      steps.add(
          pinch
              ? Pattern.Step.of(start, Role.THUMB, Role.TUNE)
              : Pattern.Step.of(start, Role.THUMB));
      for (int part = 1; this != THUMB_ALONE && part < parts; part++) {
        Role finger = BETWEEN.get(answer++ % BETWEEN.size());
        steps.add(Pattern.Step.of(start + part * beatTicks / parts, finger));
      }
    }
    return new Pattern(title, barTicks, steps);
  }
}
