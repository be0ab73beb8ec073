package phalanx.arrangement;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.instrument.StringSign;
import phalanx.picking.Fingered;
import phalanx.picking.HandSchool;
import phalanx.picking.PickFinger;
import phalanx.picking.Strike;

/** Says in sentences what of a strike the fingers cannot do. */
final class LeftOut {

  private LeftOut() {}

  static List<String> remarks(Strike strike, Fingered fingers, HandSchool school) {
    List<String> remarks = new ArrayList<>();
    List<Integer> struck = new ArrayList<>(strike.strings());
    strike.thumb().ifPresent(struck::add);
    boolean tooMany = strike.strings().size() > free(strike, school);
    for (int string : struck) {
      Optional<PickFinger> finger = fingers.finger(string);
      Optional<PickFinger> wanted = Optional.ofNullable(strike.wanted().get(string));
      if (finger.isEmpty()) {
        remarks.add(
            StringSign.of(string)
                + (tooMany
                    ? " is left out of a block: no finger is left for it"
                    : " is left out once: no finger can be there in time at this tempo"));
      } else if (wanted.isPresent() && !wanted.equals(finger)) {
        remarks.add(
            "%s is wanted on %s and cannot be there in time: %s takes it"
                .formatted(wanted.get().letter(), StringSign.of(string), finger.get().letter()));
      }
    }
    if (!fingers.gesture() && !strike.gesture().isEmpty()) {
      remarks.add("a hit or brush is left out: its fingers are not free in time");
    }
    return remarks;
  }

  private static long free(Strike strike, HandSchool school) {
    return school.fingers().stream().filter(f -> !strike.gesture().contains(f)).count()
        + strike.wanted().values().stream().filter(f -> !school.fingers().contains(f)).count();
  }
}
