/**
 * The chart as players read and type it, on top of {@link phalanx.song}.
 *
 * <p>{@link phalanx.chart.ChartReader} and {@link phalanx.chart.ChartWriter} go between bars and
 * the line of text that stands for them, {@code |: G . D7 . | =3 . . D7 . :|}; {@link
 * phalanx.chart.Completion} offers chords while one is typed, {@link phalanx.chart.KeyChords} those
 * of a key to choose from; {@link phalanx.chart.Transposition} moves a whole song to another key.
 */
package phalanx.chart;
