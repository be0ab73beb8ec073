package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import phalanx.advice.Variation;
import phalanx.advice.Variations;
import phalanx.desktop.background.PlanService;
import phalanx.embellishment.Fill;
import phalanx.performance.Performance;
import phalanx.practice.Excerpt;
import phalanx.song.Section;
import phalanx.song.Song;

/**
 * How the section at the cursor could be played otherwise when it comes again: heard side by side
 * before one is taken, one step to undo.
 */
public final class VariationViewModel {

  private final OpenSong open;
  private final ChordChoice chords;
  private final PlaybackController sound;
  private final PlanService planner;
  private final List<Fill> fills;
  private final ReadOnlyObjectWrapper<Optional<Section>> section =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final Offer<Variation> offer = new Offer<>();

  VariationViewModel(
      OpenSong open,
      ChordChoice chords,
      PlaybackController sound,
      PlanService planner,
      List<Fill> fills) {
    this.open = open;
    this.chords = chords;
    this.sound = sound;
    this.planner = planner;
    this.fills = List.copyOf(fills);
    open.historyProperty().addListener(o -> moved());
    chords.placeProperty().addListener(o -> moved());
    moved();
  }

  /** What was offered belongs to one section of one song. */
  private void moved() {
    Song song = open.song();
    Optional<Section> here =
        chords
            .bar()
            .flatMap(b -> song.chart().sectionOf(b.id()))
            .filter(s -> Variations.comesAgain(song, s.id()));
    boolean same = here.map(Section::id).equals(section.get().map(Section::id));
    if (!same || !offer.isFor(song)) {
      planner.forgetVariations();
      offer.forget();
    }
    section.set(here);
  }

  /** The section at the cursor, if it comes again. */
  public ReadOnlyObjectProperty<Optional<Section>> sectionProperty() {
    return section.getReadOnlyProperty();
  }

  /** Looks for ways. */
  public void search() {
    section
        .get()
        .ifPresent(
            s -> {
              offer.begin(open.song());
              planner.variations(open.song(), s.id(), fills, offer::found);
            });
  }

  /** Whether ways are being looked for. */
  public ReadOnlyBooleanProperty searchingProperty() {
    return offer.searchingProperty();
  }

  /** The section as it is, then the ways that were found; nothing before that. */
  public ReadOnlyObjectProperty<List<Variation>> offeredProperty() {
    return offer.allProperty();
  }

  /** Lets one be heard; it can be taken then. */
  public void hear(Variation variation) {
    offer.choose(variation);
    sound
        .audition()
        .hear(
            () ->
                Performance.of(
                    Excerpt.of(
                        variation.arrangement(), variation.fromTick(), variation.endTick())));
  }

  /** The one that was heard last. */
  public ReadOnlyObjectProperty<Optional<Variation>> chosenProperty() {
    return offer.chosenProperty();
  }

  /** Takes what was heard last, unless the song has changed since. */
  public void take() {
    offer
        .forTaking(open.song())
        .filter(v -> v.kind() != Variation.Kind.AS_BEFORE)
        .ifPresent(v -> open.edit(s -> v.song()));
  }
}
