package phalanx.desktop.model;

import phalanx.melody.BarTune;
import phalanx.theory.Meter;

/** The tune of the song, bar by bar, as it is typed. */
interface TuneBars {

  /** The bar that is written in, by its id; 0 for none. */
  int bar();

  /** Its metre. */
  Meter meter();

  /** The tune of a bar as it is shown. */
  BarTune shown(int bar);

  /** Puts what is typed into the song. */
  void keep();

  /** Goes some bars on. */
  void step(int by);
}
