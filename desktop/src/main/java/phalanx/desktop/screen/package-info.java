/**
 * What the window asks of a screen. A new one is a class that extends {@link
 * phalanx.desktop.screen.ScreenView}, its name in {@link phalanx.desktop.model.Screen} and a line
 * in {@code Workbench}.
 */
package phalanx.desktop.screen;
