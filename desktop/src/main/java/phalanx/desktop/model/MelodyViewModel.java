package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import phalanx.advice.TuneSetting;
import phalanx.arrangement.board.TuneBoard;
import phalanx.arrangement.board.TuneProposal;
import phalanx.arrangement.tune.TuneOctave;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.texts.Texts;
import phalanx.melody.BarTune;
import phalanx.melody.TuneReader;
import phalanx.melody.TuneWriter;
import phalanx.song.Bar;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.TunePitches;
import phalanx.theory.Meter;
import phalanx.theory.Pitch;

/** The tune of the bar the player is in, as it is being typed. */
public final class MelodyViewModel implements TuneBars {

  private final OpenSong open;
  private final ChordChoice chords;
  private final PlanService planner;
  private final ReadOnlyStringWrapper text = new ReadOnlyStringWrapper("");
  private final ReadOnlyObjectWrapper<BarTune> preview =
      new ReadOnlyObjectWrapper<>(BarTune.SILENT);
  private final ReadOnlyStringWrapper trouble = new ReadOnlyStringWrapper("");
  private final ReadOnlyObjectWrapper<TuneBoard> board =
      new ReadOnlyObjectWrapper<>(TuneBoard.EMPTY);
  private final ReadOnlyObjectWrapper<List<TuneSetting>> settings =
      new ReadOnlyObjectWrapper<>(List.of());

  /** The song for which settings were asked last. */
  private Optional<Song> settled = Optional.empty();

  private final TuneEntry entry;

  /** What the song has in the bar, as it was when the bar was opened or kept last. */
  private BarTune written = BarTune.SILENT;

  /** The text of that. */
  private String opened = "";

  private boolean dirty;
  private Meter meter = Meter.FOUR_FOUR;
  private Optional<Pitch> before = Optional.empty();
  private int bar;

  MelodyViewModel(OpenSong open, ChordChoice chords, PlanService planner) {
    this.open = open;
    this.chords = chords;
    this.planner = planner;
    entry = new TuneEntry(open, this, planner);
    open.historyProperty().addListener(o -> changed());
    // What was typed for one song is not for the next.
    open.openedProperty().addListener(o -> reload());
    open.arrangementProperty().addListener(o -> arranged());
    chords.placeProperty().addListener(o -> arranged());
    open.screenProperty().addListener(o -> arranged());
    open.screenProperty().addListener(o -> offer());
    open.reviewProperty().addListener(o -> offer());
  }

  /** Looks, while the tune is looked at, for where it would lie better. */
  private void offer() {
    boolean looked = open.screenProperty().get() == Screen.MELODY;
    Song song = song();
    if (!looked || settled.equals(Optional.of(song)) || open.reviewProperty().get().isEmpty()) {
      return;
    }
    settled = Optional.of(song);
    settings.set(List.of());
    planner.tuneSettings(song, settings::set);
  }

  private void arranged() {
    int here = chords.bar().map(Bar::id).orElse(0);
    if (here != bar) {
      keep();
      bar = here;
      reload();
      entry.enter();
    }
    boolean looked = open.screenProperty().get() == Screen.MELODY;
    if (looked && open.arrangementProperty().get() != null) {
      planner.tune(open.arrangementProperty().get(), bar, board::set);
    }
  }

  /** The song has changed: what is being typed stays, unless this very bar is another now. */
  private void changed() {
    boolean same = written.equals(tune(bar)) && meter.equals(meterHere());
    if (same && !text.get().equals(opened)) {
      before = Optional.empty();
      type(text.get());
    } else {
      reload();
    }
  }

  private Meter meterHere() {
    return song().chart().meters(song().meter()).getOrDefault(bar, song().meter());
  }

  /** Back to what the song has in this bar. */
  public void reload() {
    dirty = false;
    meter = meterHere();
    before = Optional.empty();
    written = tune(bar);
    preview.set(written);
    trouble.set("");
    opened = bar == 0 ? "" : TuneWriter.write(written, TuneWriter.roomFor(written, cells()));
    text.set(opened);
  }

  private Song song() {
    return open.song();
  }

  private BarTune tune(int of) {
    return of == 0 ? BarTune.SILENT : song().tune().at(of, song().chart());
  }

  /** The metre of the bar. */
  public Meter meter() {
    return meter;
  }

  /** What the cells of the bar share: in a pick-up no more than that. */
  private Meter cells() {
    return song().meters().getOrDefault(bar, meter);
  }

  /** The identity of the bar, 0 for none. */
  public int bar() {
    return bar;
  }

  /** Takes in what stands in the field now. */
  public void type(String typed) {
    text.set(typed);
    TuneReader.Result read = TuneReader.read(typed, cells(), before());
    dirty = !read.tune().equals(tune(bar));
    preview.set(read.tune());
    trouble.set(
        read.problems().stream()
            .findFirst()
            .map(p -> Texts.of("melodyViewModel.atSign", p.column(), p.message()))
            .orElse(""));
  }

