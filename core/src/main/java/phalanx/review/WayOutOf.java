package phalanx.review;

import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import phalanx.song.Song;

/**
 * An edit that may take a finding away; it has yet to be tried.
 *
 * @param words what it does
 * @param edit the edit
 * @param enough what more must be true of the song then, besides that the finding is gone
 */
record WayOutOf(String words, UnaryOperator<Song> edit, Predicate<Review> enough) {

  WayOutOf(String words, UnaryOperator<Song> edit) {
    this(words, edit, review -> true);
  }
}
