/**
 * The Chart screen: {@link phalanx.desktop.chart.ChartLayout} knows where bars are, {@link
 * phalanx.desktop.chart.ChartPainter} draws them, {@link phalanx.desktop.chart.ChartView} scrolls
 * and listens, {@link phalanx.desktop.chart.BarEditor} is the line in which a bar is typed, {@link
 * phalanx.desktop.chart.SongPanel} has everything else that belongs to the song.
 */
package phalanx.desktop.chart;
