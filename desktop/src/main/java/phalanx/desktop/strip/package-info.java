/**
 * The two-hand strip: {@link phalanx.desktop.strip.StripLayout} knows where things are, {@link
 * phalanx.desktop.strip.StripPainter} draws them, {@link phalanx.desktop.strip.StripView} scrolls
 * and listens.
 */
package phalanx.desktop.strip;
