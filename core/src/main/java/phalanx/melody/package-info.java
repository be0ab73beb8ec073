/**
 * The tune of a song as the player wrote it, bar by bar: {@link phalanx.melody.BarTune} with its
 * {@link phalanx.melody.TuneNote}s, read from text by {@link phalanx.melody.TuneReader} and written
 * by {@link phalanx.melody.TuneWriter}. Where it lies on the neck is decided elsewhere.
 */
package phalanx.melody;
