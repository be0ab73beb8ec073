package phalanx.suggestion;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.MelodyNote;
import phalanx.arrangement.Note;
import phalanx.arrangement.tune.TuneOctave;
import phalanx.findings.Found;
import phalanx.findings.TuneAway;
import phalanx.instrument.StringSign;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.song.Song;
import phalanx.technique.Technique;
import phalanx.text.Texts;
import phalanx.theory.Ticks;

/** Changes of the tune where a finding about it is. */
final class TuneSuggestions {

  private final Arrangement a;
  private final Found found;
  private final Optional<MelodyNote> note;

  TuneSuggestions(Arrangement a, Found found) {
    this.a = a;
    this.found = found;
    note =
        a.slots().stream()
            .flatMap(s -> s.tune().stream())
            .filter(n -> n.tick() == found.tick())
            .findFirst();
  }

  private interface BarEdit {
    BarTune apply(BarTune tune, int tick);
  }

  private Stream<PossibleEdit> bar(String words, BarEdit edit) {
    return note.stream().map(n -> new PossibleEdit(words, song -> edited(song, n, edit)));
  }

  private static Song edited(Song song, MelodyNote note, BarEdit edit) {
    BarTune bar = song.tune().at(note.bar(), song.chart());
    return song.withTune(song.tune().with(note.bar(), edit.apply(bar, note.barTick())));
  }

  private Stream<PossibleEdit> thisNote(String words, UnaryOperator<TuneNote> edit) {
    return bar(words, (tune, tick) -> tune.withNote(tick, edit));
  }

  private static Want onAnyString(Want want) {
    return want instanceof Want.Sound s ? new Want.Sound(s.pitch(), Optional.empty()) : want;
  }

  /** On a string that the player did not ask for, where one was asked for. */
  Stream<PossibleEdit> anyString() {
    return note.filter(n -> n.string().isPresent()).stream()
        .flatMap(
            n ->
                thisNote(
                    Texts.of("tuneSuggestions.thisNoteOnAny"),
                    t -> t.moved(TuneSuggestions::onAnyString)));
  }

  /** On another string, or an octave away: the note, its bar, the whole tune. */
  Stream<PossibleEdit> elsewhere() {
    Stream<PossibleEdit> whole =
        Stream.of(-1, 1)
            .map(
                by ->
                    new PossibleEdit(
                        Texts.of(
                            "tuneSuggestions.theWholeTuneAn",
                            by < 0
                                ? Texts.of("tuneSuggestions.lower")
                                : Texts.of("tuneSuggestions.higher")),
                        song -> song.withTune(song.tune().octaves(by))));
    return Stream.of(
            anyString(),
            bar(Texts.of("tuneSuggestions.thisBarSTune"), (t, tick) -> t.moved(w -> w.octaves(-1))),
            bar(Texts.of("tuneSuggestions.thisBarSTune2"), (t, tick) -> t.moved(w -> w.octaves(1))),
            whole,
            thisNote(
                Texts.of("tuneSuggestions.thisNoteAnOctave"), n -> n.moved(w -> w.octaves(-1))))
        .flatMap(w -> w);
  }

  /** Other notes above the whole tune. */
  Stream<PossibleEdit> anyVoice() {
    return Stream.of(
        new PossibleEdit(
            Texts.of("tuneSuggestions.letOtherNotesLie"),
            song -> song.withTune(song.tune().withOnTop(false))));
  }

  Stream<PossibleEdit> leaveOut() {
    return bar(Texts.of("tuneSuggestions.leaveThisNoteOut"), BarTune::withoutNote);
  }

  /** As long as it can ring. */
  Stream<PossibleEdit> shorten() {
    int rings = (int) Math.round(found.finding().measured() * Ticks.PER_QUARTER);
    return bar(
        Texts.of("tuneSuggestions.letTheNoteEnd"),
        (tune, tick) -> tune.withNote(tick, n -> n.lasting(Math.max(1, rings))));
  }

  /** The same note as it is fretted. */
  Stream<PossibleEdit> unbent() {
    return thisNote(
        Texts.of("tuneSuggestions.doNotBendThis"),
        n ->
            n.played(
                n.techniques().stream()
                    .filter(t -> !(t instanceof Technique.Bend))
                    .collect(Collectors.toSet())));
  }

  Stream<PossibleEdit> pluck() {
    return thisNote(Texts.of("tuneSuggestions.pluckThisNote"), TuneNote::plucked);
  }

  /** On the string of the note before it, or that one on the string of this. */
  Stream<PossibleEdit> oneString() {
    List<Note> line = a.notes().stream().filter(n -> n.part() == Note.Part.TUNE).toList();
    Optional<Note> here = line.stream().filter(n -> n.tick() == found.tick()).findFirst();
    Optional<Note> before = line.stream().filter(n -> n.tick() < found.tick()).reduce((x, y) -> y);
    Stream<PossibleEdit> second =
        before.stream()
            .flatMap(
                b ->
                    thisNote(
                        Texts.of("tuneSuggestions.thisNoteOn", StringSign.of(b.string())),
                        on(b.string())));
    Stream<PossibleEdit> first =
        here.stream()
            .flatMap(
                h ->
                    before.stream()
                        .flatMap(b -> sung(b))
                        .map(
                            n ->
                                new PossibleEdit(
                                    Texts.of(
                                        "tuneSuggestions.theNoteBeforeOn",
                                        StringSign.of(h.string())),
                                    song ->
                                        edited(
                                            song,
                                            n,
                                            (t, tick) -> t.withNote(tick, on(h.string()))))));
    return Stream.concat(second, first);
  }

  private Stream<MelodyNote> sung(Note note) {
    return a.slots().stream()
        .flatMap(s -> s.tune().stream())
        .filter(n -> n.tick() == note.tick())
        .limit(1);
  }

  private static UnaryOperator<TuneNote> on(int string) {
    return n ->
        n.moved(
            w -> w instanceof Want.Sound s ? new Want.Sound(s.pitch(), Optional.of(string)) : w);
  }

  /** The whole tune in the octave in which it lies at hand. */
  static Stream<PossibleEdit> octave(Arrangement a) {
    int by = TuneOctave.best(a.song());
    return Stream.of(
        new PossibleEdit(
            Texts.of("tuneSuggestions.theWholeTune", TuneAway.moved(by)),
            song -> song.withTune(song.tune().octaves(by))));
  }
}
