/**
 * The window. {@link phalanx.desktop.PhalanxApp} starts it; {@link phalanx.desktop.Workbench} puts
 * the regions together, one class each. State is in {@code model}, songs on the disk in {@code
 * files}; each screen has a package: {@code chart}, {@code shapes}, {@code strip} for Arrange; the
 * {@code neck} is drawn on several. Canvases are layout, painter and view.
 */
package phalanx.desktop;
