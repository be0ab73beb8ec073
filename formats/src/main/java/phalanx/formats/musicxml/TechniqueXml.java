package phalanx.formats.musicxml;

import jakarta.xml.bind.JAXBElement;
import java.math.BigDecimal;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.audiveris.proxymusic.Bend;
import org.audiveris.proxymusic.Harmonic;
import org.audiveris.proxymusic.Mute;
import org.audiveris.proxymusic.Notations;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.ObjectFactory;
import org.audiveris.proxymusic.Ornaments;
import org.audiveris.proxymusic.OtherPlacementText;
import org.audiveris.proxymusic.Play;
import org.audiveris.proxymusic.StartStopContinue;
import org.audiveris.proxymusic.Technical;
import org.audiveris.proxymusic.WavyLine;
import phalanx.technique.Technique;
import phalanx.technique.TechniqueText;

/**
 * Harmonics, bends, vibrato and palm mute as MusicXML 4.0 has them: harmonic and bend among the
 * technical marks, slap and pop there as other ones, a wavy line among the ornaments, a mute among
 * what is played. It has one wavy line and does not say how far above its fret a harmonic is
 * touched; a wide vibrato is another ornament beside the line, a touch 7 or 5 frets above another
 * technical mark beside the harmonic.
 */
final class TechniqueXml {

  private static final ObjectFactory FACTORY = new ObjectFactory();
  private static final int OCTAVE = 12;
  private static final int QUARTERS_A_SEMITONE = 2;

  private TechniqueXml() {}

  /** Marks a note with what is special about it. */
  static void mark(Note xml, Notations notations, Set<Technique> techniques) {
    Technical technical = FACTORY.createTechnical();
    Ornaments ornaments = FACTORY.createOrnaments();
    techniques.stream()
        .sorted(Comparator.comparing(Technique::word))
        .forEach(t -> mark(xml, technical, ornaments, t));
    if (!technical.getUpBowOrDownBowOrHarmonic().isEmpty()) {
      notations.getTiedOrSlurOrTuplet().add(technical);
    }
    if (!ornaments.getTrillMarkOrTurnOrDelayedTurn().isEmpty()) {
      notations.getTiedOrSlurOrTuplet().add(ornaments);
    }
  }

  private static void mark(Note xml, Technical technical, Ornaments ornaments, Technique t) {
    if (t.higher() > 0) {
      technical.getUpBowOrDownBowOrHarmonic().add(harmonic(t));
      if (t instanceof Technique.TouchedHarmonic touched && touched.above() != OCTAVE) {
        technical
            .getUpBowOrDownBowOrHarmonic()
            .add(FACTORY.createTechnicalOtherTechnical(other(t)));
      }
    } else if (t instanceof Technique.Bend bend) {
      technical.getUpBowOrDownBowOrHarmonic().add(FACTORY.createTechnicalBend(bend(bend)));
    } else if (t instanceof Technique.Vibrato vibrato) {
      for (StartStopContinue end : List.of(StartStopContinue.START, StartStopContinue.STOP)) {
        WavyLine line = FACTORY.createWavyLine();
        line.setType(end);
        ornaments.getTrillMarkOrTurnOrDelayedTurn().add(FACTORY.createOrnamentsWavyLine(line));
      }
      if (vibrato.wide()) {
        ornaments
            .getTrillMarkOrTurnOrDelayedTurn()
            .add(FACTORY.createOrnamentsOtherOrnament(other(t)));
      }
    } else if (t == Technique.Plain.SLAP || t == Technique.Plain.POP || TechniqueText.isPlace(t)) {
      technical.getUpBowOrDownBowOrHarmonic().add(FACTORY.createTechnicalOtherTechnical(other(t)));
    } else if (t == Technique.Plain.PALM_MUTE) {
      Play play = FACTORY.createPlay();
      play.getIpaOrMuteOrSemiPitched().add(Mute.PALM);
      xml.setPlay(play);
    }
  }

