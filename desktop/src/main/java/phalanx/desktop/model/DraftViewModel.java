package phalanx.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import javafx.beans.binding.BooleanBinding;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import phalanx.desktop.background.PlanService;
import phalanx.draft.Draft;
import phalanx.draft.Drafts;
import phalanx.draft.Manner;
import phalanx.draft.SongManner;
import phalanx.formats.fills.FillShelf;
import phalanx.performance.Performance;
import phalanx.practice.Excerpt;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.Timeline.PlayedBar;
import phalanx.theory.Ticks;

/** Whole arrangements of the song to choose from: heard before one is taken, one step to undo. */
public final class DraftViewModel {

  /** So many bars are heard of a draft. */
  private static final int HEARD_BARS = 8;

  private static final int OFFERED = 3;

  private final OpenSong open;
  private final ChordChoice chord;
  private final PlaybackController sound;
  private final PlanService planner;
  private final Supplier<List<Manner>> manners;
  private final ObjectProperty<List<Manner>> own = new SimpleObjectProperty<>(List.of());
  private final ObjectProperty<Optional<Integer>> level =
      new SimpleObjectProperty<>(Optional.empty());

  /** For the song with the sections that were taken into it. */
  private final Offer<Draft> offer = new Offer<>();

  private final ReadOnlyBooleanWrapper searched = new ReadOnlyBooleanWrapper();
  private final BooleanBinding undecided;

  /** Whether drafts were asked for by a key. */
  private boolean keyboard;

  /** Where the draft that is heard began, and when: the next one goes on from there. */
  private int heardFrom;

  private long heardSince;

  DraftViewModel(
      OpenSong open,
      ChordChoice chord,
      PlaybackController sound,
      PlanService planner,
      Supplier<List<Manner>> manners) {
    this.open = open;
    this.chord = chord;
    this.sound = sound;
    this.planner = planner;
    this.manners = manners;
    undecided =
        new BooleanBinding() {
          {
            bind(open.historyProperty());
          }

          @Override
          protected boolean computeValue() {
            return open.song().isUndecided() && !open.song().chart().bars().isEmpty();
          }
        };
    open.historyProperty().addListener(o -> changed());
    level.addListener(o -> forget());
    own.addListener(o -> forget());
  }

  /** Drafts of a song that has changed would undo what came since. */
  private void changed() {
    if (!offer.isFor(open.song())) {
      forget();
    }
  }

  private void forget() {
    keyboard = false;
    planner.forgetDrafts();
    searched.set(false);
    offer.forget();
  }

  /** Whether nothing was decided yet about what the hands play. */
  public BooleanBinding undecidedProperty() {
    return undecided;
  }

  /** The player's own manners, which come before the program's. */
  public ObjectProperty<List<Manner>> ownProperty() {
    return own;
  }

  /** The manner of the song as it stands, under its title. */
  public Manner mannerOfSong() {
    return SongManner.of(open.song(), open.song().title());
  }

  /** How hard it is to be, 1 to 5; empty for any. */
  public ObjectProperty<Optional<Integer>> levelProperty() {
    return level;
  }

  /** Makes drafts by a key: the keyboard goes to the first of them. */
  public void searchByKey() {
    keyboard = true;
    search();
  }

  /** Whether the keyboard goes to the first draft when it comes; it is asked for each list. */
  public boolean takesKeyboard() {
    return keyboard;
  }

  /** Makes drafts. The first is there at once; the best of them when all are planned. */
  public void search() {
    Song song = open.song();
    offer.begin(song);
    OptionalDouble wanted =
        level.get().map(l -> OptionalDouble.of(l)).orElse(OptionalDouble.empty());
    List<Manner> all = new ArrayList<>(own.get());
    all.addAll(manners.get());
    planner.drafts(
        song,
        new Drafts.Wish(wanted, all, FillShelf.all(), OFFERED),
        offer::first,
        found -> {
          searched.set(true);
          offer.found(found);
          keyboard = false;
        });
  }

  /** Whether drafts are being made. */
  public ReadOnlyBooleanProperty searchingProperty() {
    return offer.searchingProperty();
  }

  /** Whether they were made, though there may be none. */
  public ReadOnlyBooleanProperty searchedProperty() {
    return searched.getReadOnlyProperty();
  }

  /** The drafts, the best first. */
  public ReadOnlyObjectProperty<List<Draft>> draftsProperty() {
    return offer.allProperty();
  }

  /**
   * Lets some bars of one be heard, which can be taken then: from the bar that is selected, or,
   * while another one sounds, from the bar that one has come to, so that ears compare.
   */
  public void hear(Draft draft) {
    List<PlayedBar> bars = draft.arrangement().timeline().bars();
    int from = Math.min(sound.isHeard() ? reached() : selected(bars), bars.size() - 1);
    offer.choose(draft);
    heardFrom = from;
    heardSince = System.nanoTime();
    int start = bars.get(from).startTick();
    int end = bars.get(Math.min(bars.size(), from + HEARD_BARS) - 1).endTick();
    sound.audition().hear(() -> Performance.of(Excerpt.of(draft.arrangement(), start, end)));
  }

  /** The place of the chord that is selected, which cards follow. */
  public IntegerProperty placeProperty() {
    return chord.placeProperty();
  }

  /** The bars of a draft that its card shows: the one that is selected, and the next. */
  public List<PlayedBar> shown(Draft draft) {
    List<PlayedBar> bars = draft.arrangement().timeline().bars();
    int from = Math.max(0, Math.min(selected(bars), bars.size() - 2));
    return bars.subList(from, Math.min(bars.size(), from + 2));
  }

  private int selected(List<PlayedBar> bars) {
    Optional<Integer> bar = chord.slot().map(s -> s.played().bar());
    return IntStream.range(0, bars.size())
        .filter(b -> bar.equals(Optional.of(bars.get(b).number())))
        .findFirst()
        .orElse(0);
  }

  /** The bar that what is heard has come to, by the clock. */
  private int reached() {
    double seconds = (System.nanoTime() - heardSince) / 1e9 * sound.settings().tempo();
    double bar =
        open.song().meter().barTicks()
            * 60.0
            / Ticks.PER_QUARTER
            / Math.max(1, open.song().tempo());
    return heardFrom + (int) (seconds / bar);
  }

  /** The one that was heard last. */
  public ReadOnlyObjectProperty<Optional<Draft>> chosenProperty() {
    return offer.chosenProperty();
  }

  /** Takes it, unless the song has changed since. */
  public void take() {
    offer.forTaking(open.song()).ifPresent(d -> open.edit(s -> d.song()));
  }

  /** The section that is selected, by its label. */
  public Optional<Section> section() {
    return chord.bar().flatMap(b -> open.song().chart().sectionOf(b.id()));
  }

  /**
   * Takes the selected section of it; the others can still be heard and taken for other sections.
   */
  public void takeSection() {
    Optional<Song> mixed =
        offer
            .forTaking(open.song())
            .flatMap(d -> section().flatMap(s -> d.sectionInto(open.song(), s.id())));
    if (mixed.isPresent()) {
      // Said before the edit, so that the drafts stay.
      offer.holdsFor(mixed.get());
      open.edit(s -> mixed.get());
    }
  }
}