  /** The last pitch before the bar, looked for at the first key. */
  private Pitch before() {
    if (before.isEmpty()) {
      before = Optional.of(TunePitches.before(song(), bar));
    }
    return before.get();
  }

  /** Keeps what was typed in the song; what could not be read stays out of it. */
  public void keep() {
    if (dirty) {
      open.edit(this::with);
    }
  }

  /** A song with what is typed. */
  Song with(Song song) {
    if (!dirty || bar == 0) {
      return song;
    }
    BarTune typed = preview.get();
    boolean nothing = typed.isSilent() && song.tune().without(bar).at(bar, song.chart()).isSilent();
    return song.withTune(nothing ? song.tune().without(bar) : song.tune().with(bar, typed));
  }

  /** Writes a line over the chords of a song that has no tune; undo takes it back. */
  public void propose() {
    open.edit(song -> song.withTune(TuneProposal.of(song).withOnTop(song.tune().onTop())));
  }

  /**
   * A tune that came in from elsewhere is taken where the hand has it, if that is an octave away;
   * one step to undo, before the player sees a plan at fret 12.
   *
   * @param tell takes what was done, in a sentence
   */
  public void takeAtHand(Consumer<String> tell) {
    Song came = song();
    if (came.tune().isEmpty()) {
      return;
    }
    planner
        .questions()
        .ask(
            () -> TuneOctave.best(came),
            by -> {
              if (by != 0 && song() == came) {
                open.edit(song -> song.withTune(song.tune().octaves(by)));
                String away =
                    Math.abs(by) == 1
                        ? Texts.of("melodyViewModel.anOctave")
                        : Texts.of("melodyViewModel.octaves", Math.abs(by));
                tell.accept(
                    Texts.of(
                        "melodyViewModel.theTuneLiesNow",
                        away,
                        by < 0
                            ? Texts.of("melodyViewModel.lower")
                            : Texts.of("melodyViewModel.higher")));
              }
            },
            planner.fault(Texts.of("melodyViewModel.theTuneSOctave")));
  }

  /** Where the tune would lie better in octave, key and capo; empty where it lies well. */
  public ReadOnlyObjectProperty<List<TuneSetting>> settingsProperty() {
    return settings.getReadOnlyProperty();
  }

  /** Takes one of them; undo takes it back. */
  public void take(TuneSetting setting) {
    if (settled.equals(Optional.of(song()))) {
      open.edit(setting::of);
    }
  }

  /** Keeps the tune the highest voice, or lets other notes lie above it. */
  public void keepOnTop(boolean onTop) {
    open.edit(song -> song.withTune(song.tune().withOnTop(onTop)));
  }

  /** Whether the notes of the section at the cursor ring into each other. */
  public boolean rings() {
    return section().filter(open.song().tune().ringing()::contains).isPresent();
  }

  /** Whether those of every section do. */
  public boolean ringsEverywhere() {
    Song song = open.song();
    return song.sections().stream().allMatch(s -> song.tune().ringing().contains(s.id()));
  }

  /** Lets the notes of a section ring, or of the whole song. */
  public void letRing(boolean rings, boolean everywhere) {
    open.edit(
        song -> {
          Set<Integer> sections = new TreeSet<>(song.tune().ringing());
          song.sections().stream()
              .map(Section::id)
              .filter(id -> everywhere || section().equals(Optional.of(id)))
              .forEach(
                  id -> {
                    if (rings) {
                      sections.add(id);
                    } else {
                      sections.remove(id);
                    }
                  });
          return song.withTune(song.tune().withRinging(sections));
        });
  }

  private Optional<Integer> section() {
    return chords
        .slot()
        .flatMap(s -> open.song().chart().sectionOf(s.played().ref().bar()))
        .map(Section::id);
  }

  /** Notes put in by touching the neck. */
  public TuneEntry entry() {
    return entry;
  }

  /** Keeps what was typed and goes to the next written bar (1) or the one before (-1). */
  public void step(int direction) {
    keep();
    List<Bar> bars = song().chart().bars();
    int at = bars.stream().map(Bar::id).toList().indexOf(bar) + direction;
    if (at >= 0 && at < bars.size()) {
      chords.selectBar(bars.get(at).id());
    }
  }

  /** The tune of a bar as it is drawn: while it is typed, what is typed. */
  public BarTune shown(int of) {
    return of == bar ? preview.get() : tune(of);
  }

  /** The text of the bar: as it is typed, or as the song has it. */
  public ReadOnlyStringProperty textProperty() {
    return text.getReadOnlyProperty();
  }

  /** The tune that is typed. */
  public ReadOnlyObjectProperty<BarTune> previewProperty() {
    return preview.getReadOnlyProperty();
  }

  /** What could not be read; empty if all was. */
  public ReadOnlyStringProperty troubleProperty() {
    return trouble.getReadOnlyProperty();
  }

  /** What the notes of the bar are and where they lie. */
  public ReadOnlyObjectProperty<TuneBoard> boardProperty() {
    return board.getReadOnlyProperty();
  }
}
