package phalanx.formats.midi;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import phalanx.song.Feel;
import phalanx.theory.Key;
import phalanx.theory.Letter;
import phalanx.theory.Meter;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;
import phalanx.theory.Ticks;

/** What stands in a sequence, with its times in ticks of the program. */
final class MidiTracks {

  private static final int PERCUSSION = 9;
  private static final int MOST_NOTES = 60_000;

  /**
   * The notes of a track, or of one of its channels where it has all of them.
   *
   * @param name what the file calls it
   * @param sounds its notes by time
   */
  record Voice(String name, List<Sound> sounds) {}

  /** A note: when it begins, how long it lasts, how high it is. */
  record Sound(int tick, int length, int midi) {}

  private final List<Voice> voices = new ArrayList<>();
  private final TreeMap<Integer, Meter> meters = new TreeMap<>();
  private final TreeMap<Integer, Double> tempos = new TreeMap<>();
  private final TreeMap<Integer, String> texts = new TreeMap<>();
  private final TreeMap<Integer, String> lyrics = new TreeMap<>();
  private final TreeMap<Integer, String> markers = new TreeMap<>();
  private Optional<Key> key = Optional.empty();
  private String title = "";
  private final int resolution;
  private int end;
  private int notes;

  private MidiTracks(int resolution) {
    this.resolution = resolution;
  }

  static MidiTracks of(Sequence sequence) {
    MidiTracks all = new MidiTracks(sequence.getResolution());
    int number = 0;
    for (Track track : sequence.getTracks()) {
      all.read(track, number++, sequence.getTracks().length == 1);
    }
    return all;
  }

  private int tick(long at) {
    return (int)
        Math.min(Integer.MAX_VALUE / 4, Math.round((double) at * Ticks.PER_QUARTER / resolution));
  }

  private void read(Track track, int number, boolean alone) {
    Map<Integer, List<Sound>> byChannel = new TreeMap<>();
    Map<Integer, Integer> sounding = new HashMap<>();
    String name = "";
    for (int e = 0; e < track.size(); e++) {
      MidiEvent event = track.get(e);
      int tick = tick(event.getTick());
      if (event.getMessage() instanceof MetaMessage meta) {
        if (meta.getType() == 0x03) {
          name = text(meta);
        }
        meta(meta, tick, number);
      } else if (event.getMessage() instanceof ShortMessage message) {
        note(message, tick, sounding, byChannel);
      }
    }
    if (number == 0 && !alone) {
      title = name;
    } else if (alone) {
      title = title.isEmpty() ? name : title;
    }
    String called = name.isBlank() ? "track " + (number + 1) : name;
    if (alone) {
      byChannel.forEach((channel, sounds) -> voice("channel " + (channel + 1), sounds));
    } else {
      voice(called, byChannel.values().stream().flatMap(List::stream).toList());
    }
  }

  private void voice(String name, List<Sound> sounds) {
    if (!sounds.isEmpty()) {
      List<Sound> sorted = new ArrayList<>(sounds);
      sorted.sort(Comparator.comparingInt(Sound::tick).thenComparingInt(Sound::midi));
      voices.add(new Voice(name, List.copyOf(sorted)));
    }
  }

  private void note(
      ShortMessage message,
      int tick,
      Map<Integer, Integer> sounding,
      Map<Integer, List<Sound>> byChannel) {
    boolean on = message.getCommand() == ShortMessage.NOTE_ON && message.getData2() > 0;
    boolean off =
        message.getCommand() == ShortMessage.NOTE_OFF
            || message.getCommand() == ShortMessage.NOTE_ON && !on;
    if (!on && !off || message.getChannel() == PERCUSSION || notes >= MOST_NOTES) {
      return;
    }
    int which = message.getChannel() * 128 + message.getData1();
    Integer from = sounding.remove(which);
    if (from != null) {
      notes++;
      int length = Math.max(1, tick - from);
      byChannel
          .computeIfAbsent(message.getChannel(), c -> new ArrayList<>())
          .add(new Sound(from, length, message.getData1()));
      end = Math.max(end, from + length);
    }
    if (on) {
      sounding.put(which, tick);
    }
  }

  private void meta(MetaMessage meta, int tick, int number) {
    byte[] data = meta.getData();
    switch (meta.getType()) {
      case 0x51 -> {
        if (data.length == 3) {
          int micros = (data[0] & 0xFF) << 16 | (data[1] & 0xFF) << 8 | data[2] & 0xFF;
          tempos.put(tick, Math.rint(6e10 / Math.max(1, micros)) / 1000);
        }
      }
      case 0x58 -> {
        if (data.length >= 2 && data[1] >= 0 && data[1] < 6) {
          Meter.parse((data[0] & 0xFF) + "/" + (1 << data[1])).ifPresent(m -> meters.put(tick, m));
        }
      }
      case 0x59 -> {
        if (data.length >= 2 && key.isEmpty()) {
          key = key(data[0], data[1] == 1 ? Mode.MINOR : Mode.MAJOR);
        }
      }
      case 0x01 -> {
        if (data.length > 0) {
          texts.putIfAbsent(tick, text(meta));
        }
      }
      case 0x05 -> lyrics.merge(tick, text(meta), String::concat);
      case 0x06 -> markers.putIfAbsent(tick, text(meta));
      default -> {
        // Names of tracks, copyright, cues and what sequencers keep for themselves: no music.
      }
    }
  }

  private static Optional<Key> key(int fifths, Mode mode) {
    return Stream.of(0, -1, 1)
        .flatMap(a -> Stream.of(Letter.values()).map(l -> new NoteName(l, a)))
        .map(tonic -> new Key(tonic, mode))
        .filter(k -> k.fifths() == fifths)
        .findFirst();
  }

  private static String text(MetaMessage meta) {
    String utf8 = new String(meta.getData(), StandardCharsets.UTF_8);
    return utf8.indexOf('\uFFFD') < 0
        ? utf8
        : new String(meta.getData(), StandardCharsets.ISO_8859_1);
  }

  List<Voice> voices() {
    return voices;
  }

  TreeMap<Integer, Meter> meters() {
    return meters;
  }

  Meter meterAt(int tick) {
    Map.Entry<Integer, Meter> now = meters.floorEntry(tick);
    return now == null ? Meter.FOUR_FOUR : now.getValue();
  }

  /** The tempo that begins in a span, if one that hands can play does. */
  Optional<Double> tempoFrom(int from, int to) {
    return tempos.subMap(from, true, to, false).values().stream().filter(Feel::isTempo).findFirst();
  }

  TreeMap<Integer, String> texts() {
    return texts;
  }

  TreeMap<Integer, String> lyrics() {
    return lyrics;
  }

  TreeMap<Integer, String> markers() {
    return markers;
  }

  Optional<Key> key() {
    return key;
  }

  String title() {
    return title;
  }

  int end() {
    return end;
  }
}
