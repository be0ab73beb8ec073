package phalanx.practice;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.text.Texts;

/**
 * What is practised on a day, in order: a warm-up, what is due, the next new drills, one run
 * through for pleasure; a break after every 25 minutes. It never holds more than there is time for,
 * however many days were missed.
 *
 * @param items in order
 */
public record Today(List<Item> items) {

  /** After so many minutes there is a break (common practice, no source). */
  static final int STRETCH_MINUTES = 25;

  static final int BREAK_MINUTES = 5;

  /** At most this share of the time goes to what is due, so that something new comes each day. */
  private static final double DUE_SHARE = 0.5;

  /** With less time than this there is no run through. */
  private static final int ROOM_FOR_PLEASURE = 15;

  public Today {
    items = List.copyOf(items);
  }

  /** Something of a day. */
  public sealed interface Item {
    /** How long it takes. */
    int minutes();

    /** Why it is there, in a sentence. */
    String why();
  }

  /**
   * A drill.
   *
   * @param song the song it is of, counted from 0 in the order they were given
   */
  public record DrillItem(int song, Drill drill, int minutes, String why) implements Item {}

  /** Hands down. */
  public record Break(int minutes, String why) implements Item {}

  /**
   * A song with what was done of it.
   *
   * @param warmUp how to begin with it; empty where nothing is plucked
   * @param drills in the order they are taught
   * @param history what was done of each, in the same order
   */
  public record Practised(Optional<Drill> warmUp, List<Drill> drills, List<DrillHistory> history) {

    public Practised {
      drills = List.copyOf(drills);
      history = List.copyOf(history);
      if (drills.size() != history.size()) {
        throw new IllegalArgumentException("a history for each drill");
      }
    }

    /** A song that nobody has practised. */
    public static Practised anew(Optional<Drill> warmUp, List<Drill> drills) {
      return new Practised(warmUp, drills, drills.stream().map(d -> DrillHistory.NONE).toList());
    }
  }

  /**
   * A day, one thing after the other.
   *
   * @param songs what there is to practise, the most important first
   * @param minutes how much time there is, 1 to 600
   */
  public static Today of(List<Practised> songs, int minutes, LocalDate date) {
    return of(songs, minutes, date, false);
  }

  /**
   * A day.
   *
   * @param songs what there is to practise, the most important first
   * @param minutes how much time there is, 1 to 600
   * @param interleaved whether what is alike is kept apart: harder today, and kept longer (Shea and
   *     Morgan 1979, from memory)
   */
  public static Today of(List<Practised> songs, int minutes, LocalDate date, boolean interleaved) {
    if (minutes < 1 || minutes > 600) {
      throw new IllegalArgumentException("minutes: " + minutes);
    }
    return new Today(new Plan(songs, minutes, date, interleaved).items());
  }

  /** The same day with more behind it. */
  public Today and(List<DrillItem> more) {
    List<Item> all = new ArrayList<>(items);
    all.addAll(more);
    return new Today(all);
  }

  /** All its minutes, breaks not counted. */
  public int minutes() {
    return items.stream().filter(DrillItem.class::isInstance).mapToInt(Item::minutes).sum();
  }

  /** Drills taken one after the other until the time is full. */
  private static final class Plan {

    private final List<Practised> songs;
    private final LocalDate date;
    private final int minutes;
    private final List<DrillItem> chosen = new ArrayList<>();
    private final Set<String> taken = new HashSet<>();
    private final boolean interleaved;
    private int left;

    Plan(List<Practised> songs, int minutes, LocalDate date, boolean interleaved) {
      this.interleaved = interleaved;
      this.songs = songs;
      this.date = date;
      this.minutes = minutes;
      left = minutes;
    }

    List<Item> items() {
      warmUp();
      Optional<DrillItem> pleasure = pleasure();
      pleasure.ifPresent(p -> left -= p.minutes());
      int warm = chosen.size();
      due((int) Math.round(minutes * DUE_SHARE));
      newOnes();
      due(left);
      if (interleaved) {
        interleave(chosen.subList(warm, chosen.size()));
      }
      pleasure.ifPresent(chosen::add);
      return withBreaks();
    }

