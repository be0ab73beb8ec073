package phalanx.practice;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;

/**
 * Six weeks of a player who does not exist, for demonstration: some days are missed, tempos rise
 * and fall, the thumb becomes steadier. The same seed and day give the same weeks.
 */
public final class InventedDiary {

  private static final int WEEKS = 6;
  private static final int MINUTES = 25;

  private InventedDiary() {}

  /**
   * What such a player did up to the day before today.
   *
   * @param song the id of the song
   * @param drills what there is to practise in it
   */
  public static List<PracticeEntry> of(
      String song, List<Drill> drills, LocalDate today, ZoneId zone, long seed) {
    Random chance = new Random(seed);
    List<PracticeEntry> entries = new ArrayList<>();
    LocalDate first = today.minusWeeks(WEEKS);
    for (LocalDate day = first; day.isBefore(today); day = day.plusDays(1)) {
      if (chance.nextDouble() < 0.3) {
        continue;
      }
      PracticeDiary diary = new PracticeDiary(entries, zone);
      Today plan =
          Today.of(
              List.of(
                  new Today.Practised(
                      drills.stream().findFirst(),
                      drills,
                      drills.stream().map(d -> diary.history(song, d.id())).toList())),
              10 + chance.nextInt(MINUTES),
              day);
      double minute = 18 * 60 + chance.nextInt(90);
      double weeks = (day.toEpochDay() - first.toEpochDay()) / 7.0;
      for (Today.Item item : plan.items()) {
        if (item instanceof Today.DrillItem drill) {
          minute = attempts(entries, song, drill, diary, day, zone, minute, weeks, chance);
        }
      }
    }
    return entries;
  }

  private static double attempts(
      List<PracticeEntry> entries,
      String song,
      Today.DrillItem item,
      PracticeDiary diary,
      LocalDate day,
      ZoneId zone,
      double from,
      double weeks,
      Random chance) {
    Drill drill = item.drill();
    TempoLadder ladder =
        TempoLadder.of(
            drill.tempo(), LadderRules.USUAL, diary.history(song, drill.id()).attempts());
    double minute = from;
    double each = 0.4;
    for (double done = 0; done < item.minutes(); done += each) {
      double strain = ladder.tempo() / drill.tempo().goal();
      Outcome outcome = chance.nextDouble() < 1.05 - 0.35 * strain ? Outcome.CLEAN : Outcome.MISSED;
      minute += each;
      double spread = 0.012 + 0.014 * Math.exp(-weeks / 3) + 0.002 * chance.nextGaussian();
      entries.add(
          new PracticeEntry(
              day.atStartOfDay(zone).plusSeconds((long) (minute * 60)).toInstant(),
              song,
              drill.id(),
              drill.title(),
              ladder.tempo(),
              outcome,
              each * 60,
              OptionalDouble.of(0.004 + 0.003 * chance.nextGaussian()),
              OptionalDouble.of(spread),
              ""));
      ladder = ladder.after(outcome);
    }
    return minute;
  }
}
