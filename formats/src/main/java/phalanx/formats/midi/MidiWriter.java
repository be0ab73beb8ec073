package phalanx.formats.midi;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiMessage;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.instrument.Guitar;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.picking.Force;
import phalanx.song.Clock;
import phalanx.song.Harmony;
import phalanx.song.Lyrics;
import phalanx.song.Song;
import phalanx.song.Swing;
import phalanx.song.Timeline.PlayedBar;
import phalanx.technique.Technique;
import phalanx.theory.Meter;
import phalanx.theory.Mode;
import phalanx.theory.Ticks;

/**
 * Writes an arrangement as a Standard MIDI File of type 1 (MIDI Manufacturers Association, Standard
 * MIDI Files 1.0): a track with tempo, metre, key, sections and chords, and a track a role. Each
 * string has a channel of its own, so that a bend moves nothing else; hits are on channel 10 with
 * the keys of General MIDI 1. Notes begin when they are played, swing and rolls included, and last
 * as long as they ring.
 */
public final class MidiWriter {

  private static final int TEMPO = 0x51;
  private static final int METRE = 0x58;
  private static final int KEY = 0x59;
  private static final int NAME = 0x03;
  private static final int TEXT = 0x01;
  private static final int LYRIC = 0x05;
  private static final int MARKER = 0x06;

  /** Percussion sounds on the tenth channel of General MIDI, counted from 0 here. */
  private static final int PERCUSSION = 9;

  /** Programs of General MIDI 1, counted from 0. */
  private static final int NYLON = 24;

  private static final int STEEL = 25;

  /** How far a pitch wheel reaches each way, semitones; the furthest bend is three. */
  private static final int BEND_RANGE = 12;

  private static final int WHEEL_MIDDLE = 8192;
  private static final int BEND_STEPS = 16;
  private static final int HIT_TICKS = Ticks.PER_QUARTER / 8;

  private final Arrangement arrangement;
  private final Song song;
  private final Sequence sequence;

  private MidiWriter(Arrangement arrangement) throws InvalidMidiDataException {
    this.arrangement = arrangement;
    song = arrangement.song();
    sequence = new Sequence(Sequence.PPQ, Ticks.PER_QUARTER);
  }

