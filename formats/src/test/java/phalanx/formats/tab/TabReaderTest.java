package phalanx.formats.tab;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Note;
import phalanx.formats.SongReading;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.technique.Technique;

/** Tablature as players paste it (common practice, no source). */
class TabReaderTest {

  /** What is struck, as eighth:string.fret, strings numbered as players do. */
  private static String struck(Song song) {
    Arrangement a = new Arranger().arrange(song);
    TreeMap<Integer, String> all = new TreeMap<>();
    for (Note note : a.notes()) {
      all.merge(note.tick(), (6 - note.string()) + "." + note.fret(), (x, y) -> x + "+" + y);
    }
    return all.entrySet().stream()
        .map(e -> e.getKey() / 2520 + ":" + e.getValue())
        .collect(Collectors.joining(" "));
  }

  private static final String ROLL =
      """
      Quay
        C               Am
      e|-------0-------|-------0-------|
      B|-----1---1-----|-----1---1-----|
      G|---0-------0---|---2-------2---|
      D|---------------|---------------|
      A|-3-------------|-0-------------|
      E|---------------|---------------|
      """;

  @Test
  void readsByItsSpacingWhatIsStruckWhere() {
    SongReading reading = TabReader.read(ROLL);
    assertThat(reading.problems()).isEmpty();
    assertThat(reading.song().title()).isEqualTo("Quay");
    assertThat(struck(reading.song()))
        .startsWith("0:5.3 1:3.0 2:2.1 3:1.0 4:2.1 5:3.0")
        .contains("8:5.0 9:3.2 10:2.1 11:1.0");
    assertThat(reading.song().chart().bars().get(1).changes().get(0).harmony().label())
        .isEqualTo("Am");
  }

  /** Strings that nothing is played on are often left out; names say which are there. */
  @Test
  void readsFewerLinesAndMore() {
    String four = ROLL.replaceAll("(?m)^[DE]\\|.*\n", "");
    assertThat(four.lines().filter(TabReader::isLine)).hasSize(4);
    assertThat(struck(TabReader.read(four).song())).isEqualTo(struck(TabReader.read(ROLL).song()));
    String unnamed =
        ROLL.replaceAll("(?m)^[DAE]\\|.*\n", "|" + "---------------|".repeat(2) + "\n");
    String upper =
        unnamed.replaceAll("(?m)^[eBG]\\|", "|").replaceFirst("(?m)^\\|[-|]*\n\\|[-|]*\n\\z", "");
    assertThat(upper.lines().filter(TabReader::isLine)).hasSize(4);
    assertThat(struck(TabReader.read(upper).song())).startsWith("1:3.0 2:2.1 3:1.0 4:2.1 5:3.0");
    String seven = ROLL + "B|---------------|---------------|\n";
    SongReading reading = TabReader.read(seven);
    assertThat(reading.remarks()).anyMatch(r -> r.message().contains("beyond the sixth"));
    assertThat(struck(reading.song())).isEqualTo(struck(TabReader.read(ROLL).song()));
    String ruled = ROLL.replace("e|--", "----------------------\ne|--");
    assertThat(struck(TabReader.read(ruled).song())).isEqualTo(struck(TabReader.read(ROLL).song()));
  }

  /** The figure behind a bend is the pitch it goes to, not another stroke (common practice). */
  @Test
  void readsHowFarABendGoes() {
    Song song =
        TabReader.read(
                """
                e|-----------------|
                B|-5---8b10r8--8b--|
                G|-----------------|
                D|-----------------|
                A|-----------------|
                E|-----------------|
                """)
            .song();
    Arrangement a = new Arranger().arrange(song);
    assertThat(a.notes()).extracting(Note::fret).containsExactly(5, 8, 8);
    assertThat(a.notes().stream().flatMap(n -> n.techniques().stream()))
        .containsExactly(new Technique.Bend(4, false, true), new Technique.Bend(4, false, false));
  }

  @Test
  void readsSlursHarmonicsAndMutes() {
    SongReading reading =
        TabReader.read(
            """
              PM----
            e|-----------------|-<12>------------|
            B|---------0h1p0---|-----------------|
            G|-----------------|-----------------|
            D|-----2-----------|-----------------|
            A|-3-----3---------|-----------------|
            E|-----------------|-----------------|
            """);
    Arrangement a = new Arranger().arrange(reading.song());
    assertThat(a.notes()).extracting(Note::attack).contains(Attack.HAMMERED, Attack.PULLED);
    assertThat(a.notes().stream().flatMap(n -> n.techniques().stream()).toList())
        .anyMatch(Technique.NaturalHarmonic.class::isInstance)
        .contains(Technique.Plain.PALM_MUTE);
  }

  @ParameterizedTest
  @ValueSource(strings = {"D A D G A D", "DADGAD", "D-A-D-G-A-D", "D, A, D, G, A, D"})
  void takesTuningCapoAndTempoFromTheTextAround(String tuning) {
    String head = "Quay\ntuning " + tuning + ", capo 3, tempo 80\n\n";
    Song song = TabReader.read(head + ROLL.substring(5)).song();
    assertThat(song.guitar().tuning().toString()).isEqualTo("D A D G A D");
    assertThat(song.guitar().capo()).isEqualTo(3);
    assertThat(song.tempo()).isEqualTo(80);
  }

  @Test
  void aTextWithoutSixLinesIsNoTablature() {
    assertThat(TabReader.isTab("e|---0---\nB|---1---\n")).isFalse();
    assertThat(List.of(TabReader.read("nothing").problems())).isNotEmpty();
  }
}
