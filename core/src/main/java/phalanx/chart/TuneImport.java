package phalanx.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import phalanx.melody.BarTune;
import phalanx.song.Bar;
import phalanx.song.Song;
import phalanx.song.Tune;
import phalanx.text.Texts;
import phalanx.theory.Key;
import phalanx.theory.Meter;

/**
 * The tune of one song put over the bars of another.
 *
 * @param song the other song with it
 * @param bars how many bars of it were put in
 * @param remarks what had to be changed or left out, in sentences without a full stop
 */
public record TuneImport(Song song, int bars, List<String> remarks) {

  public TuneImport {
    remarks = List.copyOf(remarks);
  }

  /**
   * Puts a tune in, bar by bar as both are written, moved to the key of the song. An empty song
   * becomes the one the tune comes from.
   *
   * @param firstBar identity of the bar it starts in
   */
  public static TuneImport into(Song song, Song from, int firstBar) {
    if (song.chart().isEmpty()) {
      return new TuneImport(from, from.chart().bars().size(), List.of());
    }
    List<String> remarks = new ArrayList<>();
    Song source = inKeyOf(song, from, remarks);
    List<Bar> theirs = new ArrayList<>(source.chart().bars());
    List<Bar> all = song.chart().bars();
    int start = Math.max(0, all.stream().map(Bar::id).toList().indexOf(firstBar));
    boolean intoPickup = start == 0 && song.feel().pickupTicks() > 0;
    if (source.feel().pickupTicks() > 0 && !intoPickup && !theirs.isEmpty()) {
      theirs.remove(0);
      remarks.add(Texts.of("tuneImport.itsPickUpIs"));
    } else if (intoPickup && source.feel().pickupTicks() == 0) {
      start++;
    }
    int count = Math.min(theirs.size(), all.size() - start);
    if (theirs.size() > count) {
      remarks.add(Texts.of("tuneImport.moreBarsOfIt", theirs.size() - count));
    }
    Map<Integer, Meter> meters = song.chart().meters(song.meter());
    Map<Integer, Meter> other = source.chart().meters(source.meter());
    Tune tune = song.tune();
    int odd = 0;
    for (int b = 0; b < count; b++) {
      int bar = all.get(start + b).id();
      BarTune sung = source.tune().at(theirs.get(b).id(), source.chart());
      Tune cleared = tune.without(bar);
      tune =
          sung.isSilent() && cleared.at(bar, song.chart()).isSilent()
              ? cleared
              : cleared.with(bar, sung);
      odd += meters.get(bar).equals(other.get(theirs.get(b).id())) ? 0 : 1;
    }
    if (odd > 0) {
      remarks.add(Texts.of("tuneImport.ofItsBarsHave", odd));
    }
    return new TuneImport(song.withTune(tune), count, remarks);
  }

  private static Song inKeyOf(Song song, Song from, List<String> remarks) {
    if (song.key().isEmpty() || from.key().isEmpty() || song.key().equals(from.key())) {
      return from;
    }
    Key here = song.key().get();
    if (here.mode() != from.key().get().mode()) {
      remarks.add(Texts.of("tuneImport.itIsInAnd", from.key().get()));
      return from;
    }
    remarks.add(Texts.of("tuneImport.itIsMovedFrom", from.key().get(), here));
    return Transposition.to(from, here.tonic());
  }
}