  /** The whole arrangement as the bytes of a file. */
  public static byte[] write(Arrangement arrangement) {
    try {
      MidiWriter writer = new MidiWriter(arrangement);
      writer.conductor();
      writer.notes();
      writer.hits();
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      MidiSystem.write(writer.sequence, 1, out);
      return out.toByteArray();
    } catch (InvalidMidiDataException e) {
      throw new IllegalStateException("messages within their ranges are always written", e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void conductor() throws InvalidMidiDataException {
    Track track = sequence.createTrack();
    text(track, NAME, song.title(), 0);
    if (song.key().isPresent()) {
      int fifths = Math.max(-7, Math.min(7, song.key().get().fifths()));
      int minor = song.key().get().mode() == Mode.MINOR ? 1 : 0;
      meta(track, KEY, new byte[] {(byte) fifths, (byte) minor}, 0);
    }
    Meter metre = null;
    Clock clock = Clock.of(song, arrangement.timeline());
    double tempo = 0;
    int section = -1;
    for (PlayedBar bar : arrangement.timeline().bars()) {
      // A pick-up counts in its own length, so that the bars behind it begin where they sound.
      if (!bar.meter().equals(metre) || bar.number() == 1 && song.feel().pickupTicks() > 0) {
        metre = bar.meter();
        metre(track, bar.metreTick() > 0 ? shortBar(bar) : metre, bar.startTick());
      }
      if (clock.changesIn(bar)) {
        slowing(track, clock, bar);
        tempo = 0;
      } else if (bar.tempo() != tempo) {
        tempo = bar.tempo();
        tempo(track, tempo, bar.startTick());
      }
      if (bar.section() != section) {
        section = bar.section();
        text(track, MARKER, song.sections().get(section).label(), bar.startTick());
      }
    }
    chords(track);
    end(track);
  }

  /** A tempo for each half beat, so that it lasts as long as it does on the clock. */
  private void slowing(Track track, Clock clock, PlayedBar bar) throws InvalidMidiDataException {
    int step = bar.meter().beatTicks() / 2;
    for (int tick = bar.startTick(); tick < bar.endTick(); tick += step) {
      double from = clock.unswung(tick);
      int end = Math.min(tick + step, bar.endTick());
      double seconds = clock.unswung(end) - from;
      tempo(track, 60.0 * (end - tick) / Ticks.PER_QUARTER / seconds, tick);
    }
  }

  private static void tempo(Track track, double tempo, int tick) throws InvalidMidiDataException {
    int micros = (int) Math.round(60_000_000 / tempo);
    byte[] data = {(byte) (micros >> 16), (byte) (micros >> 8), (byte) micros};
    meta(track, TEMPO, data, tick);
  }

  /** The length of a pick-up as a metre, where there is one. */
  private static Meter shortBar(PlayedBar bar) {
    int unit = Ticks.PER_WHOLE / 16;
    int sixteenths = bar.lengthTicks() / unit;
    for (int of : new int[] {4, 8, 16}) {
      int part = Ticks.PER_WHOLE / of;
      if (bar.lengthTicks() % part == 0 && bar.lengthTicks() / part <= 32) {
        return new Meter(bar.lengthTicks() / part, of);
      }
    }
    return sixteenths > 0 ? new Meter(Math.min(32, sixteenths), 16) : bar.meter();
  }

  private void metre(Track track, Meter metre, int tick) throws InvalidMidiDataException {
    byte power = (byte) Integer.numberOfTrailingZeros(metre.unit());
    byte clocks = (byte) (24 * 4 / metre.unit() * (metre.isCompound() ? 3 : 1));
    meta(track, METRE, new byte[] {(byte) metre.count(), power, clocks, 8}, tick);
  }

  private void chords(Track track) throws InvalidMidiDataException {
    Harmony last = null;
    for (Slot slot : arrangement.slots()) {
      if (!slot.played().harmony().equals(last)) {
        last = slot.played().harmony();
        text(track, TEXT, label(last), slot.played().tick());
      }
    }
    for (Lyrics.Line line : song.words().played(arrangement.timeline())) {
      text(track, LYRIC, line.text() + " ", line.tick());
    }
  }

  private static String label(Harmony harmony) {
    return harmony.sounding().map(c -> c.ascii()).orElse(harmony.label());
  }

  /** A track for each role that sounds, the tune first. */
  private void notes() throws InvalidMidiDataException {
    Map<Note.Part, List<Sounded>> parts = new EnumMap<>(Note.Part.class);
    for (Sounded sounded : Performance.of(arrangement).notes()) {
      parts.computeIfAbsent(part(sounded.note()), p -> new ArrayList<>()).add(sounded);
    }
    for (Note.Part part : List.of(Note.Part.TUNE, Note.Part.INNER, Note.Part.BASS)) {
      List<Sounded> notes = parts.getOrDefault(part, List.of());
      if (!notes.isEmpty()) {
        Track track = sequence.createTrack();
        text(track, NAME, name(part), 0);
        boolean nylon = song.guitar().build().equals(Guitar.NYLON.build());
        for (int channel = 0; channel < 6; channel++) {
          add(track, ShortMessage.PROGRAM_CHANGE, channel, nylon ? NYLON : STEEL, 0, 0);
          bendRange(track, channel);
        }
        notes.sort(Comparator.comparingInt(s -> s.note().tick()));
        for (Sounded sounded : notes) {
          note(track, sounded);
        }
        end(track);
      }
    }
  }

  /** In a song with a tune its track has that alone, not what a pattern strikes up there. */
  private Note.Part part(Note note) {
    boolean other =
        note.part() == Note.Part.TUNE && !song.tune().isEmpty() && !arrangement.isOfTune(note);
    return other ? Note.Part.INNER : note.part();
  }

  private static String name(Note.Part part) {
    return switch (part) {
      case TUNE -> "Tune";
      case INNER -> "Inner notes";
      case BASS -> "Bass";
    };
  }

  /** Registered parameter 0 (MIDI 1.0 Detailed Specification): how far the wheel bends. */
  private static void bendRange(Track track, int channel) throws InvalidMidiDataException {
    int control = ShortMessage.CONTROL_CHANGE;
    add(track, control, channel, 101, 0, 0);
    add(track, control, channel, 100, 0, 0);
    add(track, control, channel, 6, BEND_RANGE, 0);
    add(track, control, channel, 38, 0, 0);
  }

  private void note(Track track, Sounded sounded) throws InvalidMidiDataException {
    Note note = sounded.note();
    int from = played(note.tick()) + note.delayTicks();
    int to = Math.max(from + 1, played(sounded.endTick()));
    int channel = note.string();
    add(track, ShortMessage.NOTE_ON, channel, note.midi(), velocity(note), from);
    add(track, ShortMessage.NOTE_OFF, channel, note.midi(), 0, to);
    for (Technique technique : note.techniques()) {
      if (technique instanceof Technique.Bend bend) {
        bend(track, channel, bend, from, to);
      }
    }
  }

  /** When something written is played, swing included. */
  private int played(int tick) {
    Swing swing = song.feel().swing();
    if (swing.isStraight() || tick >= arrangement.timeline().lengthTicks()) {
      return tick;
    }
    return arrangement.timeline().barAt(tick).played(tick, swing);
  }

  private static int velocity(Note note) {
    int part =
        switch (note.part()) {
          case TUNE -> 98;
          case INNER -> 66;
          case BASS -> 84;
        };
    int slurred = note.attack().isSlur() ? 10 : 0;
    return note.force() == Force.ACCENTED
        ? part + 20
        : (note.force() == Force.SOFT ? part - 24 : part) - slurred;
  }

  /** The wheel goes up in the first third of the note, and back in its last where it is let go. */
  private static void bend(Track track, int channel, Technique.Bend bend, int from, int to)
      throws InvalidMidiDataException {
    int length = to - from;
    int top = (int) Math.round(WHEEL_MIDDLE * bend.semitones() / BEND_RANGE);
    for (int k = 0; k <= BEND_STEPS; k++) {
      double share = bend.before() ? 1 : (double) k / BEND_STEPS;
      wheel(track, channel, (int) (top * share), from + length / 3 * k / BEND_STEPS);
      if (bend.release()) {
        int back = from + length * 2 / 3 + length / 3 * k / (BEND_STEPS + 1);
        wheel(track, channel, top - top * k / BEND_STEPS, back);
      }
    }
    wheel(track, channel, 0, to);
  }

  private static void wheel(Track track, int channel, int by, int tick)
      throws InvalidMidiDataException {
    int value = Math.min(2 * WHEEL_MIDDLE - 1, WHEEL_MIDDLE + by);
    add(track, ShortMessage.PITCH_BEND, channel, value & 0x7F, value >> 7, tick);
  }

  private void hits() throws InvalidMidiDataException {
    List<Gesture.Hit> hits = new ArrayList<>();
    for (Gesture gesture : arrangement.gestures()) {
      if (gesture instanceof Gesture.Hit hit) {
        hits.add(hit);
      }
    }
    if (hits.isEmpty()) {
      return;
    }
    Track track = sequence.createTrack();
    text(track, NAME, "Hits", 0);
    for (Gesture.Hit hit : hits) {
      int tick = played(hit.tick());
      int velocity = hit.force() == Force.SOFT ? 60 : hit.force() == Force.ACCENTED ? 112 : 90;
      add(track, ShortMessage.NOTE_ON, PERCUSSION, hit.kind().percussionKey(), velocity, tick);
      add(
          track,
          ShortMessage.NOTE_OFF,
          PERCUSSION,
          hit.kind().percussionKey(),
          0,
          tick + HIT_TICKS);
    }
    end(track);
  }

  /** A track ends with the song, not with its last note. */
  private void end(Track track) throws InvalidMidiDataException {
    int end = arrangement.timeline().lengthTicks();
    if (track.ticks() < end) {
      meta(track, TEXT, new byte[0], end);
    }
  }

  private static void add(Track track, int command, int channel, int one, int two, int tick)
      throws InvalidMidiDataException {
    event(track, new ShortMessage(command, channel, one, two), tick);
  }

  private static void text(Track track, int type, String text, int tick)
      throws InvalidMidiDataException {
    meta(track, type, text.getBytes(StandardCharsets.UTF_8), tick);
  }

  private static void meta(Track track, int type, byte[] data, int tick)
      throws InvalidMidiDataException {
    event(track, new MetaMessage(type, data, data.length), tick);
  }

  private static void event(Track track, MidiMessage message, int tick) {
    track.add(new MidiEvent(message, tick));
  }
}