  private static OtherPlacementText other(Technique t) {
    OtherPlacementText other = FACTORY.createOtherPlacementText();
    other.setValue(t.word());
    return other;
  }

  private static JAXBElement<Harmonic> harmonic(Technique t) {
    Harmonic harmonic = FACTORY.createHarmonic();
    if (t instanceof Technique.NaturalHarmonic) {
      harmonic.setNatural(FACTORY.createEmpty());
    } else {
      harmonic.setArtificial(FACTORY.createEmpty());
    }
    harmonic.setSoundingPitch(FACTORY.createEmpty());
    return FACTORY.createTechnicalHarmonic(harmonic);
  }

  private static Bend bend(Technique.Bend bent) {
    Bend bend = FACTORY.createBend();
    bend.setBendAlter(BigDecimal.valueOf(bent.semitones()).stripTrailingZeros());
    if (bent.before()) {
      bend.setPreBend(FACTORY.createEmpty());
    }
    if (bent.release()) {
      bend.setRelease(FACTORY.createRelease());
    }
    return bend;
  }

  /** What is special about a note of a score, as far as its marks go together. */
  static Set<Technique> of(Note xml) {
    Set<Technique> techniques = new HashSet<>();
    for (Notations notations : xml.getNotations()) {
      for (Object mark : notations.getTiedOrSlurOrTuplet()) {
        if (mark instanceof Technical t) {
          t.getUpBowOrDownBowOrHarmonic().forEach(m -> technical(m.getValue(), techniques));
        } else if (mark instanceof Ornaments o) {
          o.getTrillMarkOrTurnOrDelayedTurn().forEach(m -> ornament(m.getValue(), techniques));
        }
      }
    }
    if (xml.getPlay() != null && xml.getPlay().getIpaOrMuteOrSemiPitched().contains(Mute.PALM)) {
      techniques.add(Technique.Plain.PALM_MUTE);
    }
    narrow(techniques);
    return techniques;
  }

  /** What is said more closely beside a mark takes the place of what the mark alone means. */
  private static void narrow(Set<Technique> techniques) {
    Technique octave = new Technique.TouchedHarmonic(OCTAVE);
    if (techniques.stream()
        .anyMatch(t -> t instanceof Technique.TouchedHarmonic && !t.equals(octave))) {
      techniques.remove(octave);
    }
    if (techniques.contains(new Technique.Vibrato(true))) {
      techniques.remove(new Technique.Vibrato(false));
    }
  }

  private static void ornament(Object mark, Set<Technique> techniques) {
    if (mark instanceof WavyLine w && w.getType() == StartStopContinue.START) {
      techniques.add(new Technique.Vibrato(false));
    } else if (mark instanceof OtherPlacementText other && other.getValue() != null) {
      TechniqueText.named(other.getValue().strip()).ifPresent(techniques::add);
    }
  }

  private static void technical(Object mark, Set<Technique> techniques) {
    if (mark instanceof Harmonic h) {
      techniques.add(
          h.getArtificial() == null
              ? Technique.NaturalHarmonic.ANYWHERE
              : new Technique.TouchedHarmonic(OCTAVE));
    } else if (mark instanceof OtherPlacementText other && other.getValue() != null) {
      TechniqueText.named(other.getValue().strip()).ifPresent(techniques::add);
    } else if (mark instanceof Bend b) {
      bent(b).ifPresent(techniques::add);
    }
  }

  /** A bend by a quarter of a tone up to one and a half; another is left out. */
  private static Optional<Technique> bent(Bend bend) {
    double by = bend.getBendAlter() == null ? 0 : bend.getBendAlter().doubleValue();
    long quarters = Math.round(QUARTERS_A_SEMITONE * by);
    return quarters < 1 || quarters > Technique.Bend.MOST
        ? Optional.empty()
        : Optional.of(
            new Technique.Bend(
                (int) quarters, bend.getRelease() != null, bend.getPreBend() != null));
  }
}
