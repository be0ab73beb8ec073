/**
 * The window. {@link phalanx.desktop.PhalanxApp} starts it; {@link phalanx.desktop.Workbench} puts
 * the regions together, one class each. State is in {@code model}; the canvases are in {@code
 * strip} and {@code neck}, each as layout, painter and view.
 */
package phalanx.desktop;
