/**
 * What stands around every screen: top bar, rail, notices, menus, keys. {@link
 * phalanx.desktop.frame.Workbench} puts the regions together.
 */
package phalanx.desktop.frame;
