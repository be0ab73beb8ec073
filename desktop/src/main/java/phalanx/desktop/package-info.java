/**
 * The window. {@link phalanx.desktop.PhalanxApp} starts it; {@link phalanx.desktop.frame.Workbench}
 * puts the regions together, one class each. State is in {@code model}, songs on the disk in {@code
 * files}; what is around the screens in {@code frame}, what canvases share in {@code drawing}; each
 * screen has a package: {@code chart}, {@code shapes}, {@code arrange} with {@code strip}; the
 * {@code neck} is drawn on several. Canvases are layout, painter and view.
 */
package phalanx.desktop;
