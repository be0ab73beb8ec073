package phalanx.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Slot;
import phalanx.desktop.texts.Texts;
import phalanx.picking.Density;
import phalanx.song.Densities;
import phalanx.song.Patterns.Scope;
import phalanx.song.Song;

/** How much is played in the selected bars, or where a pattern reaches. */
public final class DensityViewModel {

  /** In the order of the key: by itself, then from little to much, then the thumb alone. */
  private static final List<Optional<Density>> ROUND =
      List.of(
          Optional.empty(),
          Optional.of(Density.TUNE),
          Optional.of(Density.HELD),
          Optional.of(Density.FULL),
          Optional.of(Density.THUMB));

  private final OpenSong open;
  private final SlotRange range;

  DensityViewModel(OpenSong open, SlotRange range) {
    this.open = open;
    this.range = range;
  }

  /** What there is to choose from. */
  public static List<Optional<Density>> choices() {
    return ROUND;
  }

  /** In the player’s words. */
  public static String words(Optional<Density> density) {
    return density.map(Density::words).orElse(Texts.of("densityViewModel.byItself"));
  }

  /** The bars of the selected chords. */
  public List<Scope> selected() {
    List<Scope> bars = new ArrayList<>();
    for (Slot slot : range.slots()) {
      Scope bar = new Scope.OfBar(slot.played().ref().bar());
      if (!bars.contains(bar)) {
        bars.add(bar);
      }
    }
    return bars;
  }

  /** What counts in the first of the selected bars. */
  public Optional<Density> here() {
    Song song = open.song();
    return range.slots().stream()
        .findFirst()
        .flatMap(s -> song.picking().densities().at(s.played().ref().bar(), song.chart()));
  }

  /** What is said for a part of the song itself. */
  public Optional<Density> own(Scope scope) {
    return open.song().picking().densities().own(scope);
  }

  /** Plays more or less in parts of the song; one step to undo. */
  public void play(List<Scope> scopes, Optional<Density> density) {
    if (scopes.isEmpty()) {
      return;
    }
    open.edit(
        song -> {
          Densities next = song.picking().densities();
          for (Scope scope : scopes) {
            next = next.with(scope, density);
          }
          return song.withDensities(next);
        });
  }

  /** The next density for the selected bars. */
  public void next() {
    List<Scope> bars = selected();
    Optional<Density> now = bars.isEmpty() ? Optional.empty() : own(bars.get(0));
    play(bars, ROUND.get((ROUND.indexOf(now) + 1) % ROUND.size()));
  }
}
