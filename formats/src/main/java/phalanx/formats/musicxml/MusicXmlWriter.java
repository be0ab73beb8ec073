package phalanx.formats.musicxml;

import java.io.ByteArrayOutputStream;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.audiveris.proxymusic.AboveBelow;
import org.audiveris.proxymusic.Attributes;
import org.audiveris.proxymusic.Backup;
import org.audiveris.proxymusic.Clef;
import org.audiveris.proxymusic.ClefSign;
import org.audiveris.proxymusic.Direction;
import org.audiveris.proxymusic.DirectionType;
import org.audiveris.proxymusic.FormattedTextId;
import org.audiveris.proxymusic.Identification;
import org.audiveris.proxymusic.Key;
import org.audiveris.proxymusic.Metronome;
import org.audiveris.proxymusic.Miscellaneous;
import org.audiveris.proxymusic.MiscellaneousField;
import org.audiveris.proxymusic.ObjectFactory;
import org.audiveris.proxymusic.Offset;
import org.audiveris.proxymusic.PartList;
import org.audiveris.proxymusic.PartName;
import org.audiveris.proxymusic.PerMinute;
import org.audiveris.proxymusic.ScorePart;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.Sound;
import org.audiveris.proxymusic.StaffDetails;
import org.audiveris.proxymusic.StaffTuning;
import org.audiveris.proxymusic.Step;
import org.audiveris.proxymusic.Time;
import org.audiveris.proxymusic.Transpose;
import org.audiveris.proxymusic.TypedText;
import org.audiveris.proxymusic.Work;
import org.audiveris.proxymusic.YesNo;
import org.audiveris.proxymusic.util.Marshalling;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Slot;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
import phalanx.notation.Spelling;
import phalanx.notation.WrittenForm;
import phalanx.notation.WrittenForm.WrittenBar;
import phalanx.performance.Performance;
import phalanx.song.Harmony;
import phalanx.song.Ritard;
import phalanx.song.Song;
import phalanx.song.Timeline.PlayedBar;
import phalanx.text.Phrase;
import phalanx.theory.Meter;
import phalanx.theory.Pitch;
import phalanx.theory.Ticks;

/**
 * Writes an arrangement as MusicXML 4.0: one part with a notation staff and a tablature staff, each
 * with a voice for the fingers and one for the thumb. Notes are written as fretted, as if the capo
 * were the nut; a transposition says how they sound. Repeats are written out.
 */
public final class MusicXmlWriter {

  private static final ObjectFactory FACTORY = new ObjectFactory();

  /** Scale steps that 0 to 11 semitones of transposition are read as. */
  private static final int[] DIATONIC = {0, 1, 1, 2, 2, 3, 3, 4, 5, 5, 6, 6};

  private final Arrangement arrangement;
  private final Song song;
  private final HitsXml hits;
  private final Spelling spelling;
  private boolean silent;
  private Meter meter;

  private MusicXmlWriter(Arrangement arrangement) {
    this.arrangement = arrangement;
    song = arrangement.song();
    hits = new HitsXml(arrangement);
    spelling = new Spelling(arrangement);
    meter = song.meter();
  }

