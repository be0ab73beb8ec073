package phalanx.formats.musicxml;

import static phalanx.formats.musicxml.MusicXmlWriter.whole;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.audiveris.proxymusic.Barre;
import org.audiveris.proxymusic.Bass;
import org.audiveris.proxymusic.BassStep;
import org.audiveris.proxymusic.FirstFret;
import org.audiveris.proxymusic.Frame;
import org.audiveris.proxymusic.FrameNote;
import org.audiveris.proxymusic.Fret;
import org.audiveris.proxymusic.Harmony;
import org.audiveris.proxymusic.HarmonyAlter;
import org.audiveris.proxymusic.Kind;
import org.audiveris.proxymusic.KindValue;
import org.audiveris.proxymusic.ObjectFactory;
import org.audiveris.proxymusic.Offset;
import org.audiveris.proxymusic.Root;
import org.audiveris.proxymusic.RootStep;
import org.audiveris.proxymusic.StartStop;
import org.audiveris.proxymusic.Step;
import phalanx.fretting.Grip;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
import phalanx.theory.Chord;
import phalanx.theory.NoteName;

/** Writes a chord symbol with the frame of the shape that is held. */
final class ChordSymbolXml {

  private static final ObjectFactory FACTORY = new ObjectFactory();
  private static final int FEWEST_FRAME_FRETS = 4;

  /** The kinds MusicXML names; everything else is written as text. */
  static final Map<String, KindValue> KINDS =
      Map.ofEntries(
          Map.entry("", KindValue.MAJOR),
          Map.entry("m", KindValue.MINOR),
          Map.entry("aug", KindValue.AUGMENTED),
          Map.entry("dim", KindValue.DIMINISHED),
          Map.entry("7", KindValue.DOMINANT),
          Map.entry("maj7", KindValue.MAJOR_SEVENTH),
          Map.entry("m7", KindValue.MINOR_SEVENTH),
          Map.entry("dim7", KindValue.DIMINISHED_SEVENTH),
          Map.entry("m7b5", KindValue.HALF_DIMINISHED),
          Map.entry("mMaj7", KindValue.MAJOR_MINOR),
          Map.entry("6", KindValue.MAJOR_SIXTH),
          Map.entry("m6", KindValue.MINOR_SIXTH),
          Map.entry("9", KindValue.DOMINANT_NINTH),
          Map.entry("maj9", KindValue.MAJOR_NINTH),
          Map.entry("m9", KindValue.MINOR_NINTH),
          Map.entry("11", KindValue.DOMINANT_11_TH),
          Map.entry("m11", KindValue.MINOR_11_TH),
          Map.entry("13", KindValue.DOMINANT_13_TH),
          Map.entry("maj13", KindValue.MAJOR_13_TH),
          Map.entry("sus2", KindValue.SUSPENDED_SECOND),
          Map.entry("sus4", KindValue.SUSPENDED_FOURTH),
          Map.entry("5", KindValue.POWER));

  private ChordSymbolXml() {}

  /** The symbol at an offset from the start of its bar, in divisions. */
  static Harmony harmony(Chord chord, Optional<Shape> shape, int offset) {
    Harmony harmony = FACTORY.createHarmony();
    List<Object> parts = harmony.getHarmonyChord();
    Root root = FACTORY.createRoot();
    RootStep step = FACTORY.createRootStep();
    step.setValue(Step.valueOf(chord.root().letter().name()));
    root.setRootStep(step);
    alter(chord.root()).ifPresent(root::setRootAlter);
    parts.add(root);
    Kind kind = FACTORY.createKind();
    kind.setValue(KINDS.getOrDefault(chord.suffix(), KindValue.OTHER));
    kind.setText(chord.suffix());
    parts.add(kind);
    chord.slash().ifPresent(b -> parts.add(bass(b)));
    shape.ifPresent(s -> harmony.setFrame(frame(s)));
    if (offset > 0) {
      Offset later = FACTORY.createOffset();
      later.setValue(BigDecimal.valueOf(offset));
      harmony.setOffset(later);
    }
    harmony.setStaff(whole(1));
    return harmony;
  }

  /** The sign that no chord sounds from an offset on. */
  static Harmony none(int offset) {
    Harmony harmony = FACTORY.createHarmony();
    Root root = FACTORY.createRoot();
    RootStep step = FACTORY.createRootStep();
    step.setValue(Step.C);
    step.setText("");
    root.setRootStep(step);
    harmony.getHarmonyChord().add(root);
    Kind kind = FACTORY.createKind();
    kind.setValue(KindValue.NONE);
    kind.setText("N.C.");
    harmony.getHarmonyChord().add(kind);
    if (offset > 0) {
      Offset later = FACTORY.createOffset();
      later.setValue(BigDecimal.valueOf(offset));
      harmony.setOffset(later);
    }
    harmony.setStaff(whole(1));
    return harmony;
  }

  private static Bass bass(NoteName note) {
    Bass bass = FACTORY.createBass();
    BassStep step = FACTORY.createBassStep();
    step.setValue(Step.valueOf(note.letter().name()));
    bass.setBassStep(step);
    alter(note).ifPresent(bass::setBassAlter);
    return bass;
  }

  private static Optional<HarmonyAlter> alter(NoteName note) {
    if (note.alteration() == 0) {
      return Optional.empty();
    }
    HarmonyAlter alter = FACTORY.createHarmonyAlter();
    alter.setValue(BigDecimal.valueOf(note.alteration()));
    return Optional.of(alter);
  }

  private static Frame frame(Shape shape) {
    int lowest = shape.grips().values().stream().mapToInt(Grip::fret).min().orElse(1);
    int highest = shape.grips().values().stream().mapToInt(Grip::fret).max().orElse(1);
    int first = highest <= FEWEST_FRAME_FRETS ? 1 : lowest;
    Frame frame = FACTORY.createFrame();
    frame.setFrameStrings(whole(Tuning.STRINGS));
    frame.setFrameFrets(whole(Math.max(FEWEST_FRAME_FRETS, highest - first + 1)));
    if (first > 1) {
      FirstFret firstFret = FACTORY.createFirstFret();
      firstFret.setValue(whole(first));
      frame.setFirstFret(firstFret);
    }
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (shape.sounds(s)) {
        frame.getFrameNote().add(frameNote(shape, s));
      }
    }
    return frame;
  }

  private static FrameNote frameNote(Shape shape, int s) {
    FrameNote note = FACTORY.createFrameNote();
    org.audiveris.proxymusic.String string = FACTORY.createString();
    string.setValue(whole(StringSign.number(s)));
    note.setString(string);
    Fret fret = FACTORY.createFret();
    fret.setValue(whole(shape.fret(s).orElseThrow()));
    note.setFret(fret);
    shape.finger(s).ifPresent(f -> finger(note, shape, s, f));
    return note;
  }

  private static void finger(FrameNote note, Shape shape, int s, Finger finger) {
    note.setFingering(VoiceXml.fingering(finger));
    Grip grip = shape.grips().get(finger);
    if (grip.isBarre() && (s == grip.lowString() || s == grip.highString())) {
      Barre barre = FACTORY.createBarre();
      barre.setType(s == grip.lowString() ? StartStop.START : StartStop.STOP);
      note.setBarre(barre);
    }
  }
}
