package phalanx.desktop.picking;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.desktop.model.PatternViewModel;
import phalanx.picking.Force;
import phalanx.picking.HitKind;
import phalanx.picking.Pattern;
import phalanx.picking.PatternEdits;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.picking.Roll;
import phalanx.picking.Stroke;
import phalanx.picking.Touch;
import phalanx.picking.WrittenPattern;
import phalanx.technique.Technique;

/** What can be done with one place of the grid. The letters are those of the written form. */
final class StrokeTools {

  /** Speeds of a roll that the keys go through, in sixty-fourths from string to string. */
  private static final List<Integer> SPEEDS = List.of(1, 2, 4);

  /** A brush over all strings, then over fewer. */
  private static final List<int[]> DOWN =
      List.of(new int[] {0, 5}, new int[] {2, 5}, new int[] {2, 4});

  private static final List<int[]> UP =
      List.of(new int[] {5, 0}, new int[] {5, 2}, new int[] {4, 2});

  /** A tremolo of three in sixteenths, as after the thumb. */
  private static final int TREMOLO_STROKES = 3;

  private static final int TREMOLO_PARTS = 4;

  private final PatternViewModel model;

  StrokeTools(PatternViewModel model) {
    this.model = model;
  }

  private WrittenPattern pattern() {
    return model.shownProperty().get();
  }

  private Pattern.Step step(int tick) {
    return PatternEdits.step(pattern().pattern(), tick);
  }

  private void toggle(Stroke stroke, int tick) {
    model.take(PatternEdits.toggle(pattern(), stroke, tick));
  }

  /** The stroke in a row. */
  Optional<Stroke> at(GridLayout.Row row, int tick) {
    return row.role().isPresent()
        ? PatternEdits.stroke(pattern().pattern(), row.role().get(), tick)
        : only(Stroke.Knock.class, tick).map(k -> k);
  }

  private <T extends Stroke> Optional<T> only(Class<T> kind, int tick) {
    return step(tick).strokes().stream().filter(kind::isInstance).map(kind::cast).findFirst();
  }

  /** Puts a plain stroke in, or takes out what is there; on the row of hits the next kind. */
  void put(GridLayout.Row row, int tick) {
    Optional<Stroke> there = at(row, tick);
    if (row.role().isEmpty()) {
      nextHit(tick);
    } else {
      toggle(there.orElse(Stroke.Pluck.of(row.role().get())), tick);
    }
  }

  /** Takes out what is in a row. */
  void clear(GridLayout.Row row, int tick) {
    at(row, tick).ifPresent(s -> toggle(s, tick));
  }

  /** Does what a typed character stands for; false if it stands for nothing. */
  boolean type(String sign, GridLayout.Row row, int tick) {
    Optional<PickFinger> finger = PickFinger.lettered(sign);
    if (finger.isPresent()) {
      row.role().ifPresent(r -> finger(r, finger.get(), tick));
      return true;
    }
    switch (sign) {
      case "o" -> put(row, tick);
      case "x" -> nextHit(tick);
      case "!" -> force(row, tick, Force.ACCENTED);
      case "(" -> force(row, tick, Force.SOFT);
      case "=" -> row.role().ifPresent(r -> toggle(new Stroke.Stop(r), tick));
      case "~" -> row.role().ifPresent(r -> toggle(tremolo(r), tick));
      case "/" -> roll(true, tick);
      case "\\" -> roll(false, tick);
      case "U" -> model.become(PatternEdits.thumbMuted(pattern()));
      case "u" -> technique(row, tick, Technique.Plain.PALM_MUTE);
      case "s" -> technique(row, tick, Technique.Plain.SLAP);
      case "t" -> technique(row, tick, new Technique.TouchedHarmonic(12));
      case "n" -> nails(tick);
      case ">" -> model.take(PatternEdits.early(pattern(), tick));
      default -> {
        return false;
      }
    }
    return true;
  }

