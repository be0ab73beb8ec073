/**
 * The Picking screen: {@link phalanx.desktop.picking.PatternGrid} is the role-by-time grid that is
 * edited, {@link phalanx.desktop.picking.FallsView} shows how it falls on chords of the song,
 * {@link phalanx.desktop.picking.ShelfPanel} has the patterns to choose from.
 */
package phalanx.desktop.picking;
