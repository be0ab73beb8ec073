/**
 * What stands around every screen: top bar, rail, notices, menus, keys. {@link
 * phalanx.desktop.frame.Workbench} puts the regions together; {@link
 * phalanx.desktop.frame.SongController} is asked for songs as a whole, {@code DocumentQuestions}
 * puts what an open document asks, {@code ExportController} writes plans, sound and the log into
 * files.
 */
package phalanx.desktop.frame;
