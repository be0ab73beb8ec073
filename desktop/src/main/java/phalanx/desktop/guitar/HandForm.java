package phalanx.desktop.guitar;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import phalanx.desktop.form.Form;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.instrument.Finger;
import phalanx.instrument.Hand;
import phalanx.song.Song;
import phalanx.text.Phrase;

/** The fretting hand: its span, its pace, what it may do. */
final class HandForm {

  /** A way whose time says how quick a hand is, mm. */
  private static final double WAY = 20;

  private final Workspace workspace;

  private HandForm(Workspace workspace) {
    this.workspace = workspace;
  }

  /** The form. */
  static Form of(Workspace workspace) {
    return new HandForm(workspace).form();
  }

  private Form form() {
    Form form = new Form(workspace, Texts.of("handForm.thePlayerSFretting"));
    form.choice(
        "hand-size",
        Texts.of("handForm.size"),
        List.of(Hand.Size.values()),
        Hand.Size::words,
        s -> s.hand().size(),
        (s, size) -> s.withHand(s.hand().sizedAs(Hand.of(size))));
    TextField spread =
        form.text(
            "spread",
            Texts.of("handForm.spreadMm"),
            Texts.of("handForm.toMm", Hand.LEAST_SPREAD, Hand.MOST_SPREAD),
            n -> Phrase.of("%.0f", n.hand().spread()),
            (n, t) ->
                Optional.of(
                    n.withHand(
                        n.hand().sizedAs(Hand.measured(Double.parseDouble(t.replace(',', '.')))))));
    spread.setTooltip(new Tooltip(Texts.of("handForm.fromIndexTipTo")));
    form.choice(
        "pace",
        Texts.of("handForm.changes"),
        List.of(new Hand.Pace(45, 70), Hand.Pace.USUAL, new Hand.Pace(90, 130)),
        p -> Texts.of("handForm.msForMm", p.millis(WAY), WAY),
        s -> s.hand().pace(),
        (s, p) -> s.withHand(s.hand().withPace(p)));
    form.tick(
        "thumb-over",
        Texts.of("handForm.thumb"),
        Texts.of("handForm.comesOverTheNeck"),
        s -> s.hand().thumbOver(),
        (s, on) -> s.withHand(s.hand().withThumbOver(on)));
    form.tick(
        "stretches",
        Texts.of("handForm.stretches"),
        Texts.of("handForm.beyondTheLimitWarmed"),
        s -> s.hand().stretches(),
        (s, on) -> s.withHand(s.hand().withStretches(on)));
    for (Finger finger : List.of(Finger.INDEX, Finger.MIDDLE, Finger.RING, Finger.LITTLE)) {
      form.tick(
          "finger-" + finger.sign(),
          finger == Finger.INDEX ? Texts.of("handForm.fingers") : "",
          Texts.of("handForm.pressesStrings", finger.sign()),
          s -> s.hand().has(finger),
          (s, on) -> s.withHand(pressing(s.hand(), finger, on)));
    }
    form.tick(
        "own-hand",
        Texts.of("handForm.thisSong"),
        Texts.of("handForm.hasAHandOf"),
        Song::hasOwnHand,
        Song::withOwnHand);
    form.tick(
        "left-handed",
        Texts.of("handForm.drawn"),
        Texts.of("handForm.forALeftHanded"),
        workspace.viewing().leftHandedProperty());
    return form.done();
  }

  /** With or without a finger; the last one stays. */
  private static Hand pressing(Hand hand, Finger finger, boolean presses) {
    Set<Finger> missing = EnumSet.noneOf(Finger.class);
    missing.addAll(hand.missing());
    if (presses) {
      missing.remove(finger);
    } else if (missing.size() < Hand.MOST_MISSING) {
      missing.add(finger);
    }
    return hand.without(missing);
  }
}
