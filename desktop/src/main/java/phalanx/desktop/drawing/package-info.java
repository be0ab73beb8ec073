/**
 * What canvases share: the colours of the theme, type, lettering, sheets that scroll as pictures,
 * signs. Start with {@link phalanx.desktop.drawing.Palette}.
 */
package phalanx.desktop.drawing;