  /** The whole arrangement as an XML document. */
  public static String write(Arrangement arrangement) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try {
      Marshalling.marshal(new MusicXmlWriter(arrangement).score(), bytes, false, 2);
    } catch (Marshalling.MarshallingException e) {
      throw new IllegalStateException("a score of known elements is always written", e);
    }
    // The binding names its own release as the version, and a document type that lies on the net.
    return bytes
        .toString(StandardCharsets.UTF_8)
        .replaceFirst("<!DOCTYPE[^>]*>\\s*", "")
        .replaceFirst("(<score-partwise[^>]*version=)\"[^\"]*\"", "$1\"4.0\"");
  }

  static BigInteger whole(long value) {
    return BigInteger.valueOf(value);
  }

  private ScorePartwise score() {
    ScorePartwise score = FACTORY.createScorePartwise();
    score.setVersion("4.0");
    Work work = FACTORY.createWork();
    work.setWorkTitle(song.title());
    score.setWork(work);
    credits(score);
    ScorePart listed = FACTORY.createScorePart();
    listed.setId("P1");
    PartName name = FACTORY.createPartName();
    name.setValue("Guitar");
    listed.setPartName(name);
    hits.declare(listed);
    PartList parts = FACTORY.createPartList();
    parts.getPartGroupOrScorePart().add(listed);
    score.setPartList(parts);
    ScorePartwise.Part part = FACTORY.createScorePartwisePart();
    part.setId(listed);
    List<WrittenBar> bars = WrittenForm.of(arrangement).bars();
    for (WrittenBar bar : bars) {
      part.getMeasure().add(measure(bar, bar == bars.get(bars.size() - 1)));
    }
    score.getPart().add(part);
    return score;
  }

  private void credits(ScorePartwise score) {
    Identification identification = FACTORY.createIdentification();
    creator(identification, "composer", song.credits().composer());
    creator(identification, "arranger", song.credits().arranger());
    String measures =
        WrittenForm.of(arrangement).bars().stream()
            .filter(b -> !song.tune().at(b.bar().written(), song.chart()).isSilent())
            .map(b -> String.valueOf(b.number()))
            .collect(Collectors.joining(" "));
    if (!measures.isEmpty()) {
      // Which notes are the tune no element says: another reader passes this over.
      MiscellaneousField field = FACTORY.createMiscellaneousField();
      field.setName(ScoreCredits.TUNE);
      field.setValue(measures);
      Miscellaneous miscellaneous = FACTORY.createMiscellaneous();
      miscellaneous.getMiscellaneousField().add(field);
      identification.setMiscellaneous(miscellaneous);
    }
    if (!identification.getCreator().isEmpty() || identification.getMiscellaneous() != null) {
      score.setIdentification(identification);
    }
  }

  private static void creator(Identification identification, String type, String name) {
    if (!name.isEmpty()) {
      TypedText creator = FACTORY.createTypedText();
      creator.setType(type);
      creator.setValue(name);
      identification.getCreator().add(creator);
    }
  }

  private static Direction words(String words) {
    DirectionType type = FACTORY.createDirectionType();
    type.getWordsOrSymbol().add(text(words));
    return above(type);
  }

  /** The name of a section. */
  private static Direction rehearsal(String label) {
    DirectionType type = FACTORY.createDirectionType();
    type.getRehearsal().add(text(label));
    return above(type);
  }

  private static FormattedTextId text(String value) {
    FormattedTextId text = FACTORY.createFormattedTextId();
    text.setValue(value);
    return text;
  }

  private static Direction above(DirectionType type) {
    Direction direction = FACTORY.createDirection();
    direction.setPlacement(AboveBelow.ABOVE);
    direction.getDirectionType().add(type);
    return direction;
  }

  private ScorePartwise.Part.Measure measure(WrittenBar written, boolean last) {
    PlayedBar bar = written.bar();
    ScorePartwise.Part.Measure measure = FACTORY.createScorePartwisePartMeasure();
    measure.setNumber(String.valueOf(written.number()));
    if (bar.metreTick() > 0) {
      measure.setImplicit(YesNo.YES);
    }
    List<Object> items = measure.getNoteOrBackupOrForward();
    BarLines.left(written).ifPresent(items::add);
    if (bar.startTick() == 0) {
      items.add(attributes());
      items.add(tempo(bar.tempo()));
      if (ringsOn()) {
        items.add(letRing());
      }
    } else if (!bar.meter().equals(meter)) {
      items.add(metre(bar.meter()));
    }
    if (arrangement.timeline().beginsTempo(bar)) {
      items.add(tempo(bar.tempo()));
    }
    if (Ritard.beginsIn(song, arrangement.timeline(), bar)) {
      items.add(words(Ritard.SIGN));
    }
    meter = bar.meter();
    String label = song.sections().get(bar.section()).label();
    if (written.opens() && !label.isBlank()) {
      items.add(rehearsal(label));
    }
    List<Slot> chords =
        arrangement.slotsFrom(bar.startTick(), bar.endTick()).stream()
            .filter(s -> !s.played().isPart())
            .toList();
    for (Slot slot : chords) {
      if (slot.played().harmony() instanceof Harmony.Sounding sounding) {
        int offset = slot.played().tick() - bar.startTick();
        items.add(ChordSymbolXml.harmony(sounding.chord(), slot.shape(), offset));
      } else if (slot.played().harmony() instanceof Harmony.NoChord && !silent) {
        items.add(ChordSymbolXml.none(slot.played().tick() - bar.startTick()));
      }
      silent = slot.played().harmony() instanceof Harmony.NoChord;
    }
    arrangement
        .dampsFrom(bar.startTick(), bar.endTick())
        .forEach(d -> items.add(damp(d, d.tick() - bar.startTick())));
    List<List<org.audiveris.proxymusic.Note>> voices = new ArrayList<>();
    for (VoiceXml.Staff staff : VoiceXml.Staff.values()) {
      voices.add(new VoiceXml(arrangement, spelling, bar, staff, false).notes());
      voices.add(new VoiceXml(arrangement, spelling, bar, staff, true).notes());
      if (staff == VoiceXml.Staff.NOTATION) {
        WordsXml.put(voices.get(0), song.words().at(bar.written()));
        voices.add(hits.notes(bar));
      }
    }
    voices.removeIf(List::isEmpty);
    for (int v = 0; v < voices.size(); v++) {
      if (v > 0) {
        Backup backup = FACTORY.createBackup();
        backup.setDuration(BigDecimal.valueOf(bar.lengthTicks()));
        items.add(backup);
      }
      items.addAll(voices.get(v));
    }
    BarLines.right(written, last).ifPresent(items::add);
    return measure;
  }

  private Attributes attributes() {
    Attributes attributes = FACTORY.createAttributes();
    attributes.setDivisions(BigDecimal.valueOf(Ticks.PER_QUARTER));
    song.key()
        .ifPresent(
            k -> {
              Key key = FACTORY.createKey();
              key.setFifths(whole(k.fifths()));
              key.setMode(
                  k.mode().hasSignature() ? k.mode().words().toLowerCase(Locale.ROOT) : "minor");
              attributes.getKey().add(key);
            });
    attributes.getTime().add(time(first()));
    attributes.setStaves(whole(2));
    Clef treble = clef(1, ClefSign.G, 2);
    // A guitar sounds an octave below its written notes; the small 8 under the clef says so.
    treble.setClefOctaveChange(whole(-1));
    attributes.getClef().add(treble);
    attributes.getClef().add(clef(2, ClefSign.TAB, 5));
    attributes.getStaffDetails().add(tablature());
    int capo = song.guitar().capo();
    if (capo > 0) {
      Transpose transpose = FACTORY.createTranspose();
      transpose.setDiatonic(whole(DIATONIC[capo]));
      transpose.setChromatic(BigDecimal.valueOf(capo));
      attributes.getTranspose().add(transpose);
    }
    return attributes;
  }

  private Meter first() {
    return arrangement.timeline().bars().get(0).meter();
  }

  private static Time time(Meter meter) {
    Time time = FACTORY.createTime();
    time.getTimeSignature().add(FACTORY.createTimeBeats(String.valueOf(meter.count())));
    time.getTimeSignature().add(FACTORY.createTimeBeatType(String.valueOf(meter.unit())));
    return time;
  }

  private static Attributes metre(Meter meter) {
    Attributes attributes = FACTORY.createAttributes();
    attributes.getTime().add(time(meter));
    return attributes;
  }

  private static Clef clef(int staff, ClefSign sign, int line) {
    Clef clef = FACTORY.createClef();
    clef.setNumber(whole(staff));
    clef.setSign(sign);
    clef.setLine(whole(line));
    return clef;
  }

  private StaffDetails tablature() {
    StaffDetails details = FACTORY.createStaffDetails();
    details.setNumber(whole(2));
    details.setStaffLines(whole(Tuning.STRINGS));
    for (int s = 0; s < Tuning.STRINGS; s++) {
      Pitch pitch = song.guitar().tuning().strings().get(s);
      StaffTuning tuning = FACTORY.createStaffTuning();
      tuning.setLine(whole(s + 1L));
      tuning.setTuningStep(Step.valueOf(pitch.name().letter().name()));
      if (pitch.name().alteration() != 0) {
        tuning.setTuningAlter(BigDecimal.valueOf(pitch.name().alteration()));
      }
      tuning.setTuningOctave(pitch.octave());
      details.getStaffTuning().add(tuning);
    }
    if (song.guitar().capo() > 0) {
      details.setCapo(whole(song.guitar().capo()));
    }
    return details;
  }

  /** The share of the two eighths of a beat, in hundredths. */
  private static org.audiveris.proxymusic.Swing swing(int percent) {
    org.audiveris.proxymusic.Swing swing = FACTORY.createSwing();
    swing.setFirst(whole(percent));
    swing.setSecond(whole(100L - percent));
    swing.setSwingType("eighth");
    return swing;
  }

  /** A sign that strings are stopped, with which and by what. */
  private static Direction damp(Damp damp, int offset) {
    DirectionType sign = FACTORY.createDirectionType();
    sign.setDamp(FACTORY.createEmptyPrintStyleAlignId());
    FormattedTextId words = FACTORY.createFormattedTextId();
    words.setValue(
        damp.strings().stream().map(StringSign::of).collect(Collectors.joining())
            + " "
            + damp.by().word());
    DirectionType type = FACTORY.createDirectionType();
    type.getWordsOrSymbol().add(words);
    Direction direction = FACTORY.createDirection();
    direction.getDirectionType().add(sign);
    direction.getDirectionType().add(type);
    if (offset > 0) {
      Offset at = FACTORY.createOffset();
      at.setValue(BigDecimal.valueOf(offset));
      direction.setOffset(at);
    }
    return direction;
  }

  /** Whether some note rings on under later ones of its voice, as nearly always on a guitar. */
  private boolean ringsOn() {
    return Performance.of(arrangement).notes().stream()
        .anyMatch(n -> n.ringTicks() > n.note().lengthTicks() || n.ringTicks() > Ticks.PER_QUARTER);
  }

  private static Direction letRing() {
    FormattedTextId words = FACTORY.createFormattedTextId();
    words.setValue("let ring");
    DirectionType type = FACTORY.createDirectionType();
    type.getWordsOrSymbol().add(words);
    Direction direction = FACTORY.createDirection();
    direction.setPlacement(AboveBelow.ABOVE);
    direction.getDirectionType().add(type);
    return direction;
  }

  private Direction tempo(double tempo) {
    Metronome metronome = FACTORY.createMetronome();
    metronome.setBeatUnit("quarter");
    PerMinute perMinute = FACTORY.createPerMinute();
    perMinute.setValue(Phrase.of("%.0f", tempo));
    metronome.setPerMinute(perMinute);
    DirectionType type = FACTORY.createDirectionType();
    type.setMetronome(metronome);
    Direction direction = FACTORY.createDirection();
    direction.getDirectionType().add(type);
    Sound sound = FACTORY.createSound();
    sound.setTempo(BigDecimal.valueOf(tempo));
    if (!song.feel().swing().isStraight()) {
      sound.setSwing(swing(song.feel().swing().percent()));
    }
    direction.setSound(sound);
    return direction;
  }
}