    /** Next comes the first that is least like the one before; each song stays in its order. */
    private static void interleave(List<DrillItem> items) {
      List<DrillItem> waiting = new ArrayList<>(items);
      for (int place = 0; place < items.size(); place++) {
        DrillItem last = place == 0 ? null : items.get(place - 1);
        Set<Integer> seen = new HashSet<>();
        DrillItem next = waiting.get(0);
        for (DrillItem item : waiting) {
          boolean first = seen.add(item.song());
          if (first && likeness(last, item) < likeness(last, next)) {
            next = item;
          }
        }
        waiting.remove(next);
        items.set(place, next);
      }
    }

    private static int likeness(DrillItem one, DrillItem other) {
      return one == null
          ? 0
          : (one.song() == other.song() ? 2 : 0)
              + (one.drill().kind() == other.drill().kind() ? 1 : 0);
    }

    private void warmUp() {
      for (int s = 0; s < songs.size(); s++) {
        Optional<Drill> warm = songs.get(s).warmUp();
        if (warm.isPresent()) {
          Drill drill = warm.get();
          int time = Math.min(Math.max(1, minutes / 5), drill.minutes());
          take(new DrillItem(s, drill, time, drill.why()));
          return;
        }
      }
    }

    private void take(DrillItem item) {
      chosen.add(item);
      taken.add(key(item.song(), item.drill()));
      left -= item.minutes();
    }

    private static String key(int song, Drill drill) {
      return song + " " + drill.id();
    }

    private boolean fits(int song, Drill drill, int within) {
      return drill.minutes() <= Math.min(left, within) && !taken.contains(key(song, drill));
    }

    /** Of the first song that is known well enough, else slowly of the first. */
    private Optional<DrillItem> pleasure() {
      if (minutes < ROOM_FOR_PLEASURE) {
        return Optional.empty();
      }
      for (boolean known : new boolean[] {true, false}) {
        for (int s = 0; s < songs.size(); s++) {
          Practised song = songs.get(s);
          for (int d = 0; d < song.drills().size(); d++) {
            Drill drill = song.drills().get(d);
            boolean ready = !known || !song.history().get(d).isNew();
            if (drill.kind() == DrillKind.SONG && ready && drill.minutes() <= left / 2) {
              taken.add(key(s, drill));
              String why = Texts.of("today.onceThroughForPleasure");
              return Optional.of(new DrillItem(s, drill, drill.minutes(), why));
            }
          }
        }
      }
      return Optional.empty();
    }

    private record Due(int song, Drill drill, int box, LocalDate since) {}

    /** The least settled first, of those the longest due. */
    private void due(int share) {
      List<Due> due = new ArrayList<>();
      for (int s = 0; s < songs.size(); s++) {
        for (int d = 0; d < songs.get(s).drills().size(); d++) {
          DrillHistory history = songs.get(s).history().get(d);
          if (ReviewSchedule.isDue(history, date)) {
            due.add(
                new Due(
                    s,
                    songs.get(s).drills().get(d),
                    ReviewSchedule.box(history),
                    ReviewSchedule.due(history).orElseThrow()));
          }
        }
      }
      due.sort(Comparator.comparingInt(Due::box).thenComparing(Due::since));
      int room = share;
      for (Due one : due) {
        if (fits(one.song(), one.drill(), room)) {
          long days = date.toEpochDay() - one.since().toEpochDay();
          String why =
              days == 0
                  ? Texts.of("today.dueToday")
                  : days == 1
                      ? Texts.of("today.dueSinceYesterday")
                      : Texts.of("today.dueDaysAgo", days);
          take(new DrillItem(one.song(), one.drill(), one.drill().minutes(), why));
          room -= one.drill().minutes();
        }
      }
    }

    /** The next that nobody has practised, in the order they are taught, song after song. */
    private void newOnes() {
      for (int s = 0; s < songs.size(); s++) {
        Practised song = songs.get(s);
        for (int d = 0; d < song.drills().size(); d++) {
          Drill drill = song.drills().get(d);
          if (song.history().get(d).isNew() && !taken.contains(key(s, drill))) {
            if (!fits(s, drill, left)) {
              return;
            }
            take(new DrillItem(s, drill, drill.minutes(), drill.why()));
          }
        }
      }
    }

    private List<Item> withBreaks() {
      List<Item> items = new ArrayList<>();
      int running = 0;
      for (DrillItem item : chosen) {
        if (running > 0 && running + item.minutes() > STRETCH_MINUTES) {
          items.add(new Break(BREAK_MINUTES, Texts.of("today.handsDownShouldersLoose")));
          running = 0;
        }
        items.add(item);
        running += item.minutes();
      }
      return items;
    }
  }
}
