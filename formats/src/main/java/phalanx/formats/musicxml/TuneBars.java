package phalanx.formats.musicxml;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import phalanx.formats.Texts;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.technique.Technique;
import phalanx.technique.TechniqueText;
import phalanx.text.Phrase;
import phalanx.theory.Pitch;

/**
 * Turns the notes of one voice into the tune of one bar after the other: notes that begin together
 * become one, each ends where the next begins, ties go on over the bar line. What is not as written
 * then is said.
 */
final class TuneBars {

  private final List<Want> graces = new ArrayList<>();
  private Set<Integer> sounding = new HashSet<>();

  /** The tune of the next bar; each remark is handed over with its tick in the bar. */
  BarTune next(List<ScoreNote> notes, int lengthTicks, BiConsumer<Integer, String> remark) {
    TreeMap<Integer, List<ScoreNote>> struck = new TreeMap<>();
    List<ScoreNote> ornaments = new ArrayList<>();
    for (ScoreNote note : notes) {
      if (note.isGrace()) {
        ornaments.add(note);
      } else if (note.pitch().isPresent() && note.endTick() <= BarTune.LONGEST) {
        struck.computeIfAbsent(note.tick(), t -> new ArrayList<>()).add(note);
      } else if (note.pitch().isPresent()) {
        remark.accept(note.tick(), Texts.of("tuneBars.aNoteBeyondThe"));
      }
    }
    List<TuneNote> tune = new ArrayList<>();
    int held = 0;
    int next = 0;
    for (Map.Entry<Integer, List<ScoreNote>> at : struck.entrySet()) {
      int tick = at.getKey();
      while (next < ornaments.size() && ornaments.get(next).tick() <= tick) {
        graces.add(ornaments.get(next++).want());
      }
      int end = at.getValue().stream().mapToInt(ScoreNote::endTick).max().orElse(tick + 1);
      int last = tune.size() - 1;
      boolean before = last < 0 ? held == tick : tune.get(last).endTick() >= tick;
      List<ScoreNote> fresh = at.getValue().stream().filter(n -> !before || !goesOn(n)).toList();
      if (fresh.isEmpty()) {
        if (at.getValue().size() < sounding.size()) {
          remark.accept(tick, Texts.of("tuneBars.aChordIsTied"));
        }
        if (last < 0) {
          held = end;
        } else {
          tune.set(last, tune.get(last).lasting(end - tune.get(last).tick()));
        }
      } else {
        if (fresh.size() < at.getValue().size()) {
          remark.accept(tick, Texts.of("tuneBars.aTiedNoteEnds"));
        }
        held = Math.min(held, tick);
        cutLast(tune, tick, remark);
        tune.add(note(tick, end, fresh, remark));
        sounding = midi(fresh);
      }
    }
    ornaments.subList(next, ornaments.size()).forEach(n -> graces.add(n.want()));
    boolean goesOver = (tune.isEmpty() ? held : tune.get(tune.size() - 1).endTick()) >= lengthTicks;
    sounding = goesOver ? sounding : Set.of();
    return new BarTune(held, tune);
  }

  /** Short notes that no note follows any more. */
  int left() {
    return graces.size();
  }

  /** Whether a note is tied to one that sounds up to it. */
  private boolean goesOn(ScoreNote note) {
    return note.tied() && sounding.contains(note.pitch().orElseThrow().midi());
  }

  private static Set<Integer> midi(List<ScoreNote> notes) {
    Set<Integer> midi = new HashSet<>();
    notes.forEach(n -> midi.add(n.pitch().orElseThrow().midi()));
    return midi;
  }

  private static void cutLast(List<TuneNote> tune, int tick, BiConsumer<Integer, String> remark) {
    int last = tune.size() - 1;
    if (last >= 0 && tune.get(last).endTick() > tick) {
      remark.accept(tick, Texts.of("tuneBars.twoNotesOfThe"));
      tune.set(last, tune.get(last).lasting(tick - tune.get(last).tick()));
    }
  }

  private TuneNote note(
      int tick, int end, List<ScoreNote> fresh, BiConsumer<Integer, String> remark) {
    List<Want> wants = new ArrayList<>();
    fresh.stream()
        .sorted(Comparator.comparing((ScoreNote n) -> -n.pitch().map(Pitch::midi).orElse(0)))
        .map(ScoreNote::want)
        .filter(w -> !wants.contains(w))
        .forEach(wants::add);
    if (wants.size() > TuneNote.MOST_TOGETHER) {
      String words = Texts.of("tuneBars.ofNotesAtOnce");
      remark.accept(tick, Phrase.of(words, wants.size()));
      wants.subList(TuneNote.MOST_TOGETHER, wants.size()).clear();
    }
    if (graces.size() > TuneNote.MOST_GRACES) {
      String words = Texts.of("tuneBars.ofShortNotesThe");
      remark.accept(tick, Phrase.of(words, graces.size()));
      graces.subList(0, graces.size() - TuneNote.MOST_GRACES).clear();
    }
    Optional<phalanx.melody.Slur> slur = fresh.stream().flatMap(n -> n.slur().stream()).findFirst();
    Set<Technique> techniques =
        fresh.stream().flatMap(n -> n.techniques().stream()).collect(Collectors.toSet());
    if (!TechniqueText.areTogether(techniques)) {
      remark.accept(tick, Texts.of("tuneBars.itsTechniquesDoNot"));
      techniques = Set.of();
    }
    TuneNote note = new TuneNote(tick, end - tick, wants, slur, graces, techniques);
    graces.clear();
    return note;
  }
}
