/**
 * The Picking screen: {@link phalanx.desktop.picking.PatternGrid} is the role-by-time grid that is
 * edited, with {@link phalanx.desktop.picking.StrokeTools} for its keys and {@link
 * phalanx.desktop.picking.GridPainter} for its drawing; {@link phalanx.desktop.picking.FallsView}
 * shows how it falls on chords of the song, {@link phalanx.desktop.picking.ShelfPanel} has the
 * patterns to choose from. What is shown lies in {@link phalanx.desktop.model.PatternViewModel}.
 */
package phalanx.desktop.picking;