  /** Gives a stroke a technique, or takes it from it. */
  private void technique(GridLayout.Row row, int tick, Technique technique) {
    at(row, tick)
        .filter(Stroke.Pluck.class::isInstance)
        .map(Stroke.Pluck.class::cast)
        .ifPresent(
            p -> {
              boolean has = p.techniques().contains(technique);
              toggle(p.played(has ? Set.of() : Set.of(technique)), tick);
            });
  }

  private static Stroke tremolo(Role role) {
    return new Stroke.Tremolo(role, Force.PLAIN, TREMOLO_STROKES, TREMOLO_PARTS);
  }

  /** In the thumb's rows the thumb needs no insisting. */
  private void finger(Role role, PickFinger finger, int tick) {
    boolean usual = role.isThumb() && finger == PickFinger.P;
    Optional<PickFinger> wanted = usual ? Optional.empty() : Optional.of(finger);
    toggle(new Stroke.Pluck(role, Force.PLAIN, wanted), tick);
  }

  private void nextHit(int tick) {
    Optional<Stroke.Knock> now = only(Stroke.Knock.class, tick);
    List<HitKind> kinds = Arrays.asList(HitKind.values());
    int next = now.map(k -> kinds.indexOf(k.hit()) + 1).orElse(0);
    if (next < kinds.size()) {
      toggle(new Stroke.Knock(kinds.get(next), Force.PLAIN), tick);
    } else {
      now.ifPresent(k -> toggle(k, tick));
    }
  }

  /** Strokes, hits and brushes in turn: whatever is there first takes it. */
  private void force(GridLayout.Row row, int tick, Force force) {
    at(row, tick)
        .or(() -> only(Stroke.Brush.class, tick))
        .filter(s -> !(s instanceof Stroke.Stop))
        .ifPresent(s -> toggle(with(s, s.force() == force ? Force.PLAIN : force), tick));
  }

  private static Stroke with(Stroke stroke, Force force) {
    if (stroke instanceof Stroke.Pluck p) {
      return new Stroke.Pluck(p.role(), force, p.finger(), p.techniques());
    } else if (stroke instanceof Stroke.Tremolo t) {
      return new Stroke.Tremolo(t.role(), force, t.strokes(), t.parts());
    } else if (stroke instanceof Stroke.Brush b) {
      return new Stroke.Brush(b.from(), b.to(), b.touch(), force);
    } else if (stroke instanceof Stroke.Knock k) {
      return new Stroke.Knock(k.hit(), force);
    }
    return stroke;
  }

  /** Through the speeds of a roll, and back to a pinch. */
  private void roll(boolean towardsTreble, int tick) {
    Optional<Roll> now = step(tick).roll().filter(r -> r.towardsTreble() == towardsTreble);
    int next = now.map(r -> SPEEDS.indexOf(r.speed()) + 1).orElse(0);
    Optional<Roll> wanted =
        next < SPEEDS.size()
            ? Optional.of(new Roll(towardsTreble, SPEEDS.get(next)))
            : Optional.empty();
    model.take(PatternEdits.roll(pattern(), wanted, tick));
  }

  /** A brush down (towards the treble) or up, over all strings first, then over fewer. */
  void brush(boolean down, int tick) {
    Optional<Stroke.Brush> now = only(Stroke.Brush.class, tick);
    List<int[]> ranges = down ? DOWN : UP;
    int next = 0;
    for (int r = 0; now.isPresent() && r < ranges.size(); r++) {
      int[] range = ranges.get(r);
      next = now.get().from() == range[0] && now.get().to() == range[1] ? r + 1 : next;
    }
    if (next < ranges.size()) {
      int[] range = ranges.get(next);
      Touch touch = now.map(Stroke.Brush::touch).orElse(Touch.FLESH);
      toggle(new Stroke.Brush(range[0], range[1], touch, Force.PLAIN), tick);
    } else {
      toggle(now.orElseThrow(), tick);
    }
  }

  /** The brush by the nails instead of the thumb, or back. */
  private void nails(int tick) {
    only(Stroke.Brush.class, tick)
        .ifPresent(
            b -> {
              Touch other = b.touch() == Touch.FLESH ? Touch.NAILS : Touch.FLESH;
              toggle(new Stroke.Brush(b.from(), b.to(), other, b.force()), tick);
            });
  }
}
